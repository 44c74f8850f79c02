import { expect } from 'chai';
import fc from 'fast-check';
import { FIELDS } from '../light/index.ts';
import {
  compileRecipe,
  coveredMm2,
  coveredShares,
  familyOf,
  layersFor,
  shareOfZone,
  withoutPlaceless,
} from './index.ts';

/** A region whose places all have these tones, everything else in the middle. */
const litBy = (tones: readonly number[], usableWidthMm = 20) => ({
  usableWidthMm,
  areaMm2: 100,
  lit: Uint8Array.from(tones.flatMap((tone) => FIELDS.map((field) => (field === 'tone' ? tone : 128)))),
});
const evenly = Array.from({ length: 128 }, (_, k) => 2 * k);
const blend = (regions: Parameters<typeof withoutPlaceless>[1]) =>
  compileRecipe('blend', 'base-coat-first', familyOf(['dark', 'mid', 'light']), { regions });

describe('the area that a layer takes', () => {
  it('is that of its share of values where nobody knows the light, or where all values are equally common', () => {
    for (const { zone } of blend([{ usableWidthMm: 20, areaMm2: 100 }]).layers) {
      expect(coveredShares(zone, [{}])[0]).to.equal(shareOfZone(zone));
      expect(coveredShares(zone, [litBy(evenly)])[0]).to.be.closeTo(shareOfZone(zone), 0.03);
    }
  });

  it('is none in regions that are too narrow for it, and all of a region that it covers', () => {
    const [base, shadow] = blend([{ usableWidthMm: 20, areaMm2: 100 }]).layers;
    expect(coveredMm2(base, [litBy([10]), litBy([200])])).to.be.closeTo(200, 1e-6);
    expect(coveredMm2({ ...shadow, fromWidthMm: 5 }, [litBy([10], 2)])).to.equal(0);
    expect(coveredMm2(shadow, [litBy([10]), litBy([250])])).to.be.closeTo(100, 1e-6);
  });

  it('decides which layers are laid: none that would cover next to nothing, and one at the least', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 255 }), { minLength: 1, maxLength: 60 }), (tones) => {
        const regions = [litBy(tones)];
        const whole = blend(regions);
        const { layers, notes } = withoutPlaceless(whole, regions);
        expect(layers.length).to.be.at.least(1);
        expect(layersFor(whole, 20)).to.include.members(layers);
        const most = Math.max(...layers.map((layer) => coveredMm2(layer, regions)));
        for (const layer of layers) {
          const covered = coveredMm2(layer, regions);
          if (covered !== most) expect(covered).to.be.at.least(2);
        }
        expect(notes.length > whole.notes.length).to.equal(layers.length < whole.layers.length);
      }),
    );
    const pale = [litBy([250, 252, 254])];
    expect(withoutPlaceless(blend(pale), pale).notes.at(-1)).to.match(/^As the light falls, .* left out: /);
    const unknown = [{ usableWidthMm: 20, areaMm2: 100 }];
    expect(withoutPlaceless(blend(unknown), unknown)).to.deep.equal(blend(unknown));
  });
});
