import { type FieldSamples, sampledByte, sampledPlaces } from '../light/index.ts';
import type { Layer, Zone } from './schemas.ts';
import { type Recipe } from './recipe.ts';
import { shareOfZone, sharesOfValues } from './zone.ts';

/** A region as layers are laid on it. */
export interface LitRegion {
  usableWidthMm: number;
  areaMm2: number;
  /** What light does on it; where that is not known, every value of a field is taken to be equally common. */
  lit?: FieldSamples;
}

/** A layer that covers less of its thing than this has no place on it. */
const LEAST_PLACE = 0.02;
/** ... but for the white of a highlight, which is small. */
const LEAST_HIGHLIGHT = 0.002;

/** Share of each region's area that a zone takes, 0..1. */
export function coveredShares(zone: Zone, regions: readonly Pick<LitRegion, 'lit'>[]): number[] {
  const spans = (zone.and ? [zone, zone.and] : [zone]).map((span) => ({
    field: span.field,
    shares: sharesOfValues(span),
  }));
  return regions.map(({ lit }) => {
    if (!lit) return shareOfZone(zone);
    const places = sampledPlaces(lit);
    let sum = 0;
    for (let place = 0; place < places; place++) {
      let share = 1;
      for (const { field, shares } of spans) share *= shares[sampledByte(lit, place, field)]!;
      sum += share;
    }
    return sum / places;
  });
}

/** Area that a layer takes of the regions that are wide enough for it, mm2. */
export function coveredMm2(
  { zone, fromWidthMm }: Pick<Layer, 'zone' | 'fromWidthMm'>,
  regions: readonly LitRegion[],
): number {
  const wide = regions.filter(({ usableWidthMm }) => usableWidthMm >= fromWidthMm);
  return coveredShares(zone, wide).reduce((sum, share, i) => sum + share * wide[i]!.areaMm2, 0);
}

/**
 * A recipe without the layers that would cover next to nothing of its thing as the light falls on it, saying which those
 * are. The white of a highlight stays though it is small, and so does every layer where the light is not known.
 */
export function withoutPlaceless(recipe: Recipe, regions: readonly LitRegion[]): Recipe {
  if (regions.some(({ lit }) => !lit)) return recipe;
  const area = regions.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  const covered = recipe.layers.map((layer) => coveredMm2(layer, regions) / area);
  const most = covered.indexOf(Math.max(...covered));
  const placed = recipe.layers.filter(
    ({ role }, i) => i === most || covered[i]! >= (role === 'white' ? LEAST_HIGHLIGHT : LEAST_PLACE),
  );
  const left = recipe.layers.filter((layer) => !placed.includes(layer));
  if (left.length === 0) return recipe;
  const which = left.map(({ purpose }) => purpose.replace(/[.;].*$/s, '').toLowerCase()).join('; ');
  const says = `As the light falls, ${left.length === 1 ? 'one layer' : `${left.length} layers`} would cover next to nothing of it and ${left.length === 1 ? 'is' : 'are'} left out: ${which}.`;
  return { ...recipe, layers: placed, notes: [...recipe.notes, says] };
}
