import { type Lab } from '../../colour/index.ts';
import { type Ground, type PencilOptics, layPasses } from '../../laydown/index.ts';
import { type Recipe } from '../layer.ts';
import { passesOf } from '../passes.ts';
import { placesOf } from '../places.ts';
import { type FieldValues, fieldsOf, shareInZone } from '../zone.ts';
import { type SampledPlace } from './check.ts';

/** Shares of pressure are told apart by so much of the whole. */
const SHARES = 64;
const LEAST_SHARE = 1 / SHARES;

/**
 * Lays a recipe at every kind of place that it can meet, or at those given; places where the same is laid are worked out
 * once.
 * @param widthMm of the regions: layers that have no room there are left out; default all are laid
 */
export function samplePlaces(
  { layers }: Recipe,
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
  {
    places = placesOf(fieldsOf(layers)),
    widthMm = Infinity,
  }: { places?: readonly FieldValues[]; widthMm?: number } = {},
): SampledPlace[] {
  const known = new Map<string, Omit<SampledPlace, 'place'>>();
  return places.map((place) => {
    const shares = layers.map(({ zone, fromWidthMm }) =>
      fromWidthMm > widthMm ? 0 : Math.round(SHARES * shareInZone(zone, place)) / SHARES,
    );
    const key = shares.join();
    const laid = known.get(key) ?? laidWith(shares);
    known.set(key, laid);
    return { place, ...laid };
  });

  function laidWith(shares: readonly number[]): Omit<SampledPlace, 'place'> {
    const there: number[] = [];
    const toothBefore: number[] = [];
    const labBefore: Lab[] = [];
    let now = layPasses(ground, []);
    layers.forEach((layer, i) => {
      if (shares[i] < LEAST_SHARE) return;
      if (shares[i] > 0.5) {
        there.push(i);
        toothBefore.push(now.toothLeft);
        labBefore.push(now.lab);
      }
      now = layPasses(now.ground, passesOf(layer, optics, shares[i]));
    });
    return { layers: there, toothBefore, labBefore, lab: now.lab, specks: now.specks };
  }
}
