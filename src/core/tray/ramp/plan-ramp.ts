import { type Lab, deltaE2000, oklchOfLab } from '../../colour/index.ts';
import { type Paper, type Pressure, bareGround } from '../../laydown/index.ts';
import { type PencilOnPaper } from '../on-paper.ts';
import { type Band, costOfOverlap, labOfBand, overlapOf } from './overlap.ts';

/** What a ramp may be asked. */
export interface RampOptions {
  paper: Paper;
  /** Length of the passage on the page, mm, above 0. */
  lengthMm: number;
  /** Exactly so many pencils, 1 to 7; default: as many as help. */
  count?: number;
  /** As few pencils as keep every step below this CIEDE2000. */
  maxStep?: number;
  /** Whether bands are equally wide or equally far apart in colour. Default width. */
  bands?: 'width' | 'step';
}

/** One pencil's strip of a ramp. */
export interface RampBand {
  pencil: string;
  pressure: Pressure;
  /** Its colour by itself. */
  lab: Lab;
  /** Where it begins and ends, mm along the passage, its overlaps included. */
  fromMm: number;
  toMm: number;
}

/** A passage from one colour to another, as pencils in order. */
export interface Ramp {
  bands: RampBand[];
  /** Width of the strip that two neighbouring bands share, mm. */
  overlapMm: number;
  /** CIEDE2000 from each band to the next; empty for one. */
  steps: number[];
  largestStep: number;
  /** The worst mud in any overlap, Lab chroma lost. */
  mud: number;
  /** How far the ends stay from the colours asked for, CIEDE2000. */
  miss: readonly [number, number];
  /** Why so many pencils. */
  reason: string;
}

const PRESSED: readonly Pressure[] = ['light', 'medium', 'firm'];
/** So many of the laydowns nearest to the straight way between both colours are tried. */
const TRIED = 44;
export const MOST_IN_RAMP = 7;
/** Another pencil has to bring the largest step down by this share to be worth it. */
const WORTH_ANOTHER = 0.9;
/** A band shares this part of its width with each neighbour. */
const SHARED = 1 / 3;
const LAMBDA_CHROMA = 3;
/** The colours asked for at both ends count for more than an easy way. */
const END_WEIGHT = 4;

interface Node extends Band {
  id: string;
  lab: Lab;
  /** How far along the straight way from one colour to the other, 0..1. */
  along: number;
  chroma: number;
}

/**
 * Plans a passage from one colour to another by the layer model: the way through laydowns (pencil x pressure) that
 * costs least over its overlaps, each pencil once, by layered dynamic programming over the number of pencils. An edge
 * costs its squared step, mud and darkening in the simulated overlap, sensitivity to an uneven hand, and a penalty
 * for falling below the chroma of the duller end.
 * @param tray pencils on the paper of `options`, at least one
 * @throws RangeError for an empty tray, a length that is not above 0, or a count outside 1 to 7
 */
export function planRamp(from: Lab, to: Lab, tray: readonly PencilOnPaper[], options: RampOptions): Ramp {
  const { count, lengthMm, paper } = options;
  if (tray.length === 0) throw new RangeError('The tray is empty: a ramp needs at least one pencil.');
  if (!(lengthMm > 0)) throw new RangeError('A ramp is longer than 0 mm.');
  if (count !== undefined && !(Number.isInteger(count) && count >= 1 && count <= MOST_IN_RAMP)) {
    throw new RangeError(`A ramp has 1 to ${MOST_IN_RAMP} pencils, not ${count}.`);
  }
  const ground = bareGround(paper);
  const nodes = nodesNear(from, to, tray, ground);
  const leastChroma = Math.min(oklchOfLab(from).c, oklchOfLab(to).c);
  const edges = new Map<number, { cost: number; step: number; dip: number }>();
  const edge = (i: number, j: number) => {
    const key = i * nodes.length + j;
    let known = edges.get(key);
    if (!known) {
      const overlap = overlapOf(ground, nodes[i]!, nodes[j]!, [nodes[i]!.lab, nodes[j]!.lab]);
      const below = 100 * Math.max(0, leastChroma - nodes[j]!.chroma);
      known = { cost: costOfOverlap(overlap) + LAMBDA_CHROMA * below ** 2, step: overlap.step, dip: overlap.dip };
      edges.set(key, known);
    }
    return known;
  };
  const most = Math.min(count ?? MOST_IN_RAMP, new Set(nodes.map(({ id }) => id)).size);
  const ways = waysThrough(
    nodes,
    most,
    edge,
    (lab) => END_WEIGHT * deltaE2000(lab, from) ** 2,
    (lab) => END_WEIGHT * deltaE2000(lab, to) ** 2,
  );
  const missOf = (way: number[]) =>
    [deltaE2000(nodes[way[0]!]!.lab, from), deltaE2000(nodes[way.at(-1)!]!.lab, to)] as const;
  const largest = (way: number[]) => Math.max(0, ...way.slice(1).map((j, i) => edge(way[i]!, j).step));
  const { way, reason } = choose(ways, largest, missOf, options);
  const steps = way.slice(1).map((j, i) => edge(way[i]!, j).step);
  const { bands, overlapMm } = layOut(
    way.map((i) => nodes[i]!),
    steps,
    lengthMm,
    options.bands ?? 'width',
  );
  return {
    bands,
    overlapMm,
    steps,
    reason,
    largestStep: Math.max(0, ...steps),
    mud: Math.max(0, ...way.slice(1).map((j, i) => edge(way[i]!, j).dip)),
    miss: missOf(way),
  };
}

function nodesNear(from: Lab, to: Lab, tray: readonly PencilOnPaper[], ground: ReturnType<typeof bareGround>): Node[] {
  const way = [to[0] - from[0], to[1] - from[1], to[2] - from[2]];
  const length2 = way.reduce((sum, d) => sum + d * d, 0) || 1;
  const all = tray.flatMap(({ id, optics }) =>
    PRESSED.map((pressure) => {
      const lab = labOfBand(ground, { optics, pressure });
      const off = [lab[0] - from[0], lab[1] - from[1], lab[2] - from[2]];
      const along = Math.min(1, Math.max(0, off.reduce((sum, d, k) => sum + d * way[k]!, 0) / length2));
      const aside = Math.hypot(...off.map((d, k) => d - along * way[k]!));
      return { id, optics, pressure, lab, along, chroma: oklchOfLab(lab).c, aside };
    }),
  );
  return all
    .sort((p, q) => p.aside - q.aside)
    .slice(0, TRIED)
    .sort((p, q) => p.along - q.along);
}

/** The cheapest way through one, two, three … nodes, each further along than the one before and of another pencil. */
function waysThrough(
  nodes: readonly Node[],
  most: number,
  edge: (i: number, j: number) => { cost: number },
  begins: (lab: Lab) => number,
  ends: (lab: Lab) => number,
): number[][] {
  let layer = nodes.map(({ lab }, i) => ({ cost: begins(lab), way: [i] }));
  const ways: number[][] = [];
  for (let k = 1; ; k++) {
    const finished = layer.filter(({ cost }) => cost < Infinity);
    if (finished.length === 0) break;
    const whole = ({ cost, way }: (typeof layer)[number]) => cost + ends(nodes[way.at(-1)!]!.lab);
    ways.push(finished.reduce((best, each) => (whole(each) < whole(best) ? each : best)).way);
    if (k === most) break;
    layer = nodes.map(({ id }, j) => {
      let best = { cost: Infinity, way: [] as number[] };
      for (let i = 0; i < j; i++) {
        const { cost, way } = layer[i]!;
        if (cost >= best.cost || way.some((n) => nodes[n]!.id === id)) continue;
        const so = cost + edge(i, j).cost;
        if (so < best.cost) best = { cost: so, way: [...way, j] };
      }
      return best;
    });
  }
  return ways;
}

function choose(
  ways: number[][],
  largest: (way: number[]) => number,
  missOf: (way: number[]) => readonly number[],
  { count, maxStep }: RampOptions,
) {
  const way = ways.at(-1)!;
  if (count !== undefined) {
    const reason =
      way.length === count
        ? `${pencils(count)}, as asked; the largest step is ${largest(way).toFixed(1)}.`
        : `Only ${pencils(way.length)} lie on this way; the largest step is ${largest(way).toFixed(1)}.`;
    return { way, reason };
  }
  if (maxStep !== undefined) {
    const enough = ways.find((each, i) => (i > 0 || ways.length === 1) && largest(each) <= maxStep);
    const best = enough ?? ways.slice(1).reduce((p, q) => (largest(q) < largest(p) ? q : p), ways[1] ?? ways[0]!);
    const reason = enough
      ? `${pencils(best.length)} keep every step below ${maxStep}.`
      : `No way here keeps every step below ${maxStep}; with ${pencils(best.length)} the largest is ${largest(best).toFixed(1)}.`;
    return { way: best, reason };
  }
  // A way that does not reach an end leaves a step there too.
  const worst = (each: number[]) => Math.max(largest(each), ...missOf(each));
  let best = ways[1] ?? ways[0]!;
  for (const longer of ways.slice(2)) {
    if (worst(longer) <= WORTH_ANOTHER ** (longer.length - best.length) * worst(best)) best = longer;
  }
  const more = best.length === MOST_IN_RAMP ? 'more seldom help' : 'another pencil would not bring it down by a tenth';
  return {
    way: best,
    reason: `${pencils(best.length)}: the largest step, both ends included, is ${worst(best).toFixed(1)}, and ${more}.`,
  };
}

function pencils(count: number): string {
  return count === 1 ? 'One pencil' : `${count} pencils`;
}

function layOut(nodes: readonly Node[], steps: readonly number[], lengthMm: number, by: 'width' | 'step') {
  const count = nodes.length;
  // Each band's middle: evenly spaced, or as far from the next as their colours are apart.
  const gaps = by === 'step' && steps.some((step) => step > 0) ? steps : steps.map(() => 1);
  const whole = gaps.reduce((sum, gap) => sum + gap, 0) || 1;
  const edges = [0];
  for (let i = 0, at = 0; i < count - 1; i++) {
    at += gaps[i]!;
    edges.push(by === 'step' ? lengthMm * ((at - gaps[i]! / 2) / whole) : (lengthMm * (i + 1)) / count);
  }
  edges.push(lengthMm);
  const narrowest = Math.min(...nodes.map((_, i) => edges[i + 1]! - edges[i]!));
  const overlapMm = count > 1 ? SHARED * narrowest : 0;
  const bands = nodes.map(({ id, pressure, lab }, i): RampBand => ({
    pencil: id,
    pressure,
    lab,
    fromMm: Math.max(0, edges[i]! - (i > 0 ? overlapMm / 2 : 0)),
    toMm: Math.min(lengthMm, edges[i + 1]! + (i < count - 1 ? overlapMm / 2 : 0)),
  }));
  return { bands, overlapMm };
}
