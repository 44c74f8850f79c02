import { type Lab, deltaE2000 } from '../colour/index.ts';
import { type PencilOnPaper } from './on-paper.ts';

/** A pencil that comes near a wanted colour. */
export interface Match {
  pencil: PencilOnPaper;
  /** Which laydown comes nearest. */
  laid: 'tint' | 'body';
  /** CIEDE2000 to the wanted colour. */
  deltaE: number;
}

/**
 * Ranks pencils by how near their laydown on the paper comes to a wanted colour, nearest first.
 * @param limit how many at most, default all
 */
export function matchPencils(target: Lab, tray: readonly PencilOnPaper[], limit = tray.length): Match[] {
  return tray
    .map((pencil): Match => {
      const tint = deltaE2000(target, pencil.tint);
      const body = deltaE2000(target, pencil.body);
      return tint < body ? { pencil, laid: 'tint', deltaE: tint } : { pencil, laid: 'body', deltaE: body };
    })
    .sort((p, q) => p.deltaE - q.deltaE || (p.pencil.id < q.pencil.id ? -1 : 1))
    .slice(0, limit);
}
