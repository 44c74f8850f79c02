import { type Pricing, type Overhead } from './overhead.ts';
import { type Problem, mostOpenIn } from './problem.ts';
import type { Step } from './schemas.ts';

/** Moves that are tried in one round. */
const TRIES = 40;
/** An order that is dearer by so many seconds is gone on with about once in three at first, and less and less by rounds. */
const WARMTH = 0.3;
const COOLS_IN_ROUNDS = 60;
/** Share of the moves that turn a stretch of a run round; of the others, of those that take steps beside others of their pencil. */
const TURNS = 0.5;
const TO_SAME_PENCIL = 0.6;
/** What else is moved goes so many places on at most. */
const NEARBY = 12;

export interface Priced {
  steps: readonly number[];
  overhead: Overhead;
}

/**
 * Makes an order cheaper in all that it costs, with no more things open than may be: within runs, what wants a sharp
 * point first, then from place to place; then by annealing, turning stretches of runs round and moving steps next to
 * others of their pencil.
 */
export class Polish {
  best: Priced;
  readonly #problem: Problem;
  readonly #pricing: Pricing;
  readonly #random: () => number;
  readonly #most: number;
  #now: Priced;
  #round = 0;

  /**
   * @param order valid
   * @param limit so many things may be open, or as many as in the order
   */
  constructor(
    problem: Problem,
    steps: readonly Step[],
    pricing: Pricing,
    order: readonly number[],
    limit: number,
    random: () => number,
  ) {
    this.#problem = problem;
    this.#pricing = pricing;
    this.#random = random;
    this.#most = Math.max(limit, mostOpenIn(problem, order));
    const asFound = { steps: order, overhead: pricing.of(order) };
    const inPlace = placeByPlace(problem, steps, order);
    const decoded = { steps: inPlace, overhead: pricing.of(inPlace) };
    const better = decoded.overhead.cost < asFound.overhead.cost && mostOpenIn(problem, inPlace) <= this.#most;
    this.best = this.#now = better ? decoded : asFound;
  }

  async improve(pause: () => Promise<unknown>): Promise<void> {
    const warmth = WARMTH / (1 + this.#round++ / COOLS_IN_ROUNDS);
    for (let i = 0; i < TRIES; i++) {
      await pause();
      const { steps: now } = this.#now;
      const steps = this.#random() < TURNS ? this.#turned(now) : this.#moved(now);
      if (!steps || mostOpenIn(this.#problem, steps) > this.#most) continue;
      const tried = { steps, overhead: this.#pricing.of(steps) };
      const dearer = tried.overhead.cost - this.#now.overhead.cost;
      if (dearer <= 0 || this.#random() < Math.exp(-dearer / warmth)) this.#now = tried;
      if (tried.overhead.cost < this.best.overhead.cost) this.best = tried;
    }
  }

  /** The order with a stretch of one run turned round; null where the run is too short. */
  #turned(order: readonly number[]): number[] | null {
    const { pencil } = this.#problem;
    const at = Math.floor(this.#random() * order.length);
    let [from, to] = [at, at + 1];
    while (from > 0 && pencil[order[from - 1]!] === pencil[order[at]!]) from--;
    while (to < order.length && pencil[order[to]!] === pencil[order[at]!]) to++;
    if (to - from < 2) return null;
    const other = from + Math.floor(this.#random() * (to - from));
    const [first, end] = [Math.min(at, other), Math.max(at, other) + 1];
    return [...order.slice(0, first), ...order.slice(first, end).reverse(), ...order.slice(end)];
  }

  /** The order with one stretch of a thing's steps with one pencil moved; null where it stays. */
  #moved(order: readonly number[]): number[] | null {
    const { pencil, thing } = this.#problem;
    const alike = (a: number, b: number) => pencil[a] === pencil[b] && thing[a] === thing[b];
    const at = Math.floor(this.#random() * order.length);
    let [from, to] = [at, at + 1];
    while (from > 0 && alike(order[from - 1]!, order[at]!)) from--;
    while (to < order.length && alike(order[to]!, order[at]!)) to++;
    const moving = order.slice(from, to);
    const rest = [...order.slice(0, from), ...order.slice(to)];
    if (rest.length === 0) return null;
    const into =
      this.#random() < TO_SAME_PENCIL
        ? this.#besideSamePencil(rest, pencil[order[at]!]!, from)
        : Math.max(0, Math.min(rest.length, from + Math.round((2 * this.#random() - 1) * NEARBY)));
    if (into === null || into === from) return null;
    return [...rest.slice(0, into), ...moving, ...rest.slice(into)];
  }

  /** A place beside a step with this pencil, of those nearest to where it was; null where there is none. */
  #besideSamePencil(rest: readonly number[], wanted: number, near: number): number | null {
    const { pencil } = this.#problem;
    const places: number[] = [];
    for (let out = 0; out < rest.length && places.length < 8; out++) {
      for (const at of out === 0 ? [near] : [near - out, near + out]) {
        if (at < 0 || at > rest.length || at === near) continue;
        if ((at > 0 && pencil[rest[at - 1]!] === wanted) || (at < rest.length && pencil[rest[at]!] === wanted)) {
          places.push(at);
        }
      }
    }
    return places.length > 0 ? places[Math.floor(this.#random() * places.length)]! : null;
  }
}

/** The same runs, each with what wants a sharp point first and then whatever is ready nearest to the hand. */
function placeByPlace(problem: Problem, steps: readonly Step[], order: readonly number[]): number[] {
  const { pencil, thing, needs } = problem;
  const out: number[] = [];
  let [x, y] = [0, 0];
  for (let begin = 0; begin < order.length;) {
    let end = begin;
    while (end < order.length && pencil[order[end]!] === pencil[order[begin]!]) end++;
    const left = order.slice(begin, end);
    const waiting = new Set(left);
    while (left.length > 0) {
      let [next, least] = [0, Infinity];
      const begun = new Set<number>();
      left.forEach((step, k) => {
        const free = !begun.has(thing[step]!) && !needs[step]!.some((before) => waiting.has(before));
        begun.add(thing[step]!);
        if (!free) return;
        const { box, point } = steps[step]!;
        const way = box ? Math.hypot((box.left + box.right) / 2 - x, (box.top + box.bottom) / 2 - y) : 0;
        const worth = way + (point === 'sharp' ? 0 : 1e4);
        if (worth < least) [next, least] = [k, worth];
      });
      const step = left.splice(next, 1)[0]!;
      waiting.delete(step);
      const { box } = steps[step]!;
      if (box) [x, y] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
      out.push(step);
    }
    begin = end;
  }
  return out;
}
