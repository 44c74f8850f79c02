import { deltaE2000 } from '../colour/index.ts';
import { type Ground, type PencilOptics } from '../laydown/index.ts';
import { type SampledPlace } from './checks/check.ts';
import { samplePlaces } from './checks/sample-places.ts';
import { type RegionContext, effectById } from './effects/index.ts';
import { paperLeft } from './paper-left.ts';
import { type Recipe } from './recipe.ts';
import type { Layer } from './schemas.ts';
import { type FieldValues, fieldsOf, shareInZone } from './zone.ts';

/** Over a twentieth of the way the value of a soft passage changes by less than this, L*. */
const MOST_STEP = 8;
/** What is mended is brought a little below that. */
const AIM = 7.5;
/** Colours nearer than this are one, whatever they share. */
const SAME = 1;
/** A hard edge lies between two places where the share of its layer changes by so much, and a fade where it does by less. */
const PART_OF_LAYER = { hard: 0.1, fading: 0.02 };
/** Edges up to this, mm, are meant to be hard. */
const HARD_MM = 0.15;
/** Places along the way. */
const STEPS = 21;
/** A fade takes half of its field at most: see {@link shareInZone}. */
const WIDEST_FADE = 0.5;
/** A fade grows by so much at once, and is changed so often at most. */
const WIDER = 1.5;
const MOST_CHANGES = 20;
/** So far an edge is moved away from others that end where it does, as a share of the field. */
const MOVED = 0.06;
/** The second go of a layer begins so much of its way further in, and is told by this at the end of its id. */
const FURTHER = 0.35;
const SECOND = '-again';
/** So much more of what is covered may be left open by wider fades. */
const OPENED = 0.02;

/** The largest step in value, L*, between places a twentieth of the way apart where no edge is meant to be hard. */
export function largestSoftStep(recipe: Recipe, optics: ReadonlyMap<string, PencilOptics>, ground: Ground): number {
  return Math.max(0, ...stepsOf(recipe, optics, ground).map(({ step }) => step));
}

/**
 * A recipe whose soft passages do not jump: where the value changes faster than an eye follows, the layers that end there
 * fade over more of the way, end apart from each other, or are gone over less often; where nothing of that helps, what is gone
 * over several times begins further in the later times. Edges that are meant to be hard stay.
 * @param optics of the recipe's pencils, by id
 * @param ground what it is laid on
 * @param isSound whether a change is right by everything else; default every one is
 */
export function softenSteps(
  recipe: Recipe,
  context: Pick<RegionContext, 'regions'>,
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
  isSound: (softer: Recipe) => boolean = () => true,
): Recipe {
  const { jumps = false, leavesBare } = effectById(recipe.effect);
  if (jumps || recipe.layers.length === 0) return recipe;
  const openOf = (of: Recipe) => paperLeft(of, context, (pencil) => optics.get(pencil), ground, leavesBare).open;
  let now = recipe;
  let steps = stepsOf(now, optics, ground);
  if (excess(steps, MOST_STEP) === 0) return recipe;
  const open = openOf(recipe) + OPENED;
  for (let changes = 0; changes < MOST_CHANGES && excess(steps, AIM) > 0; changes++) {
    const worst = steps.reduce((a, b) => (b.step > a.step ? b : a));
    const bestOf = (ways: readonly Layer[][]) =>
      ways
        .map((layers) => {
          const softer = { ...now, layers };
          const after = stepsOf(softer, optics, ground);
          return { softer, after, left: excess(after, AIM) };
        })
        .filter(({ left }) => left < excess(steps, AIM) - 1e-6)
        .sort((p, q) => p.left - q.left)
        .find(({ softer }) => openOf(softer) <= open && isSound(softer));
    const between = [worst.from.place, worst.to.place] as const;
    const best = bestOf(waysToSoften(now, ...between)) ?? bestOf(inTwoGoes(now, ...between));
    if (!best) break;
    [now, steps] = [best.softer, best.after];
  }
  return now;
}

interface ValueStep {
  from: SampledPlace;
  to: SampledPlace;
  step: number;
}

function stepsOf(recipe: Recipe, optics: ReadonlyMap<string, PencilOptics>, ground: Ground): ValueStep[] {
  const { layers } = recipe;
  const [field] = fieldsOf(layers);
  const places = Array.from({ length: STEPS }, (_, k) => ({ [field!]: { value: k / (STEPS - 1), source: 0 } }));
  const sampled = samplePlaces(recipe, optics, ground, { places });
  return sampled.slice(1).flatMap((to, k) => {
    const from = sampled[k]!;
    const meant = layers.some(
      ({ zone }) =>
        (zone.softnessMm <= HARD_MM || zone.hardTo || zone.and?.hardTo) &&
        changes(zone, from.place, to.place) > PART_OF_LAYER.hard,
    );
    if (meant || deltaE2000(from.lab, to.lab) < SAME) return [];
    return [{ from, to, step: Math.abs(to.lab[0] - from.lab[0]) }];
  });
}

function changes(zone: Layer['zone'], a: FieldValues, b: FieldValues): number {
  return Math.abs(shareInZone(zone, a) - shareInZone(zone, b));
}

function excess(steps: readonly ValueStep[], most: number): number {
  return steps.reduce((sum, { step }) => sum + Math.max(0, step - most) ** 2, 0);
}

/** The layers with one of those changed that end or begin between two places. */
function waysToSoften({ layers }: Recipe, a: FieldValues, b: FieldValues): Layer[][] {
  return layers.flatMap((layer, i) => {
    const { zone, passes, tool } = layer;
    if (tool || zone.softnessMm <= HARD_MM || changes(zone, a, b) < PART_OF_LAYER.fading) return [];
    const softnessMm = Math.round(10 * Math.min(WIDEST_FADE * zone.overMm, WIDER * zone.softnessMm)) / 10;
    const ways: Partial<Layer>[] = [];
    if (softnessMm > zone.softnessMm) ways.push({ zone: { ...zone, softnessMm } });
    if (passes > 1) ways.push({ passes: passes - 1 });
    for (const by of [MOVED, -MOVED]) {
      const to = hundredths(zone.to + by);
      const from = hundredths(zone.from + by);
      if (zone.to < 1 && to < 1 && to > zone.from + MOVED) ways.push({ zone: { ...zone, to } });
      if (zone.from > 0 && from > 0 && from < zone.to - MOVED) ways.push({ zone: { ...zone, from } });
    }
    return ways.map((way) => layers.map((each, k) => (k === i ? { ...layer, ...way } : each)));
  });
}

/** The layers with one that ends or begins between two places laid in two goes, the second further in. */
function inTwoGoes({ layers }: Recipe, a: FieldValues, b: FieldValues): Layer[][] {
  return layers.flatMap((layer, i) => {
    const { id, zone, passes, tool } = layer;
    if (tool || passes < 2 || zone.softnessMm <= HARD_MM) return [];
    if (id.endsWith(SECOND) || layers.some((each) => each.id === id + SECOND)) return [];
    if (changes(zone, a, b) < PART_OF_LAYER.fading) return [];
    const further = {
      ...zone,
      from: zone.from > 0 ? Math.min(zone.to, zone.from + FURTHER * (zone.to - zone.from)) : 0,
      to: zone.to < 1 ? Math.max(zone.from, zone.to - FURTHER * (zone.to - zone.from)) : 1,
    };
    const times = Math.floor(passes / 2);
    const second: Layer = {
      ...layer,
      id: id + SECOND,
      passes: times,
      zone: { ...further, from: hundredths(further.from), to: hundredths(further.to) },
      purpose: `${layer.purpose.replace(/\.$/, '')}; again, from further in, so that no edge shows.`,
    };
    return [[...layers.slice(0, i), { ...layer, passes: passes - times }, second, ...layers.slice(i + 1)]];
  });
}

function hundredths(value: number): number {
  return Math.round(100 * value) / 100;
}
