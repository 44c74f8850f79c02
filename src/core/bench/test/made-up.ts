import fc from 'fast-check';
import { type Region } from '../../lineart/index.ts';
import { type Step } from '../index.ts';

/** A step of a thing with what matters here, everything else middling. */
export function step(
  thingId: string,
  layerId: string,
  pencil: string,
  after: string[] = [],
  facts: Partial<Step> = {},
): Step {
  return {
    id: `${thingId}/${layerId}`,
    thingId,
    layerId,
    pencil,
    after,
    minutes: 2,
    regionIds: [1],
    pressure: 'light',
    passes: 1,
    stroke: 'small circles',
    point: 'normal',
    purpose: 'Test.',
    value: 50,
    zone: { field: 'tone', from: 0, to: 1, softnessMm: 0, overMm: 2 },
    ...facts,
  };
}

/** Things that are chains of layers with pencils from a small set, laid somewhere on a page. */
export const placedPage: fc.Arbitrary<Step[]> = fc
  .array(
    fc.record({
      pencils: fc.array(fc.integer({ min: 0, max: 4 }), { minLength: 1, maxLength: 4 }),
      at: fc.record({ x: fc.integer({ min: 0, max: 180 }), y: fc.integer({ min: 0, max: 180 }) }),
      facts: fc.record({
        point: fc.constantFrom('sharp' as const, 'normal' as const, 'side of the lead' as const),
        wear: fc.double({ min: 0, max: 2, noNaN: true }),
        soft: fc.boolean(),
        value: fc.integer({ min: 15, max: 95 }),
      }),
    }),
    { minLength: 1, maxLength: 7 },
  )
  .map((things) =>
    things.flatMap(({ pencils, at, facts }, t) =>
      pencils.map((pencil, l) =>
        step(`thing${t}`, `layer${l}`, `p${pencil}`, l > 0 ? [`thing${t}/layer${l - 1}`] : [], {
          ...facts,
          regionIds: [t + 1],
          value: l % 2 ? 110 - facts.value : facts.value,
          coveredMm2: 60,
          box: { left: at.x, top: at.y, right: at.x + 12, bottom: at.y + 8 },
        }),
      ),
    ),
  );

export function region(id: number, usableWidthMm: number, areaMm2: number, at = { x: 0, y: 0 }): Region {
  return {
    id,
    usableWidthMm,
    areaMm2,
    pole: at,
    centroid: at,
    axisDegrees: 0,
    lengthMm: 1,
    breadthMm: 2,
    holes: 0,
    shape: 'irregular',
    box: { left: at.x, top: at.y, right: at.x + 1, bottom: at.y + 1 },
  };
}
