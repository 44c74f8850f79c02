import { type Problem, doAll } from './problem.ts';
import { Subproblem } from './subproblem.ts';

/** How wide a search looks: first over the whole page, then over windows of an order. */
const WIDTH = { whole: 40, window: 12 };
/** Windows hold so many runs at least and at most. */
const WINDOW = { least: 4, most: 36 };
/** So many windows are solved again in one round. */
const WINDOWS = 4;
/** Others may come to their turn after so many states. */
const EVERY = 8;
/** How far scores are shaken, in pick-ups. */
const SHAKE = 0.9;

/** A search for the fewest runs with any number of things open: each run does all that its pencil can. */
export interface AcrossThePage {
  /** The pencils in the order in which they are picked up. */
  runs: readonly number[];
  /** Solves some windows of the order again, one after the other; keeps what is no longer. */
  improve(): Promise<void>;
  /** Goes on from another order by its runs; each run then does all that its pencil can. */
  goOnFrom(runs: readonly number[]): void;
}

/**
 * Begins with a beam over runs: a move does all that one pencil can, states are scored by how often each pencil must still
 * be picked up for the thing that wants it most. Then windows of the order are solved again with a shaken score.
 * @param pause lets others come to their turn; is called often
 * @returns null for a page on which steps wait for each other
 */
export async function acrossThePage(
  whole: Problem,
  random: () => number,
  pause: () => Promise<unknown>,
): Promise<AcrossThePage | null> {
  const start = new Uint16Array(whole.chains.length);
  const end = Uint16Array.from(whole.chains, (chain) => chain.length);
  const stretch = new Subproblem(whole, [...whole.chains.keys()], start, end);
  const kept = stretch.among;
  const found = await beam(stretch, {
    width: WIDTH.whole,
    shake: 0,
    random,
    most: whole.pencil.length,
    pause,
  });
  if (!found) return null;
  let runs: readonly number[] = found;
  // What is done before each run, so that a window need not be led up to from the start.
  const before = [start];
  const leadUp = (from: number) => {
    for (let i = from; i < runs.length; i++) doAll(whole, (before[i + 1] = before[i]!.slice()), runs[i]!, kept);
  };
  leadUp(0);
  return {
    get runs() {
      return runs;
    },
    async improve() {
      for (let i = 0; i < WINDOWS; i++) await solveOne();
    },
    goOnFrom(other) {
      runs = other;
      leadUp(0);
    },
  };
  async function solveOne() {
    const size = Math.min(runs.length, WINDOW.least + Math.floor(random() * (WINDOW.most - WINDOW.least + 1)));
    const from = Math.floor(random() * (runs.length - size + 1));
    const again = await beam(new Subproblem(whole, kept, before[from]!, before[from + size]!), {
      width: WIDTH.window,
      shake: SHAKE,
      random,
      most: size,
      pause,
    });
    if (!again) return;
    runs = [...runs.slice(0, from), ...again, ...runs.slice(from + size)];
    leadUp(from);
  }
}

interface BeamOptions {
  width: number;
  shake: number;
  random: () => number;
  /** No more runs than this. */
  most: number;
  pause: () => Promise<unknown>;
}

interface State {
  /** How many steps of each thing of the stretch are done. */
  done: Uint16Array;
  /** The runs that led here, last first. */
  path: { pencil: number; before: State['path'] } | null;
  score: number;
}

/** The fewest runs that are found from one state of the page to another or beyond; null where there are none. */
async function beam(stretch: Subproblem, { width, shake, random, most, pause }: BeamOptions): Promise<number[] | null> {
  let states: State[] = [{ done: new Uint16Array(stretch.things), path: null, score: 0 }];
  if (stretch.things === 0) return [];
  for (let depth = 1; depth <= most; depth++) {
    const next = new Map<number, State>();
    for (const [k, { done, path }] of states.entries()) {
      if (k % EVERY === 0) await pause();
      for (const { pencil, after } of stretch.next(done)) {
        const key = stretch.keyOf(after);
        if (next.has(key)) continue;
        const left = stretch.left(after);
        const reached = { done: after, path: { pencil, before: path }, score: left + shake * random() };
        if (left === 0) return runsOf(reached);
        next.set(key, reached);
      }
    }
    states = [...next.values()].sort((p, q) => p.score - q.score).slice(0, width);
    if (states.length === 0) return null;
  }
  return null;
}

function runsOf({ path }: State): number[] {
  const runs: number[] = [];
  for (let at = path; at; at = at.before) runs.push(at.pencil);
  return runs.reverse();
}
