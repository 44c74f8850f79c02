import { type PointMm } from '../lineart/index.ts';
import type { Light, MainLight } from './schemas.ts';

/** Something that glows: a thing of the page, or a point where nothing is drawn. */
export interface Glow extends Omit<Light, 'pencil'> {
  /** The thing that glows, or null for a point. */
  thingId: string | null;
  /** Where the point is; of no meaning for a thing. */
  at: PointMm | null;
}

/** All lights of a page, and where still water begins. */
export interface Lighting {
  main: MainLight;
  glows: readonly Glow[];
  /** Height of the water line, mm from the top: water shows what lies above it upside down. Null, the default: there is none. */
  waterLineMm?: number | null;
  /** Whether the water is rippled. Default still. */
  rippled?: boolean;
}

/**
 * Looks lights over.
 * @throws RangeError for a light lower than 5 or higher than 90 degrees, for a glow without reach or strength, for one
 * that is neither a thing nor a point, and for a water line above the page
 */
export function checkLighting({ main, glows, waterLineMm = null }: Lighting): void {
  if (waterLineMm !== null && !(waterLineMm >= 0)) throw new RangeError('The water line lies on the page.');
  if (main.kind === 'direction' && !(main.heightDegrees >= 5 && main.heightDegrees <= 90)) {
    throw new RangeError('The light stands between 5 and 90 degrees above the page.');
  }
  for (const { thingId, at, reachMm, strength } of glows) {
    if (thingId === null && at === null) throw new RangeError('A glow comes from a thing or from a point of the page.');
    if (!(reachMm > 0)) throw new RangeError('A glow reaches further than 0 mm.');
    if (!(strength > 0 && strength <= 1)) throw new RangeError('The strength of a glow is above 0 and at most 1.');
  }
}
