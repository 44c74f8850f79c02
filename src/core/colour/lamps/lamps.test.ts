import { expect } from 'chai';
import fc from 'fast-check';
import { deltaE2000 } from '../difference.ts';
import { labOfSpectrum } from '../lab.ts';
import { MATCHING } from '../observer.ts';
import { spectrumOfLab } from '../spectrum.ts';
import { LAMPS, labUnder, lampById } from './index.ts';

const grey = (reflects: number) => new Float64Array(36).fill(reflects);
const chromaticity = (power: Float64Array) => {
  const [x, y, z] = [0, 1, 2].map((c) => power.reduce((sum, value, i) => sum + value * MATCHING[3 * i + c], 0));
  return [x / (x + y + z), y / (x + y + z)];
};

describe('lamps', () => {
  it('have the chromaticities of the lights that they stand for', () => {
    const published: Record<string, [number, number]> = {
      incandescent: [0.4476, 0.4074],
      'warm-led': [0.456, 0.4078],
      'neutral-led': [0.3756, 0.3723],
    };
    for (const { id, power } of LAMPS) {
      const [x, y] = chromaticity(power);
      expect(x, id).to.be.closeTo(published[id][0], 0.001);
      expect(y, id).to.be.closeTo(published[id][1], 0.001);
    }
  });

  it('leave every grey a grey of the same value, since eyes adapt', () => {
    fc.assert(
      fc.property(fc.constantFrom(...LAMPS), fc.double({ min: 0.01, max: 1, noNaN: true }), (lamp, reflects) => {
        expect(deltaE2000(labUnder(grey(reflects), lamp), labOfSpectrum(grey(reflects)))).to.be.below(0.2);
      }),
    );
  });

  it('shift colours by a few CIEDE2000, and a filament pulls blues down more than reds', () => {
    const [red, blue] = [[45, 60, 40] as const, [40, 5, -45] as const].map(spectrumOfLab);
    for (const lamp of LAMPS) {
      for (const spectrum of [red, blue]) {
        expect(deltaE2000(labUnder(spectrum, lamp), labOfSpectrum(spectrum)), lamp.id).to.be.within(0.1, 9);
      }
    }
    const bulb = lampById('incandescent');
    const lift = (spectrum: Float64Array) => labUnder(spectrum, bulb)[0] - labOfSpectrum(spectrum)[0];
    expect(lift(red)).to.be.above(lift(blue));
  });

  it('are refused by a name that is not known', () => {
    expect(() => lampById('moon')).to.throw(RangeError, 'no lamp called "moon"');
  });
});
