import { type Lab, deltaE2000 } from '../colour/index.ts';
import { type Family } from '../recipe/index.ts';
import { type PencilOnPaper, matchPencils } from '../tray/index.ts';
import { type Part, targetsOf } from './part.ts';

/** A family found for a part, and how far it is from what was asked. */
export interface FoundFamily {
  family: Family;
  /** Mean CIEDE2000 between what was asked and what the three pencils give on this paper. */
  miss: number;
  /** Body colours on this paper. */
  dark: Lab;
  mid: Lab;
  light: Lab;
}

const CANDIDATES = 9;
/** L* that should lie between dark and mid, and mid and light, for the form to read. */
const VALUE_GAP = 11;

/**
 * Finds the dark, mid and light pencil of a tray that come nearest to a part, judged by the colour they give on the
 * paper, and that lie far enough apart in value. A tray of one or two pencils gives families that repeat a pencil.
 * @throws RangeError when the tray is empty
 */
export function familyFor(part: Part, tray: readonly PencilOnPaper[]): FoundFamily {
  if (tray.length === 0) throw new RangeError('The tray is empty: no pencil is here to choose from.');
  const targets = targetsOf(part);
  const near = (target: Lab) =>
    matchPencils(target, tray, tray.length)
      .map(({ pencil }) => ({ pencil, miss: deltaE2000(target, pencil.body) }))
      .sort((p, q) => p.miss - q.miss)
      .slice(0, CANDIDATES);
  const [darks, mids, lights] = [near(targets.dark), near(targets.mid), near(targets.light)];
  let best: FoundFamily | null = null;
  let bestCost = Infinity;
  for (const dark of darks) {
    for (const mid of mids) {
      const lower = gapCost(dark.pencil, mid.pencil);
      for (const light of lights) {
        const miss = (dark.miss + mid.miss + light.miss) / 3;
        const cost = miss + lower + gapCost(mid.pencil, light.pencil);
        if (cost >= bestCost) continue;
        bestCost = cost;
        best = {
          family: { dark: dark.pencil.id, mid: mid.pencil.id, light: light.pencil.id },
          miss,
          dark: dark.pencil.body,
          mid: mid.pencil.body,
          light: light.pencil.body,
        };
      }
    }
  }
  return best as FoundFamily;
}

function gapCost(darker: PencilOnPaper, lighter: PencilOnPaper): number {
  return 0.8 * Math.max(0, VALUE_GAP - (lighter.body[0] - darker.body[0]));
}
