import { type Lab } from '../lab.ts';
import { oklchOfLab } from '../oklch.ts';
import { wheelOfHue } from './painters.ts';

/** Rings of the wheel, from the middle outwards: paled by paper or white, full, calmed by grey, darkened by black. */
export const RINGS = ['tint', 'full', 'tone', 'shade'] as const;
export type Ring = (typeof RINGS)[number];

/** OKLCH chroma from which a pencil's laydown counts as a full colour; paler or duller ones are tints, tones or shades. */
const FULL_CHROMA = 0.105;
/** So far from the lightness of its full hue (OKLCH) a colour is a tint or a shade. */
const AWAY = 0.1;

/**
 * The ring that a colour belongs to. A hue is light or dark by nature (yellow is pale, violet deep), so it is held
 * against the lightness of its own full colour.
 */
export function ringOf(lab: Lab): Ring {
  const { l, c, h } = oklchOfLab(lab);
  const off = l - fullLightness(wheelOfHue(h));
  if (off > AWAY && c < FULL_CHROMA * 1.35) return 'tint';
  if (off < -AWAY) return 'shade';
  return c >= FULL_CHROMA ? 'full' : 'tone';
}

/** OKLCH lightness of the full colour at an angle of the painter's wheel: 0.86 for yellow down to 0.5 for violet. */
export function fullLightness(angle: number): number {
  return 0.68 + 0.18 * Math.cos((angle * Math.PI) / 180);
}
