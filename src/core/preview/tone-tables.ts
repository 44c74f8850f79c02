import { labOfSpectrum, rgbOfLab } from '../colour/index.ts';
import { type Ground, type PencilOptics, groundAfterPasses } from '../laydown/index.ts';
import { type Field, valueAtStep } from '../light/index.ts';
import { type Direction, type Layer, fieldsOf, passesOf, shareInZone } from '../recipe/index.ts';
import { type Drawn } from './grain.ts';
import { shadeOf } from './shade.ts';

/** Steps of the first field that are computed; the 256 values of a page fall on the nearest. */
export const TONE_STEPS = 64;
/** Steps of a second field, where layers look at two. */
export const SECOND_STEPS = 32;
/** Shares of a layer's pressure are told apart by so much of the whole. */
const SHARES = 512;

/** How a recipe looks at every value of its fields after some of its layers: for each red, green, blue and specks. */
export interface ToneTable {
  /** One field or two. */
  fields: readonly Field[];
  /** Steps x 3, sRGB of the pigment; all steps of the first field for the first step of the second, and so on. */
  rgb: Uint8Array;
  /** Steps, 0 (covered) to 255 (bare). */
  specks: Uint8Array;
  /** How the last layer's strokes draw the grain out. */
  drawn: Drawn;
}

/** What strokes that run some way look like in the grain; along a shape or round a light they run every way. */
const BY_DIRECTION: Readonly<Partial<Record<Direction, Drawn>>> = { level: 'level', upright: 'upright' };

function drawnBy(layer: Layer | undefined): Drawn {
  if (!layer) return 'slanted';
  const own = layer.direction && BY_DIRECTION[layer.direction];
  return own ?? (layer.stroke === 'stippling' ? 'round' : 'slanted');
}

/**
 * Builds the look of a stack of layers at every value of the fields that it looks at, one table for each prefix: none
 * laid, the first laid, and so on. Places where the same is laid are worked out once.
 * @param layers in the order in which they are laid
 * @param optics the pencils by id
 * @returns layers.length + 1 tables
 * @throws RangeError when a pencil has no optics, or for layers that look at more than two fields
 */
export function toneTables(
  layers: readonly Layer[],
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
): ToneTable[] {
  const paper = rgbOfLab(labOfSpectrum(ground.bare));
  const fields = fieldsOf(layers);
  const places = placesOf(fields);
  const grounds: Ground[] = [ground];
  const shades = [shadeOf(ground, paper)];
  const known = new Map<number, number>();
  const now = new Uint32Array(places.length);
  const tables = [tableOf(undefined)];
  layers.forEach((layer, i) => {
    known.clear();
    places.forEach((place, step) => {
      const share = Math.round(SHARES * shareInZone(layer.zone, place));
      if (share === 0) return;
      const key = now[step] * (SHARES + 1) + share;
      let next = known.get(key);
      if (next === undefined) {
        const passes = passesOf(layer, optics, share / SHARES);
        next = grounds.push(groundAfterPasses(grounds[now[step]], passes)) - 1;
        shades.push(shadeOf(grounds[next], paper));
        known.set(key, next);
      }
      now[step] = next;
    });
    tables[i + 1] = tableOf(layer);
  });
  return tables;

  function tableOf(last: Layer | undefined): ToneTable {
    const rgb = new Uint8Array(3 * places.length);
    const specks = new Uint8Array(places.length);
    now.forEach((state, step) => {
      rgb.set(shades[state].covered.map(Math.round), 3 * step);
      specks[step] = Math.min(255, Math.round(shades[state].specks));
    });
    return { fields, rgb, specks, drawn: drawnBy(last) };
  }
}

/** Every step of one field, or of two. */
function placesOf([first, second]: readonly Field[]) {
  const row = Array.from({ length: TONE_STEPS }, (_, step) => ({ [first]: valueAtStep(first, step, TONE_STEPS) }));
  if (!second) return row;
  return Array.from({ length: SECOND_STEPS }, (_, step) => valueAtStep(second, step, SECOND_STEPS)).flatMap((value) =>
    row.map((place) => ({ ...place, [second]: value })),
  );
}
