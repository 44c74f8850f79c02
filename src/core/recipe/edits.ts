import { MOST_FIELDS } from './zone.ts';
import type { Layer, LayerEdit, RecipeEdits } from './schemas.ts';
import { type Recipe } from './recipe.ts';

/**
 * A recipe with a person's changes. What is said of layers that it does not have is left out, so that changes outlive a
 * change of family, width or effect as far as they mean anything.
 */
export function withEdits(
  recipe: Recipe,
  { layers = {}, without = [], added = [], order = [] }: RecipeEdits = {},
): Recipe {
  const own = new Set(recipe.layers.map(({ id }) => id));
  const fitted = fittedTo(
    recipe,
    added.filter(({ id }) => !own.has(id)),
  );
  const all = [...recipe.layers, ...fitted.layers].filter(({ id }) => !without.includes(id));
  return {
    ...recipe,
    notes: [...recipe.notes, ...fitted.notes],
    layers: inOrder(
      all.map((layer) => edited(layer, layers[layer.id])),
      order,
    ),
  };
}

/**
 * Layers of a person's own as a recipe can have them. Where its effect leaves no room for the field that one looks at, it
 * looks at the effect's own, with the same ends: a layer outlives a change of effect.
 */
function fittedTo({ layers }: Recipe, added: readonly Layer[]): { layers: Layer[]; notes: string[] } {
  const known = new Map(
    layers.flatMap(({ zone }) => [zone, ...(zone.and ? [zone.and] : [])].map((span) => [span.field, span])),
  );
  const notes: string[] = [];
  const fitted = added.map((layer) => {
    const spans = [layer.zone, ...(layer.zone.and ? [layer.zone.and] : [])];
    const strange = spans.filter(({ field }) => !known.has(field));
    if (known.size + new Set(strange.map(({ field }) => field)).size <= MOST_FIELDS) {
      for (const span of strange) known.set(span.field, span);
      return layer;
    }
    const [field, { overMm }] = [...known][0]!;
    const { from, to, softnessMm, hardTo } = layer.zone;
    notes.push(
      `A layer of your own looked at ${strange[0]!.field}; this effect looks at ${[...known.keys()].join(' and ')}, and so does your layer now.`,
    );
    return { ...layer, zone: { field, overMm, from, to, softnessMm, hardTo } };
  });
  return { layers: fitted, notes };
}

function edited(layer: Layer, edit: LayerEdit = {}): Layer {
  const { from, to, softnessMm, hardTo, direction, tool, colour, dryMinutes, ...plain } = edit;
  const zone = { ...layer.zone };
  if (from !== undefined) zone.from = from;
  if (to !== undefined) zone.to = to;
  if (softnessMm !== undefined) zone.softnessMm = softnessMm;
  if (hardTo !== undefined) zone.hardTo = hardTo;
  // An interval that was turned over by two changes is no interval: it keeps the older end.
  if (zone.from >= zone.to) Object.assign(zone, { from: layer.zone.from, to: layer.zone.to });
  const next: Layer = { ...layer, ...plain, zone };
  if (direction !== undefined) next.direction = direction ?? undefined;
  if (tool !== undefined) next.tool = tool ?? undefined;
  if (colour !== undefined) next.colour = colour ?? undefined;
  if (dryMinutes !== undefined) next.dryMinutes = dryMinutes || undefined;
  return next;
}

function inOrder(layers: readonly Layer[], order: readonly string[]): Layer[] {
  if (order.length === 0) return [...layers];
  const place = new Map(order.map((id, i) => [id, i]));
  let last = -1;
  const keys = layers.map(({ id }, i) => {
    last = place.get(id) ?? last;
    return { i, key: place.has(id) ? last : last + 0.5 };
  });
  return keys.sort((p, q) => p.key - q.key || p.i - q.i).map(({ i }) => layers[i]!);
}

/** Changes with some more made after them. */
export function mergedEdits(before: RecipeEdits, more: RecipeEdits): RecipeEdits {
  const layers: Record<string, LayerEdit> = { ...before.layers };
  for (const [id, edit] of Object.entries(more.layers ?? {})) layers[id] = { ...layers[id], ...edit };
  const gone = new Set(more.without ?? []);
  const added = [...(before.added ?? []), ...(more.added ?? [])];
  const merged: RecipeEdits = {
    layers,
    without: [...new Set([...(before.without ?? []), ...gone])].filter((id) => !added.some((layer) => layer.id === id)),
    added: added.filter(({ id }) => !gone.has(id)),
    order: more.order ?? before.order ?? [],
  };
  return tidied(merged);
}

/** Without the parts that say nothing; empty where nothing is changed. */
function tidied({ layers = {}, without = [], added = [], order = [] }: RecipeEdits): RecipeEdits {
  return {
    ...(Object.keys(layers).length > 0 && { layers }),
    ...(without.length > 0 && { without }),
    ...(added.length > 0 && { added }),
    ...(order.length > 0 && { order }),
  };
}
