import { type Field, MOST_SOURCES } from '../light/index.ts';
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
