import { type Ground, type PencilOptics, type Pressure, PRESS, PRESSURES } from '../laydown/index.ts';
import { samplePlaces } from './checks/sample-places.ts';
import { type RegionContext, effectById, usualWidth } from './effects/index.ts';
import { placesOn } from './places.ts';
import { type Recipe } from './recipe.ts';
import type { Role } from './roles.ts';
import type { Layer } from './schemas.ts';
import { drawsLines } from './strokes.ts';
import { fieldsOf } from './zone.ts';

/** A thing at least this wide, mm, reaches from its dark to its light by so much, L*, unless it is told flat. */
export const REACHED = { fromMm: 15, range: 12 };
/** The extremest places do not count: so much of the area on either side. */
const EXTREMES = 0.05;
/** Whose layers darken a form. */
const DARKENS = new Set<Role>(['dark', 'depth', 'mid']);
/** A dark ends at least and at most so far into the form; it is led on, or held back, by so much of the field at once. */
const DARK_ENDS = { least: 0.06, most: 0.6, by: [0.08, 0.16, 0.3, 0.46, -0.08, -0.16, -0.3] };
const MOST_PASSES = 6;
const MOST_CHANGES = 8;
/** Changes that reach furthest before the paper is closed are looked at closed: so many of them. */
const LOOKED_AT = 5;
/** A change that brings less than this, L*, is not worth its time. */
const LEAST_GAIN = 0.3;

/** How far values reach over a thing as light falls on it, but for its extremest places, L*. */
export function rangeOnThing(
  recipe: Recipe,
  { regions }: Pick<RegionContext, 'regions'>,
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
): number {
  const on = placesOn(fieldsOf(recipe.layers), regions);
  const sampled = samplePlaces(recipe, optics, ground, { places: on.map(({ place }) => place) });
  const values = on.map(({ areaMm2 }, k) => ({ areaMm2, value: sampled[k]!.lab[0] })).sort((p, q) => p.value - q.value);
  const area = values.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  const quantile = (share: number) => {
    let sum = 0;
    return values.find(({ areaMm2 }) => (sum += areaMm2) >= share * area)?.value ?? NaN;
  };
  return quantile(1 - EXTREMES) - quantile(EXTREMES);
}

/** Whether a thing is wide enough to show values, and nobody said that it is flat. */
export function isToReach({ regions, form }: Pick<RegionContext, 'regions' | 'form'>): boolean {
  return form !== 'flat' && regions.length > 0 && usualWidth({ regions }) >= REACHED.fromMm;
}

/** How a recipe is closed on its paper, whether one is right by everything else, and the hardest that may be pressed. */
interface Closing {
  close(recipe: Recipe): Recipe;
  isSound(recipe: Recipe): boolean;
  hardest?: Pressure;
}

/**
 * A recipe, closed on its paper, whose darks are gone over again, pressed harder, led further into the form or held back
 * from it until a wide thing reaches from its dark to its light as light falls on it, or nothing brings it further. Closing
 * the paper takes from what is reached, so each change is looked at when the paper is closed.
 * @param before the recipe as it is compiled and as it is closed
 */
export function reachValues(
  before: { recipe: Recipe; closed: Recipe },
  context: RegionContext,
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
  { close, isSound, hardest = 'firm' }: Closing,
): Recipe {
  let { recipe, closed } = before;
  if (!isToReach(context)) return closed;
  const rangeOf = (of: Recipe) => rangeOnThing(of, context, optics, ground);
  let reached = rangeOf(closed);
  for (let changes = 0; changes < MOST_CHANGES && reached < REACHED.range; changes++) {
    const ways = waysToDeepen(recipe, hardest)
      .map((way) => ({ way, range: rangeOf(way) }))
      .sort((p, q) => q.range - p.range)
      .slice(0, LOOKED_AT)
      .map(({ way }) => {
        const deeper = close(way);
        return { way, deeper, range: rangeOf(deeper) };
      })
      .sort((p, q) => q.range - p.range);
    const best = ways.find(({ range, deeper }) => range >= reached + LEAST_GAIN && isSound(deeper));
    if (!best) break;
    [recipe, closed, reached] = [best.way, best.deeper, best.range];
  }
  return closed;
}

function waysToDeepen(recipe: Recipe, hardest: Pressure): Recipe[] {
  const { layers, effect } = recipe;
  const { pale = false } = effectById(effect);
  return layers.flatMap((layer, i) => {
    const { role, tool, zone, passes, pressure, stroke } = layer;
    if (tool || drawsLines(stroke) || !DARKENS.has(role)) return [];
    const ways: Partial<Layer>[] = [];
    if (passes < MOST_PASSES) ways.push({ passes: passes + 1 });
    const harder = PRESSURES[PRESSURES.indexOf(pressure) + 1];
    const most = pale || i < layers.length - 1 ? 'medium' : 'firm';
    if (harder && PRESS[harder] <= Math.min(PRESS[hardest], PRESS[most])) ways.push({ pressure: harder });
    if (zone.from === 0 && zone.to < 1)
      for (const by of DARK_ENDS.by) {
        const to = Math.round(100 * (zone.to + by)) / 100;
        if (to >= DARK_ENDS.least && (to <= DARK_ENDS.most || by < 0)) ways.push({ zone: { ...zone, to } });
      }
    return ways.map((way) => ({ ...recipe, layers: layers.map((each, k) => (k === i ? { ...each, ...way } : each)) }));
  });
}
