import { toolById } from '../laydown/index.ts';
import type { Layer, LayerEdit, RecipeEdits, Zone } from './schemas.ts';
import { type Recipe } from './recipe.ts';
import { fieldsOf } from './zone.ts';

/** Where a highlight begins, as long as no layer of a recipe says so. */
const HIGHLIGHT_FROM = 0.85;
/** Fields at whose upper end a highlight lies; of the others so much is touched where they are palest. */
const HAVE_HIGHLIGHTS = ['tone', 'glow', 'turn'] as const;
const TOUCH = 0.05;

/**
 * A layer that is laid with a tool, as it is begun: where that tool is usually put, how it is worked, and how long it dries.
 * @param id of the new layer
 * @throws RangeError for a tool that is not known, or a recipe without layers
 */
export function layerWith(recipe: Recipe, tool: string, id: string): Layer {
  const model = recipe.layers.at(-1);
  if (!model) throw new RangeError('A layer is added to a recipe that has some.');
  const { coloured, on, draws, driesMinutes } = toolById(tool);
  const plain: Layer = {
    id,
    pencil: model.pencil,
    role: coloured && on === 'highlight' ? 'white' : model.role,
    pressure: 'medium',
    passes: 1,
    zone: zoneFor(recipe, on),
    stroke: draws ? 'fine lines' : model.stroke,
    point: on === 'highlight' ? 'sharp' : model.point,
    tool,
    purpose: toolById(tool).how,
    fromWidthMm: 0,
  };
  if (driesMinutes !== undefined) plain.dryMinutes = driesMinutes;
  return plain;
}

/**
 * What changes in a recipe that gets a layer with a tool: the layer, and the place in the order that the tool asks for. A
 * mask comes with the layer that takes it off again.
 * @param newId ids for new layers
 */
export function withToolLayer(recipe: Recipe, tool: string, newId: () => string): RecipeEdits & { added: Layer[] } {
  const layer = layerWith(recipe, tool, newId());
  const off = toolById(tool).masks ? [{ ...layerWith(recipe, 'mask-off', newId()), zone: layer.zone }] : [];
  const added = [layer, ...off];
  const order = added.reduce<Pick<Layer, 'id' | 'tool'>[]>((layers, each) => placed(layers, each), [...recipe.layers]);
  return { added, order: order.map(({ id }) => id) };
}

/**
 * What changes in a recipe when one of its layers is laid with a tool, or with its pencil again: how it is worked and how
 * long it dries, and its place in the order.
 * @param tool null: the pencil itself
 */
export function layerLaidWith(recipe: Recipe, id: string, tool: string | null): RecipeEdits {
  if (tool === null) return { layers: { [id]: { tool: null, colour: null, dryMinutes: 0 } } };
  const { how, driesMinutes = 0, comes } = toolById(tool);
  const edit: LayerEdit = { tool, colour: null, dryMinutes: driesMinutes, purpose: how };
  const layers = { [id]: edit };
  if (!comes) return { layers };
  const rest = recipe.layers.filter((layer) => layer.id !== id);
  return { layers, order: placed(rest, { id, tool }).map((layer) => layer.id) };
}

/** Layers with one more where its tool belongs: what comes first after others that do, what comes last before nothing but pens. */
function placed(layers: readonly Pick<Layer, 'id' | 'tool'>[], own: Pick<Layer, 'id' | 'tool'>) {
  const comesOf = ({ tool }: Pick<Layer, 'tool'>) => (tool ? toolById(tool).comes : undefined);
  const comes = comesOf(own);
  const firstOther = layers.findIndex((layer) => comesOf(layer) !== 'first');
  const firstLast = layers.findIndex((layer) => comesOf(layer) === 'last');
  const end = layers.length;
  const takesOff = own.tool !== undefined && toolById(own.tool).unmasks === true;
  const among = firstLast < 0 ? end : firstLast;
  const at = comes === 'first' ? (firstOther < 0 ? end : firstOther) : comes === 'last' && !takesOff ? end : among;
  return [...layers.slice(0, at), own, ...layers.slice(at)];
}

/** Where a tool is put: on the highlight, up to it, or all over, on the field that the recipe looks at first. */
function zoneFor({ layers }: Recipe, on: 'highlight' | 'all but the highlight' | undefined): Zone {
  const field = fieldsOf(layers).find((each) => HAVE_HIGHLIGHTS.some((own) => own === each)) ?? layers[0]!.zone.field;
  const own = layers.filter(({ zone }) => zone.field === field);
  const overMm = (own[0] ?? layers[0]!).zone.overMm;
  const soft = Math.round(overMm) / 10;
  if (!on) return { field, from: 0, to: 1, softnessMm: 0, overMm };
  if (HAVE_HIGHLIGHTS.some((each) => each === field)) {
    const ends = own.flatMap(({ zone }) => (zone.to < 1 ? [zone.to] : []));
    const edge = ends.length > 0 ? Math.max(...ends) : HIGHLIGHT_FROM;
    return on === 'highlight'
      ? { field, from: edge, to: 1, softnessMm: 0, overMm }
      : { field, from: 0, to: edge, softnessMm: soft, overMm };
  }
  if (on !== 'highlight') return { field, from: 0, to: 1, softnessMm: 0, overMm };
  const pale = own.findLast(({ role }) => role === 'light' || role === 'blender');
  const palestFirst = pale !== undefined && pale.zone.from + pale.zone.to < 1;
  return palestFirst
    ? { field, from: 0, to: TOUCH, softnessMm: 0, overMm }
    : { field, from: 1 - TOUCH, to: 1, softnessMm: 0, overMm };
}
