import type { Pencil, PencilWear } from '../contracts/index.ts';
import { lengthLeftMm } from '../core/tray/index.ts';

/** Why a pencil stands on the shopping list. */
export type ShoppingReason = 'missing' | 'ordered' | 'runs out' | 'runs low';

export interface ShoppingItem {
  pencil: Pencil;
  reason: ShoppingReason;
  /** Length of lead that the sheets planned still take, mm. */
  lengthMm: number;
  sheets: readonly string[];
}

/** A lead shorter than this when all is laid cannot be held any more, mm. */
const HOLDS_MM = 20;
const IN_ORDER: readonly ShoppingReason[] = ['missing', 'runs out', 'runs low', 'ordered'];

/**
 * What to buy for the sheets planned: pencils they take that are missing or only ordered, and leads that do not last or
 * will be too short to be held; the most urgent first. Leads of which nobody said how long they are do not stand on it.
 */
export function shoppingList(pencils: readonly Pencil[], wear: readonly PencilWear[]): ShoppingItem[] {
  const byId = new Map(pencils.map((pencil) => [pencil.id, pencil]));
  const items = wear.flatMap(({ pencilId, lengthMm, sheets }): ShoppingItem[] => {
    const pencil = byId.get(pencilId);
    const reason = pencil && reasonFor(pencil, lengthMm);
    return reason ? [{ pencil, reason, lengthMm, sheets }] : [];
  });
  return items.sort((a, b) => IN_ORDER.indexOf(a.reason) - IN_ORDER.indexOf(b.reason) || b.lengthMm - a.lengthMm);
}

function reasonFor({ whereabouts, leadMm }: Pencil, lengthMm: number): ShoppingReason | null {
  if (whereabouts === 'missing' || whereabouts === 'ordered') return whereabouts;
  if (leadMm === null) return null;
  if (leadMm < lengthMm) return 'runs out';
  return lengthLeftMm(leadMm, { lengthMm }) < HOLDS_MM ? 'runs low' : null;
}
