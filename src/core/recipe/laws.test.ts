import { expect } from 'chai';
import fc from 'fast-check';
import { labOfHex } from '../colour/index.ts';
import { PAPERS, bareGround, layPasses, pencilOptics } from '../laydown/index.ts';
import {
  POINT_MM,
  SCHOOLS,
  compileRecipe,
  familyOf,
  layersFor,
  shareInZone,
  toothAfter,
  usualWidth,
  withEdits,
} from './index.ts';

const family = familyOf(['dark', 'mid', 'light']);
const optics = new Map(
  Object.entries({ dark: '#22315f', mid: '#4f6bb0', light: '#b5d4ea' }).map(([id, hex]) => [
    id,
    pencilOptics({ masstone: labOfHex(hex), type: 'oil' }),
  ]),
);
const width = fc.double({ min: 0.3, max: 60, noNaN: true });
const regions = fc.array(
  fc.record({ usableWidthMm: width, areaMm2: fc.double({ min: 0.3, max: 9000, noNaN: true }) }),
  {
    minLength: 1,
    maxLength: 12,
  },
);
const school = fc.constantFrom(...SCHOOLS);

describe('every recipe', () => {
  it('is laid in the order of its school, with the pencils of its family', () => {
    fc.assert(
      fc.property(regions, school, (own, { id, sketch }) => {
        const { layers } = compileRecipe('blend', id, family, { regions: own });
        expect(layers.map((layer) => layer.id)).to.deep.equal(sketch.map((layer) => layer.id));
        for (const layer of layers) expect(layer.pencil).to.equal(layer.role);
      }),
    );
  });

  it('fades its zones over at least the width of the point that lays them', () => {
    fc.assert(
      fc.property(regions, school, (own, { id }) => {
        for (const { zone, point } of compileRecipe('blend', id, family, { regions: own }).layers) {
          if (zone.from > 0 || zone.to < 1) expect(zone.softnessMm).to.be.at.least(POINT_MM[point] - 1e-9);
        }
      }),
    );
  });

  it('gives every region the layers it has room for, and a region twice as wide no fewer', () => {
    fc.assert(
      fc.property(regions, school, width, (own, { id }, wide) => {
        const recipe = compileRecipe('blend', id, family, { regions: own });
        const narrow = layersFor(recipe, wide);
        for (const layer of narrow) expect(layer.fromWidthMm).to.be.at.most(wide);
        expect(layersFor(recipe, 2 * wide)).to.include.members(narrow);
      }),
    );
  });

  it('ends lighter in its light than in its shadow, on every paper', () => {
    for (const { id } of SCHOOLS) {
      for (const paper of PAPERS) {
        const { layers } = compileRecipe('blend', id, family, {
          regions: [{ usableWidthMm: 6, areaMm2: 50 }],
        });
        const at = (tone: number) => {
          const passes = layers.flatMap(({ pencil, pressure, passes: times, zone }) =>
            shareInZone(zone, { tone: { value: tone, source: 0 } }) > 0.5
              ? Array.from({ length: times }, () => ({ pencil: optics.get(pencil)!, pressure }))
              : [],
          );
          return layPasses(bareGround(paper), passes).lab[0];
        };
        expect(at(0.85), `${id} on ${paper.name}`).to.be.above(at(0.05) + 8);
      }
    }
  });

  it('leaves some tooth after every layer but burnishing', () => {
    for (const { id } of SCHOOLS) {
      const recipe = compileRecipe('blend', id, family, { regions: [{ usableWidthMm: 6, areaMm2: 50 }] });
      const left = toothAfter(recipe, optics, bareGround(PAPERS[0]));
      recipe.layers.forEach(({ pressure }, i) => pressure !== 'burnish' && expect(left[i], id).to.be.above(0.1));
    }
  });
});

describe('the usual width of a thing', () => {
  it('is the width of one of its regions, whatever their order', () => {
    fc.assert(
      fc.property(regions, (own) => {
        const usual = usualWidth({ regions: own });
        expect(own.map((region) => region.usableWidthMm)).to.include(usual);
        expect(usualWidth({ regions: [...own].reverse() })).to.equal(usual);
      }),
    );
  });

  it('has at least half of the area in regions that are as wide', () => {
    fc.assert(
      fc.property(regions, (own) => {
        const usual = usualWidth({ regions: own });
        const area = (of: typeof own) => of.reduce((sum, region) => sum + region.areaMm2, 0);
        expect(area(own.filter((region) => region.usableWidthMm >= usual))).to.be.at.least(area(own) / 2 - 1e-9);
      }),
    );
  });
});

describe('a zone', () => {
  const tone = fc.double({ min: 0, max: 1, noNaN: true });
  const zone = fc.tuple(tone, tone, fc.double({ min: 0, max: 4, noNaN: true })).map(([a, b, softnessMm]) => ({
    field: 'tone' as const,
    from: Math.min(a, b),
    to: Math.max(a, b),
    softnessMm,
    overMm: 3,
  }));

  it('takes between nothing and all of the pressure everywhere', () => {
    fc.assert(
      fc.property(zone, tone, (each, at) => {
        expect(shareInZone(each, { tone: { value: at, source: 0 } })).to.be.within(0, 1);
      }),
    );
  });

  it('that runs from shadow to highlight takes all of it everywhere', () => {
    fc.assert(
      fc.property(tone, fc.double({ min: 0, max: 4, noNaN: true }), (at, softnessMm) => {
        expect(
          shareInZone({ field: 'tone', from: 0, to: 1, softnessMm, overMm: 2 }, { tone: { value: at, source: 0 } }),
        ).to.equal(1);
      }),
    );
  });

  it('and the one that follows it share the edge: neither is missing there', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 0.7, noNaN: true }),
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        (edge, softnessMm) => {
          const [below, above] = [
            { field: 'tone' as const, from: 0, to: edge, softnessMm, overMm: 4 },
            { field: 'tone' as const, from: edge, to: 1, softnessMm, overMm: 4 },
          ];
          const there = { tone: { value: edge, source: 0 } };
          expect(shareInZone(below, there) + shareInZone(above, there)).to.be.closeTo(1, 1e-6);
        },
      ),
    );
  });
});

describe('changes to layers', () => {
  it('touch the layers that they name and no other, and change nothing when there are none', () => {
    const recipe = compileRecipe('blend', 'base-coat-first', family, { regions: [{ usableWidthMm: 6, areaMm2: 50 }] });
    expect(withEdits(recipe)).to.deep.equal(recipe);
    const edited = withEdits(recipe, { layers: { middle: { passes: 4 } } });
    recipe.layers.forEach((layer, i) =>
      expect(edited.layers[i]).to.deep.equal(layer.id === 'middle' ? { ...layer, passes: 4 } : layer),
    );
  });
});
