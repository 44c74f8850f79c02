import { expect } from 'chai';
import fc from 'fast-check';
import { labOfHex } from '../colour/index.ts';
import { bareGround, pencilOptics, whiteBook } from '../laydown/index.ts';
import {
  type Family,
  SCHOOLS,
  bodyOf,
  familyOf,
  fillPaper,
  gentleRecipe,
  pencilsFor,
  pencilsOf,
  checkRecipe,
  compileRecipe,
  layersFor,
  schoolById,
  shareInZone,
  toothAfter,
  trimToMinutes,
  withEdits,
} from './index.ts';

const ofWidths = (widthsMm: number[]) => ({
  regions: widthsMm.map((usableWidthMm) => ({ usableWidthMm, areaMm2: 10 })),
});
const family = familyOf(['peat', 'ochre', 'lamp']);
const optics = new Map(
  Object.entries({ peat: '#3d2a22', ochre: '#c6913a', lamp: '#f2c21d' }).map(([id, hex]) => [
    id,
    pencilOptics({ masstone: labOfHex(hex), type: 'wax' }),
  ]),
);
const ground = bareGround(whiteBook);
const wide = ofWidths([8, 9, 10]);

describe('recipes', () => {
  it('base coat first lays the lightest everywhere, then the darkest, and ends with the lightest', () => {
    const { layers } = compileRecipe('blend', 'base-coat-first', family, wide);
    expect(layers[0]).to.include({ pencil: 'lamp', pressure: 'light' });
    expect(layers[0].zone).to.include({ from: 0, to: 1 });
    expect(layers[1].pencil).to.equal('peat');
    expect(layers.at(-1)!.pencil).to.equal('lamp');
  });

  it('dark first marks the shadows before anything else and burnishes with the lightest', () => {
    const { layers } = compileRecipe('blend', 'dark-first', family, wide);
    expect(layers[0].pencil).to.equal('peat');
    expect(layers[0].zone.to).to.be.below(0.5);
    expect(layers.at(-1)).to.include({ pencil: 'lamp', pressure: 'burnish' });
  });

  it('pressing hard belongs at the end: no layer before the last two is firm or burnished', () => {
    for (const { id } of SCHOOLS) {
      const early = compileRecipe('blend', id, family, wide).layers.slice(0, -2);
      expect(
        early.every(({ pressure }) => pressure !== 'firm' && pressure !== 'burnish'),
        id,
      ).to.equal(true);
    }
  });

  it('every layer says its pencil, zone, stroke, point and purpose', () => {
    for (const { id } of SCHOOLS) {
      for (const layer of compileRecipe('blend', id, family, wide).layers) {
        expect(layer.purpose).to.match(/\.$/);
        expect(layer.zone.to).to.be.above(layer.zone.from);
        expect(pencilsOf(family)).to.include(layer.pencil);
      }
    }
  });

  it('the narrower the region, the fewer its layers, and it never has none', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 30, noNaN: true }),
        fc.double({ min: 0.2, max: 30, noNaN: true }),
        fc.constantFrom(...SCHOOLS),
        (a, b, school) => {
          const recipe = compileRecipe('blend', school.id, family, ofWidths([a, b]));
          const [narrow, broad] = [Math.min(a, b), Math.max(a, b)].map((width) => layersFor(recipe, width).length);
          expect(narrow).to.be.at.least(1);
          expect(broad).to.be.at.least(narrow);
        },
      ),
    );
  });

  it('tiny regions want a sharp point along the contour, wide ones the side of the lead', () => {
    expect(compileRecipe('blend', 'base-coat-first', family, ofWidths([1.2])).layers[0]).to.include({
      point: 'sharp',
      stroke: 'following the contour',
    });
    expect(compileRecipe('blend', 'base-coat-first', family, ofWidths([40])).layers[0].point).to.equal(
      'side of the lead',
    );
  });

  it('a great sky with a few slivers is laid as the wide area that it is', () => {
    const regions = [
      { usableWidthMm: 40, areaMm2: 9000 },
      ...Array.from({ length: 12 }, () => ({ usableWidthMm: 1, areaMm2: 4 })),
    ];
    expect(compileRecipe('blend', 'base-coat-first', family, { regions }).layers[0].point).to.equal('side of the lead');
  });

  it('a zone is full inside, fades over its edge and ends', () => {
    const zone = { field: 'tone' as const, from: 0, to: 0.4, softnessMm: 0.5, overMm: 5 };
    const at = (value: number) => shareInZone(zone, { tone: { value, source: 0 } });
    expect(at(0.1)).to.equal(1);
    expect(at(0.4)).to.be.closeTo(0.5, 0.01);
    expect(at(0.6)).to.equal(0);
  });

  it('keeps a person’s changes to single layers', () => {
    const recipe = compileRecipe('blend', 'base-coat-first', family, wide);
    const edited = withEdits(recipe, { layers: { shadow: { pressure: 'whisper', passes: 3 }, gone: { passes: 2 } } });
    expect(edited.layers[1]).to.include({ pressure: 'whisper', passes: 3 });
    expect(edited.layers).to.have.length(recipe.layers.length);
  });
});

describe('families of one to eight pencils', () => {
  const laidBy = (own: Family) => compileRecipe('blend', 'base-coat-first', own, wide).layers;
  const ids = ['peat', 'brown', 'ochre', 'sand', 'lamp'];

  it('lay each pencil, the middle ones from the shadow outwards in order of value', () => {
    for (let count = 1; count <= 5; count++) {
      const own = familyOf(ids.slice(0, count));
      expect(new Set(laidBy(own).map(({ pencil }) => pencil))).to.deep.equal(new Set(pencilsOf(own)));
    }
    const middles = laidBy(familyOf(ids)).filter(({ role }) => role === 'mid');
    expect(middles.map(({ pencil }) => pencil)).to.deep.equal(['brown', 'ochre', 'sand']);
    expect(middles.map(({ zone }) => zone.to)).to.deep.equal([0.45, 0.57, 0.68]);
    expect(new Set(laidBy(familyOf(ids)).map(({ id }) => id)).size).to.equal(laidBy(familyOf(ids)).length);
  });

  it('of a single pencil have nothing to unify; a blender of their own does it in place of the lightest', () => {
    expect(laidBy(familyOf(['peat'])).some(({ id }) => id === 'unify')).to.equal(false);
    expect(laidBy(familyOf(['peat', 'ochre', 'lamp'], { blender: 'pink' })).at(-1)).to.include({
      role: 'blender',
      pencil: 'pink',
    });
  });

  it('calm the shadow with a neutral before colour goes over it, and deepen it before it is unified', () => {
    const layers = laidBy(familyOf(['peat', 'ochre', 'lamp'], { neutral: 'grey', depth: 'night', accent: 'rust' }));
    const at = (id: string) => layers.findIndex((layer) => layer.id === id);
    expect(at('neutral'))
      .to.equal(at('shadow') + 1)
      .and.to.be.below(at('middle'));
    expect(at('depth')).to.be.above(at('deepen')).and.to.be.below(at('unify'));
    expect(layers[at('accent')].zone.from).to.be.above(0);
  });

  it('take their colour from the middle pencil, the darker of two', () => {
    expect([1, 2, 3, 4, 5].map((count) => bodyOf(familyOf(ids.slice(0, count))))).to.deep.equal([
      'peat',
      'peat',
      'brown',
      'brown',
      'ochre',
    ]);
  });

  it('hold one to eight pencils, the more the wider the shape', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 100, noNaN: true }), (width) => {
        expect(pencilsFor(width))
          .to.be.within(1, 5)
          .and.to.be.at.most(pencilsFor(2 * width));
        expect(pencilsFor(width, true)).to.be.within(pencilsFor(width), 8);
      }),
    );
    expect(() => familyOf([])).to.throw(RangeError, 'one to 8');
    expect(familyOf([...ids, 'six', 'seven', 'eight']).pencils).to.have.length(8);
    expect(() => familyOf([...ids, 'six', 'seven', 'eight', 'nine'])).to.throw(RangeError, 'not 9');
  });
});

describe('fewer hours', () => {
  const own = ['bell', 'sky'].map((id, i) => {
    const recipe = compileRecipe('blend', 'base-coat-first', family, wide);
    return { id, recipe, worth: i === 0 ? 4 : 1, minutes: new Map(recipe.layers.map((layer) => [layer.id, 10])) };
  });

  it('leave out what is worth least first, and never the shadow or the last layer beside it', () => {
    const { lost } = trimToMinutes(own, 80);
    expect(lost.map(({ thingId, layer }) => `${thingId} ${layer.id}`)).to.deep.equal(['sky deepen', 'sky middle']);
    const { recipes } = trimToMinutes(own, 0);
    for (const { layers } of recipes.values()) {
      expect(layers).to.have.length(2);
      expect(layers.some(({ id }) => id === 'shadow')).to.equal(true);
    }
  });

  it('more minutes never lose a layer that fewer keep, and enough lose none', () => {
    const gone = (budget: number) => trimToMinutes(own, budget).lost.map(({ thingId, layer }) => thingId + layer.id);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 120 }), fc.integer({ min: 0, max: 120 }), (a, b) => {
        expect(gone(Math.min(a, b))).to.include.members(gone(Math.max(a, b)));
      }),
    );
    expect(gone(100)).to.deep.equal([]);
  });

  it('a gentle hand lays nothing firmer than medium, and goes over it once more', () => {
    const recipe = compileRecipe('blend', 'dark-first', family, wide);
    const gentle = gentleRecipe(recipe);
    gentle.layers.forEach((layer, i) => {
      expect(['whisper', 'light', 'medium']).to.include(layer.pressure);
      const was = recipe.layers[i];
      expect(layer.passes).to.equal(was.passes + Number(['firm', 'burnish'].includes(was.pressure)));
    });
  });
});

describe('checking a recipe', () => {
  const check = (family: Family, widthsMm = [8], edits = {}) => {
    const compiled = compileRecipe('blend', 'base-coat-first', family, ofWidths(widthsMm));
    const filled = fillPaper(compiled, ofWidths(widthsMm), (pencil) => optics.get(pencil), ground);
    const recipe = withEdits(filled, edits);
    return checkRecipe(recipe, ofWidths(widthsMm), optics, ground).map((finding) => finding.kind);
  };

  it('has nothing to say of a sound one', () => expect(check(family)).to.deep.equal([]));

  it('says when the paper fills up before the last layer', () => {
    const heavy = { pressure: 'burnish', passes: 3 };
    const layers = { base: heavy, shadow: heavy, middle: heavy };
    expect(check(family, [8], { layers })).to.include('full-tooth');
  });

  it('says when shadow and light are too alike', () => {
    const whispered = { pressure: 'whisper', passes: 1 };
    const layers = { shadow: whispered, middle: whispered, deepen: whispered };
    expect(check(familyOf(['ochre', 'lamp']), [8], { layers })).to.include('no-value-step');
  });

  it('says how many regions are too narrow for all layers', () => {
    expect(check(family, [8, 8, 1])).to.include('narrow');
  });

  it('tooth left falls where layers meet', () => {
    const left = toothAfter(compileRecipe('blend', 'base-coat-first', family, wide), optics, ground);
    expect(left[1]).to.be.below(left[0]);
    expect(left[2]).to.be.below(left[1]);
    expect(Math.min(...left)).to.be.above(0);
  });

  it('names what is missing', () => {
    expect(() => compileRecipe('blend', 'base-coat-first', family, ofWidths([]))).to.throw(
      RangeError,
      'at least one region',
    );
    expect(() => compileRecipe('glow', 'base-coat-first', family, wide)).to.throw(RangeError, 'no effect');
    expect(() => schoolById('backwards')).to.throw(RangeError, 'no school');
    expect(() =>
      checkRecipe(
        compileRecipe('blend', 'dark-first', familyOf(['lost', 'ochre', 'lamp']), wide),
        wide,
        optics,
        ground,
      ),
    ).to.throw(RangeError, 'not in the tray');
  });
});
