import { expect } from 'chai';
import fc from 'fast-check';
import { gammaEncode, deltaE2000, labOfHex, labOfRgb, linearise, rgbOfLab } from '../colour/index.ts';
import { paperById, whiteBook } from '../laydown/index.ts';
import { sampleBeside } from './index.ts';

/** A scrap of paper, 120 by 80 pixels, with a patch of a colour in its right half, under a lamp that leaves so much of the light of each channel. */
function scrap(patch: readonly number[], paper: readonly number[], lamp: readonly number[]) {
  const data = new Uint8ClampedArray(4 * 120 * 80);
  for (let i = 0; i < 120 * 80; i++) {
    const colour = i % 120 < 60 ? paper : patch;
    data.set([...colour.map((value, k) => gammaEncode(linearise(value) * lamp[k])), 255], 4 * i);
  }
  return { width: 120, height: 80, data };
}

const onPatch = { x: 90, y: 40 };
const onPaper = { x: 30, y: 40 };

describe('a colour taken out of a picture', () => {
  it('is what it is in daylight, whatever lamp it lies under, by the bare paper beside it', () => {
    const channel = fc.integer({ min: 40, max: 235 });
    const lamp = fc.tuple(fc.double({ min: 0.55, max: 1, noNaN: true }), fc.double({ min: 0.45, max: 1, noNaN: true }));
    fc.assert(
      fc.property(fc.tuple(channel, channel, channel), lamp, (rgb, [green, blue]) => {
        const image = scrap(rgb, rgbOfLab(labOfHex(whiteBook.tint)), [1, green, blue]);
        const { lab, spread } = sampleBeside(image, onPatch, onPaper, 10, whiteBook);
        expect(deltaE2000(lab, labOfRgb(rgb))).to.be.below(2.5);
        expect(spread).to.be.below(0.5);
      }),
    );
  });

  it('counts the paper’s own tint in', () => {
    const kraft = paperById('kraft-card');
    const tint = rgbOfLab(labOfHex(kraft.tint));
    const { lab } = sampleBeside(scrap(tint, tint, [1, 1, 1]), onPatch, onPaper, 10, kraft);
    expect(deltaE2000(lab, labOfHex(kraft.tint))).to.be.below(0.5);
  });

  it('does not mind a fleck, and says when what lies there is uneven', () => {
    const image = scrap([120, 60, 60], [244, 242, 236], [1, 1, 1]);
    for (let y = 32; y < 36; y++) for (let x = 82; x < 86; x++) image.data.set([0, 0, 0], 4 * (120 * y + x));
    const { lab, spread } = sampleBeside(image, onPatch, onPaper, 10, whiteBook);
    expect(deltaE2000(lab, labOfRgb([120, 60, 60]))).to.be.below(0.5);
    expect(spread).to.be.above(4);
  });

  it('is refused beside the picture, too small, or where bare paper is black', () => {
    const image = scrap([120, 60, 60], [3, 3, 3], [1, 1, 1]);
    expect(() => sampleBeside(image, { x: 130, y: 4 }, onPaper, 10, whiteBook)).to.throw(RangeError, 'on the picture');
    expect(() => sampleBeside(image, onPatch, onPaper, 1, whiteBook)).to.throw(RangeError, '4 pixels');
    expect(() => sampleBeside(image, onPatch, onPaper, 10, whiteBook)).to.throw(RangeError, 'too dark to be paper');
  });
});
