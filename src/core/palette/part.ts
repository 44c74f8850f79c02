import { type Lab, hueOfWheel, labOfOklch } from '../colour/index.ts';

/** How clear a colour is meant to be. */
export const CLARITIES = ['clear', 'quiet', 'grey'] as const;
export type Clarity = (typeof CLARITIES)[number];
/** Where a thing lies between dark and light. */
export const KEYS = ['deep', 'middle', 'pale'] as const;
export type Key = (typeof KEYS)[number];

/** The part that a thing plays in the palette. */
export interface Part {
  /** Place on the painter's wheel, degrees. */
  angle: number;
  clarity: Clarity;
  key: Key;
}

const CHROMA: Record<Clarity, number> = { clear: 0.15, quiet: 0.08, grey: 0.025 };
const SHIFT: Record<Key, number> = { deep: -0.13, middle: 0, pale: 0.13 };

/**
 * The colours a part asks for. A hue is dark or light by nature (yellow is pale, violet deep), so the middle value
 * follows the hue; darks lean towards violet and lights towards yellow by a few degrees, as shadow and light do.
 */
export function targetsOf({ angle, clarity, key }: Part): { dark: Lab; mid: Lab; light: Lab } {
  const c = CHROMA[clarity];
  const fromYellow = Math.cos((angle * Math.PI) / 180);
  const l = 0.6 + 0.09 * fromYellow + SHIFT[key];
  const lean = 10 * Math.sin((angle * Math.PI) / 180);
  return {
    dark: labOfOklch({ l: Math.max(0.24, l - 0.22), c: c * 0.75, h: hueOfWheel(angle + lean) }),
    mid: labOfOklch({ l, c, h: hueOfWheel(angle) }),
    light: labOfOklch({ l: Math.min(0.95, l + 0.22), c: c * 0.7, h: hueOfWheel(angle - lean) }),
  };
}
