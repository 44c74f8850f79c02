import { expect } from 'chai';
import fc from 'fast-check';
import { deltaE2000, labOfHex } from '../colour/index.ts';
import { coloursOfPhoto } from './index.ts';

/** A picture of upright stripes, each so many pixels wide. */
function stripes(...parts: [hex: string, width: number][]) {
  const width = parts.reduce((sum, [, each]) => sum + each, 0);
  const data = new Uint8ClampedArray(4 * width * 20).fill(255);
  for (let y = 0; y < 20; y++) {
    let x = 0;
    for (const [hex, each] of parts) {
      for (let k = 0; k < each; k++, x++) {
        for (let c = 0; c < 3; c++) data[4 * (y * width + x) + c] = parseInt(hex.slice(1 + 2 * c, 3 + 2 * c), 16);
      }
    }
  }
  return { width, height: 20, data };
}

describe('the colours of a photo', () => {
  it('are those that are in it, the one with the largest share first', () => {
    const found = coloursOfPhoto(stripes(['#1f4e96', 60], ['#ec861c', 30], ['#2f8c53', 10]), 3);
    expect(found).to.have.length(3);
    ['#1f4e96', '#ec861c', '#2f8c53'].forEach((hex, i) => {
      expect(deltaE2000(found[i].lab, labOfHex(hex)), hex).to.be.below(1);
    });
    expect(found[0].share).to.be.closeTo(0.6, 0.02);
  });

  it('let a small clear place weigh more than grey', () => {
    const [clear, grey] = ['#c22b22', '#9a9a9a'].map((hex) => labOfHex(hex));
    const found = coloursOfPhoto(stripes(['#9a9a9a', 80], ['#c22b22', 20]), 2);
    const share = (lab: typeof clear) => found.find((each) => deltaE2000(each.lab, lab) < 3)!.share;
    expect(share(clear)).to.be.above(0.4);
    expect(share(grey)).to.be.below(0.6);
  });

  it('are no more than the photo has, and the same again with the same seed', () => {
    const photo = stripes(['#1f4e96', 10], ['#ec861c', 10]);
    expect(coloursOfPhoto(photo, 6)).to.have.length(2);
    expect(coloursOfPhoto(photo, 6, 7)).to.deep.equal(coloursOfPhoto(photo, 6, 7));
  });

  it('have shares that sum to one, whatever the photo', () => {
    const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
    fc.assert(
      fc.property(fc.array(fc.tuple(hex, fc.integer({ min: 1, max: 30 })), { minLength: 1, maxLength: 8 }), (parts) => {
        const found = coloursOfPhoto(stripes(...(parts as [string, number][])), 5);
        expect(found.reduce((sum, { share }) => sum + share, 0)).to.be.closeTo(1, 1e-9);
      }),
    );
  });

  it('are refused for no photo and for no colours', () => {
    expect(() => coloursOfPhoto({ width: 0, height: 0, data: new Uint8ClampedArray() }, 3)).to.throw(
      RangeError,
      'no pixels',
    );
    expect(() => coloursOfPhoto(stripes(['#000000', 2]), 0)).to.throw(RangeError, '1 to 12');
  });
});
