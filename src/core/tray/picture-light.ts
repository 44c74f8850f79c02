import { median } from 'd3-array';
import { LINEAR_LIGHTS, gammaEncode } from '../colour/index.ts';
import { type RgbaImage } from '../lineart/index.ts';

/** A part of a picture, pixels. */
export interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** Light of red, green and blue, 0..1 and linear. */
export type Light = readonly [number, number, number];

/** The light of pixels of a box that are kept, red, green and blue 0..1: some hundreds, evenly spread; at least one. */
export function lightsIn(
  { width, height, data }: RgbaImage,
  box: Box,
  keep: (x: number, y: number) => boolean = () => true,
) {
  const within = (value: number, most: number) => Math.min(most - 1, Math.max(0, Math.floor(value)));
  const [left, top] = [within(box.left, width), within(box.top, height)];
  const [right, bottom] = [within(box.right, width), within(box.bottom, height)];
  const step = Math.max(1, Math.floor(Math.sqrt(((right - left) * (bottom - top)) / PIXELS)));
  const lights: Light[] = [];
  for (let y = top; y <= bottom; y += step) {
    for (let x = left; x <= right; x += step) {
      if (lights.length > 0 && !keep(x, y)) continue;
      const p = 4 * (y * width + x);
      lights.push([LINEAR_LIGHTS[data[p]!]!, LINEAR_LIGHTS[data[p + 1]!]!, LINEAR_LIGHTS[data[p + 2]!]!]);
    }
  }
  return lights;
}

/** So many pixels of a box say enough of it. */
const PIXELS = 700;
export function medianOf(lights: readonly Light[]): Light {
  return [median(lights, ([r]) => r)!, median(lights, ([, g]) => g)!, median(lights, ([, , b]) => b)!];
}

/** Channels 0..255 of a light as it would be where this white is the paper's tint. */
export function evened(light: Light, white: Light, tint: readonly number[]): Light {
  const channel = (k: 0 | 1 | 2) => gammaEncode(Math.min(1, (light[k] / Math.max(1e-3, white[k])) * tint[k]!));
  return [channel(0), channel(1), channel(2)];
}
