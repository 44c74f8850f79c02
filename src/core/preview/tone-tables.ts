import { labOfSpectrum, rgbOfLab } from '../colour/index.ts';
import { type Ground, type PencilOptics, PRESS, groundAfterPasses } from '../laydown/index.ts';
import { type Layer, shareInZone } from '../recipe/index.ts';
import { shadeOf } from './shade.ts';

/** Steps of the tone that are computed; the 256 tones of a page fall on the nearest. */
export const TONE_STEPS = 64;

/** How a recipe looks at every tone after some of its layers: for each tone step red, green, blue and specks. */
export interface ToneTable {
  /** TONE_STEPS x 3, sRGB of the pigment. */
  rgb: Uint8Array;
  /** TONE_STEPS, 0 (covered) to 255 (bare). */
  specks: Uint8Array;
}

/**
 * Builds the look of a stack of layers at every tone, one table for each prefix: none laid, the first laid, and so on.
 * @param layers in the order in which they are laid
 * @param optics the pencils by id
 * @param halfWidthMm half the usual usable width of the regions, for the softness of zones
 * @returns layers.length + 1 tables
 * @throws RangeError when a pencil has no optics
 */
export function toneTables(
  layers: readonly Layer[],
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
  halfWidthMm: number,
): ToneTable[] {
  const paper = rgbOfLab(labOfSpectrum(ground.bare));
  const tables = Array.from({ length: layers.length + 1 }, newTable);
  for (let step = 0; step < TONE_STEPS; step++) {
    let now = ground;
    write(tables[0], step, now, paper);
    layers.forEach((layer, i) => {
      const pencil = optics.get(layer.pencil);
      if (!pencil) throw new RangeError(`Pencil ${layer.pencil} is not in the tray that this recipe was made with.`);
      const press = PRESS[layer.pressure] * shareInZone(layer.zone, step / (TONE_STEPS - 1), halfWidthMm);
      if (press > 0.004) now = groundAfterPasses(now, new Array(layer.passes).fill({ pencil, pressure: press }));
      write(tables[i + 1], step, now, paper);
    });
  }
  return tables;
}

function newTable(): ToneTable {
  return { rgb: new Uint8Array(3 * TONE_STEPS), specks: new Uint8Array(TONE_STEPS) };
}

function write(table: ToneTable, step: number, ground: Ground, paper: readonly number[]): void {
  const shade = shadeOf(ground, paper);
  table.rgb.set(shade.covered.map(Math.round), 3 * step);
  table.specks[step] = Math.min(255, Math.round(shade.specks));
}
