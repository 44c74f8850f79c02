import { expect } from 'chai';
import fc from 'fast-check';
import { FORMATS, formatOf, outOfShape } from './formats.ts';

describe('page formats', () => {
  it('are known again by their sides, either way round', () => {
    for (const { id, width, height } of FORMATS) {
      expect(formatOf(width, height)?.id).to.equal(id);
      expect(formatOf(height, width)?.id).to.equal(id);
    }
    expect(formatOf(123, 321)).to.equal(undefined);
  });

  it('are in shape with a picture of their own proportions only', () => {
    expect(outOfShape({ width: 2100, height: 2970 }, 210, 297)).to.be.below(0.001);
    expect(outOfShape({ width: 2100, height: 2970 }, 210, 210)).to.be.closeTo(0.414, 0.001);
  });

  it('are out of shape by the same measure whichever side is wrong', () => {
    const side = fc.integer({ min: 50, max: 4000 });
    fc.assert(
      fc.property(side, side, fc.double({ min: 1, max: 1.5, noNaN: true }), (width, height, stretch) => {
        const wide = outOfShape({ width, height }, width * stretch, height);
        const high = outOfShape({ width, height }, width, height * stretch);
        expect(wide).to.be.closeTo(stretch - 1, 1e-9);
        expect(high).to.be.closeTo(stretch - 1, 1e-9);
      }),
    );
  });
});
