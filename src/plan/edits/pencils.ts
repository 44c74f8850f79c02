import type { Draft } from 'immer';
import type { Plan } from '../../contracts/index.ts';
import { type Family, EXTRAS } from '../../core/recipe/index.ts';

/**
 * Puts one pencil in another's place: in families, in changes made by hand and in repairs.
 * @param thingId only in this thing; null: everywhere
 */
export function replacePencil(plan: Draft<Plan>, gone: string, instead: string, thingId: string | null): void {
  const other = (pencil: string) => (pencil === gone ? instead : pencil);
  for (const thing of Object.values(plan.things)) {
    if (thingId !== null && thingId !== thing.id) continue;
    const { family, edits, repairs } = thing;
    if (family) {
      // A family keeps each pencil once.
      family.pencils = [...new Set(family.pencils.map(other))];
      for (const extra of EXTRAS) family[extra] = family[extra] && other(family[extra]);
    }
    const chosen = [...Object.values(edits?.layers ?? {}), ...(edits?.added ?? []), ...repairs];
    for (const where of chosen) if (where.pencil) where.pencil = other(where.pencil);
  }
}

/** Gives things their families; the others keep what they have. */
export function giveFamilies(plan: Draft<Plan>, families: Readonly<Record<string, Family>>): void {
  for (const [id, family] of Object.entries(families)) {
    const thing = Object.hasOwn(plan.things, id) && plan.things[id];
    if (thing) thing.family = { ...family, pencils: [...family.pencils] };
  }
}
