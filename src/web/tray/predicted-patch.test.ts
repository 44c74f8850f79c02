import { expect } from 'chai';
import { deltaE2000, labOfHex } from '../../core/colour/index.ts';
import { demoPencils } from '../../demo/pencils/index.ts';
import { predictedPatch } from './predicted-patch.ts';

const on = { paper: 'white-book', ground: 'paper' } as const;
const pencils = demoPencils();
const dark = pencils.filter(({ colour }) => labOfHex(colour)[0] < 60);

describe('what a patch is predicted to look like', () => {
  it('is the declared colour where it was laid full', () => {
    for (const pencil of dark) {
      expect(
        deltaE2000(predictedPatch(pencil, { ...on, patch: 'full' }), labOfHex(pencil.colour)),
        pencil.code,
      ).to.be.below(1.5);
    }
  });

  it('gets darker from light to firm', () => {
    for (const pencil of dark) {
      const values = (['light', 'medium', 'firm'] as const).map((patch) => predictedPatch(pencil, { ...on, patch })[0]);
      expect(values, pencil.code).to.deep.equal([...values].sort((p, q) => q - p));
    }
  });

  it('is darker over the black bar than on the paper', () => {
    for (const pencil of pencils) {
      const over = predictedPatch(pencil, { ...on, patch: 'firm', ground: 'bar' });
      expect(over[0], pencil.code).to.be.below(predictedPatch(pencil, { ...on, patch: 'firm' })[0]);
    }
  });
});
