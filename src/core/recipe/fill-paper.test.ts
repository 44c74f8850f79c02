import { expect } from 'chai';
import fc from 'fast-check';
import { type Hand, PRESS, bareGround, layPasses, paperById } from '../laydown/index.ts';
import {
  EFFECTS,
  type Recipe,
  SCHOOLS,
  checkRecipe,
  compileRecipe,
  countedForHand,
  effectById,
  familyOf,
  fillPaper,
  gentleRecipe,
  samplePlaces,
  withEdits,
} from './index.ts';
import { BLUES, BROWNS, opticsOf } from './test/pencils.ts';

const TYPES = ['wax', 'oil', 'pastel', 'water-soluble'] as const;
const optics = Object.fromEntries(TYPES.map((type) => [type, opticsOf(type)]));
const SIZES = [1, 3, 8, 20, 60];
const HANDS: Hand[] = [{}, { whisper: 0.7, light: 0.65, medium: 0.65, firm: 0.75, burnish: 0.85 }];
const families = [BLUES, BROWNS, familyOf(['blue', 'sky'])];
const widthOf = (mm: number) => ({ regions: [{ usableWidthMm: mm, areaMm2: mm * mm }] });
const smooth = EFFECTS.filter(({ leavesBare }) => leavesBare <= 0.04);

/** Places on which more than a whisper lies, with what of the paper shows there. */
function openPlaces(recipe: Recipe, mm: number, type: string, ground: ReturnType<typeof bareGround>) {
  return samplePlaces(recipe, optics[type], ground, { widthMm: mm }).filter(({ layers }) =>
    layers.some((i) => !recipe.layers[i].tool && recipe.layers[i].pressure !== 'whisper'),
  );
}

describe('a plan that closes the paper', () => {
  const among = fc.record({
    effect: fc.constantFrom(...smooth),
    school: fc.constantFrom(...SCHOOLS),
    family: fc.constantFrom(...families),
    mm: fc.constantFrom(...SIZES),
    type: fc.constantFrom(...TYPES),
    paper: fc.constantFrom('white-book', 'cream-sheet', 'toothed-white', 'toned-grey-card'),
    hand: fc.constantFrom(...HANDS),
  });

  it('shows at most 4% of it where it is to be smooth, on four papers and in both hands, at every size', () => {
    const shown = new Map<string, number[]>();
    fc.assert(
      fc.property(among, ({ effect, school, family, mm, type, paper, hand }) => {
        const ground = bareGround({ ...paperById(paper), hand });
        const context = widthOf(mm);
        const compiled = countedForHand(compileRecipe(effect.id, school.id, family, context), hand);
        const filled = fillPaper(compiled, context, (pencil) => optics[type].get(pencil), ground);
        const places = openPlaces(filled, mm, type, ground);
        const mean = places.reduce((sum, { specks }) => sum + specks, 0) / Math.max(1, places.length);
        shown.set(effect.id, [...(shown.get(effect.id) ?? []), mean]);
        if (filled.layers.some(({ tool }) => tool)) return;
        const found = checkRecipe(filled, context, optics[type], ground).map(({ kind }) => kind);
        expect(
          mean <= effect.leavesBare + 0.02 || found.includes('paper-shows'),
          `${effect.id} ${school.id} ${mm} mm ${type} on ${paper}: ${mean}`,
        ).to.equal(true);
      }),
      { numRuns: 150 },
    );
    const all = [...shown.values()].flat();
    expect(all.filter((mean) => mean <= 0.04).length / all.length).to.be.above(0.9);
  });

  it('goes over layers more often or presses the last harder, and changes nothing else', () => {
    fc.assert(
      fc.property(among, ({ effect, school, family, mm, type, paper }) => {
        const compiled = compileRecipe(effect.id, school.id, family, widthOf(mm));
        const ground = bareGround(paperById(paper));
        const filled = fillPaper(compiled, widthOf(mm), (pencil) => optics[type].get(pencil), ground);
        filled.layers.forEach((layer, i) => {
          const { passes, pressure, ...rest } = layer;
          const { passes: before, pressure: pressed, ...own } = compiled.layers[i];
          expect(rest).to.deep.equal(own);
          expect(passes).to.be.within(before, 6);
          expect(PRESS[pressure]).to.be.at.least(PRESS[pressed]);
        });
      }),
      { numRuns: 60 },
    );
  });

  it('leaves paper where paper is the texture, and where only whispers lie', () => {
    const ground = bareGround(paperById('white-book'));
    for (const id of ['stone', 'snow', 'glass', 'pearl', 'cloud']) {
      const recipe = compileRecipe(id, 'base-coat-first', families[0], widthOf(20));
      const places = samplePlaces(
        fillPaper(recipe, widthOf(20), (pencil) => optics.wax.get(pencil), ground),
        optics.wax,
        ground,
      );
      expect(places.reduce((sum, { specks }) => sum + specks, 0) / places.length, id).to.be.above(0.05);
      expect(effectById(id).leavesBare).to.be.above(0.1);
    }
  });

  it('presses no harder than a gentle hand may', () => {
    const ground = bareGround(paperById('toothed-white'));
    for (const { id } of smooth) {
      const gentle = gentleRecipe(compileRecipe(id, 'dark-first', families[0], widthOf(20)));
      const filled = fillPaper(gentle, widthOf(20), (pencil) => optics.wax.get(pencil), ground, 'medium');
      for (const { pressure } of filled.layers) expect(PRESS[pressure], id).to.be.at.most(PRESS.medium);
    }
  });

  it('is asked for where a change by hand opens it again, with what closes it', () => {
    const ground = bareGround(paperById('white-book'));
    const recipe = compileRecipe('blend', 'base-coat-first', families[0], widthOf(20));
    const filled = fillPaper(recipe, widthOf(20), (pencil) => optics.wax.get(pencil), ground);
    const kinds = (of: Recipe) => checkRecipe(of, widthOf(20), optics.wax, ground);
    expect(kinds(filled).map(({ kind }) => kind)).to.not.include('paper-shows');
    const once = { passes: 1, pressure: 'light' as const };
    const opened = withEdits(filled, { layers: { base: once, middle: once, shadow: once, unify: once } });
    const finding = kinds(opened).find(({ kind }) => kind === 'paper-shows')!;
    expect(finding.sentence).to.match(/^Up to \d+% of the paper still shows/);
    expect(kinds(withEdits(opened, finding.change!)).map(({ kind }) => kind)).to.not.include('paper-shows');
  });

  it('leaves a long gradient without a jump: its bands are as wide as their values lie apart', () => {
    const ground = bareGround(paperById('white-book'));
    const labOf = (id: string) => layPasses(ground, [{ pencil: optics.wax.get(id)!, pressure: 'medium' }]).lab;
    const context = { ...widthOf(60), heightMm: 100, labOf };
    const places = Array.from({ length: 21 }, (_, k) => ({ along: { value: k / 20, source: 0 } }));
    for (const pencils of [
      ['night', 'sky'],
      ['night', 'blue', 'sky'],
      ['russet', 'ochre', 'lemon'],
    ]) {
      const compiled = compileRecipe('long-gradient-by-step', 'base-coat-first', familyOf(pencils), context);
      const recipe = fillPaper(compiled, context, (pencil) => optics.wax.get(pencil), ground);
      const values = samplePlaces(recipe, optics.wax, ground, { places }).map(({ lab }) => lab[0]);
      const steps = values.slice(1).map((value, k) => Math.abs(value - values[k]));
      expect(Math.max(...steps), pencils.join()).to.be.below(9);
      expect(Math.max(...values) - Math.min(...values), pencils.join()).to.be.above(40);
    }
  });
});
