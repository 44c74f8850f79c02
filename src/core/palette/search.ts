import { Objective } from './objective.ts';
import { type Problem } from './problem.ts';

/** An answer to a problem: the option of each thing and what it comes to. */
export interface Answer {
  chosen: Int32Array;
  objective: number;
}

/** A search that can be gone on with for as long as there is time; it never gives its best up. */
export interface Search {
  best: Answer;
  /** Tries so many more moves; the same seed and the same number of moves in all give the same best. */
  goOn(moves: number): void;
}

/** Heat at which moves begin and end, in the units of the objective for a page of one thing: the more things, the less one counts. */
const HEAT = { first: 0.38, last: 0.006 };
/** So many moves let two things exchange their parts, and so many give a thing the part of a like one. */
const EXCHANGES = 0.2;
const LIKENESS = 0.08;
/** A search cools down within so many moves for each thing, then warms up again a little from its best. */
const MOVES_TO_COOL = 900;

/**
 * Starts with the greedy answer (largest thing first) and goes on by simulated annealing (S. Kirkpatrick et al., 1983)
 * with restarts from the best: a move gives one thing another option or that of a like one, or exchanges those of two.
 * @param random numbers in 0..1
 */
export function startSearch(problem: Problem, random: () => number): Search {
  const n = problem.things.length;
  const now = new Objective(problem, greedy(problem));
  let value = now.value;
  const best: Answer = { chosen: now.chosen.slice(), objective: value };
  const cooling = Math.max(4000, MOVES_TO_COOL * n);
  const open = problem.options.flatMap((options, i) => (options.length > 1 ? [i] : []));
  const likes = problem.alike;
  const places = placesOfParts(problem);
  let since = 0;
  const [first, last] = [HEAT.first / Math.sqrt(n), HEAT.last / Math.sqrt(n)];
  let top = first;
  return {
    best,
    goOn(more) {
      if (open.length === 0) return;
      for (let k = 0; k < more; k++, since++) {
        if (since === cooling) {
          now.setAll(best.chosen);
          value = now.value;
          since = 0;
          top = first * (0.15 + 0.5 * random());
        }
        const heat = top * (last / first) ** (since / cooling);
        const i = open[Math.floor(random() * open.length)];
        const kind = random();
        const j = kind < EXCHANGES ? open[Math.floor(random() * open.length)] : i;
        const [was, other] = [now.chosen[i], now.chosen[j]];
        if (j !== i) {
          // Two things exchange their parts: what each voice has of the page hardly changes.
          const [toI, toJ] = [places.like(j, other, i), places.like(i, was, j)];
          if (toI < 0 || toJ < 0 || (toI === was && toJ === other)) continue;
          now.set(i, toI);
          now.set(j, toJ);
        } else {
          const to =
            likes.length > 0 && kind > 1 - LIKENESS ? ofALike(i) : Math.floor(random() * problem.options[i].length);
          if (to === was) continue;
          now.set(i, to);
        }
        const next = now.value;
        if (next <= value || random() < Math.exp((value - next) / heat)) {
          value = next;
          if (value < best.objective - 1e-12) {
            best.objective = value;
            best.chosen.set(now.chosen);
          }
        } else {
          now.set(i, was);
          if (j !== i) now.set(j, other);
        }
      }
    },
  };

  /** The option of a thing that is like this one, or its own where there is none. */
  function ofALike(i: number): number {
    const pairs = likes.filter(([p, q]) => p === i || q === i);
    if (pairs.length === 0) return now.chosen[i];
    const [p, q] = pairs[Math.floor(random() * pairs.length)];
    const like = p === i ? q : p;
    return Math.max(0, places.like(like, now.chosen[like], i));
  }
}

/** Looks up which option of one thing plays the part that an option of another plays; -1 where none does. */
function placesOfParts({ options }: Problem): { like(thing: number, option: number, other: number): number } {
  const ids = new Map<string, number>();
  const partOf = options.map((own) =>
    Int32Array.from(own, ({ part: { angle, clarity, key } }) => {
      const name = `${angle} ${clarity} ${key}`;
      if (!ids.has(name)) ids.set(name, ids.size);
      return ids.get(name)!;
    }),
  );
  const placeOf = partOf.map((own) => {
    const places = new Int32Array(ids.size).fill(-1);
    for (let k = own.length - 1; k >= 0; k--) places[own[k]] = k;
    return places;
  });
  return { like: (thing, option, other) => placeOf[other][partOf[thing][option]] };
}

/** Each thing in turn, the largest first, takes what is best beside those before it; those after it count as they are. */
export function greedy(problem: Problem): Int32Array {
  const now = new Objective(problem);
  const order = problem.things.map((_, i) => i).sort((p, q) => problem.share[q] - problem.share[p] || p - q);
  for (const i of order) {
    let [best, least] = [0, Infinity];
    for (let k = 0; k < problem.options[i].length; k++) {
      now.set(i, k);
      const { value } = now;
      if (value < least) [best, least] = [k, value];
    }
    now.set(i, best);
  }
  return now.chosen;
}

/** More ways than these are too many to look at each. */
const MOST_WAYS = 2_000_000;

/**
 * The best answer of all, by looking at every one.
 * @throws RangeError where there are more than two million
 */
export function exactly(problem: Problem): Answer {
  const ways = problem.options.reduce((product, options) => product * options.length, 1);
  if (ways > MOST_WAYS) throw new RangeError('This page has too many ways to look at each of them.');
  const now = new Objective(problem);
  const best: Answer = { chosen: now.chosen.slice(), objective: now.value };
  for (let way = 1; way < ways; way++) {
    for (let i = 0; ; i++) {
      const next = (now.chosen[i] + 1) % problem.options[i].length;
      now.set(i, next);
      if (next > 0) break;
    }
    const { value } = now;
    if (value < best.objective) {
      best.objective = value;
      best.chosen.set(now.chosen);
    }
  }
  return best;
}
