import type { Pencil, Swatch, TrayFit } from '../../contracts/index.ts';
import { type Lab, labOfHex } from '../../core/colour/index.ts';
import {
  type PaperFit,
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
  const own = fitted?.pencils.find(({ pencilId }) => pencilId === pencil.id);
  if (fitted && own) {
    return ofModel(fittedOptics(declared, own.fit, sheet, fitted.fit), sheet, fitted.fit, { patch, on: ground });
  }
  const { rough, tooth } = sheet;
  const asDeclared: PaperFit = { rough, tooth, spread: 1, slope: 0, hand: {} };
  return ofModel(pencilOptics(declared), sheet, asDeclared, { patch, on: ground });
}
