import { expect } from 'chai';
import fc from 'fast-check';
import { gammaEncode } from '../colour/index.ts';
import { seededRandom } from '../random/index.ts';
import { coarseInkShare, inkShareOf } from './index.ts';

const side = 160;
/** A page with an upright line of so many pixels down its middle, under a light that falls off to the right. */
function page(lineWide: number, { paper = 1, falls = 0, noise = 0, ink = 0.02 } = {}) {
  const random = seededRandom(4);
  const data = Uint8Array.from({ length: side * side }, (_, i) => {
    const x = i % side;
    const [from, to] = [80 - lineWide / 2, 80 + lineWide / 2];
    const covered = Math.max(0, Math.min(x + 1, to) - Math.max(x, from));
    const light = paper * (1 - (falls * x) / side) * (1 - covered + covered * ink);
    return Math.min(255, Math.max(0, Math.round(gammaEncode(light) + noise * (random() + random() - 1))));
  });
  return { width: side, height: side, data };
}
const across = (share: Uint8Array, y = 80) => share.subarray(y * side + 60, y * side + 100);
const wide = (share: Uint8Array) => across(share).reduce((sum, value) => sum + value / 255, 0);

describe('the share of ink', () => {
  it('of a line is as wide as the line, to a tenth, in uneven light and on yellowed paper', () => {
    for (const lineWide of [2, 3.5, 6.3]) {
      for (const look of [{}, { paper: 0.7 }, { falls: 0.3 }, { paper: 0.85, falls: 0.2, noise: 4 }]) {
        const { share } = inkShareOf(page(lineWide, look));
        expect(wide(share), `${lineWide} ${JSON.stringify(look)}`).to.be.closeTo(lineWide, 0.1 * lineWide);
      }
    }
  });

  it('of bare paper is nothing, however its grain varies', () => {
    const { share } = inkShareOf(page(4, { paper: 0.9, noise: 8 }));
    const bare = share.filter((_, i) => Math.abs((i % side) - 80) > 6);
    expect(bare.filter((value) => value > 20).length / bare.length).to.be.below(0.003);
  });

  it('at every so many pixels is the mean of what lies there', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 7 }), fc.double({ min: 1, max: 9, noNaN: true }), (step, lineWide) => {
        const whole = inkShareOf(page(lineWide));
        const coarse = coarseInkShare(whole, step);
        const mean = (share: Uint8Array) => share.reduce((sum, value) => sum + value, 0) / share.length;
        if (side % step === 0) expect(mean(coarse.share)).to.be.closeTo(mean(whole.share), 0.6);
        expect(coarse.width).to.equal(Math.ceil(side / step));
      }),
      { numRuns: 20 },
    );
  });

  it('needs all pixels', () => {
    expect(() => inkShareOf({ width: 4, height: 4, data: new Uint8Array(3) })).to.throw(RangeError, 'fewer pixels');
  });
});
