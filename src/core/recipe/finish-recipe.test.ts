import { expect } from 'chai';
import fc from 'fast-check';
import { bareGround, paperById } from '../laydown/index.ts';
import {
  EFFECTS,
  REACHED,
  SCHOOLS,
  checkRecipe,
  compileRecipe,
  familyOf,
  fillPaper,
  finishRecipe,
  largestSoftStep,
  rangeOnThing,
} from './index.ts';
import { BLUES, BROWNS, opticsOf } from './test/pencils.ts';

const optics = opticsOf('wax');
const FAMILIES = [BLUES, BROWNS, familyOf(['night', 'blue', 'ochre', 'lemon'])];
const PAPERS = ['white-book', 'cream-sheet', 'toothed-white'] as const;
const smooth = EFFECTS.filter(({ leavesBare, jumps }) => leavesBare <= 0.04 && !jumps);

/** A thing of this width, as its effect is compiled for it. */
function compiled(effect: string, school: string, family: (typeof FAMILIES)[number], mm: number) {
  const context = { regions: [{ usableWidthMm: mm, areaMm2: mm * mm }], heightMm: mm };
  return { context, recipe: compileRecipe(effect, school, family, context) };
}

describe('a finished recipe', () => {
  const among = fc.record({
    effect: fc.constantFrom(...smooth.map(({ id }) => id)),
    school: fc.constantFrom(...SCHOOLS.map(({ id }) => id)),
    family: fc.constantFrom(...FAMILIES),
    mm: fc.constantFrom(3, 8, 20, 60),
    paper: fc.constantFrom(...PAPERS),
  });

  it('passes softly wherever no edge is meant to be hard: no step over 8 L* a twentieth of the way', () => {
    const steps: { filled: number; finished: number }[] = [];
    fc.assert(
      fc.property(among, ({ effect, school, family, mm, paper }) => {
        const ground = bareGround(paperById(paper));
        const { recipe, context } = compiled(effect, school, family, mm);
        const filled = fillPaper(recipe, context, (pencil) => optics.get(pencil), ground);
        const finished = finishRecipe(recipe, context, optics, ground);
        steps.push({
          filled: largestSoftStep(filled, optics, ground),
          finished: largestSoftStep(finished, optics, ground),
        });
      }),
      { numRuns: 70, seed: 21 },
    );
    // Where a harsh pair of pencils meets on a few millimetres nothing else closes the paper.
    expect(steps.filter(({ finished }) => finished > 8.2).length / steps.length).to.be.below(0.1);
    for (const { filled, finished } of steps) expect(finished).to.be.at.most(Math.max(8.2, filled + 1e-6));
  });

  it('reaches from dark to light on all that is wide and not told flat, whatever its effect', () => {
    const ground = bareGround(paperById('white-book'));
    for (const { id } of EFFECTS) {
      for (const family of FAMILIES) {
        const { recipe, context } = compiled(id, 'base-coat-first', family, 30);
        const range = rangeOnThing(finishRecipe(recipe, context, optics, ground), context, optics, ground);
        expect(range, id).to.be.at.least(REACHED.range);
      }
    }
  });

  it('has no finding that it would not have had if its values had been left alone', () => {
    fc.assert(
      fc.property(among, ({ effect, school, family, mm, paper }) => {
        const ground = bareGround(paperById(paper));
        const { recipe, context } = compiled(effect, school, family, mm);
        const kinds = (of: typeof recipe) => checkRecipe(of, context, optics, ground).map(({ kind }) => kind);
        const before = kinds(fillPaper(recipe, context, (pencil) => optics.get(pencil), ground));
        expect(before).to.include.members(kinds(finishRecipe(recipe, context, optics, ground)));
      }),
      { numRuns: 30 },
    );
  });
});
