import { type Costs, type Handedness, USUAL_COSTS } from './costs.ts';
import { WORN_FROM } from './points.ts';
import { inHand } from './step.ts';
import type { Box, Step } from './schemas.ts';

/** What an order costs beside the colouring itself. */
export interface Overhead {
  /** How many times a pencil or tool is picked up. */
  pickUps: number;
  /** How often a point is sharpened on the way. */
  sharpenings: number;
  /** The way of the hand from place to place, mm. */
  travelMm: number;
  /** Minutes that nothing can be done because something dries. */
  waitMinutes: number;
  /** Seconds that all of these take. */
  seconds: number;
  /** Soft finished work that the hand lies over, cm2 for each ten minutes that it does, added up: a risk, not a time. */
  smearCm2: number;
  /** What the search makes small: seconds, and what keeping the hand off is worth. */
  cost: number;
}

/** Smearing is counted for each so many minutes, and in squares of so many mm. */
const SMEAR_MINUTES = 10;
const SQUARE = 15;
/** The hand lies beside and below what it works on, so far, mm. */
const HAND = { beside: 75, above: 15, below: 90 };

/** Tells what orders of the same steps cost; made once, asked often. */
export class Pricing {
  readonly #costs: Costs;
  /** What is held for each step, numbered, and how many such there are. */
  readonly #held: Int32Array;
  readonly #helds: number;
  readonly #minutes: Float64Array;
  /** How long each step dries, minutes; 0 where it does not. */
  readonly #drying: Float64Array;
  /** Points that each step wears down, and from how worn a point on it is sharpened before; Infinity for tools. */
  readonly #wear: Float64Array;
  readonly #wornFrom: Float64Array;
  /** Middle of each step, mm, or NaN where nobody knows. */
  readonly #x: Float64Array;
  readonly #y: Float64Array;
  /** Steps that have to be dry before each step. */
  readonly #dries: readonly (readonly number[])[];
  /** Squares that each step leaves soft, with how much, mm2; and those that the hand lies over meanwhile. */
  readonly #leaves: readonly (readonly (readonly [number, number])[])[];
  readonly #under: readonly (readonly number[])[];
  readonly #squares: number;

  /** @param hand the hand that draws; default the right */
  constructor(steps: readonly Step[], costs: Costs = USUAL_COSTS, hand: Handedness = 'right') {
    this.#costs = costs;
    const known = new Map<string, number>();
    this.#held = Int32Array.from(steps, (step) => {
      const held = inHand(step);
      if (!known.has(held)) known.set(held, known.size);
      return known.get(held)!;
    });
    this.#helds = known.size;
    this.#minutes = Float64Array.from(steps, ({ minutes }) => minutes);
    this.#drying = Float64Array.from(steps, ({ dryMinutes = 0 }) => dryMinutes);
    this.#wear = Float64Array.from(steps, ({ tool, wear = 0 }) => (tool ? 0 : wear));
    this.#wornFrom = Float64Array.from(steps, ({ tool, point }) => (tool ? Infinity : WORN_FROM[point]));
    this.#x = Float64Array.from(steps, ({ box }) => (box ? (box.left + box.right) / 2 : NaN));
    this.#y = Float64Array.from(steps, ({ box }) => (box ? (box.top + box.bottom) / 2 : NaN));
    const numbers = new Map(steps.map(({ id }, i) => [id, i]));
    this.#dries = steps.map(({ after }) => after.map((id) => numbers.get(id)!).filter((i) => steps[i]?.dryMinutes));
    const soft = steps.some((step) => step.soft && step.box);
    const grid = gridOver(steps);
    this.#squares = soft ? grid.columns * grid.rows : 0;
    this.#leaves = steps.map(({ soft: own, box, coveredMm2 = 0 }) => {
      if (!own || !box) return [];
      const squares = grid.within(box);
      return squares.map((square) => [square, coveredMm2 / squares.length] as const);
    });
    this.#under = steps.map(({ box }) => (soft && box ? grid.within(underHand(box, hand)) : []));
  }

  /** @param order numbers of steps; may leave some out */
  of(order: readonly number[]): Overhead {
    const { pickUpSeconds, sharpenSeconds, travelSeconds, smearSeconds } = this.#costs;
    const worn = new Float64Array(this.#helds);
    const soft = new Float64Array(this.#squares);
    const dryAt = new Map<number, number>();
    let [pickUps, sharpenings, travelMm, waitMinutes, smearMm2, clock] = [0, 0, 0, 0, 0, 0];
    let [held, x, y] = [-1, NaN, NaN];
    for (const i of order) {
      if (this.#held[i] !== held) {
        held = this.#held[i]!;
        pickUps++;
        clock += pickUpSeconds / 60;
      }
      if (worn[held]! > this.#wornFrom[i]!) {
        worn[held] = 0;
        sharpenings++;
        clock += sharpenSeconds / 60;
      }
      worn[held]! += this.#wear[i]!;
      const way = Math.hypot(this.#x[i]! - x, this.#y[i]! - y);
      if (way > 0) travelMm += way;
      if (!Number.isNaN(this.#x[i])) [x, y] = [this.#x[i]!, this.#y[i]!];
      for (const wet of this.#dries[i]!) {
        const wait = (dryAt.get(wet) ?? 0) - clock;
        if (wait > 0) {
          waitMinutes += wait;
          clock += wait;
        }
      }
      for (const square of this.#under[i]!) smearMm2 += (soft[square]! * this.#minutes[i]!) / SMEAR_MINUTES;
      for (const [square, mm2] of this.#leaves[i]!) soft[square]! += mm2;
      clock += this.#minutes[i]!;
      if (this.#drying[i]! > 0) dryAt.set(i, clock + this.#drying[i]!);
    }
    const seconds =
      pickUps * pickUpSeconds + sharpenings * sharpenSeconds + (travelMm / 100) * travelSeconds + waitMinutes * 60;
    const smearCm2 = smearMm2 / 100;
    const cost = seconds + smearSeconds * smearCm2;
    return { pickUps, sharpenings, travelMm, waitMinutes, seconds, smearCm2, cost };
  }
}

/** What an order of steps costs beside the colouring itself. */
export function overheadOf(order: readonly Step[], costs?: Costs, hand?: Handedness): Overhead {
  return new Pricing(order, costs, hand).of([...order.keys()]);
}

/** Where the hand lies while it works in a box: right and below for a right hand. */
function underHand({ left, top, right, bottom }: Box, hand: Handedness): Box {
  const [x, y] = [(left + right) / 2, (top + bottom) / 2];
  return {
    ...(hand === 'right' ? { left: x, right: x + HAND.beside } : { left: x - HAND.beside, right: x }),
    top: y - HAND.above,
    bottom: y + HAND.below,
  };
}

function gridOver(steps: readonly Step[]) {
  const columns = 1 + Math.floor(Math.max(0, ...steps.map(({ box }) => box?.right ?? 0)) / SQUARE);
  const rows = 1 + Math.floor(Math.max(0, ...steps.map(({ box }) => box?.bottom ?? 0)) / SQUARE);
  const at = (mm: number, most: number) => Math.min(most - 1, Math.max(0, Math.floor(mm / SQUARE)));
  const within = ({ left, top, right, bottom }: Box): number[] => {
    const squares: number[] = [];
    if (right < 0 || bottom < 0) return squares;
    for (let row = at(top, rows); row <= at(bottom, rows); row++) {
      for (let column = at(left, columns); column <= at(right, columns); column++) squares.push(row * columns + column);
    }
    return squares;
  };
  return { columns, rows, within };
}
