import { type Lab, oklchOfLab, wheelOfHue } from '../colour/index.ts';
import {
  type Paper,
  type PencilDeclaration,
  type PencilOptics,
  bareGround,
  layPasses,
  pencilOptics,
  pencilTypeById,
} from '../laydown/index.ts';

/** A pencil that a tray holds. */
export interface TrayPencil extends PencilDeclaration {
  id: string;
  code: string;
}

/** How far a pencil covers what lies under it, 0 translucent to 1 covering: its own, or what its type usually does. */
export function opacityOf({ opacity, type }: Pick<TrayPencil, 'opacity' | 'type'>): number {
  return opacity ?? pencilTypeById(type).opacity;
}

/** A pencil as it comes out on one paper. */
export interface PencilOnPaper {
  id: string;
  code: string;
  optics: PencilOptics;
  /** One light pass. */
  tint: Lab;
  /** A medium and a firm pass: the colour of a finished, layered area. */
  body: Lab;
  /** Place of the body on the painter's wheel, degrees; of no meaning for greys. */
  wheelAngle: number;
  /** OKLCH hue of the body, degrees; of no meaning for greys. */
  hue: number;
  /** OKLCH chroma of the body. */
  chroma: number;
}

/**
 * Works out how each pencil comes out on a paper.
 * @param known optics already solved, by pencil id; what is missing is solved here and added (about 2 ms a pencil)
 */
export function onPaper(
  pencils: readonly TrayPencil[],
  paper: Paper,
  known: Map<string, PencilOptics> = new Map(),
): PencilOnPaper[] {
  const ground = bareGround(paper);
  return pencils.map((pencil) => {
    const optics = known.get(pencil.id) ?? pencilOptics(pencil);
    known.set(pencil.id, optics);
    const tint = layPasses(ground, [{ pencil: optics, pressure: 'light' }]).lab;
    const body = layPasses(ground, [
      { pencil: optics, pressure: 'medium' },
      { pencil: optics, pressure: 'firm' },
    ]).lab;
    const { c, h } = oklchOfLab(body);
    return { id: pencil.id, code: pencil.code, optics, tint, body, wheelAngle: wheelOfHue(h), hue: h, chroma: c };
  });
}
