import type { Family, LayerEdit, RecipeEdits, Layer, Card } from './schemas.ts';
import { EXTRAS } from './roles.ts';
import { type Recipe } from './recipe.ts';

/** A pencil by its place in a family. */
const PLACE = /^family-(\d|blender|depth|accent|neutral)$/;

/** Makes a card of a recipe as it was compiled, before its changes. */
export function cardOf(recipe: Recipe, family: Family, edits: RecipeEdits): Card {
  const runs = new Map([...recipe.layers, ...(edits.added ?? [])].map(({ id, zone }) => [id, zone.overMm]));
  const placeOf = (pencil: string) => {
    const own = family.pencils.indexOf(pencil);
    if (own >= 0) return `family-${own}`;
    const extra = EXTRAS.find((each) => family[each] === pencil);
    return extra ? `family-${extra}` : pencil;
  };
  const share = (id: string, mm: number) => mm / (runs.get(id) ?? 1);
  return {
    effect: recipe.effect,
    school: recipe.school,
    pencils: family.pencils.length,
    edits: mapped(edits, placeOf, share),
  };
}

/**
 * What a card comes to for another thing: its changes with that thing's pencils and distances.
 * @param recipe that thing's recipe as the card's effect and school compile it
 * @returns what it asks for that this family or tray does not have, in `lost`, as sentences
 */
export function editsFromCard(
  card: Card,
  recipe: Recipe,
  family: Family,
  hasPencil: (id: string) => boolean,
): { edits: RecipeEdits; lost: string[] } {
  const runs = new Map(recipe.layers.map(({ id, zone }) => [id, zone.overMm]));
  const usual = recipe.layers[0]?.zone.overMm ?? 1;
  const lost: string[] = [];
  const pencilAt = (place: string) => {
    const at = PLACE.exec(place)?.[1];
    if (at === undefined) return place;
    // A place in a longer or shorter family is the one that lies as far from dark to light.
    if (/\d/.test(at)) return family.pencils[scaled(Number(at), card.pencils, family.pencils.length)]!;
    return family[at as (typeof EXTRAS)[number]] ?? family.pencils.at(-1)!;
  };
  const mm = (id: string, share: number) => Math.round(10 * share * (runs.get(id) ?? usual)) / 10;
  const edits = mapped(card.edits, pencilAt, mm);
  const added = edits.added?.filter(({ pencil, purpose }) => {
    if (hasPencil(pencil)) return true;
    lost.push(`The layer “${purpose}” wants a pencil that is not in this tray.`);
    return false;
  });
  const layers = Object.fromEntries(
    Object.entries(edits.layers ?? {}).map(([id, { pencil, ...rest }]) => [
      id,
      pencil === undefined || hasPencil(pencil) ? { ...rest, ...(pencil && { pencil }) } : rest,
    ]),
  );
  return { edits: { ...edits, ...(edits.layers && { layers }), ...(added && { added }) }, lost };
}

function scaled(place: number, from: number, to: number): number {
  return from <= 1 ? 0 : Math.round((place / (from - 1)) * (to - 1));
}

function mapped(
  edits: RecipeEdits,
  pencilOf: (pencil: string) => string,
  distance: (id: string, of: number) => number,
): RecipeEdits {
  const edit = (id: string, { pencil, softnessMm, ...rest }: LayerEdit): LayerEdit => ({
    ...rest,
    ...(pencil !== undefined && { pencil: pencilOf(pencil) }),
    ...(softnessMm !== undefined && { softnessMm: distance(id, softnessMm) }),
  });
  const layer = (own: Layer): Layer => ({
    ...own,
    pencil: pencilOf(own.pencil),
    zone: { ...own.zone, softnessMm: distance(own.id, own.zone.softnessMm), overMm: distance(own.id, own.zone.overMm) },
  });
  return {
    ...edits,
    ...(edits.layers && {
      layers: Object.fromEntries(Object.entries(edits.layers).map(([id, own]) => [id, edit(id, own)])),
    }),
    ...(edits.added && { added: edits.added.map(layer) }),
  };
}
