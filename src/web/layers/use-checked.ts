import { useMemo } from 'react';
import type { Thing } from '../../contracts/index.ts';
import { type Beside, type Recipe } from '../../core/recipe/index.ts';
import { thingsOf } from '../../plan/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { type OutputOf, type PencilJobs, pencilJobs, useAnswer } from '../workers/index.ts';

export type Checked = OutputOf<PencilJobs['checkRecipe']>;

/** Size of the predicted passage, pixels. */
const PASSAGE = { width: 320, height: 32 };

/**
 * What a thing's recipe comes to, or why that cannot be worked out; null for both until it is known.
 * @param before the recipe that was just changed into this one
 */
export function useChecked(
  thing: Thing,
  recipe: Recipe,
  before: Recipe | null,
): { checked: Checked | null; fault: string | null } {
  const { sheet, page, pencilById, paperModel, grounds } = useDesk();
  const { paperFacts } = sheet.plan;
  const beside = useBeside(thing);
  const regions = useMemo(() => thing.regionIds.flatMap((id) => page?.regions[id - 1] ?? []), [thing.regionIds, page]);
  const { weightGsm, waterSafe, inkRuns } = paperFacts;
  const ask = () => {
    const layers = [...recipe.layers, ...(before?.layers ?? [])];
    const pencils = [...new Set(layers.map((layer) => layer.pencil))].flatMap((id) => {
      const pencil = pencilById.get(id);
      return pencil ? [paperModel.trayPencil(pencil)] : [];
    });
    const largest = regions.reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a));
    return pencilJobs.start('checkRecipe', {
      recipe,
      before,
      regions,
      pencils,
      paper: paperModel.paper,
      onGround: grounds.get(largest.id) ?? null,
      beside: { ...beside, paper: { weightGsm, waterSafe, inkRuns } },
      width: PASSAGE.width,
      height: PASSAGE.height,
    });
  };
  const inputs = [recipe, before, regions, paperModel, pencilById, grounds, beside, weightGsm, waterSafe, inkRuns];
  const { value, sentence } = useAnswer(regions.length > 0 ? [ask] : [], inputs);
  return { checked: sentence === null ? value : null, fault: sentence };
}

/** How pale the things are that a thing touches. */
function useBeside({ id, regionIds }: Thing): Pick<Beside, 'neighbours'> {
  const { sheet, page, recipes, laid } = useDesk();
  const things = thingsOf(sheet.plan);
  return useMemo(() => {
    const own = new Set(regionIds);
    const touched = new Set(
      (page?.neighbours ?? []).flatMap(({ a, b }) => (own.has(a) !== own.has(b) ? [own.has(a) ? b : a] : [])),
    );
    const neighbours = things.flatMap((thing) => {
      if (thing.id === id || !thing.regionIds.some((region) => touched.has(region))) return [];
      const values = (recipes.get(thing.id)?.layers ?? []).flatMap(({ pencil }) => laid.get(pencil)?.body[0] ?? []);
      return values.length > 0 ? [{ name: thing.name, palest: Math.max(...values) }] : [];
    });
    return { neighbours };
  }, [id, regionIds, page, things, recipes, laid]);
}
