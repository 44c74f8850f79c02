import { type Lamp } from '../colour/index.ts';
import { type Ground, type PencilOptics } from '../laydown/index.ts';
import { type Field, valueAtStep } from '../light/index.ts';
import { type Direction, type Layer, fieldsOf, layAtPlaces, shareInSpan } from '../recipe/index.ts';
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

/**
 * A cast shadow is narrow and soft: so many shares of it are told apart, and what follows is laid on as many grounds; in it
 * every so many steps of the other field are worked out.
 */
const SHADOW_SHARES = 4;
const SHADOW_EVERY = 3;

/** What strokes that run some way look like in the grain; those that follow a shape or a point have a course of their own. */
const BY_DIRECTION: Readonly<Partial<Record<Direction, Drawn>>> = { level: 'level', upright: 'upright' };

function drawnBy(layer: Layer | undefined): Drawn {
  if (!layer) return 'slanted';
  const own = layer.direction && BY_DIRECTION[layer.direction];
  return own ?? (layer.stroke === 'stippling' ? 'round' : 'slanted');
}

/** How a stack is looked at. */
export interface Looking {
  /** The lamp to see it by; default daylight. */
  lamp?: Lamp;
  /** Every how many steps of a field are worked out, the ones between looking alike; default every one. */
  every?: number;
}

/** The looks of a stack. */
export interface ToneStack {
  /** Every how many steps of a field were worked out. */
  every: number;
  /** The look once so many layers are laid; it is made when it is first asked for. */
  after(laid: number): ToneTable;
}

/**
 * Lays a stack of layers at every value of the fields that it looks at.
 * @param layers in the order in which they are laid
 * @param optics the pencils by id
 * @throws RangeError when a pencil has no optics, or for layers that look at more than two fields
 */
export function toneStack(
  layers: readonly Layer[],
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
  { lamp, every = 1 }: Looking = {},
): ToneStack {
  const fields = fieldsOf(layers);
  const size = TONE_STEPS * (fields.length > 1 ? SECOND_STEPS : 1);
  const shadowed = shadowedSteps(layers, fields, every);
  const shares = layers.map((layer) => sharesOf(layer, fields, every, shadowed));
  const { grounds, states } = layAtPlaces(layers, size, shares, SHARES, optics, ground);
  const looks = new Array<Shade | undefined>(grounds.length);
  const tables = new Array<ToneTable | undefined>(states.length);
  return { every, after: (laid) => (tables[laid] ??= tableOf(states[laid]!, layers[laid - 1])) };

  function tableOf(now: Uint32Array, last: Layer | undefined): ToneTable {
    const light = new Uint16Array(6 * size);
    const specks = new Uint8Array(size);
    for (let step = 0; step < size; step++) {
      const look = (looks[now[step]!] ??= shadeOf(grounds[now[step]!]!, lamp));
      light.set(look.covered, 6 * step);
      light.set(look.bare, 6 * step + 3);
      specks[step] = look.specks;
    }
    return { fields, light, specks, drawn: drawnBy(last) };
  }
}

/**
 * The look of a stack after each of its layers: none laid, the first laid, and so on.
 * @returns layers.length + 1 tables
 * @throws RangeError as {@link toneStack} does
 */
export function toneTables(...of: Parameters<typeof toneStack>): ToneTable[] {
  const stack = toneStack(...of);
  return Array.from({ length: of[0].length + 1 }, (_, laid) => stack.after(laid));
}

/** Which of {@link SHARES} of a layer's pressure arrive at each step: a zone goes by each of its fields by itself. */
function sharesOf(layer: Layer, [first, second]: readonly Field[], every: number, shadowed: Uint8Array): Uint16Array {
  const across = sharesAlong(layer, first, TONE_STEPS, every);
  const acrossInShadow = sharesAlong(layer, first, TONE_STEPS, Math.max(every, SHADOW_EVERY));
  const down = sharesAlong(layer, second, SECOND_STEPS, every);
  const shares = new Uint16Array(across.length * down.length);
  for (let step = 0; step < shares.length; step++) {
    const row = Math.floor(step / TONE_STEPS);
    const own = shadowed[row] ? acrossInShadow : across;
    shares[step] = Math.round(SHARES * own[step % TONE_STEPS]! * down[row]!);
  }
  return shares;
}

/** The same by one field, 0..1. */
function sharesAlong({ zone }: Layer, field: Field | undefined, steps: number, every: number): Float64Array {
  const shares = new Float64Array(field ? steps : 1).fill(1);
  for (const span of zone.and ? [zone, zone.and] : [zone]) {
    if (span.field !== field) continue;
    for (let step = 0; step < steps; step++) {
      const middle = Math.min(steps - 1, step - (step % every) + (every >> 1));
      const share = shareInSpan(span, valueAtStep(field, middle, steps));
      shares[step]! *= field === 'shadow' ? Math.round(SHADOW_SHARES * share) / SHADOW_SHARES : share;
    }
  }
  return shares;
}

/** At which steps of the second field something is laid for a cast shadow. */
function shadowedSteps(layers: readonly Layer[], [, second]: readonly Field[], every: number): Uint8Array {
  const shadowed = new Uint8Array(second ? SECOND_STEPS : 1);
  if (second !== 'shadow') return shadowed;
  for (const layer of layers) {
    if (layer.zone.field !== 'shadow') continue;
    sharesAlong(layer, second, SECOND_STEPS, every).forEach((share, step) => {
      if (share > 0) shadowed[step] = 1;
    });
  }
  return shadowed;
}
