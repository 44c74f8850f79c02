import type { Pencil, Swatch } from '../contracts/index.ts';
import { labOfHex } from '../core/colour/index.ts';
import { type OverlayReading, type ReadPencil } from '../core/laydown/index.ts';

/** What swatches of a tray on one paper say, as fitting wants it. */
export interface TrayReadings {
  /** The pencils that were read, in the order of the tray. */
  pencils: Pencil[];
  read: ReadPencil[];
  overlays: OverlayReading[];
}

/**
 * Gathers the swatches of a tray on one paper for fitting. Of patches laid and read again, the newest counts.
 * @param swatches the oldest first
 */
export function readingsOf(pencils: readonly Pencil[], swatches: readonly Swatch[]): TrayReadings {
  const newest = new Map(swatches.map((swatch) => [keyOf(swatch), swatch]));
  const byPencil = new Map<string, Swatch[]>();
  for (const swatch of newest.values()) {
    byPencil.set(swatch.pencilId, [...(byPencil.get(swatch.pencilId) ?? []), swatch]);
  }
  const own = pencils.filter(({ id }) => byPencil.has(id));
  const placeOf = new Map(own.map(({ id }, i) => [id, i]));
  return {
    pencils: own,
    read: own.map(({ id, colour, type, opacity }) => ({
      declared: { masstone: labOfHex(colour), type, opacity: opacity ?? undefined },
      readings: byPencil
        .get(id)!
        .filter(({ over }) => !over)
        .map(({ patch, ground, lab }) => ({ patch, on: ground, lab })),
    })),
    overlays: [...newest.values()].flatMap(({ pencilId, over, patch, ground, lab }) => {
      const [below, above] = [placeOf.get(pencilId), over ? placeOf.get(over) : undefined];
      const known = below !== undefined && above !== undefined && patch === 'medium' && ground === 'paper';
      return known ? [{ below, above, lab }] : [];
    }),
  };
}

function keyOf({ pencilId, patch, ground, over }: Swatch): string {
  return [pencilId, patch, ground, over ?? ''].join(' ');
}
