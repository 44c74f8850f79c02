import { bareGround, type Ground } from './ground.ts';
import { type Relief, passGeometry, passesInHand } from './pass.ts';
import { type Lead } from './optics.ts';
import { type Paper } from './papers/index.ts';
import { type PencilType, pencilTypeById } from './pencil-types/index.ts';
import { MASSTONE_PASSES } from './pencil-optics.ts';
import { type Hand, PRESS, type Pressure, pressOf } from './pressure.ts';

/** What is told of a paper in general is told for a pencil of this type. */
const USUAL = 'wax';
/** Paper is called filled when no more of it shows than this, and no more passes than these are counted. */
const FILLED = 0.05;
const MOST_PASSES = 40;

/** What of a ground decides what passes do there, apart from colour. */
export function reliefOf({ rough, stray, tooth, spread, crush, takes, specks, filled, mass }: Ground): Relief {
  return { rough, stray, tooth, spread, crush, takes, specks, filled, mass };
}

/**
 * The relief of a place after one pass: how full it is, whatever the colours.
 * @param pressure by name, or as a share of the hardest press
 */
export function reliefAfter(
  relief: Relief,
  { type, presses }: Lead,
  pressure: Pressure | number,
  hand: Hand = {},
): Relief {
  const { rough, stray, tooth, spread, crush, takes } = relief;
  const { specks, filled, mass } = passGeometry(relief, type, Math.min(1, pressOf(pressure, hand) * presses));
  return { rough, stray, tooth, spread, crush, takes, specks, filled, mass };
}

function laid(from: Relief, type: PencilType, pressures: readonly (Pressure | number)[], hand: Hand): Relief {
  return pressures.reduce<Relief>((now, pressure) => reliefAfter(now, { type, presses: 1 }, pressure, hand), from);
}

/** Share of a paper that shows after so many passes at one pressure, 0..1, in the hand that the paper is laid in. */
export function bareAfter(paper: Paper, pressure: Pressure, passes: number, typeId = USUAL): number {
  const ground = bareGround(paper);
  return laid(ground, pencilTypeById(typeId), new Array<Pressure>(passes).fill(pressure), ground.hand).specks;
}

/**
 * Passes at one pressure until hardly any paper shows, at most 5%.
 * @returns null where forty are not enough
 */
export function passesUntilFilled(paper: Paper, pressure: Pressure, typeId = USUAL): number | null {
  for (let passes = 1; passes <= MOST_PASSES; passes++) {
    if (bareAfter(paper, pressure, passes, typeId) <= FILLED) return passes;
  }
  return null;
}

/**
 * Shares of the tooth left at which a paper is full and at which it fills up, for this person: what a burnish over two
 * firm passes leaves, and those two alone. A soft hand never fills it further, however hard its own burnish is meant.
 */
export function toothMarks({ hand, ...ground }: Ground): { full: number; filling: number } {
  const bare: Relief = { ...ground, specks: 1, filled: 0, mass: 0 };
  const type = pencilTypeById(USUAL);
  const left = (pressures: readonly Pressure[]) => 1 - laid(bare, type, pressures, hand).filled;
  return { full: left(MASSTONE_PASSES), filling: left(MASSTONE_PASSES.slice(0, -1)) };
}

/** How many passes of a hand lay what some passes lay that are pressed as their name means: at least one, at most six. */
export function passesFor(passes: number, pressure: Pressure, hand: Hand): number {
  const press = pressOf(pressure, hand);
  if (press <= 0) return passes;
  return Math.min(Math.max(6, passes), Math.max(1, Math.round(passes * passesInHand(PRESS[pressure], press))));
}
