import { type Field, MOST_SOURCES, sampledByte, sampledPlaces, valueAtStep } from '../light/index.ts';
import { type LitRegion } from './covered.ts';
import { usualWidth } from './effects/index.ts';
import { type FieldValues } from './zone.ts';

/** Values of each field at which a recipe is looked at. */
const STEPS = 21;

/** Places of every kind that layers looking at these fields can meet: at so many values of one, or of two. */
export function placesOf([first, second]: readonly Field[]): FieldValues[] {
  if (first === undefined) return [{}];
  const row = valuesOf(first).map((value) => ({ [first]: value }));
  return second ? valuesOf(second).flatMap((value) => row.map((place) => ({ ...place, [second]: value }))) : row;
}

/** How many places follow each other in the order of the first field. */
export function rowOf([first]: readonly Field[]): number {
  return first === undefined ? 1 : valuesOf(first).length;
}

function valuesOf(field: Field) {
  const sources = field === 'reflect' ? MOST_SOURCES : 1;
  return Array.from({ length: sources * STEPS }, (_, k) => ({
    value: (k % STEPS) / (STEPS - 1),
    source: Math.floor(k / STEPS),
  }));
}

/** A kind of place of a thing, with how much of its area is of that kind, and how wide the regions are that it lies in. */
export interface PlaceOn {
  place: FieldValues;
  widthMm: number;
  areaMm2: number;
}

/** Bytes of a field that are not told apart. */
const ALIKE = 8;

/**
 * The places of a thing on the fields that its layers look at: as light falls on its regions where that is known of all
 * of them, else every kind of place in a region of the usual width, all equally common.
 */
export function placesOn(fields: readonly Field[], regions: readonly LitRegion[]): PlaceOn[] {
  if (regions.some(({ lit }) => !lit)) {
    const widthMm = usualWidth({ regions });
    return placesOf(fields).map((place) => ({ place, widthMm, areaMm2: 1 }));
  }
  const kinds = new Map<string, PlaceOn>();
  for (const { lit, usableWidthMm, areaMm2 } of regions) {
    const places = sampledPlaces(lit!);
    for (let i = 0; i < places; i++) {
      const bytes = fields.map((field) => {
        const byte = sampledByte(lit!, i, field);
        return byte - (byte % ALIKE) + ALIKE / 2;
      });
      const key = `${bytes.join()} ${usableWidthMm}`;
      const kind = kinds.get(key);
      if (kind) kind.areaMm2 += areaMm2 / places;
      else {
        const place = Object.fromEntries(fields.map((field, k) => [field, valueAtStep(field, bytes[k]!, 256)]));
        kinds.set(key, { place, widthMm: usableWidthMm, areaMm2: areaMm2 / places });
      }
    }
  }
  return [...kinds.values()];
}
