import { type Lab } from '../colour/index.ts';

/** Shares of light, middle and dark by area on a pale and on a deep ground. */
const VALUES = { pale: [0.55, 0.33, 0.12], deep: [0.15, 0.35, 0.5] } as const;
/** L* at which light begins and dark ends, and over how much of it one goes over into the other. */
const LIGHT_FROM = 70;
const DARK_TO = 45;
const OVER = 10;

/** Whether a colour is light, middle or dark; near a border it is some of both. */
export function valueClass([l]: Lab): readonly [light: number, middle: number, dark: number] {
  const ramp = (value: number) => Math.min(1, Math.max(0, value / OVER + 0.5));
  const [light, dark] = [ramp(l - LIGHT_FROM), ramp(DARK_TO - l)];
  return [light, 1 - light - dark, dark];
}

/** The shares of light, middle and dark that a page is to have, from -1 for a dark one to 1 for a light one. */
export function plannedValues(light: number): readonly [light: number, middle: number, dark: number] {
  const pale = Math.min(1, Math.max(0, (light + 1) / 2));
  const at = (k: 0 | 1 | 2) => VALUES.deep[k] + (VALUES.pale[k] - VALUES.deep[k]) * pale;
  return [at(0), at(1), at(2)];
}
