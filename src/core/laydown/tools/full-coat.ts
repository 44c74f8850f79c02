import { PRESS } from '../pressure.ts';

/** Share of a full coat that what flows lays, 0..1: a pen, a marker or a brush needs no more than a medium hand for all of it. */
export function fullCoat(amount: number): number {
  return Math.min(1, amount / PRESS.medium);
}
