import { expect } from 'chai';
import fc from 'fast-check';
import { bareAfter, fittedPaper, paperById, whiteBook } from '../index.ts';
import {
  BELIEFS,
  type PaperFit,
  beliefOfAll,
  beliefOn,
  carriedFit,
  declaredFit,
  sureDifference,
  typicalPencil,
} from './index.ts';

const found: PaperFit = {
  ...declaredFit(whiteBook),
  rough: 0.8,
  stray: 0.6,
  tooth: 1.1,
  spread: 0.7,
  hand: { light: 0.6, firm: 0.9 },
  crush: 0.7,
  yuleNielsen: 2.2,
  slope: 0.5,
  tinted: 0.1,
};

describe('carrying what swatches say', () => {
  it('to the same paper changes nothing, and there and back again neither', () => {
    expect(carriedFit(found, whiteBook, whiteBook)).to.deep.equal(found);
    const kraft = paperById('kraft-card');
    const back = carriedFit(carriedFit(found, whiteBook, kraft), kraft, whiteBook);
    expect(back.rough).to.be.closeTo(found.rough, 1e-12);
    expect(back.tooth).to.be.closeTo(found.tooth, 1e-12);
  });

  it('keeps the hand, and leaves rough paper rougher than smooth', () => {
    const onKraft = carriedFit(found, whiteBook, paperById('kraft-card'));
    expect(onKraft.hand).to.deep.equal(found.hand);
    expect(onKraft.rough).to.be.above(found.rough);
  });

  it('keeps papers apart: kraft goes on leaving more paper than a smooth page, whatever was found of that', () => {
    const soft = { ...found, rough: 0.7, stray: 1.25 };
    const kraft = paperById('kraft-card');
    const bare = (paper: typeof whiteBook, fit: PaperFit) => bareAfter(fittedPaper(paper, fit), 'light', 4);
    expect(bare(kraft, carriedFit(soft, whiteBook, kraft))).to.be.above(1.2 * bare(whiteBook, soft));
  });

  it('a pencil never swatched is as the middle of its kind, or of all where none is of its kind', () => {
    const fit = (laydown: number) => ({ laydown, scatter: 2 * laydown, fills: laydown });
    const fitted = [1, 2, 9].map((laydown) => ({ type: 'oil', fit: fit(laydown) }));
    expect(typicalPencil(fitted, 'oil')).to.deep.equal({ laydown: 2, scatter: 4, fills: 2 });
    expect(typicalPencil([...fitted, { type: 'wax', fit: fit(5) }], 'wax')!.laydown).to.equal(5);
    expect(typicalPencil(fitted, 'pastel')!.laydown).to.equal(2);
    expect(typicalPencil([], 'oil')).to.equal(null);
  });
});

describe('what a colour rests on', () => {
  it('is never surer than its ground usually is, nor than the fit says', () => {
    expect(beliefOn('fitted', 0.2).apart).to.equal(1.5);
    expect(beliefOn('fitted', 3).apart).to.equal(3);
    expect(beliefOn('fitted').apart).to.be.below(beliefOn('read once').apart);
    expect(beliefOn('read once').apart).to.be.below(beliefOn('declared').apart);
  });

  it('of several is the least sure of them, and lies between the surest and the least sure', () => {
    const belief = fc.record({
      ground: fc.constantFrom(...BELIEFS),
      apart: fc.double({ min: 0, max: 9, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(belief, { minLength: 1, maxLength: 9 }), (some) => {
        const all = beliefOfAll(some)!;
        const [least, most] = [Math.min, Math.max].map((of) => of(...some.map(({ apart }) => apart)));
        expect(all.apart).to.be.within(least - 1e-9, most + 1e-9);
        expect(BELIEFS.indexOf(all.ground)).to.equal(Math.max(...some.map(({ ground }) => BELIEFS.indexOf(ground))));
      }),
    );
    expect(beliefOfAll([])).to.equal(null);
  });

  it('makes a small difference unsure: two declared colours less than ones fitted', () => {
    const [declared, fitted] = [beliefOn('declared'), beliefOn('fitted')];
    expect(sureDifference(declared, declared)).to.be.above(sureDifference(fitted, declared));
    expect(sureDifference(fitted, fitted)).to.be.closeTo(1.5 * Math.SQRT2, 1e-9);
  });
});
