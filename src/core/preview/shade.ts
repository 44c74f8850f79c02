import { CODE_OF_LIGHT, LIGHT_STEPS, type Lamp, labOfSpectrum, labUnder, lightOfLab } from '../colour/index.ts';
import { type Ground, reflectanceOf, reflectanceOfReached } from '../laydown/index.ts';

/** A ground as it is painted: pigment where the grain stands up, paper in the valleys. */
export interface Shade {
  /** Light of what is covered and of the bare specks between, in steps of LIGHT_STEPS: red, green, blue each. */
  covered: Uint16Array;
  bare: Uint16Array;
  /** Share of the area that is bare, 0..255 of 256. */
  specks: number;
}

/**
 * How to paint a ground so that its mean in light is the colour that the layer model says is seen. Light that enters the
 * paper through a bare speck leaves it through the film beside, and the other way round; with Yule and Nielsen's n of 2
 * it comes out anywhere, so that specks are seen as the root of bare times whole, and the film as the root of film times
 * whole; with another n as bare and whole to the powers of 1/n and 1 - 1/n (F. Clapper, J. Yule, The effect of multiple internal reflections on the densities of half-tone prints, 1953).
 * Specks between dark pigment are therefore no longer white.
 * @param lamp to see it by; default daylight
 */
export function shadeOf(ground: Ground, lamp?: Lamp): Shade {
  const whole = reflectanceOfReached(ground);
  const under = ground.under && reflectanceOf(ground.under);
  const n = ground.yuleNielsen;
  const between = (part: Float64Array) => {
    const mixed = new Float64Array(part.length);
    for (let i = 0; i < mixed.length; i++) {
      mixed[i] = n === 2 ? Math.sqrt(part[i]! * whole[i]!) : part[i]! ** (1 / n) * whole[i]! ** (1 - 1 / n);
      if (under) mixed[i] = ground.kept * under[i]! + (1 - ground.kept) * mixed[i]!;
    }
    return stepsOf(mixed, lamp);
  };
  return {
    covered: between(ground.covered),
    bare: between(ground.bare),
    specks: Math.min(255, Math.round(256 * ground.specks)),
  };
}

/** The light of a spectrum in each channel, by daylight or as it looks under a lamp. */
export function stepsOf(spectrum: Float64Array, lamp?: Lamp): Uint16Array {
  const lab = lamp ? labUnder(spectrum, lamp) : labOfSpectrum(spectrum);
  return Uint16Array.from(lightOfLab(lab), (light) => Math.round(LIGHT_STEPS * light));
}

/**
 * Paints one pixel.
 * @param share of pigment that the pixel shows, in 256ths
 */
export function paintPixel(data: Uint8ClampedArray, at: number, { covered, bare }: Shade, share: number): void {
  for (let c = 0; c < 3; c++)
    data[at + c] = CODE_OF_LIGHT[Math.round(bare[c]! + ((covered[c]! - bare[c]!) * share) / 256)]!;
  data[at + 3] = 255;
}
