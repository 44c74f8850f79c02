import { type IndexedPage } from '../lineart/index.ts';
import { type Run, checkpoints, quietRun } from '../run/index.ts';
import { type PageEvidence, likenessAffinities, neighbourAffinities } from './affinities.ts';
import { readBorders } from './borders.ts';
import { type InFront, frontToBack } from './depth.ts';
import { enclosers } from './enclosure.ts';
import { type Word, gather } from './gather.ts';
import { type Question, questionsAbout } from './questions.ts';
import { describeGuess, toldApart } from './words.ts';

/** A page that was looked at for what belongs together: kept, so that each answer is worked in at once. */
export interface PageReading extends PageEvidence {
  alike: readonly (readonly number[])[];
  page: { widthMm: number; heightMm: number };
}

/** What a person answered, about regions by their ids. */
export type Answer =
  { kind: 'together'; a: number; b: number; yes: boolean } | { kind: 'front'; front: number; behind: number };

export interface ProposeOptions {
  /** Things that exist, front to back: their regions are left alone, and they keep their order. */
  things?: readonly { name: string; regionIds: readonly number[] }[];
  /** Regions that are not to be in any thing. */
  without?: readonly number[];
  answers?: readonly Answer[];
  /** Keys of the questions that were answered or left open. */
  asked?: readonly string[];
}

/** A thing as the page suggests it. */
export interface GuessedThing {
  name: string;
  regionIds: number[];
  areaMm2: number;
}

export interface Proposal {
  guesses: GuessedThing[];
  /** From front to back: things that exist by their place in the list, and guesses after those. */
  frontToBack: number[];
  /** About the guesses by their place in the list. */
  questions: Question[];
}

/** How much being within a region speaks for lying in front of it, beside one line that stops. */
const WITHIN_WEIGHT = 4;
/** How much being smaller speaks for it, by the log of how many times. */
const SMALLER_WEIGHT = 0.8;
/** How much a person's word on it speaks: more than what the page shows. */
const WORD_WEIGHT = 12;

/**
 * Reads what a page shows of its things: its borders, what lies within what, and what is alike.
 * @param page what findRegions returns of it
 * @throws CancelledError when the run is cancelled
 */
export async function readPage(
  { width, height, pixelsPerMm, regions, alike, arcs }: Omit<IndexedPage, 'labels' | 'grown' | 'doubts' | 'neighbours'>,
  run: Run = quietRun,
): Promise<PageReading> {
  const checkpoint = checkpoints(run);
  await checkpoint(0.3, 'seeing which lines stop and which run on');
  const borders = readBorders(arcs, pixelsPerMm, regions.length);
  await checkpoint(0.9, 'seeing what lies within what');
  const beside: number[][] = Array.from({ length: regions.length + 1 }, () => []);
  for (const { a, b } of borders.shared) {
    beside[a]!.push(b);
    beside[b]!.push(a);
  }
  const neighbours = Uint16Array.from(beside, ({ length }) => length);
  regions.forEach(({ id }) => {
    if (borders.onMargin[id] === 0) return;
    beside[0]!.push(id);
    beside[id]!.push(0);
  });
  const areas = [0, ...regions.map(({ areaMm2 }) => areaMm2)];
  const holed = regions.flatMap(({ id, holes }) => (holes > 0 ? [id] : []));
  const alikeSet = new Int32Array(regions.length + 1).fill(-1);
  alike.forEach((set, k) => set.forEach((id) => (alikeSet[id] = k)));
  return {
    regions: [undefined, ...regions],
    borders,
    alikeSet,
    encloser: enclosers(regions.length, beside, holed, areas),
    neighbours,
    alike,
    page: { widthMm: width / pixelsPerMm, heightMm: height / pixelsPerMm },
  };
}

/**
 * Proposes things for the regions that are in none: regions bound by stopping lines, likeness, enclosure and size,
 * ordered by which hides which, with at most eight questions about what the page does not tell.
 */
export function proposeThings(
  reading: PageReading,
  { things = [], without = [], answers = [], asked = [] }: ProposeOptions = {},
): Proposal {
  const { regions, page } = reading;
  const taken = new Set([...without, ...things.flatMap(({ regionIds }) => regionIds)]);
  const free = regions.flatMap((region) => (region && !taken.has(region.id) ? [region.id] : []));
  const areas = regions.map((region) => region?.areaMm2 ?? 0);
  const words = answers.flatMap((answer): Word[] =>
    answer.kind === 'together' ? [{ a: answer.a, b: answer.b, together: answer.yes }] : [],
  );
  const bonds = [...neighbourAffinities(reading), ...likenessAffinities(reading, reading.alike)];
  const gathered = gather(free, areas, bonds, words);
  const all = [...things.map(({ regionIds }) => regionIds), ...gathered.groups];
  const evidence = inFront(reading, all, answers);
  const sizes = gathered.groups.map((ids) => ids.reduce((sum, id) => sum + areas[id]!, 0));
  const size = (ids: readonly number[]) => Math.max(...ids.map((id) => areas[id]!));
  const among = evidence.map(({ front, behind, weight }) => ({
    front: front - things.length,
    behind: behind - things.length,
    weight,
  }));
  const names = gathered.groups.map((ids) =>
    describeGuess(
      ids.map((id) => regions[id]!),
      page,
    ),
  );
  return {
    guesses: toldApart(
      names,
      things.map(({ name }) => name),
    ).map((name, k) => ({ name, regionIds: gathered.groups[k]!, areaMm2: sizes[k]! })),
    frontToBack: keepOrder(
      frontToBack(all.length, evidence, (a, b) => size(all[a]!) - size(all[b]!)),
      things.length,
    ),
    questions: questionsAbout(
      gathered,
      sizes,
      among.filter(({ front, behind }) => front >= 0 && behind >= 0),
      page.widthMm * page.heightMm,
      new Set(asked),
    ),
  };
}

/** What speaks for one group lying in front of another. */
function inFront(
  { regions, borders, encloser }: PageReading,
  groups: readonly (readonly number[])[],
  answers: readonly Answer[],
): InFront[] {
  const groupOf = new Int32Array(regions.length).fill(-1);
  groups.forEach((ids, k) => ids.forEach((id) => (groupOf[id] = k)));
  const evidence: InFront[] = [];
  const add = (front: number, behind: number, weight: number) => {
    const [p, q] = [groupOf[front]!, groupOf[behind]!];
    if (p >= 0 && q >= 0 && p !== q) evidence.push({ front: p, behind: q, weight });
  };
  for (const { front, behind, times } of borders.hidings) add(front, behind, times);
  const sizes = groups.map((ids) => Math.max(...ids.map((id) => regions[id]?.areaMm2 ?? 0)));
  const seen = new Set<number>();
  for (const { a, b } of borders.shared) {
    const [p, q] = [groupOf[a]!, groupOf[b]!];
    if (p < 0 || q < 0 || p === q || seen.has(Math.min(p, q) * groups.length + Math.max(p, q))) continue;
    seen.add(Math.min(p, q) * groups.length + Math.max(p, q));
    const [front, behind] = sizes[p]! < sizes[q]! ? [p, q] : [q, p];
    evidence.push({ front, behind, weight: SMALLER_WEIGHT * Math.log(sizes[behind]! / sizes[front]!) });
  }
  for (let id = 1; id < regions.length; id++) if (encloser[id]! > 0) add(id, encloser[id]!, WITHIN_WEIGHT);
  for (const answer of answers) if (answer.kind === 'front') add(answer.front, answer.behind, WORD_WEIGHT);
  return evidence;
}

/** Puts the first `kept` members of an order back among themselves, in the places that they take up together. */
function keepOrder(order: readonly number[], kept: number): number[] {
  let next = 0;
  return order.map((k) => (k < kept ? next++ : k));
}
