import { type Ground, type Laid, type PencilOptics, layPasses } from '../../laydown/index.ts';
import { layAtPlaces } from '../lay-at-places.ts';
import { type Recipe } from '../recipe.ts';
import { placesOf } from '../places.ts';
import { type FieldValues, fieldsOf, shareInZone } from '../zone.ts';
import { type SampledPlace } from './check.ts';

/** Shares of pressure are told apart by so much of the whole. */
const SHARES = 64;

/**
 * Lays a recipe at every kind of place that it can meet, or at those given.
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
  const shares = layers.map(({ zone, fromWidthMm }) =>
    Uint16Array.from(places, (place) => (fromWidthMm > widthMm ? 0 : Math.round(SHARES * shareInZone(zone, place)))),
  );
  const { grounds, states } = layAtPlaces(layers, places.length, shares, SHARES, optics, ground);
  const looks: Laid[] = [];
  const lookAt = (k: number) => (looks[k] ??= layPasses(grounds[k]!, []));
  return places.map((place, at) => {
    const there = [...layers.keys()].filter((i) => shares[i]![at]! > SHARES / 2);
    const before = there.map((i) => lookAt(states[i]![at]!));
    const { lab, specks } = lookAt(states[layers.length]![at]!);
    return {
      place,
      layers: there,
      toothBefore: before.map(({ toothLeft }) => toothLeft),
      labBefore: before.map((look) => look.lab),
      lab,
      specks,
    };
  });
}
