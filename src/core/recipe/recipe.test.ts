import { expect } from 'chai';
import fc from 'fast-check';
import { labOfHex } from '../colour/index.ts';
import { bareGround, pencilOptics, whiteBook } from '../laydown/index.ts';
import {
  SCHOOLS,
  checkRecipe,
  compileRecipe,
  layersFor,
  schoolById,
  shareInZone,
  toothAfter,
  withEdits,
} from './index.ts';

const ofWidths = (widthsMm: number[]) => ({
  regions: widthsMm.map((usableWidthMm) => ({ usableWidthMm, areaMm2: 10 })),
});
const family = { dark: 'peat', mid: 'ochre', light: 'lamp' };
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
        expect(Object.values(family)).to.include(layer.pencil);
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
    const zone = { field: 'tone' as const, from: 0, to: 0.4, softnessMm: 0.5 };
    expect(shareInZone(zone, 0.1, 5)).to.equal(1);
    expect(shareInZone(zone, 0.4, 5)).to.be.closeTo(0.5, 0.01);
    expect(shareInZone(zone, 0.6, 5)).to.equal(0);
  });

  it('keeps a person’s changes to single layers', () => {
    const recipe = compileRecipe('blend', 'base-coat-first', family, wide);
    const edited = withEdits(recipe, { shadow: { pressure: 'whisper', passes: 3 }, gone: { passes: 2 } });
    expect(edited.layers[1]).to.include({ pressure: 'whisper', passes: 3 });
    expect(edited.layers).to.have.length(recipe.layers.length);
  });
});

describe('checking a recipe', () => {
  const check = (family: { dark: string; mid: string; light: string }, widthsMm = [8], edits = {}) => {
    const recipe = withEdits(compileRecipe('blend', 'base-coat-first', family, ofWidths(widthsMm)), edits);
    return checkRecipe(recipe, ofWidths(widthsMm), optics, ground).map((finding) => finding.kind);
  };

  it('has nothing to say of a sound one', () => expect(check(family)).to.deep.equal([]));

  it('says when the paper fills up before the last layer', () => {
    const heavy = { pressure: 'burnish', passes: 3 };
    expect(check(family, [8], { base: heavy, shadow: heavy, middle: heavy })).to.include('full tooth');
  });

  it('says when shadow and light are too alike', () => {
    expect(check({ dark: 'lamp', mid: 'lamp', light: 'lamp' })).to.include('no value step');
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
      checkRecipe(compileRecipe('blend', 'dark-first', { ...family, dark: 'lost' }, wide), wide, optics, ground),
    ).to.throw(RangeError, 'not in the tray');
  });
});
