import type { Pencil } from '../contracts/index.ts';
import { labOfHex } from '../core/colour/index.ts';
import { type TrayPencil } from '../core/tray/index.ts';

/** A stored pencil as core knows it. */
export function asTrayPencil({
  id,
  code,
  colour,
  type,
  opacity,
}: Pick<Pencil, 'id' | 'code' | 'colour' | 'type' | 'opacity'>): TrayPencil {
  return { id, code, masstone: labOfHex(colour), type, opacity: opacity ?? undefined };
}
