import type { Step } from './schemas.ts';

/** A point is worn too far from so many points of wear on: for sharp work, and for work with a normal point. */
export const WORN_FROM: Readonly<Record<Step['point'], number>> = {
  sharp: 1,
  normal: 2.5,
  'side of the lead': Infinity,
};

/** Follows the points of all pencils through an order. */
export class Points {
  readonly #wear = new Map<string, number>();

  /** Lays one step. @returns whether the pencil has to be sharpened before it */
  lay({ pencil, tool, point, wear = 0 }: Pick<Step, 'pencil' | 'tool' | 'point' | 'wear'>): boolean {
    if (tool) return false;
    const worn = this.#wear.get(pencil) ?? 0;
    const sharpen = worn > WORN_FROM[point];
    this.#wear.set(pencil, (sharpen ? 0 : worn) + wear);
    return sharpen;
  }
}
