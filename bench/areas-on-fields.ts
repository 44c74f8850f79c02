import {
  type Field,
  type FieldValue,
  type PageFields,
  type PageGeometry,
  valueAtStep,
} from '../src/core/light/index.ts';

/** A kind of place, by the values of one field or two, with how much of a region is of that kind. */
export interface PlaceArea {
  place: Partial<Record<Field, FieldValue>>;
  areaMm2: number;
}

/** Values of a field that are told apart. */
const STEPS = 32;
const BYTES_A_STEP = 256 / STEPS;

/**
 * How the area of each region is spread over the values of one field or two.
 * @param page its fields have a byte for each of its pixels
 * @param fieldsOf which fields are asked of a region, by its id: one or two of them; null for a region that is not asked about
 * @returns by region id, kinds of place in no order; the areas of a region add up to what its pixels cover
 */
export function areasOnFields(
  page: PageGeometry & { fields: PageFields },
  fieldsOf: (regionId: number) => readonly Field[] | null,
): Map<number, PlaceArea[]> {
  const asked = page.regions.flatMap(({ id }) => {
    const fields = fieldsOf(id);
    return fields ? [[id, { fields, pixels: new Uint32Array(STEPS ** fields.length) }] as const] : [];
  });
  const byId = new Map(asked);
  let [last, own] = [0, byId.get(0)];
  for (let i = 0; i < page.grown.length; i++) {
    const id = page.grown[i];
    // Neighbouring pixels mostly belong to one region.
    if (id !== last) [last, own] = [id, byId.get(id)];
    if (!own || page.distance[i] === 0) continue;
    let cell = 0;
    for (const field of own.fields) cell = cell * STEPS + Math.floor(page.fields[field][i] / BYTES_A_STEP);
    own.pixels[cell]++;
  }
  const mm2 = 1 / page.pixelsPerMm ** 2;
  return new Map(
    asked.map(([id, { fields, pixels }]) => {
      const places: PlaceArea[] = [];
      pixels.forEach((count, cell) => {
        if (count > 0) places.push({ place: placeOf(fields, cell), areaMm2: count * mm2 });
      });
      return [id, places];
    }),
  );
}

function placeOf(fields: readonly Field[], cell: number): PlaceArea['place'] {
  const steps = fields.length === 2 ? [Math.floor(cell / STEPS), cell % STEPS] : [cell];
  return Object.fromEntries(fields.map((field, k) => [field, valueAtStep(field, steps[k], STEPS)]));
}
