import { expect } from 'chai';
import { type Zone, coveredShares, shareInZone } from '../recipe/index.ts';
import { type Drawn, disc, from, labelAt, lantern, thing } from './test/drawn-page.ts';
import { type PageFields, FIELDS, pageFields, sampleFields, sampledByte, sampledPlaces, valueAtStep } from './index.ts';

const withFields = ({ width, height, pixelsPerMm, grown, distance, regions }: Drawn, fields: PageFields) => ({
  width,
  height,
  pixelsPerMm,
  grown,
  distance,
  regions,
  fields,
});

describe('what light does on a region, looked at here and there', () => {
  const zone = (more: Partial<Zone>): Zone => ({ field: 'tone', from: 0, to: 0.4, softnessMm: 1, overMm: 8, ...more });

  it('tells how much of it a zone takes, to within a twentieth of what its pixels say', async () => {
    for (const page of [await disc(), await lantern()]) {
      const things = page.regions.map(({ id }) => thing(`thing ${id}`, [id], id % 2 ? 'ball' : 'plane'));
      const fields = pageFields(page, things, { main: from(200, 40), glows: [] });
      const samples = sampleFields(withFields(page, fields));
      for (const own of [
        zone({}),
        zone({ from: 0.3, to: 0.8 }),
        zone({ field: 'turn', from: 0.5, to: 1 }),
        zone({ and: zone({ field: 'along', to: 0.5 }) }),
      ]) {
        for (const { id } of page.regions) {
          const [told] = coveredShares(own, [{ lit: samples.get(id) }]);
          let [sum, count] = [0, 0];
          for (let i = 0; i < page.grown.length; i++) {
            if (page.grown[i] !== id || page.distance[i] === 0) continue;
            count++;
            const place = Object.fromEntries(FIELDS.map((field) => [field, valueAtStep(field, fields[field][i], 256)]));
            sum += shareInZone(own, place);
          }
          expect(told, `${id} ${own.field}`).to.be.closeTo(sum / count, 0.05);
        }
      }
    }
  });

  it('has a few places of every region, however small, and of a large one no more than some hundreds', async () => {
    const page = await lantern();
    const fields = pageFields(page, [], { main: { kind: 'ambient' }, glows: [] });
    const samples = sampleFields(withFields(page, fields));
    for (const { id } of page.regions) expect(sampledPlaces(samples.get(id)!)).to.be.within(1, 500);
    const lamp = samples.get(labelAt(page, 200, 200))!;
    const tones = Array.from({ length: sampledPlaces(lamp) }, (_, k) => sampledByte(lamp, k, 'tone'));
    expect(Math.max(...tones) - Math.min(...tones)).to.be.above(100);
  });
});
