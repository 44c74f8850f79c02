import { type Lab } from '../../src/core/colour/index.ts';
import { type Paper, type Pressure } from '../../src/core/laydown/index.ts';

/** What a pencil's label says. */
export interface Label {
  colour: Lab;
  type: string;
  /** 0 (clear) to 1 (covering). */
  opacity: number;
}

/**
 * Someone who lays pencils on paper by optics and mechanics of their own, and knows nothing of the product's layer model:
 * what a fit foretells of layers that were on no card is held against what comes out here.
 */
export interface Maker {
  id: string;
  /** What it takes pencil and paper to be, in a line. */
  says: string;
  /** What is seen of passes laid over each other, without the noise of a reading. */
  lay(passes: readonly { pencil: Label; pressure: Pressure }[], paper: Paper, on: 'paper' | 'bar'): Lab;
}
