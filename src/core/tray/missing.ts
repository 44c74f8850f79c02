import { type Lab, WHEEL_PLACES, deltaE2000, deltasE2000, oklchOfLab, wheelOfHue } from '../colour/index.ts';
import { type LaidTray, labAt } from './laid-tray.ts';

/** Where a tray has holes, and what it has twice. */
export interface Missing {
  /** Places of the painter's wheel, by their number, that no clear pencil of the tray comes to. */
  hues: number[];
  /** Ranges of L* in which the tray has no pencil, from and to. */
  values: { from: number; to: number }[];
  /** Pencils that hardly differ, by their places in the tray, and by how much: CIEDE2000. */
  twice: { a: number; b: number; deltaE: number }[];
}

/** Pencils duller than this, OKLCH chroma, do not fill a place on the wheel. */
const CLEAR = 0.07;
/** Values from the darkest pencil that sets have to paper, in steps of this many L*, below which two are one. */
const VALUES = { from: 15, to: 90, step: 12.5 };
const HARDLY = 2;

/** What a tray lacks on the wheel and in value, and which pencils are near-duplicates, at a firm press on its paper. */
export function whatIsMissing(tray: LaidTray): Missing {
  const labs = tray.pencils.map((_, i) => labAt(tray.labs.firm, i));
  const clear = labs.map(oklchOfLab).filter(({ c }) => c >= CLEAR);
  const width = 360 / WHEEL_PLACES.length;
  const filled = new Set(clear.map(({ h }) => Math.round(wheelOfHue(h) / width) % WHEEL_PLACES.length));
  const hues = WHEEL_PLACES.flatMap((_, place) => (filled.has(place) ? [] : [place]));
  const values: Missing['values'] = [];
  for (let from = VALUES.from; from < VALUES.to; from += VALUES.step) {
    const to = from + VALUES.step;
    if (!labs.some(([l]) => l >= from && l < to)) values.push({ from, to });
  }
  const twice: Missing['twice'] = [];
  for (let a = 0; a < labs.length; a++) {
    for (let b = a + 1; b < labs.length; b++) {
      if (Math.abs(labs[a]![0] - labs[b]![0]) > 3 * HARDLY) continue;
      const deltaE = deltaE2000(labs[a]!, labs[b]!);
      if (deltaE < HARDLY) twice.push({ a, b, deltaE });
    }
  }
  return { hues, values, twice: twice.sort((p, q) => p.deltaE - q.deltaE) };
}

/**
 * Which one pencil that is not in the tray would bring it nearest to the colours that are wanted.
 * @param wanted colours of the sheets planned, each with how much it matters, above 0
 * @param offered pencils that could be got, laid on the same paper
 * @returns the most helpful first: by how much the mean distance of the wanted colours falls, CIEDE2000
 */
export function mostHelpful(
  tray: LaidTray,
  offered: LaidTray,
  wanted: readonly { lab: Lab; weight: number }[],
  limit: number,
): { index: number; gain: number }[] {
  const gains = new Float64Array(offered.pencils.length);
  const total = wanted.reduce((sum, { weight }) => sum + weight, 0);
  for (const { lab, weight } of wanted) {
    const have = Math.min(...bestAt(lab, tray));
    bestAt(lab, offered).forEach((apart, i) => (gains[i]! += (weight / total) * Math.max(0, have - apart)));
  }
  return [...gains]
    .map((gain, index) => ({ index, gain }))
    .filter(({ gain }) => gain > 0)
    .sort((p, q) => q.gain - p.gain)
    .slice(0, limit);
}

/** How near each pencil comes to a colour at its best pressure. */
function bestAt(lab: Lab, tray: LaidTray): number[] {
  const all = [tray.labs.light, tray.labs.medium, tray.labs.firm].map((labs) => deltasE2000(lab, labs));
  return tray.pencils.map((_, i) => Math.min(...all.map((apart) => apart[i]!)));
}
