import type { Pencil, TrayFit } from '../contracts/index.ts';
import { labOfHex } from '../core/colour/index.ts';
import { fittedPaper, paperById } from '../core/laydown/index.ts';
import { type TrayPencil } from '../core/tray/index.ts';

/**
 * A stored pencil as core knows it.
 * @param fitted what the swatches of its tray on the paper in question come to; the pencil is as declared where it was
 *   not among them
 */
export function asTrayPencil(
  { id, code, colour, type, opacity }: Pick<Pencil, 'id' | 'code' | 'colour' | 'type' | 'opacity'>,
  fitted?: TrayFit,
): TrayPencil {
  const declared = { id, code, masstone: labOfHex(colour), type, opacity: opacity ?? undefined };
  const own = fitted?.pencils.find(({ pencilId }) => pencilId === id)?.fit;
  if (!fitted || !own) return declared;
  const { slope, hand } = fitted.fit;
  return {
    ...declared,
    masstone: own.masstone,
    ...{ laydown: own.laydown, scatter: own.scatter, slope },
    ...{ masstoneOn: fittedPaper(paperById(fitted.paper), fitted.fit), masstoneHand: hand },
  };
}
