import { type Gathered } from './gather.ts';
import { type InFront } from './depth.ts';
import { WIDE_SHARE } from './words.ts';

/** Something that the page alone does not tell; a person may answer it or leave it open. */
export type Question = {
  /** The same as long as the question is. */
  key: string;
  /** How much paper the answer decides about, mm2. */
  areaMm2: number;
} & (
  | { kind: 'what'; group: number }
  /** Do two groups belong to one thing? */
  | { kind: 'together'; a: number; b: number }
  /** Which of two groups lies in front? */
  | { kind: 'front'; a: number; b: number }
);

/** So many questions are asked at most, and so many of each kind. */
export const MOST_QUESTIONS = 8;
const MOST_OF: Record<Question['kind'], number> = { what: 3, together: 4, front: 2 };
/** Groups that less than this speaks against might be one; log odds. */
const MIGHT_BE_ONE = -1.4;
/** Nobody is asked about things smaller than this, as a share of the page. */
const WORTH_ASKING = 0.003;

/**
 * What to ask about guessed groups: what the wide areas are, which groups are one after all, and which of two that
 * hide each other lies in front. The largest area first, eight at most.
 * @param areas of the groups, mm2
 * @param asked leaves out what these keys stand for
 */
export function questionsAbout(
  { groups, between }: Gathered,
  areas: ArrayLike<number>,
  evidence: readonly InFront[],
  pageMm2: number,
  asked: ReadonlySet<string>,
): Question[] {
  const name = (k: number) => groups[k]![0];
  const all: Question[] = [];
  groups.forEach((ids, group) => {
    // What grew by an answer is not asked about again.
    if (areas[group]! > WIDE_SHARE * pageMm2 && !ids.some((id) => asked.has(`what ${id}`)))
      all.push({ kind: 'what', group, key: `what ${name(group)}`, areaMm2: areas[group]! });
  });
  for (const { a, b, strength } of between) {
    if (strength < MIGHT_BE_ONE) continue;
    all.push({
      kind: 'together',
      a,
      b,
      key: `together ${name(a)} ${name(b)}`,
      areaMm2: Math.min(areas[a]!, areas[b]!),
    });
  }
  for (const { a, b } of undecided(evidence, groups.length)) {
    all.push({ kind: 'front', a, b, key: `front ${name(a)} ${name(b)}`, areaMm2: Math.min(areas[a]!, areas[b]!) });
  }
  const count = { what: 0, together: 0, front: 0 };
  for (const key of asked) count[key.split(' ')[0] as Question['kind']]++;
  return all
    .filter(({ key, areaMm2 }) => areaMm2 > WORTH_ASKING * pageMm2 && !asked.has(key))
    .sort((p, q) => q.areaMm2 - p.areaMm2 || p.key.localeCompare(q.key))
    .filter(({ kind }) => ++count[kind] <= MOST_OF[kind])
    .slice(0, Math.max(0, MOST_QUESTIONS - asked.size));
}

/** Pairs of groups of which each hides the other about as often. */
function undecided(evidence: readonly InFront[], count: number): { a: number; b: number }[] {
  const sums = new Map<number, { a: number; b: number; for: number; against: number }>();
  for (const { front, behind, weight } of evidence) {
    if (front === behind || front >= count || behind >= count) continue;
    const [a, b] = front < behind ? [front, behind] : [behind, front];
    const pair = sums.get(a * count + b) ?? { a, b, for: 0, against: 0 };
    pair[front === a ? 'for' : 'against'] += weight;
    sums.set(a * count + b, pair);
  }
  return [...sums.values()].filter((pair) => {
    const most = Math.max(pair.for, pair.against);
    return most >= 2 && Math.min(pair.for, pair.against) > most / 2;
  });
}
