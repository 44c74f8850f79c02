import { expect } from 'chai';
import fc from 'fast-check';
import { labOfOklch } from '../../colour/index.ts';
import { MATERIALS } from '../../light/index.ts';
import { NATURAL_KINDS, beyondNature, naturalKindById, naturalKindOf } from './index.ts';

const idOf = (name: string, material: string | null = null) => naturalKindOf(name, material)?.id ?? null;

describe('what is known by its colours', () => {
  it('is told by its material first, else by a word of its name', () => {
    expect(idOf('Evening sky')).to.equal('sky');
    expect(idOf('Far reeds')).to.equal('leaf');
    expect(idOf('Jetty', 'wood')).to.equal('wood');
    expect(idOf('Reflection of the sky', 'water')).to.equal('water');
    expect(idOf('Skylight')).to.equal(null);
    expect(idOf('Kite')).to.equal(null);
    expect(idOf('Brass bell')).to.equal('gold');
    expect(idOf('Ripe apples')).to.equal('apple');
    expect(idOf('Straw roof')).to.equal('straw');
  });

  it('is every material that has colours of its own, and no word or material stands for two', () => {
    const anyColour = ['paper', 'cloth', 'glass', 'gem', 'other'];
    for (const { id } of MATERIALS) expect(idOf('', id) !== null, id).to.equal(!anyColour.includes(id));
    for (const all of [
      NATURAL_KINDS.flatMap(({ words }) => words),
      NATURAL_KINDS.flatMap(({ materials }) => materials),
    ])
      expect(new Set(all).size).to.equal(all.length);
  });

  it('is of several colours where nature has several: leaves in autumn, skies by night and before a storm', () => {
    const is = (id: string, l: number, c: number, h: number) =>
      beyondNature(naturalKindById(id), labOfOklch({ l, c, h }));
    expect(is('leaf', 0.6, 0.13, 60)).to.equal(0);
    expect(is('leaf', 0.6, 0.13, 140)).to.equal(0);
    for (const [l, c, h] of [
      [0.8, 0.08, 240],
      [0.8, 0.1, 60],
      [0.3, 0.08, 275],
      [0.5, 0.02, 250],
    ])
      expect(is('sky', l, c, h)).to.equal(0);
    expect(is('sky', 0.4, 0.1, 140)).to.be.above(10);
    expect(is('gold', 0.7, 0.14, 85)).to.equal(0);
    expect(is('gold', 0.5, 0.12, 260)).to.be.above(14);
  });

  it('lies within its own ranges, and further off the further a colour is beside them', () => {
    for (const kind of NATURAL_KINDS) {
      for (const {
        hue: [from, to],
        chroma,
        lightness,
      } of kind.ranges) {
        const h = (from + ((to - from + 360) % 360) / 2) % 360;
        const [c, l] = [chroma, lightness].map(([least, most]) => (least + most) / 2);
        expect(beyondNature(kind, labOfOklch({ l, c, h })), kind.id).to.be.below(0.5);
      }
    }
    const leaf = naturalKindById('leaf');
    const at = (h: number) => beyondNature(leaf, labOfOklch({ l: 0.6, c: 0.1, h }));
    expect(at(135)).to.equal(0);
    expect(at(220)).to.be.above(at(190));
    expect(at(260)).to.be.above(14);
  });

  it('is never nearer than nothing', () => {
    const colour = fc.record({
      l: fc.double({ min: 0.1, max: 0.95, noNaN: true }),
      c: fc.double({ min: 0, max: 0.2, noNaN: true }),
      h: fc.double({ min: 0, max: 360, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.constantFrom(...NATURAL_KINDS), colour, (kind, oklch) => {
        expect(beyondNature(kind, labOfOklch(oklch))).to.be.at.least(0);
      }),
    );
  });

  it('is refused by a name that is not known', () => {
    expect(() => naturalKindById('cheese')).to.throw(RangeError, 'no natural kind');
  });
});
