import { expect } from 'chai';
import { labOfHex } from '../colour/index.ts';
import { whiteBook } from '../laydown/index.ts';
import { familyOf } from '../recipe/index.ts';
import { onPaper } from '../tray/index.ts';
import { factsOfFamily, swapsFor } from './index.ts';

const COLOURS = {
  peat: '#3d2a22',
  rust: '#a0522d',
  ochre: '#c6913a',
  lamp: '#f2c21d',
  cream: '#f3e7b9',
  blue: '#1f4e96',
  lilac: '#8a4f98',
  pink: '#f2c6c0',
};
const byId = new Map(
  onPaper(
    Object.entries(COLOURS).map(([id, hex]) => ({ id, code: id, masstone: labOfHex(hex), type: 'wax' })),
    whiteBook,
  ).map((pencil) => [pencil.id, pencil]),
);
const family = familyOf(['peat', 'ochre', 'cream']);

describe('the facts of a family', () => {
  it('are its steps in value and colour, its distance from neighbours, and what blends it', () => {
    const facts = factsOfFamily(family, byId, whiteBook, [labOfHex('#1f4e96')]);
    expect(facts.steps).to.have.length(2);
    expect(facts.steps.every(({ value }) => value > 0)).to.equal(true);
    expect(facts.largestStep).to.equal(Math.max(...facts.steps.map(({ apart }) => apart)));
    expect(facts.leastApart).to.be.above(30);
    expect(facts.blending).to.contain('cream');
  });

  it('say that a yellow unifies yellows and a pink violets', () => {
    expect(factsOfFamily(familyOf(['peat', 'ochre', 'lamp']), byId, whiteBook, []).blending).to.contain('its yellow');
    const violet = familyOf(['lilac'], { blender: 'pink' });
    expect(factsOfFamily(violet, byId, whiteBook, []).blending).to.contain('violets want a pink');
  });

  it('have no neighbour where there is none, and refuse a pencil that is gone', () => {
    expect(factsOfFamily(family, byId, whiteBook, []).leastApart).to.equal(null);
    expect(() => factsOfFamily(familyOf(['lost']), byId, whiteBook, [])).to.throw(RangeError, 'not in the tray');
  });
});

describe('swaps', () => {
  it('offer every pencil that the family has not, the present one first', () => {
    const swaps = swapsFor(family, 1, byId, whiteBook, []);
    expect(swaps[0].pencil).to.equal('ochre');
    expect(swaps[0].away).to.be.below(0.001);
    expect(swaps.map(({ pencil }) => pencil)).to.have.members(['ochre', 'rust', 'lamp', 'blue', 'lilac', 'pink']);
  });

  it('put what would break the order of values behind what would not', () => {
    const swaps = swapsFor(familyOf(['rust', 'ochre']), 0, byId, whiteBook, []);
    const at = (id: string) => swaps.findIndex(({ pencil }) => pencil === id);
    expect(swaps[at('cream')].ordered).to.equal(false);
    expect(at('peat')).to.be.below(at('cream'));
  });

  it('say how far the body would part from the neighbours, and let that count', () => {
    const beside = [byId.get('lamp')!.body];
    const swaps = swapsFor(family, 1, byId, whiteBook, beside);
    const lamp = swaps.find(({ pencil }) => pencil === 'lamp')!;
    expect(lamp.leastApart).to.be.below(0.01);
    expect(swaps.indexOf(lamp)).to.be.above(swaps.findIndex(({ pencil }) => pencil === 'rust'));
  });
});
