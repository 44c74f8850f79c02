import { type PencilOptics } from '../laydown/index.ts';
import { type Region } from '../lineart/index.ts';
import { type Looking, type ToneStack, type ToneTable, toneStack } from '../preview/index.ts';
import { type Layer, type Recipe, layersFor } from '../recipe/index.ts';
import { type KeyedGround } from './grounds.ts';

/** What is laid on the regions of a thing. */
export interface LaidThing {
  id: string;
  regionIds: readonly number[];
  recipe: Recipe | null;
}

/**
 * The tone table that each region is painted by, at its id; null where nothing lies on bare paper. Like regions share a table,
 * and stacks are kept in `built` for the next time.
 * @param upTo layers laid so far by thing id; things that are not named have all of theirs
 * @param grounded ids of the regions that hold something before anything is laid
 * @param looking the lamp to see it by, and how finely
 * @param opticsOf the optics of a pencil, and a key that changes when they do
 */
export function regionTables(
  things: readonly LaidThing[],
  regions: readonly Region[],
  upTo: Readonly<Record<string, number>>,
  opticsOf: (pencil: string) => { optics: PencilOptics; key: string },
  groundOf: (regionId: number) => KeyedGround,
  grounded: Iterable<number>,
  built: Map<string, ToneStack>,
  looking: Looking = {},
): (ToneTable | null)[] {
  const { lamp, every = 1 } = looking;
  const widthOf = new Map(regions.map((region) => [region.id, region.usableWidthMm]));
  const tables: (ToneTable | null)[] = new Array(regions.length + 1).fill(null);
  const stackFor = (key: string, build: () => ToneStack) => {
    let stack = built.get(key);
    // What was worked out more finely serves as well.
    if (!stack || stack.every > every) built.set(key, (stack = build()));
    return stack;
  };
  for (const id of grounded) {
    const { ground, key } = groundOf(id);
    tables[id] = stackFor(`${key} ${lamp?.id ?? ''}`, () => toneStack([], new Map(), ground, looking)).after(0);
  }
  for (const { id, regionIds, recipe } of things) {
    if (!recipe) continue;
    const laid = recipe.layers.slice(0, upTo[id] ?? recipe.layers.length);
    try {
      paint(regionIds, recipe, laid);
    } catch (error) {
      // A recipe that cannot be worked out leaves its own thing bare, which is told where its layers are; the rest of
      // the page is painted.
      if (!(error instanceof RangeError)) throw error;
    }
  }
  return tables;

  function paint(regionIds: readonly number[], recipe: Recipe, laid: readonly Layer[]): void {
    const pencils = new Map(recipe.layers.map(({ pencil }) => [pencil, opticsOf(pencil)]));
    const optics = new Map([...pencils].map(([pencil, each]) => [pencil, each.optics]));
    // How many layers find room tells which: the wider a region, the more of the same.
    const made = new Map<string, ToneTable>();
    for (const regionId of regionIds) {
      const layers = layersFor(recipe, widthOf.get(regionId) ?? 0);
      const { ground, key: groundKey } = groundOf(regionId);
      const like = `${layers.length} ${groundKey}`;
      let table = made.get(like);
      if (!table) {
        const key = JSON.stringify([lamp?.id, layers, groundKey, layers.map(({ pencil }) => pencils.get(pencil)!.key)]);
        const stack = stackFor(key, () => toneStack(layers, optics, ground, looking));
        table = stack.after(layers.filter((layer) => laid.includes(layer)).length);
        made.set(like, table);
      }
      tables[regionId] = table;
    }
  }
}
