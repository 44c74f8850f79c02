import { Objective } from './objective.ts';
import { type Problem, likesOf } from './problem.ts';

/** An answer to a problem: the option of each thing and what it comes to. */
export interface Answer {
  chosen: Int32Array;
  objective: number;
}

/** A search that can be gone on with for as long as there is time; it never gives its best up. */
export interface Search {
  best: Answer;
  /** Tries so many more moves; the same seed and the same number of moves in all give the same best. */
  anneal(moves: number): void;
}

/** Heat at which moves begin and end, in the units of the objective for a page of one thing: the more things, the less one counts. */
const HEAT = { first: 0.6, last: 0.01 };
/** So many moves let two things exchange their colours, give a thing that of another one, and that of a like one. */
const EXCHANGES = 0.08;
const BORROWS = 0.12;
const LIKENESS = 0.08;
/** So many moves put a pencil away wherever it is in use; each weighs many options. */
const PUTS_AWAY = 0.002;
/** A search cools down within so many moves for each thing; then it warms up a little from its best or, every so often, fully from anywhere. */
const MOVES_TO_COOL = 450;
const FULLY = 2;

/**
 * Starts with the greedy answer (largest thing first) and goes on by simulated annealing (S. Kirkpatrick et al., 1983),
 * warming up again from its best or from an answer at random, since no heat crosses every valley. A move gives one thing another option, or the colour
 * of another thing; or lets two exchange their colours; or takes a pencil out of every family that has it.
 * @param random numbers in 0..1
 */
export function startSearch(problem: Problem, random: () => number): Search {
  const n = problem.things.length;
  const now = greedily(problem);
  const best: Answer = { chosen: now.chosen.slice(), objective: now.value };
  const open = problem.options.flatMap((options, i) => (options.length > 1 ? [i] : []));
  const inColour = optionsByColour(problem);
  const likes = likesOf(problem);
  const cooling = Math.max(4000, MOVES_TO_COOL * n);
  const first = HEAT.first / Math.sqrt(n);
  const last = HEAT.last / Math.sqrt(n);
  let top = first;
  let since = 0;
  let rounds = 0;
  const oneOf = (of: readonly number[]) => of[Math.floor(random() * of.length)]!;
  return {
    best,
    anneal(more) {
      if (open.length === 0) return;
      for (let k = 0; k < more;) {
        if (since >= cooling) warmUp();
        const heat = top * (last / first) ** (since / cooling);
        const kind = random();
        const moves =
          kind < PUTS_AWAY ? putAway(heat) : kind < PUTS_AWAY + EXCHANGES ? exchange(heat) : another(kind, heat);
        k += moves;
        since += moves;
      }
    },
  };

  function warmUp() {
    since = 0;
    top = first;
    if (++rounds % FULLY === 0) {
      now.setAll(problem.options.map((own) => Math.floor(random() * own.length)));
      return;
    }
    top *= 0.05 + 0.3 * random();
    now.setAll(best.chosen);
  }

  function allowed(next: number, before: number, heat: number): boolean {
    return next <= before || random() < Math.exp((before - next) / heat);
  }

  function remember() {
    if (now.value >= best.objective - 1e-12) return;
    best.objective = now.value;
    best.chosen.set(now.chosen);
  }

  /** One thing takes another option at random, or the one in the colour of a like thing or of some other. */
  function another(kind: number, heat: number): number {
    const i = oneOf(open);
    const model =
      kind > 1 - LIKENESS && likes[i]!.length > 0
        ? oneOf(likes[i]!)
        : kind > 1 - LIKENESS - BORROWS
          ? Math.floor(random() * n)
          : -1;
    const to = model < 0 ? Math.floor(random() * problem.options[i]!.length) : inColour(i, model, now.chosen[model]!);
    if (to >= 0 && to !== now.chosen[i]) {
      if (allowed(now.weigh(i, to), now.value, heat)) {
        now.take();
        remember();
      }
    }
    return 1;
  }

  /** Two things exchange their colours: what each voice has of the page hardly changes. */
  function exchange(heat: number): number {
    const [i, j] = [oneOf(open), oneOf(open)];
    const [was, other] = [now.chosen[i]!, now.chosen[j]!];
    const [toI, toJ] = [inColour(i, j, other), inColour(j, i, was)];
    if (i !== j && toI >= 0 && toJ >= 0 && (toI !== was || toJ !== other)) {
      const before = now.value;
      now.set(i, toI);
      if (allowed(now.weigh(j, toJ), before, heat)) {
        now.take();
        remember();
      } else now.set(i, was);
    }
    return 1;
  }

  /** A pencil in use is put away: each thing that has it takes what is best without, one after the other. */
  function putAway(heat: number): number {
    const i = oneOf(open);
    const { pencils } = problem.options[i]![now.chosen[i]!]!;
    if (pencils.length === 0) return 1;
    const gone = oneOf(pencils);
    const [before, chosen] = [now.value, now.chosen.slice()];
    let weighed = 1;
    for (const thing of open) {
      const options = problem.options[thing]!;
      if (!options[now.chosen[thing]!]!.pencils.includes(gone)) continue;
      let least = Infinity;
      let to = now.chosen[thing]!;
      for (let k = 0; k < options.length; k++) {
        if (options[k]!.pencils.includes(gone)) continue;
        const next = now.weigh(thing, k);
        if (next < least) [least, to] = [next, k];
        weighed++;
      }
      now.set(thing, to);
    }
    if (allowed(now.value, before, heat)) remember();
    else now.setAll(chosen);
    return weighed;
  }
}

/** Looks up which option gives a thing the colour that an option gives another one; -1 where none does. */
function optionsByColour({ options, colours }: Problem): (thing: number, other: number, option: number) => number {
  const placeOf = options.map((own) => {
    const places = new Int32Array(colours).fill(-1);
    for (let k = own.length - 1; k >= 0; k--) places[own[k]!.colour] = k;
    return places;
  });
  return (thing, other, option) => placeOf[thing]![options[other]![option]!.colour]!;
}

/** Each thing in turn, the largest first, takes what is best beside those before it; those after it count as they are. */
export function greedy(problem: Problem): Int32Array {
  return greedily(problem).chosen;
}

function greedily(problem: Problem): Objective {
  const now = new Objective(problem);
  const order = problem.things.map((_, i) => i).sort((p, q) => problem.share[q]! - problem.share[p]! || p - q);
  for (const i of order) {
    let [best, least] = [0, Infinity];
    for (let k = 0; k < problem.options[i]!.length; k++) {
      const value = now.weigh(i, k);
      if (value < least) [best, least] = [k, value];
    }
    now.set(i, best);
  }
  return now;
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
      const next = (now.chosen[i]! + 1) % problem.options[i]!.length;
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
