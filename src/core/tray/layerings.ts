import { type Lab, deltaE2000, labOfHex, linearise, rgbOfLab } from '../colour/index.ts';
import { type Pressure, bareGround, layPasses } from '../laydown/index.ts';
import { type LaidTray, labAt } from './laid-tray.ts';

/** Pencils laid over each other that come near a colour. */
export interface Layering {
  /** In the order in which they are laid: place in the tray, and pressure. */
  layers: { index: number; pressure: Pressure }[];
  lab: Lab;
  /** CIEDE2000 to the wanted colour. */
  deltaE: number;
  /** Share of the tooth that is left, 0..1. */
  toothLeft: number;
}

/** Pressures at which layers are tried: light ones, which leave tooth for going on. */
const TRIED: readonly Pressure[] = ['light', 'medium', 'firm'];
/** So many pairs, of all, are laid in the model; the rest are only guessed at. */
const PAIRS_LAID = 90;
/** So many of the best pairs are gone on from, with so many third pencils each. */
const GONE_ON_FROM = 6;
const THIRDS = 14;
/** A third pencil has to bring two so much nearer, CIEDE2000. */
const WORTH_A_THIRD = 1;

/**
 * Layerings of two and three pencils that come near a colour, nearest first. All pairs are guessed by multiplying what
 * their single laydowns reflect; the best guesses are laid in the layer model, in both orders, at every pressure tried.
 * @param limit how many at most; no two of the same pencils
 */
export function layeringsNear(target: Lab, tray: LaidTray, limit: number): Layering[] {
  const ground = bareGround(tray.paper);
  const lay = (layers: Layering['layers']): Layering => {
    const { lab, toothLeft } = layPasses(
      ground,
      layers.map(({ index, pressure }) => ({ pencil: tray.optics[index]!, pressure })),
    );
    return { layers, lab, toothLeft, deltaE: deltaE2000(lab, target) };
  };
  const pairs = guessedPairs(target, tray).flatMap(([p, q]) =>
    TRIED.flatMap((first) =>
      TRIED.flatMap((second) => [lay([at(p, first), at(q, second)]), lay([at(q, first), at(p, second)])]),
    ),
  );
  const two = bestOfEach(pairs);
  const three = two.slice(0, GONE_ON_FROM).flatMap(({ layers, lab, deltaE }) => {
    const used = new Set(layers.map(({ index }) => index));
    return guessedThirds(target, lab, tray, used).flatMap((index) =>
      TRIED.slice(0, 2)
        .map((pressure) => lay([...layers, at(index, pressure)]))
        .filter((layering) => layering.deltaE < deltaE - WORTH_A_THIRD),
    );
  });
  return bestOfEach([...two, ...three]).slice(0, limit);
}

function at(index: number, pressure: Pressure) {
  return { index, pressure };
}

/** The nearest of those with the same pencils, nearest first. */
function bestOfEach(layerings: readonly Layering[]): Layering[] {
  const best = new Map<string, Layering>();
  for (const layering of [...layerings].sort((p, q) => p.deltaE - q.deltaE || p.layers.length - q.layers.length)) {
    const key = layering.layers
      .map(({ index }) => index)
      .sort((a, b) => a - b)
      .join(' ');
    if (!best.has(key)) best.set(key, layering);
  }
  return [...best.values()];
}

/** Pairs of pencils whose light or medium laydowns together may come near the target. */
function guessedPairs(target: Lab, tray: LaidTray): [number, number][] {
  const wanted = filter(target, tray);
  const count = tray.pencils.length;
  const filters = tray.pencils.map((_, i) => filter(labAt(tray.labs.medium, i), tray));
  const kept: { pair: [number, number]; off: number }[] = [];
  let worst = Infinity;
  for (let p = 0; p < count; p++) {
    for (let q = p + 1; q < count; q++) {
      const off = misfit(filters[p]!, filters[q]!, wanted);
      if (off >= worst) continue;
      kept.push({ pair: [p, q], off });
      if (kept.length < 4 * PAIRS_LAID) continue;
      kept.sort((a, b) => a.off - b.off).length = PAIRS_LAID;
      worst = kept[PAIRS_LAID - 1]!.off;
    }
  }
  return kept
    .sort((a, b) => a.off - b.off)
    .slice(0, PAIRS_LAID)
    .map(({ pair }) => pair);
}

function guessedThirds(target: Lab, from: Lab, tray: LaidTray, used: ReadonlySet<number>): number[] {
  const [wanted, so] = [filter(target, tray), filter(from, tray)];
  return tray.pencils
    .map((_, index) => ({ index, off: misfit(so, filter(labAt(tray.labs.light, index), tray), wanted) }))
    .filter(({ index }) => !used.has(index))
    .sort((a, b) => a.off - b.off)
    .slice(0, THIRDS)
    .map(({ index }) => index);
}

/** What a colour takes away from the paper's light, as logarithms of red, green and blue. */
function filter(lab: Lab, { paper }: LaidTray): readonly [number, number, number] {
  const [own, bare] = [rgbOfLab(lab).map(linearise), rgbOfLab(labOfHex(paper.tint)).map(linearise)];
  const log = (k: number) => Math.log(Math.max(0.004, own[k]!) / Math.max(0.004, bare[k]!));
  return [log(0), log(1), log(2)];
}

/** How far two filters, each at a strength between a half and once and a half, stay from a wanted one. */
function misfit(p: readonly number[], q: readonly number[], wanted: readonly number[]): number {
  let least = Infinity;
  for (const strength of [0.5, 1, 1.5]) {
    // The best strength of the second, given that of the first.
    let [dot, norm] = [0, 1e-9];
    for (let k = 0; k < 3; k++) {
      dot += q[k]! * (wanted[k]! - strength * p[k]!);
      norm += q[k]! * q[k]!;
    }
    const other = Math.min(1.5, Math.max(0.4, dot / norm));
    let off = 0;
    for (let k = 0; k < 3; k++) off += (wanted[k]! - strength * p[k]! - other * q[k]!) ** 2;
    least = Math.min(least, off);
  }
  return least;
}
