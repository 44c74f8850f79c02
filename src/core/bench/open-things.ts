import type { OpenThings } from './schemas.ts';

/** The number that a search keeps to: Infinity for any. */
export function openLimit(open: OpenThings): number {
  return open === 'any' ? Infinity : open;
}
