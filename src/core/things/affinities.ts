import { type Region } from '../lineart/index.ts';
import { type PageBorders, type SharedBorder } from './borders.ts';

/** How much speaks for two regions belonging to one thing: log odds, above 0 for, below 0 against. */
export interface Affinity {
  a: number;
  b: number;
  strength: number;
}

/** What the page shows of its regions and of the lines between them. */
export interface PageEvidence {
  /** By id; index 0 is not read. */
  regions: readonly (Region | undefined)[];
  borders: PageBorders;
  /** Index of the set of like shapes that a region is in, by id; -1 where it is like no other. */
  alikeSet: Int32Array;
  /** The region around each region, by id; 0 where none is. */
  encloser: ArrayLike<number>;
  /** How many regions each one borders on, by id. */
  neighbours: ArrayLike<number>;
}

interface Pair {
  a: Region;
  b: Region;
  border: SharedBorder;
  /** Share of the whole outline of the shorter-lined and of the longer-lined region that lies between them. */
  shareOfShorter: number;
  shareOfLonger: number;
  /** How often one of them hides the other. */
  hides: number;
  alike: boolean;
}

/**
 * What speaks for or against two neighbours being of one thing, and how much each counts. The weights are those of a
 * logistic regression on the neighbours of drawn pages whose things are known; `npm run bench things` prints how well
 * they do on each page when they were fitted without it.
 */
export const CUES: readonly { says: string; weight: number; of(pair: Pair): number }[] = [
  { says: 'neighbours as such', weight: 0.92, of: () => 1 },
  { says: 'the line between them stops at both its ends', weight: 0.39, of: ({ border }) => +stopsAll(border) },
  {
    says: 'the line between them stops at one end and runs on at the other',
    weight: -0.3,
    of: ({ border }) => +(border.stops > 0 && !stopsAll(border)),
  },
  { says: 'the line between them goes all round one', weight: -0.49, of: ({ border }) => +(border.ends === 0) },
  { says: 'they have the same shape', weight: 1.72, of: ({ alike }) => +alike },
  { says: 'they are of one size (log of the ratio)', weight: 0.41, of: ({ a, b }) => -sizesApart(a, b) },
  { says: 'much of the smaller outline is shared', weight: -0.94, of: ({ shareOfShorter }) => shareOfShorter },
  { says: 'much of the larger outline is shared', weight: 1.22, of: ({ shareOfLonger }) => shareOfLonger },
  { says: 'one hides the other', weight: -1.14, of: ({ hides }) => Math.min(2, hides) },
  { says: 'both are ball-like, or both leaf-like, and so on', weight: 0.39, of: ({ a, b }) => +(a.shape === b.shape) },
  { says: 'one lies across the other', weight: -0.78, of: ({ a, b }) => turnApart(a, b) },
];

/** Taken off every bond: a wrong join costs a person more than a missing one. */
const CARE = 0.4;
/** No single pair speaks louder than this, so that no one line decides over a whole thing. */
const LOUDEST = 4;
/** Regions of one shape are of one size when the smaller has this share of the larger's area. */
const ONE_SIZE = 0.7;
/** Shapes told apart from chance likeness by more than being round or long. */
const TELLING = ['irregular', 'leaf', 'ring'];
/** How far away a like region may lie, in its own widths: for telling shapes, and for the others. */
const NEAR_TELLING = 15;
const NEAR = 3;
/** Telling shapes smaller than this are too ragged to tell from afar, mm2. */
const TELLING_MM2 = 1.5;
/** Each region is bound to so many of the like regions nearest to it. */
const NEAREST = 3;

/** What each cue says of two neighbours, in the order of CUES. */
export interface NeighbourCues {
  a: number;
  b: number;
  values: number[];
}

/** Reads every cue for every two neighbours. */
export function neighbourCues(page: PageEvidence): NeighbourCues[] {
  const { borders } = page;
  const hidden = new Map(borders.hidings.map(({ front, behind, times }) => [front * 65_536 + behind, times]));
  return borders.shared.flatMap((border) => {
    const pair = pairOf(page, border, hidden);
    return pair ? [{ a: border.a, b: border.b, values: CUES.map(({ of }) => of(pair)) }] : [];
  });
}

/** The bonds between neighbours. */
export function neighbourAffinities(page: PageEvidence): Affinity[] {
  return neighbourCues(page).map(({ a, b, values }) => {
    const sum = values.reduce((total, value, k) => total + CUES[k]!.weight * value, -CARE);
    return { a, b, strength: Math.max(-LOUDEST, Math.min(LOUDEST, sum)) };
  });
}

function pairOf(
  { regions, borders, alikeSet }: PageEvidence,
  border: SharedBorder,
  hidden: ReadonlyMap<number, number>,
): Pair | null {
  const [a, b] = [regions[border.a], regions[border.b]];
  if (!a || !b) return null;
  const [p, q] = [borders.around[border.a]!, borders.around[border.b]!];
  return {
    a,
    b,
    border,
    shareOfShorter: border.lengthPx / Math.min(p, q),
    shareOfLonger: border.lengthPx / Math.max(p, q),
    hides: (hidden.get(border.a * 65_536 + border.b) ?? 0) + (hidden.get(border.b * 65_536 + border.a) ?? 0),
    alike: alikeSet[border.a]! >= 0 && alikeSet[border.a] === alikeSet[border.b],
  };
}

/** The bonds between regions of one shape that do not touch: stars in one sky, buttons on like coats, far shingles. */
export function likenessAffinities(page: PageEvidence, alike: readonly (readonly number[])[]): Affinity[] {
  const touching = new Set(page.borders.shared.map(({ a, b }) => a * 65_536 + b));
  const bonds = new Map<number, Affinity>();
  for (const set of alike) {
    for (const one of set) {
      const a = page.regions[one];
      if (!a) continue;
      const candidates: { id: number; strength: number; apart: number }[] = [];
      for (const other of set) {
        const b = page.regions[other];
        if (!b || other === one || touching.has(Math.min(one, other) * 65_536 + Math.max(one, other))) continue;
        const strength = likenessStrength(page, a, b);
        if (strength > 0) candidates.push({ id: other, strength, apart: apart(a, b) });
      }
      candidates.sort((p, q) => p.apart - q.apart || p.id - q.id);
      for (const { id, strength } of candidates.slice(0, NEAREST)) {
        const [p, q] = one < id ? [one, id] : [id, one];
        bonds.set(p * 65_536 + q, { a: p, b: q, strength });
      }
    }
  }
  return [...bonds.values()];
}

/**
 * Log odds of one thing by likeness, rounded, counted on drawn pages: within one region of one size, or as its only
 * islands; within regions that are alike; near each other; and far apart with a telling shape.
 */
const LIKE = { within: 3, islands: 2, inLike: 2.5, near: 2.5, far: 1.2 };

/** How strongly likeness binds two regions; 0 where it says nothing. */
function likenessStrength({ encloser, alikeSet, neighbours }: PageEvidence, a: Region, b: Region): number {
  const oneSize = Math.exp(-sizesApart(a, b)) > ONE_SIZE;
  const [p, q] = [encloser[a.id]!, encloser[b.id]!];
  if (p > 0 && p === q)
    return oneSize ? LIKE.within : neighbours[a.id] === 1 && neighbours[b.id] === 1 ? LIKE.islands : 0;
  if (!oneSize) return 0;
  if (p > 0 && q > 0) return alikeSet[p]! >= 0 && alikeSet[p] === alikeSet[q] ? LIKE.inLike : 0;
  if (p > 0 || q > 0) return 0;
  const telling = TELLING.includes(a.shape);
  const widths = apart(a, b) / Math.sqrt(Math.max(a.areaMm2, b.areaMm2));
  if (widths < (telling ? NEAR_TELLING : NEAR)) return LIKE.near;
  return telling && Math.min(a.areaMm2, b.areaMm2) > TELLING_MM2 ? LIKE.far : 0;
}

function stopsAll({ ends, stops }: SharedBorder): boolean {
  return ends > 0 && stops === ends;
}

function sizesApart(a: Region, b: Region): number {
  return Math.abs(Math.log(a.areaMm2 / b.areaMm2));
}

/** Between their axes, 0 in line to 1 at right angles. */
function turnApart(a: Region, b: Region): number {
  const turn = Math.abs(a.axisDegrees - b.axisDegrees);
  return Math.min(turn, 180 - turn) / 90;
}

function apart(a: Region, b: Region): number {
  return Math.hypot(a.pole.x - b.pole.x, a.pole.y - b.pole.y);
}
