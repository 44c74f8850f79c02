import { expect } from 'chai';
import { EFFECTS, compileRecipe, coveredMm2, familyOf } from './index.ts';

const family = familyOf(['dark', 'mid', 'light']);
const context = { regions: [{ usableWidthMm: 20, areaMm2: 300 }] };

describe('a limb that lies behind', () => {
  it('is darker than the same one in front: its darks take more of it', () => {
    for (const effect of ['blend', 'fur', 'skin']) {
      const front = compileRecipe(effect, 'base-coat-first', family, context);
      const behind = compileRecipe(effect, 'base-coat-first', family, { ...context, limbBehind: 'Hare body' });
      const darks = ({ layers }: typeof front) =>
        layers
          .filter(({ role }) => role === 'dark')
          .reduce((sum, layer) => sum + coveredMm2(layer, context.regions), 0);
      expect(darks(behind), effect).to.be.above(1.1 * darks(front));
      expect(behind.notes.join(' '), effect).to.contain('behind Hare body');
    }
  });

  it('keeps its layers, and metals keep their bands', () => {
    for (const { id, jumps } of EFFECTS) {
      const [front, behind] = [{}, { limbBehind: 'body' }].map((more) =>
        compileRecipe(id, 'dark-first', family, { ...context, ...more }),
      );
      expect(behind.layers.map((layer) => layer.id)).to.deep.equal(front.layers.map((layer) => layer.id));
      if (jumps) expect(behind.layers).to.deep.equal(front.layers);
    }
  });
});
