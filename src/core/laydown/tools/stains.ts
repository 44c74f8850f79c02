import { type Spectrum } from '../../colour/index.ts';
import { bareGround, type Ground } from '../ground.ts';
import { whiteBook } from '../papers/index.ts';
import { fullCoat } from './full-coat.ts';
import { type Tool } from './tool.ts';
import { dissolved } from './water.ts';

/** A dye goes less far into paper whose tooth is full of wax; so much of it at most reaches what is covered. */
const THROUGH_COLOUR = 0.5;

/** A marker stains the paper and uses little of its tooth; pencil shows less on it than on white. */
export const marker: Tool = {
  id: 'marker',
  name: 'marker',
  how: 'Edge to edge while it is wet, in even strokes, before pencils.',
  coloured: true,
  comes: 'first',
  driesMinutes: 5,
  takes: 0.35,
  mayShow: true,
  caution: 'Under pencil, not over it: wax clogs the nib. It shows through thin paper; test on a spare page.',
  use: (ground, amount, colour) => stained(ground, fullCoat(amount), colour, 0.04),
};

/** A wash of watercolour, or of water-soluble pigment from a palette: a stain that is wet and leaves some body. */
export const wash: Tool = {
  id: 'wash',
  name: 'watercolour wash',
  how: 'From the pale end to the deep one in one go, with no more water than the paper takes.',
  coloured: true,
  comes: 'first',
  driesMinutes: 30,
  takes: 0.35,
  mayShow: true,
  wets: true,
  watery: true,
  onWet: true,
  caution: 'Thin paper warps and some inks run: test on a spare page, lay a sheet under it, dry before going on.',
  use: (ground, amount, colour) => ({
    ...stained(dissolved(ground, amount), fullCoat(amount), colour, 0.1),
    wet: true,
  }),
};

/**
 * Paper stained by a dye: bare paper takes all of it, covered paper little.
 * @param colour of one full coat on smooth white, 36 bands; paler than white counts as clear
 * @param fills share of the tooth still empty that a full coat fills
 */
function stained(ground: Ground, amount: number, colour: Spectrum, fills: number): Ground {
  const white = bareGround(whiteBook).bare;
  const passes = colour.map((value, i) => Math.min(1, Math.max(0.001, value / white[i]!)) ** amount);
  const reached = THROUGH_COLOUR * (1 - ground.filled);
  return {
    ...ground,
    bare: ground.bare.map((value, i) => value * passes[i]!),
    covered: ground.covered.map((value, i) => value * passes[i]! ** reached),
    filled: ground.filled + fills * amount * (1 - ground.filled),
  };
}
