import type { Pencil } from '../contracts/index.ts';
import { labOfHex } from '../core/colour/index.ts';
import { type TrayPencil } from '../core/tray/index.ts';

/** What core is told of a stored pencil. */
export type StoredPencil = Pick<Pencil, 'id' | 'code' | 'colour' | 'type' | 'opacity'>;

/** A stored pencil as core knows it, as it is declared. */
export function asTrayPencil({ id, code, colour, type, opacity }: StoredPencil): TrayPencil {
  return { id, code, masstone: labOfHex(colour), type, opacity: opacity ?? undefined };
}
