import { type Field, FIELDS } from './fields.ts';
import { type PageFields } from './page-fields.ts';
import { type PageGeometry } from './page.ts';

/**
 * What light does at places spread evenly over a region: a byte for each of {@link FIELDS}, place after place. Each place
 * stands for as much of its area as every other.
 */
export type FieldSamples = Uint8Array;

/** One place is looked at for so many mm2, and about so many of a region at the least and at the most. */
const MM2_A_PLACE = 1.5;
const PLACES = { least: 16, most: 200 };

/**
 * Places whose number in this lattice is small are looked at: they lie evenly, in no rows. Source: M. Roberts, The
 * unreasonable effectiveness of quasirandom sequences (2018), R2.
 */
const LATTICE = { x: 0.7548776662466927, y: 0.5698402909980532 };

/** Samples of every region of a page that has a pixel, by region id. */
export function sampleFields(page: PageGeometry & { fields: PageFields }): Map<number, FieldSamples> {
  const { grown, distance, width, height, fields, regions } = page;
  const most = Math.max(0, ...regions.map(({ id }) => id));
  // A region too small for a pixel beside the lines is looked at where it has grown into them.
  const [inside, grownTo] = [new Uint32Array(most + 1), new Uint32Array(most + 1)];
  for (let i = 0; i < grown.length; i++) {
    if (grown[i]! > most) continue;
    grownTo[grown[i]!]!++;
    if (distance[i]! > 0) inside[grown[i]!]!++;
  }
  const share = new Float64Array(most + 1);
  for (const { id, areaMm2 } of regions) {
    const pixels = inside[id]! || grownTo[id]!;
    const wanted = Math.min(PLACES.most, Math.max(PLACES.least, areaMm2 / MM2_A_PLACE));
    // All of a small one: of few pixels the lattice may meet none.
    share[id] = pixels <= 2 * wanted ? 1 : wanted / pixels;
  }
  const places = new Uint32Array(most + 1);
  eachPlace((id) => places[id]!++);
  const samples = new Map<number, FieldSamples>();
  for (const { id } of regions) if (places[id]! > 0) samples.set(id, new Uint8Array(places[id]! * FIELDS.length));
  const written = new Uint32Array(most + 1);
  eachPlace((id, i) => {
    const own = samples.get(id)!;
    for (const field of FIELDS) own[written[id]!++] = fields[field][i]!;
  });
  return samples;

  function eachPlace(look: (id: number, i: number) => void): void {
    for (let y = 0, i = 0; y < height; y++) {
      for (let x = 0; x < width; x++, i++) {
        const id = grown[i]!;
        if (id > most || (distance[i] === 0 && inside[id]! > 0)) continue;
        if ((LATTICE.x * x + LATTICE.y * y) % 1 < share[id]!) look(id, i);
      }
    }
  }
}

/** How many places a region was looked at. */
export function sampledPlaces(samples: FieldSamples): number {
  return samples.length / FIELDS.length;
}

/** The byte of a field at one of the places. */
export function sampledByte(samples: FieldSamples, place: number, field: Field): number {
  return samples[place * FIELDS.length + FIELDS.indexOf(field)]!;
}
