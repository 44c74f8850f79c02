import { type Lamp } from '../colour/index.ts';
import { type Ground, type PencilOptics, groundAfterPasses } from '../laydown/index.ts';
import { type Field, valueAtStep } from '../light/index.ts';
import { type Direction, type Layer, fieldsOf, passesOf, shareInSpan } from '../recipe/index.ts';
import { type Shade, shadeOf } from './shade.ts';
import { type Drawn } from './strokes.ts';

/** Steps of the first field that are computed; the 256 values of a page fall on the nearest. */
export const TONE_STEPS = 64;
/** Steps of a second field, where layers look at two. */
export const SECOND_STEPS = 32;
/** Shares of a layer's pressure are told apart by so much of the whole. */
const SHARES = 512;

/** How a recipe looks at every value of its fields after some of its layers. */
export interface ToneTable {
  /** One field or two. */
  fields: readonly Field[];
  /**
   * Steps x 6, light of the film in red, green and blue, then of the specks between (see Shade); all steps of the first
   * field for the first step of the second, and so on.
   */
  light: Uint16Array;
  /** Steps, 0 (covered) to 255 (bare). */
  specks: Uint8Array;
  /** How the last layer's strokes draw the grain out. */
  drawn: Drawn;
}

/** What strokes that run some way look like in the grain; those that follow a shape or a point have a course of their own. */
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
 * @param lamp to see it by; default daylight
 * @returns layers.length + 1 tables
 * @throws RangeError when a pencil has no optics, or for layers that look at more than two fields
 */
export function toneTables(
  layers: readonly Layer[],
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
  lamp?: Lamp,
): ToneTable[] {
  const fields = fieldsOf(layers);
  const size = TONE_STEPS * (fields.length > 1 ? SECOND_STEPS : 1);
  const grounds: Ground[] = [ground];
  const looks = [shadeOf(ground, lamp)];
  const known = new Map<number, number>();
  const now = new Uint32Array(size);
  const tables = [tableOf(undefined)];
  layers.forEach((layer, i) => {
    known.clear();
    const shares = sharesOf(layer, fields);
    for (let step = 0; step < size; step++) {
      if (shares[step] === 0) continue;
      const key = now[step] * (SHARES + 1) + shares[step];
      let next = known.get(key);
      if (next === undefined) {
        const passes = passesOf(layer, optics, shares[step] / SHARES);
        next = grounds.push(groundAfterPasses(grounds[now[step]], passes)) - 1;
        looks.push(shadeOf(grounds[next], lamp));
        known.set(key, next);
      }
      now[step] = next;
    }
    tables[i + 1] = tableOf(layer);
  });
  return tables;

  function tableOf(last: Layer | undefined): ToneTable {
    const light = new Uint16Array(6 * size);
    const specks = new Uint8Array(size);
    for (let step = 0; step < size; step++) {
      const look: Shade = looks[now[step]];
      light.set(look.covered, 6 * step);
      light.set(look.bare, 6 * step + 3);
      specks[step] = look.specks;
    }
    return { fields, light, specks, drawn: drawnBy(last) };
  }
}

/** Which of {@link SHARES} of a layer's pressure arrive at each step: a zone goes by each of its fields by itself. */
function sharesOf({ zone }: Layer, [first, second]: readonly Field[]): Uint16Array {
  const along = (field: Field | undefined, steps: number) =>
    Float64Array.from({ length: field ? steps : 1 }, (_, step) =>
      [zone, ...(zone.and ? [zone.and] : [])]
        .filter((span) => span.field === field)
        .reduce((share, span) => share * shareInSpan(span, valueAtStep(field!, step, steps)), 1),
    );
  const [across, down] = [along(first, TONE_STEPS), along(second, SECOND_STEPS)];
  return Uint16Array.from({ length: across.length * down.length }, (_, step) =>
    Math.round(SHARES * across[step % TONE_STEPS] * down[Math.floor(step / TONE_STEPS)]),
  );
}
