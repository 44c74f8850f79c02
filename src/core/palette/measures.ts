import { type Distance, offDistance } from './distance.ts';
import { type Option } from './options.ts';
import { type PageThing } from './page.ts';
import { type Problem } from './problem.ts';
import { MISFIT, TERMS, type TermId } from './terms.ts';

/** Neighbours whose bodies differ by this much (CIEDE2000) part clearly. */
export const PARTED = 16;
/** L* by which a figure stands clear of its ground. */
const FIGURE = 15;

/** What each term weighs in the objective. */
export const WEIGHT = Object.fromEntries(TERMS.map(({ id, weight }) => [id, weight])) as Record<TermId, number>;

/** Where each axis of a mood lies in the middle, and how far it reaches to either side: L*, OKLCH chroma, share, L*. */
const MOODS = {
  light: { middle: 58, reach: 20 },
  chroma: { middle: 0.075, reach: 0.055 },
  warm: { middle: 0.5, reach: 0.45 },
  spread: { middle: 15, reach: 9 },
};

/** What each axis of a mood asks of the page: mean L*, mean OKLCH chroma, warm share and spread of L*, all by area. */
export function moodTargets(mood: Problem['mood']) {
  const on = (value: number | null, { middle, reach }: { middle: number; reach: number }) =>
    value === null ? null : middle + reach * value;
  return {
    light: on(mood.light, MOODS.light),
    chroma: on(mood.clear, MOODS.chroma),
    warm: on(mood.warm, MOODS.warm),
    spread: on(mood.contrast, MOODS.spread),
  };
}

/** How far something is from what is wanted, in units of `by`, at most 1.5; 0 where nothing is wanted. */
function shortfall(is: number, want: number | null, by: number): number {
  return want === null ? 0 : Math.min(1.5, Math.abs(is - want) / by);
}

/** A page is off its mood by one unit at so much L*, OKLCH chroma, warm share and spread of L*. */
const MOOD_UNIT = { light: 25, chroma: 0.06, warm: 0.5, spread: 12 };

/** How far a page is off what its mood asks: the sum over its axes, each at most 1.5. */
export function moodLack(is: Readonly<typeof MOOD_UNIT>, wanted: ReturnType<typeof moodTargets>): number {
  return (
    shortfall(is.light, wanted.light, MOOD_UNIT.light) +
    shortfall(is.chroma, wanted.chroma, MOOD_UNIT.chroma) +
    shortfall(is.warm, wanted.warm, MOOD_UNIT.warm) +
    shortfall(is.spread, wanted.spread, MOOD_UNIT.spread)
  );
}

/** How much of the whole three shares put elsewhere than is wanted, 0..1. @param from where they begin among the sums */
export function sharesApart(sums: Float64Array, from: number, wanted: ArrayLike<number>): number {
  let off = 0;
  for (let k = 0; k < wanted.length; k++) off += Math.abs(sums[from + k]! - wanted[k]!);
  return off / 2;
}

/**
 * What accents lack: where there are none; all in one place, or in more places than `most` by `each`; and how that and
 * leaning to one side count. Assumptions.
 */
const ACCENTS_LACK = { none: 0.6, one: 0.6, most: 4, each: 0.15, spread: 0.6, tilt: 0.4 };

/**
 * How badly accents lie on a page, 0..1.
 * @param places thirds of the page across and down in which there are accents
 * @param tilt how far they lie to one side, -1..1
 */
export function accentsLack(places: number, tilt: number): number {
  if (places === 0) return ACCENTS_LACK.none;
  const { most, each, one } = ACCENTS_LACK;
  const spread = places === 1 ? one : Math.min(1, each * Math.max(0, places - most));
  return ACCENTS_LACK.spread * spread + ACCENTS_LACK.tilt * Math.abs(tilt);
}

/** OKLCH chroma of things by their share of the area, below which each begins: the larger, the quieter. */
const CHROMA_PLAN: readonly { below: number; chroma: number }[] = [
  { below: 0.01, chroma: 0.11 },
  { below: 0.05, chroma: 0.085 },
  { below: 0.15, chroma: 0.07 },
  { below: Infinity, chroma: 0.055 },
];
const FOCUS_CHROMA = 0.14;
/** A colour is as clear as planned within so much, and as far off as counts beyond so much more. */
const CLEAR_ENOUGH = { within: 0.02, beyond: 0.06 };

/**
 * How clear a thing is meant to be, OKLCH chroma.
 * @param clearness of the whole page, 1 as usual
 */
export function plannedChroma({ focus }: { focus: boolean }, share: number, clearness: number): number {
  return clearness * (focus ? FOCUS_CHROMA : CHROMA_PLAN.find(({ below }) => share < below)!.chroma);
}

/** How far a chroma is off the plan, 0..1.5. A focus and an accent are never too clear. */
function offPlan(chroma: number, planned: number): number {
  const off = Math.abs(chroma - planned) - CLEAR_ENOUGH.within;
  return Math.min(1.5, Math.max(0, off) / CLEAR_ENOUGH.beyond);
}

/** A natural colour counts as if its thing had at least this share of the page. */
const LEAST_PART = 0.02;

/** Terms that a thing has by itself. */
export function localTerms(
  { share, things, clearness, distance }: Problem,
  i: number,
  option: Option,
): [TermId, number][] {
  const part = 0.5 * share[i]! + 0.5 / things.length;
  return [
    ['scheme', part * option.off],
    ['fit', part * Math.min(1.5, option.miss / MISFIT)],
    ['blends', part * Math.min(1.5, option.rough / 20)],
    ['natural', Math.max(part, LEAST_PART) * Math.min(2, option.natural / MISFIT)],
    ['distance', distanceOff(things[i]!, option, distance) * part],
    ['chroma', part * offPlan(option.chroma, plannedChroma(things[i]!, share[i]!, clearness))],
  ];
}

/** What is focus, kept or of no scene has no distance. */
function distanceOff({ far, focus, natural }: PageThing, option: Option, distance: Distance): number {
  return distance === 'none' || far === null || far === undefined || focus || natural
    ? 0
    : offDistance(option, far, distance);
}

/** The weighted sum of some terms. */
export function weighed(terms: readonly [TermId, number][]): number {
  return terms.reduce((sum, [id, value]) => sum + WEIGHT[id] * value, 0);
}

/** How much more a near merge counts than its share says. An assumption. */
const MERGED_BEND = 0.6;

/** How far two neighbours run into each other, 0..1. */
export function mergedAt(away: number): number {
  const merged = Math.max(0, 1 - away / PARTED);
  return merged * (1 - MERGED_BEND + MERGED_BEND * merged);
}

/** How much of sinking is the ground being clearer, and by how much OKLCH chroma that is whole. Assumptions. */
const GROUND = { byChroma: 0.3, louder: 0.08 };

/** How far a thing sinks into what lies behind it, 0..1: by value, and by what lies behind being clearer. */
export function lossInGround(front: Look, behind: Look): number {
  const flat = Math.max(0, 1 - Math.abs(front.body[0] - behind.body[0]) / FIGURE);
  const louder = Math.min(1, Math.max(0, behind.chroma - front.chroma) / GROUND.louder);
  return (1 - GROUND.byChroma) * flat + GROUND.byChroma * louder;
}

type Look = Pick<Option, 'body' | 'chroma'>;

/** What a border costs between any two colours, the front one's row times `colours` plus the one behind. */
export function pairCosts({ options }: Problem, apart: Float32Array, colours: number): Float32Array {
  const looks = new Array<Look | undefined>(colours);
  for (const own of options) for (const option of own) looks[option.colour] = option;
  const cost = new Float32Array(colours * colours);
  for (let p = 0; p < colours; p++) {
    for (let q = 0; q < colours; q++) {
      const at = p * colours + q;
      const [front, behind] = [looks[p], looks[q]];
      // A colour that no way takes any more costs nothing.
      if (front && behind)
        cost[at] = WEIGHT.parting * mergedAt(apart[at]!) + WEIGHT.ground * lossInGround(front, behind);
    }
  }
  return cost;
}
