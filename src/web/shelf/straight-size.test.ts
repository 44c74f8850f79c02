import { expect } from 'chai';
import fc from 'fast-check';
import type { Quad } from '../../core/straighten/index.ts';
import { straightSize, worthStraightening } from './straight-size.ts';

const rectangle = (left: number, top: number, width: number, height: number): Quad => [
  { x: left, y: top },
  { x: left + width, y: top },
  { x: left + width, y: top + height },
  { x: left, y: top + height },
];

describe('the size of a straightened page', () => {
  it('has the shape of its sides and as many pixels as the photo has of it, but never more than A4 at 300 dpi', () => {
    const side = fc.integer({ min: 100, max: 9000 });
    fc.assert(
      fc.property(side, side, (width, height) => {
        const { pixels, mm } = straightSize(rectangle(10, 10, width, height));
        expect(mm).to.equal(undefined);
        expect(pixels.width * pixels.height).to.be.at.most(2480 * 3508 * 1.01);
        expect(pixels.width * pixels.height).to.be.at.most(width * height * 1.05);
        expect(pixels.width / pixels.height / (width / height)).to.be.within(0.9, 1.1);
      }),
    );
  });

  it('takes the shape and the size of a format, turned as the page lies in the photo', () => {
    const a5 = { width: 148, height: 210 };
    const upright = straightSize(rectangle(0, 0, 700, 1000), a5);
    expect(upright.mm).to.deep.equal({ widthMm: 148, heightMm: 210 });
    const lying = straightSize(rectangle(0, 0, 1000, 700), a5);
    expect(lying.mm).to.deep.equal({ widthMm: 210, heightMm: 148 });
    expect(lying.pixels.width / lying.pixels.height).to.be.closeTo(210 / 148, 0.01);
  });
});

describe('a page in a photo', () => {
  it('is worth straightening unless it fills the photo', () => {
    const photo = { width: 1000, height: 800 };
    expect(worthStraightening(rectangle(0, 0, 1000, 800), photo)).to.equal(false);
    expect(worthStraightening(rectangle(10, 8, 980, 780), photo)).to.equal(false);
    expect(worthStraightening(rectangle(120, 60, 700, 600), photo)).to.equal(true);
  });
});
