import { type Recipe } from '../../../core/recipe/index.ts';
import { type Desk } from '../../desk/desk-context.ts';
import { thingsOf } from '../../../plan/index.ts';

/** What the worker needs to lay a thing's recipe: its pencils and some more, the paper, and what lies there already. */
export function laydownInputs(
  { sheet, page, pencilById, paperModel, grounds }: Desk,
  thingId: string,
  recipe: Recipe,
  more: readonly string[] = [],
) {
  const regionIds = thingsOf(sheet.plan).find(({ id }) => id === thingId)?.regionIds ?? [];
  const regions = regionIds.flatMap((id) => page?.regions[id - 1] ?? []);
  const largest = regions.length > 0 ? regions.reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a)) : null;
  const pencils = [...new Set([...recipe.layers.map(({ pencil }) => pencil), ...more])].flatMap((id) => {
    const pencil = pencilById.get(id);
    return pencil ? [paperModel.trayPencil(pencil)] : [];
  });
  return { pencils, paper: paperModel.paper, onGround: largest ? (grounds.get(largest.id) ?? null) : null };
}
