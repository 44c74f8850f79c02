import { type Border } from '../../lineart/index.ts';
import type { Step } from '../schemas.ts';

/** The page as rules look at it. */
export interface RuledPage {
  /** Things from what lies in front to what lies behind. */
  things: readonly { id: string; name: string }[];
  /** Which regions share a printed line. */
  borders: readonly Border[];
}

/** One step that is to be done before another. */
export type Pair = readonly [before: Step, after: Step];

/** What one rule of craft wants of the order of steps of different things. */
export interface Rule {
  id: string;
  name: string;
  says: string;
  /** What it costs to keep to it, in one line. */
  costs: string;
  /** Whether it is kept as long as nobody chooses. */
  usual: boolean;
  pairs(chains: Chains, page: RuledPage): Pair[];
}

/** The steps of each thing in order, by thing id. */
export type Chains = ReadonlyMap<string, readonly Step[]>;

/** Pairs of things whose regions share a line at least this long, mm. */
const TOUCHING_MM = 1.5;

/** The things that touch: each pair once, in the order of the page, with the regions of each at the shared line. */
export function touchingThings(
  chains: Chains,
  { things, borders }: RuledPage,
): { a: string; b: string; regionsOfA: ReadonlySet<number>; regionsOfB: ReadonlySet<number> }[] {
  const thingOf = new Map<number, string>();
  for (const [id, steps] of chains)
    for (const step of steps) for (const region of step.regionIds) thingOf.set(region, id);
  const place = new Map(things.map(({ id }, i) => [id, i]));
  const shared = new Map<
    string,
    { a: string; b: string; lengthMm: number; regionsOfA: Set<number>; regionsOfB: Set<number> }
  >();
  for (const border of borders) {
    const [one, other] = [thingOf.get(border.a), thingOf.get(border.b)];
    if (!one || !other || one === other) continue;
    const inOrder = (place.get(one) ?? 0) <= (place.get(other) ?? 0);
    const [a, b] = inOrder ? [one, other] : [other, one];
    const [inA, inB] = inOrder ? [border.a, border.b] : [border.b, border.a];
    const key = `${a} ${b}`;
    const pair = shared.get(key) ?? { a, b, lengthMm: 0, regionsOfA: new Set(), regionsOfB: new Set() };
    pair.lengthMm += border.lengthMm;
    pair.regionsOfA.add(inA);
    pair.regionsOfB.add(inB);
    shared.set(key, pair);
  }
  return [...shared.values()].filter(({ lengthMm }) => lengthMm >= TOUCHING_MM);
}
