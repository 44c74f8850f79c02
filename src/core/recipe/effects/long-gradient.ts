import { isLoose } from '../../laydown/index.ts';
import type { Family } from '../schemas.ts';
import { type Effect, type RegionContext, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** Bands overlap by this share of their length on either side. */
const OVERLAP = 0.35;
/** No band at either end is narrower than this, as a share of the background: a narrower one would have no place. */
const LEAST_BAND = 0.08;
/** However near two pencils are in value, the passage between them is no shorter than this share of the background. */
const LEAST_FADE = 0.12;
/** A blend line moves by at most this share of a band to be hidden behind something in front. */
const HIDES_WITHIN = 0.3;
/** Where a background crosses to another hue that takes this share of it, faded over as much. */
const CROSSED = 0.26;
/** Beyond this much of a glow the dark bands keep out of it, and its core stays as it is. */
const GLOW_KEPT = 0.5;
const GLOW_CORE = 0.82;

/** A background whose bands are equally wide. */
export const longGradient: Effect = {
  id: 'long-gradient',
  name: 'long gradient, equal bands',
  says: 'One band for each pencil, all equally wide, laid in order over the whole background and overlapped.',
  choice: { of: 'long gradient', called: 'equal bands' },
  suits: [],
  pulls: 'dark to light',
  bySchool: false,
  leavesBare: SMOOTH,
  lay: (_school, family, context) => {
    const { pencils } = family;
    const edges = Array.from({ length: pencils.length - 1 }, (_, k) => (k + 1) / pencils.length);
    return inBands(family, context, edges, () => (2 * OVERLAP) / pencils.length);
  },
};

/** A background whose bands change colour equally much from one to the next. */
export const longGradientByStep: Effect = {
  id: 'long-gradient-by-step',
  name: 'long gradient, equal steps',
  says: 'One band for each pencil; where two pencils are far apart in value, the passage between them is longer.',
  choice: { of: 'long gradient', called: 'equal steps' },
  suits: ['sky'],
  pulls: 'dark to light',
  bySchool: false,
  leavesBare: SMOOTH,
  lay(_school, family, context) {
    const { pencils } = family;
    const values = pencils.map((pencil) => context.labOf?.(pencil)?.[0]);
    const equal = longGradient.lay(_school, family, context);
    if (values.some((value) => value === undefined)) {
      return {
        ...equal,
        notes: [...equal.notes, 'How these pencils come out is not known, so the bands are equally wide.'],
      };
    }
    // The middle of each pencil's band lies where its value does between the darkest and the lightest.
    const [first, last] = [values[0]!, values.at(-1)!];
    const middles = values.map((value, k) =>
      last - first > 1 ? (value! - first) / (last - first) : k / Math.max(1, values.length - 1),
    );
    const edges = middles
      .slice(1)
      .map((middle, k) => Math.min(1 - LEAST_BAND, Math.max(LEAST_BAND, (middle + middles[k]!) / 2)));
    // A band fades over the way to the middles of those beside it, so that value changes evenly all the way.
    return inBands(family, context, edges, (k) => {
      const ways = [middles[k]! - (middles[k - 1] ?? NaN), (middles[k + 1] ?? NaN) - middles[k]!].filter(
        Number.isFinite,
      );
      return Math.max(LEAST_FADE, ways.reduce((sum, way) => sum + way, 0) / Math.max(1, ways.length));
    });
  },
};

/**
 * One band a pencil, from dark to light.
 * @param edges where one band ends and the next begins, 0 (dark end) to 1 (pale end), rising
 * @param fadesOf over how much of the background a band fades at its edges
 */
function inBands(
  { pencils, blender, accent }: Family,
  context: RegionContext,
  edges: readonly number[],
  fadesOf: (band: number) => number,
) {
  const up = context.palest === 'top';
  const place = (edge: number) => (up ? 1 - edge : edge);
  const bands = pencils.length;
  const hidden = edges.map((edge) => hide(place(edge), bands, context.crossings ?? []));
  const at = (k: number) => (k < 0 ? place(0) : k >= hidden.length ? place(1) : hidden[k]!.at);
  const plain = pencils.map((pencil, k): LayerDraft => {
    const [a, b] = [at(k - 1), at(k)];
    const pale = k === bands - 1;
    const behind = hidden[k]?.hides ? ' Its edge lies behind what stands in front, where no line shows.' : '';
    return {
      id: pale ? 'light' : k === 0 ? 'shadow' : k === 1 ? 'middle' : `middle-${k}`,
      role: pale ? 'light' : k === 0 ? 'dark' : 'mid',
      pencil,
      pressure: 'medium',
      passes: 2,
      field: 'along',
      from: Math.min(a, b),
      to: Math.max(a, b),
      fades: fadesOf(k),
      bands: 1,
      ...(context.glow && !pale && { and: { field: 'glow' as const, from: 0, to: GLOW_KEPT, fades: 0.5 } }),
      stroke: 'one direction',
      direction: 'level',
      purpose: pale
        ? 'The palest band, out to its end of the background.'
        : (k === 0
            ? 'The deepest band: mark its edge lightly first, lay it firmer behind that, and lift the hand towards it.'
            : 'The next band, its edge marked lightly first and laid firmer behind; over the edge of the last.') +
          behind,
    };
  });
  if (accent && !context.glow) plain.push(crossing(accent, place));
  const last = blender ?? pencils.at(-1)!;
  if (context.glow) {
    plain.push({
      id: 'hint',
      role: 'light',
      pencil: pencils.at(-1)!,
      pressure: 'light',
      passes: 1,
      bands: 1,
      field: 'glow',
      from: 0.25,
      to: GLOW_CORE,
      fades: 0.3,
      stroke: 'small circles',
      direction: 'round the light',
      purpose: 'The palest round the light, up to its core: the deep bands fade into it.',
    });
  }
  if (bands > 1) {
    const [a, b] = [at(0), place(1)];
    plain.push({
      id: 'unify',
      role: blender ? 'blender' : 'light',
      pencil: last,
      pressure: 'medium',
      passes: 1,
      field: 'along',
      from: Math.min(a, b),
      to: Math.max(a, b),
      fades: fadesOf(0),
      bands: 1,
      stroke: 'one direction',
      direction: 'level',
      purpose: 'Across all the blend lines but the deepest, so that no edge of a band is left.',
    });
  }
  const isLooseHere = (pencil: string) => {
    const type = context.typeOf?.(pencil);
    return type !== undefined && isLoose(type);
  };
  if (pencils.every(isLooseHere)) {
    plain.push({
      id: 'soft-tip',
      role: 'light',
      pencil: last,
      pressure: 'light',
      passes: 1,
      tool: 'soft-tip',
      from: 0,
      to: 1,
      field: 'along',
      bands: 1,
      stroke: 'one direction',
      direction: 'level',
      purpose: 'Pull the strips into each other with a soft tip, from the pale end to the deep one.',
    });
  }
  const behind = hidden.filter((edge) => edge.hides).length;
  const notes = [
    ...(bands === 1 ? ['With one pencil there is no passage: the background comes out even.'] : []),
    ...(behind > 0 ? [`${behind} of ${edges.length} blend lines are hidden behind what stands in front.`] : []),
    ...(context.glow ? ['The deep bands keep out of the glow.'] : []),
    ...(accent && !context.glow ? ['It crosses to its accent where both are palest.'] : []),
  ];
  return { layers: fitted(plain, context), notes };
}

/** The band of another hue beyond the palest: it grows out of that, so that two hues meet where both are pale. */
function crossing(accent: string, place: (edge: number) => number): LayerDraft {
  const [a, b] = [place(1 - CROSSED), place(1)];
  return {
    id: 'crossing',
    role: 'accent',
    pencil: accent,
    pressure: 'light',
    passes: 2,
    field: 'along',
    from: Math.min(a, b),
    to: Math.max(a, b),
    fades: CROSSED,
    bands: 1,
    stroke: 'one direction',
    direction: 'level',
    purpose: 'The other hue, from the far end towards the palest band: they meet where both are pale.',
  };
}

/** Moves a blend line behind the widest thing in front that is near enough. */
function hide(edge: number, bands: number, crossings: readonly number[]): { at: number; hides: boolean } {
  const near = crossings.find((crossing) => Math.abs(crossing - edge) <= HIDES_WITHIN / bands);
  return near === undefined ? { at: edge, hides: false } : { at: near, hides: true };
}
