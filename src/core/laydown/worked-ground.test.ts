import { expect } from 'chai';
import fc from 'fast-check';
import { type Lab, deltaE2000, labOfHex, labOfSpectrum } from '../colour/index.ts';
import {
  PAPERS,
  type Pass,
  TOOTH_LEFT,
  bareGround,
  markedGround,
  paintedGround,
  paperById,
  paperKind,
  tintedPaper,
  layPasses,
  pencilOptics,
  reflectanceOf,
  stainedGround,
  whiteBook,
  workedGround,
} from './index.ts';

const red = pencilOptics({ masstone: labOfHex('#b02a30'), type: 'oil' });
const colour = fc.tuple(
  fc.integer({ min: 45, max: 85 }),
  fc.integer({ min: -30, max: 30 }),
  fc.integer({ min: -30, max: 30 }),
);

describe('a place that was coloured before', () => {
  it('looks as it is seen, whatever tooth is left', () => {
    fc.assert(
      fc.property(colour, fc.constantFrom(...TOOTH_LEFT), (lab, toothLeft) => {
        const ground = workedGround(whiteBook, lab as Lab, toothLeft);
        expect(deltaE2000(labOfSpectrum(reflectanceOf(ground)), lab as Lab)).to.be.below(3);
      }),
    );
  });

  it('takes less of a pencil the less tooth it has left, and bare paper takes most', () => {
    const lab = labOfHex('#d9cf9c');
    const changes = [...TOOTH_LEFT].map((toothLeft) => {
      const ground = workedGround(whiteBook, lab, toothLeft);
      return deltaE2000(
        labOfSpectrum(reflectanceOf(ground)),
        layPasses(ground, [{ pencil: red, pressure: 'medium' }]).lab,
      );
    });
    expect(changes).to.deep.equal([...changes].sort((a, b) => b - a));
    const stained = stainedGround(whiteBook, lab);
    expect(deltaE2000(lab, layPasses(stained, [{ pencil: red, pressure: 'medium' }]).lab)).to.be.above(changes[2]);
  });
});

describe('a printed grey', () => {
  it('is seen as printed, keeps all its tooth, and makes what is laid on it darker than on bare paper', () => {
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 90 }), (lightness) => {
        const ground = stainedGround(whiteBook, [lightness, 0, 0]);
        expect(deltaE2000(labOfSpectrum(reflectanceOf(ground)), [lightness, 0, 0])).to.be.below(1);
        expect(ground.filled).to.equal(0);
        const on = (from: typeof ground) => layPasses(from, [{ pencil: red, pressure: 'light' }]).lab[0];
        expect(on(ground)).to.be.below(on(stainedGround(whiteBook, labOfHex(whiteBook.tint))));
      }),
    );
  });
});

describe('a paper with a tint of its own', () => {
  it('is of its kind in all but the tint, and goes back to what its kind has', () => {
    for (const { id, rough, tooth, name } of PAPERS) {
      const tinted = tintedPaper(id, '#F3EAD8');
      expect(paperById(tinted)).to.include({ id: tinted, tint: '#f3ead8', rough, tooth, name });
      expect(paperKind(tinted)).to.equal(id);
      expect(tintedPaper(tintedPaper(tinted, '#102030'), null)).to.equal(id);
    }
  });

  it('that is no colour is refused', () => {
    for (const id of ['white-book/', 'white-book/red', 'white-book/f3ead8ff', 'felt/f3ead8'])
      expect(() => paperById(id), id).to.throw(RangeError, 'no paper called');
  });
});

describe('paper under an alcohol marker and under paint', () => {
  const lab: Lab = [72, 20, 40];
  const laid = (ground: ReturnType<typeof bareGround>, passes: number) =>
    layPasses(ground, new Array<Pass>(passes).fill({ pencil: red, pressure: 'medium' }));

  it('looks as it is seen before anything is laid', () => {
    for (const ground of [markedGround(whiteBook, lab), paintedGround(whiteBook, lab)])
      expect(deltaE2000(layPasses(ground, []).lab, lab)).to.be.below(3);
  });

  it('takes less pencil than bare paper, paint hardly any; the marker’s colour shows between the strokes', () => {
    const [bare, marked, painted] = [
      bareGround(whiteBook),
      markedGround(whiteBook, lab),
      paintedGround(whiteBook, lab),
    ];
    const mass = [bare, marked, painted].map((ground) => laid(ground, 6).ground.mass - ground.mass);
    expect(mass[1]).to.be.below(0.9 * mass[0]);
    expect(mass[2]).to.be.below(0.75 * mass[1]);
    const stained = stainedGround(whiteBook, lab);
    expect(laid(marked, 6).toothLeft).to.be.below(laid(stained, 6).toothLeft);
    // One pass on orange is warmer than on white.
    expect(laid(marked, 1).lab[2]).to.be.above(laid(bare, 1).lab[2] + 5);
  });
});
