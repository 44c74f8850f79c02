import type { Pencil } from '../contracts/index.ts';
import { labOfHex } from '../core/colour/index.ts';
import { type TrayPencil, pressOfLength } from '../core/tray/index.ts';

/** What core is told of a stored pencil. */
export type StoredPencil = Pick<Pencil, 'id' | 'code' | 'colour' | 'type' | 'opacity'> &
  Partial<Pick<Pencil, 'leadMm'>>;

/** A stored pencil as core knows it, as it is declared; a short one presses harder, held near its point. */
export function asTrayPencil({ id, code, colour, type, opacity, leadMm = null }: StoredPencil): TrayPencil {
  const presses = pressOfLength(leadMm);
  return { id, code, masstone: labOfHex(colour), type, opacity: opacity ?? undefined, presses };
}
