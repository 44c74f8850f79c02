import type { Pencil, Swatch, TrayFit } from '../../contracts/index.ts';
import { type Lab, labOfHex } from '../../core/colour/index.ts';
import {
  LAYDOWN_MODEL,
  declaredFit,
  fittedOptics,
  paperById,
  pencilOptics,
  predictedPatch as ofModel,
} from '../../core/laydown/index.ts';

/**
 * What the layer model says a patch of this pencil looks like.
 * @param fitted what the swatches of its tray on this paper come to, if they were fitted and the pencil among them
 */
export function predictedPatch(
  pencil: Pick<Pencil, 'id' | 'colour' | 'type' | 'opacity'>,
  { paper, patch, ground }: Pick<Swatch, 'paper' | 'patch' | 'ground'>,
  fitted?: TrayFit,
): Lab {
  const declared = { masstone: labOfHex(pencil.colour), type: pencil.type, opacity: pencil.opacity ?? undefined };
  const sheet = paperById(paper);
  const current = fitted?.fit.model === LAYDOWN_MODEL ? fitted : null;
  const own = current?.pencils.find(({ pencilId }) => pencilId === pencil.id);
  if (current && own) {
    return ofModel(fittedOptics(declared, own.fit, sheet, current.fit), sheet, current.fit, { patch, on: ground });
  }
  return ofModel(pencilOptics(declared), sheet, declaredFit(sheet), { patch, on: ground });
}
