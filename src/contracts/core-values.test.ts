import { expect } from 'chai';
import type { z } from 'zod';
import { REPAIR, type StepFacts, makeSteps, withRepairs } from '../core/bench/index.ts';
import { RepairOfThing, Step } from '../core/bench/schemas.ts';
import { PAPERS, declaredFit } from '../core/laydown/index.ts';
import { PaperFit } from '../core/laydown/schemas.ts';
import { findRegions } from '../core/lineart/index.ts';
import { Border, Doubt, Region } from '../core/lineart/schemas.ts';
import { EFFECTS, SCHOOLS, cardOf, compileRecipe, familyOf } from '../core/recipe/index.ts';
import { Card, Family, Layer } from '../core/recipe/schemas.ts';

/** Whether a value goes into storage whole: nothing that is not named is dropped, nothing is out of its range. */
function comesThrough<T extends z.ZodType>(schema: T, value: z.output<T>): void {
  expect(schema.parse(JSON.parse(JSON.stringify(value)))).to.deep.equal(value);
}

const PENCILS = ['peat-brown', 'red-ochre', 'ochre-two', 'lamp-yellow', 'pale-straw'];
const EXTRAS = { blender: 'white-wax', depth: 'night-blue', accent: 'moss-green', neutral: 'grey-stone' };
const families = [1, 2, 3, 5].flatMap((count) => [
  familyOf(PENCILS.slice(0, count)),
  familyOf(PENCILS.slice(0, count), EXTRAS),
]);

/** Every effect by every school in families of every size, on shapes from a hair's breadth to a whole sky. */
const recipes = EFFECTS.flatMap((effect) =>
  SCHOOLS.flatMap((school) =>
    families.flatMap((family) =>
      [0.6, 4, 30].map((usableWidthMm) => ({
        family,
        recipe: compileRecipe(effect.id, school.id, family, { regions: [{ usableWidthMm, areaMm2: 40 }] }),
      })),
    ),
  ),
);

/** Sixteen cells, one of them with a speck in it, and a line that gapes. */
function drawnPage() {
  const isInk = (x: number, y: number) =>
    (x % 60 < 3 && !(y > 30 && y < 36 && x > 100)) || y % 60 < 3 || (x > 8 && x < 12 && y > 8 && y < 12);
  const data = new Uint8Array(240 * 240).map((_, i) => (isInk(i % 240, Math.floor(i / 240)) ? 10 : 250));
  return findRegions({ width: 240, height: 240, data }, { pixelsPerMm: 10 });
}

describe('what is worked out goes into storage as it is', () => {
  it('layers of every recipe, and the family that they are laid with', () => {
    for (const family of families) comesThrough(Family, family);
    for (const { recipe } of recipes) for (const layer of recipe.layers) comesThrough(Layer, layer);
  });

  it('recipe cards, with what was changed by hand', () => {
    for (const { recipe, family } of recipes.filter((_, k) => k % 7 === 0)) {
      const [layer] = recipe.layers;
      const edits = { layers: { [layer.id]: { passes: 3, tool: null } }, without: [recipe.layers.at(-1)!.id] };
      comesThrough(Card, cardOf(recipe, family, edits));
    }
  });

  it('regions of a page, their borders and what is doubtful about them', async () => {
    const page = await drawnPage();
    for (const region of page.regions) comesThrough(Region, region);
    for (const border of page.neighbours) comesThrough(Border, border);
    for (const doubt of page.doubts) comesThrough(Doubt, doubt);
    for (const found of [page.regions, page.neighbours, page.doubts]) expect(found.length).to.be.above(0);
  });

  it('steps of all of them, and repairs among them', async () => {
    const { regions } = await drawnPage();
    const facts: StepFacts = { valueOf: () => 50, pointsOf: () => 0.4, isSoft: () => true };
    const repair = {
      id: `${REPAIR}one`,
      regionIds: [1, 2],
      pencil: PENCILS[0],
      pressure: 'light' as const,
      passes: 2,
      areaMm2: 12.5,
      when: 'next' as const,
      purpose: 'Evens out what came out patchy.',
    };
    comesThrough(RepairOfThing, repair);
    for (const { recipe } of recipes) {
      const steps = makeSteps([{ id: 'bell-one', regions, recipe }], facts);
      const repaired = withRepairs(
        steps,
        [{ ...repair, thingId: 'bell-one' }],
        new Map(regions.map((region) => [region.id, region])),
        facts,
      );
      for (const step of repaired) comesThrough(Step, step);
    }
  });

  it('what is declared of papers, as a fit that found nothing else', () => {
    for (const paper of PAPERS) comesThrough(PaperFit, declaredFit(paper));
  });
});
