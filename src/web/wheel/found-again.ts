import { type Lab, deltaE2000, labOfHex } from '../../core/colour/index.ts';
import type { NewPalette } from '../../contracts/index.ts';

/** A pencil of another tray serves for one of a palette up to this CIEDE2000. */
const SERVES = 9;

/**
 * Which pencils of a tray stand for those of a palette: the pencil itself where it is here, or else the nearest.
 * @param bodies how the pencils of the tray come out, by id
 * @returns ids, each once, and the codes that nothing here serves for
 */
export function foundAgain(
  palette: Pick<NewPalette, 'pencils'>,
  bodies: ReadonlyMap<string, Lab>,
): { ids: string[]; lost: string[] } {
  const ids = new Set<string>();
  const lost: string[] = [];
  for (const { id, code, colour } of palette.pencils) {
    const wanted = labOfHex(colour);
    const near = [...bodies]
      .map(([own, lab]) => ({ own, off: own === id ? -1 : deltaE2000(wanted, lab) }))
      .reduce<{ own: string; off: number } | null>((best, each) => (best && best.off <= each.off ? best : each), null);
    if (near && near.off <= SERVES) ids.add(near.own);
    else lost.push(code);
  }
  return { ids: [...ids], lost };
}
