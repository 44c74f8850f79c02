import type { Mend } from './schemas.ts';

/** A refused closing covers gaps whose middle lies this near, mm. */
export const NEAR_MM = 0.8;

/** Whether the person wants the outline to stay open at a place. */
export function staysOpen(mends: readonly Mend[], x: number, y: number): boolean {
  return mends.some((mend) => mend.kind === 'open' && Math.hypot(mend.at.x - x, mend.at.y - y) <= NEAR_MM);
}
