import type { Quality } from '../contracts/index.ts';

/** What a scanner does to a page. */
export interface ScanFaults {
  /** Most that the page lies askew, degrees. */
  skew: number;
  /** How much darker the darkest corner is, as a share. */
  uneven: number;
  /** Standard deviation of the noise, of 255. */
  noise: number;
  /** Radius of the blur, pixels. */
  blur: number;
  jpeg: number;
}

export const SCAN_FAULTS: Readonly<Record<Quality, ScanFaults>> = {
  good: { skew: 0.3, uneven: 0.04, noise: 1.5, blur: 0, jpeg: 92 },
  middling: { skew: 1.2, uneven: 0.18, noise: 5, blur: 0.6, jpeg: 76 },
  bad: { skew: 2.4, uneven: 0.4, noise: 9, blur: 1.1, jpeg: 60 },
};

/** What a camera adds. */
export interface ShotFaults {
  /** How far each corner strays from where it should be, as a share of the picture. */
  perspective: number;
  /** What the lamp makes of white, per channel. */
  cast: readonly [r: number, g: number, b: number];
  /** How much darker the corners are, as a share. */
  vignette: number;
  noise: number;
  blur: number;
  jpeg: number;
}

export const SHOT_FAULTS: Readonly<Record<Quality, ShotFaults>> = {
  good: { perspective: 0.015, cast: [1, 0.99, 0.97], vignette: 0.06, noise: 2, blur: 0.4, jpeg: 92 },
  middling: { perspective: 0.05, cast: [1, 0.94, 0.82], vignette: 0.2, noise: 5, blur: 0.8, jpeg: 80 },
  bad: { perspective: 0.1, cast: [1, 0.86, 0.64], vignette: 0.42, noise: 9, blur: 1.6, jpeg: 62 },
};

/** What a colour meter does to a reading. */
export interface MeterFaults {
  /** Standard deviation of each of L*, a*, b*. */
  noise: number;
  /** How often it reads badly and says so. */
  badReadings: number;
  warmUpSeconds: number;
}

export const METER_FAULTS: Readonly<Record<Quality, MeterFaults>> = {
  good: { noise: 0.12, badReadings: 0.04, warmUpSeconds: 3 },
  middling: { noise: 0.35, badReadings: 0.14, warmUpSeconds: 6 },
  bad: { noise: 0.9, badReadings: 0.34, warmUpSeconds: 9 },
};
