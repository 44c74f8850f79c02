import { type Ground, type PencilOptics } from '../core/laydown/index.ts';
import { type Region } from '../core/lineart/index.ts';
import { type ToneTable, toneTables } from '../core/preview/index.ts';
import { type Recipe, layersFor } from '../core/recipe/index.ts';

/** What is laid on the regions of a thing. */
export interface LaidThing {
  id: string;
  regionIds: readonly number[];
  recipe: Recipe | null;
}

/**
 * The tone table that each region is painted by, at its id; null where nothing is laid. Like regions share a table,
 * and tables are kept in `built` for the next time.
 * @param upTo layers laid so far by thing id; things that are not named have all of theirs
 * @param opticsOf the optics of a pencil, and a key that changes when they do
 */
export function regionTables(
  things: readonly LaidThing[],
  regions: readonly Region[],
  upTo: Readonly<Record<string, number>>,
  opticsOf: (pencil: string) => { optics: PencilOptics; key: string },
  ground: { ground: Ground; key: string },
  built: Map<string, ToneTable[]>,
): (ToneTable | null)[] {
  const widthOf = new Map(regions.map((region) => [region.id, region.usableWidthMm]));
  const tables: (ToneTable | null)[] = new Array(regions.length + 1).fill(null);
  for (const { id, regionIds, recipe } of things) {
    if (!recipe) continue;
    const laid = recipe.layers.slice(0, upTo[id] ?? recipe.layers.length);
    const pencils = new Map(recipe.layers.map(({ pencil }) => [pencil, opticsOf(pencil)]));
    const optics = new Map([...pencils].map(([pencil, each]) => [pencil, each.optics]));
    for (const regionId of regionIds) {
      const layers = layersFor(recipe, widthOf.get(regionId) ?? 0);
      const key = JSON.stringify([
        layers,
        recipe.halfWidthMm,
        ground.key,
        layers.map(({ pencil }) => pencils.get(pencil)!.key),
      ]);
      let all = built.get(key);
      if (!all) built.set(key, (all = toneTables(layers, optics, ground.ground, recipe.halfWidthMm)));
      tables[regionId] = all[layers.filter((layer) => laid.includes(layer)).length];
    }
  }
  return tables;
}
