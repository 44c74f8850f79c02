import { type PointMm } from './region-map.ts';

/** What a person mended by hand; kept in mm, so that it holds when regions are found anew. */
export type Mend =
  /** A line drawn across a region, or over a gap: what lies on its two sides is parted. */
  | { kind: 'cut'; points: readonly PointMm[] }
  /** An opening that is meant: no gap is closed near here. */
  | { kind: 'open'; at: PointMm }
  /** Two places that belong to one region although a line lies between them. */
  | { kind: 'join'; a: PointMm; b: PointMm }
  /** The white part here is no region. */
  | { kind: 'drop'; at: PointMm };

/** A refused closing covers gaps whose middle lies this near, mm. */
export const NEAR_MM = 0.8;

/** Whether the person wants the outline to stay open at a place. */
export function staysOpen(mends: readonly Mend[], x: number, y: number): boolean {
  return mends.some((mend) => mend.kind === 'open' && Math.hypot(mend.at.x - x, mend.at.y - y) <= NEAR_MM);
}
