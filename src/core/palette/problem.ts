import {
  type ColourWheel,
  type Lab,
  deltaE2000,
  isWarm,
  oklchOfLab,
  turnBetween,
  wheelById,
  wheelOfHue,
} from '../colour/index.ts';
import { type Family, bodyOf, pencilsFor, pencilsOf } from '../recipe/index.ts';
import { FamilyBook, type FoundFamily, rowAround } from './families.ts';
import { type PageSummary, type PageThing } from './page.ts';
import { CLARITIES, KEYS, type Part, partOf } from './part.ts';
import { handsOf } from './schemes/index.ts';
import { MISFIT } from './terms.ts';
import { FREE_MOOD, type Mood, USUAL_SHARES, type Wishes } from './wishes.ts';

/** Voices of a palette: what rules the page, what supports it, and the accents. */
export const VOICES = ['ruling', 'supporting', 'accent'] as const;
export type Voice = 0 | 1 | 2;

/** One way to colour one thing. */
export interface Option {
  part: Part;
  /** Which hand it belongs to, the ruling one 0. */
  hand: number;
  voice: Voice;
  /** Null where the thing keeps the colour that it has on the paper. */
  family: Family | null;
  /** Places of its pencils in the tray. */
  pencils: readonly number[];
  body: Lab;
  /** Row of its body in the table of differences. */
  colour: number;
  /** OKLCH chroma of the body. */
  chroma: number;
  /** 1 on the warm half of the wheel, 0 on the cool one, 0.5 for greys. */
  warm: number;
  /** How far the body turns from its hand, 0..1, as far as it has a hue at all. */
  off: number;
  miss: number;
  rough: number;
  /** CIEDE2000 from the natural colour that it must keep; 0 where there is none. */
  natural: number;
  /** Whether it is there to let a wished pencil in. */
  offered: boolean;
}

/** A page with every way to colour each thing, packed for a search. */
export interface Problem {
  things: readonly PageThing[];
  wheel: ColourWheel;
  /** The hands in the order of the plot, the ruling one first. */
  hands: readonly number[];
  options: readonly (readonly Option[])[];
  /** Share of the area of each thing, 0..1, 1 in all. */
  share: Float64Array;
  /** Borders by places of their things, the one in front first, with their share of the whole length. */
  borders: readonly { front: number; behind: number; weight: number }[];
  /** Pairs of like things, by place. */
  alike: readonly (readonly [number, number])[];
  /** CIEDE2000 between any two bodies: row times `colours` plus column. */
  apart: Float32Array;
  colours: number;
  pencils: number;
  /** Places of the pencils that must come in. */
  must: readonly number[];
  mood: Mood;
  /** Shares of the area wished for, by voice; 1 in all. */
  shares: readonly [number, number, number];
}

/** One of the ways in which the same wishes may be played: which hand rules, and on what kind of ground. */
export interface Plot {
  ruler: number;
  /** What the page as a whole leans to, over what the wishes leave free. */
  lean: Partial<Mood>;
  says: string;
}

/** So many of the best families are kept for each part. */
const FAMILIES_EACH = 2;
const GREY = 0.03;
/** CIEDE2000 from a natural colour up to which it is kept as far as an eye would say. */
export const NATURAL_KEPT = 12;

/**
 * Works out every way to colour each thing: a thing that is laid or pinned has one, a thing with a natural colour a
 * few, any other one for each hand, clarity, key and family near it.
 * @param among places of the tray that may be used; default all
 * @throws RangeError for a page without things, an unknown wheel or scheme
 */
export function compileProblem(
  page: PageSummary,
  book: FamilyBook,
  wishes: Wishes,
  plot: Plot,
  among?: readonly number[],
): Problem {
  if (page.things.length === 0) throw new RangeError('Name at least one thing on the sheet before planning a palette.');
  const wheel = wheelById(wishes.wheel ?? 'painters');
  const own = handsOf(wishes.scheme, wishes.anchor, wishes.hands);
  const hands = [own[plot.ruler], ...own.filter((_, i) => i !== plot.ruler)];
  const colours = new Map<string, { row: number; lab: Lab }>();
  const placeOf = new Map(book.tray.map(({ id }, i) => [id, i]));
  const option = (
    part: Part,
    hand: number,
    found: Pick<FoundFamily, 'miss' | 'rough' | 'body'> & { family: Family | null },
    natural = 0,
  ): Option => {
    const key = found.family ? bodyOf(found.family) : `laid ${found.body.join()}`;
    const colour = colours.get(key) ?? { row: colours.size, lab: found.body };
    colours.set(key, colour);
    const { c, h } = oklchOfLab(found.body);
    const turned = Math.abs(turnBetween(wheel.angleOf(h), hands[hand]));
    return {
      part,
      hand,
      voice: voiceOf(hand, hands.length, part),
      family: found.family,
      pencils: found.family ? pencilsOf(found.family).flatMap((id) => placeOf.get(id) ?? []) : [],
      body: found.body,
      colour: colour.row,
      chroma: c,
      warm: c < GREY ? 0.5 : Number(isWarm(wheelOfHue(h))),
      off: Math.min(1, Math.max(0, turned - 12) / 60) * Math.min(1, c / 0.06),
      miss: found.miss,
      rough: found.rough,
      natural,
      offered: false,
    };
  };
  const nearestHand = (angle: number) => nearest(hands, angle);
  const must = (wishes.must ?? []).flatMap((id) => placeOf.get(id) ?? []);
  const options = page.things.map((thing): Option[] => {
    const pinned = wishes.pinned?.[thing.id];
    const fixed = thing.laid ?? (pinned && book.byId.get(bodyOf(pinned))?.body);
    if (fixed) {
      const part = partOf(oklchOfLab(fixed), wheel);
      const family = thing.laid ? null : pinned!;
      const natural = thing.natural ? deltaE2000(fixed, thing.natural) : 0;
      return [option(part, nearestHand(part.angle), { family, miss: 0, rough: 0, body: fixed }, natural)];
    }
    const count = pencilsFor(thing.widthMm);
    const wished = must.map((place) => {
      const part = partOf(oklchOfLab(book.tray[place].body), wheel);
      const found = book.around(place, count, among);
      const natural = thing.natural ? deltaE2000(found.body, thing.natural) : 0;
      return { ...option(part, nearestHand(part.angle), found, natural), offered: true };
    });
    if (thing.natural) {
      const part = partOf(oklchOfLab(thing.natural), wheel);
      const kept = book
        .along(rowAround(thing.natural, Math.min(count, among?.length ?? book.tray.length)), 3, among)
        .map((found) => option(part, nearestHand(part.angle), found, deltaE2000(found.body, thing.natural!)));
      return [...kept, ...wished.filter(({ natural }) => natural <= NATURAL_KEPT)];
    }
    const played = hands.flatMap((angle, hand) =>
      CLARITIES.flatMap((clarity) =>
        KEYS.flatMap((key) => {
          const part = { angle, clarity, key };
          return book.nearest(part, wheel, count, FAMILIES_EACH, among).map((found) => option(part, hand, found));
        }),
      ),
    );
    return [...unlike(played), ...wished];
  });
  const area = page.things.reduce((sum, { areaMm2 }) => sum + areaMm2, 0) || 1;
  const at = new Map(page.things.map(({ id }, i) => [id, i]));
  const borders = page.borders.flatMap(({ a, b, lengthMm }) => {
    const [p, q] = [at.get(a), at.get(b)];
    return p === undefined || q === undefined || p === q
      ? []
      : [{ front: Math.min(p, q), behind: Math.max(p, q), lengthMm }];
  });
  const length = borders.reduce((sum, { lengthMm }) => sum + lengthMm, 0) || 1;
  const shares = wishes.shares ?? USUAL_SHARES;
  const whole = shares[0] + shares[1] + shares[2] || 1;
  return {
    ...{ things: page.things, wheel, hands, options, must },
    share: Float64Array.from(page.things, ({ areaMm2 }) => areaMm2 / area),
    borders: borders.map(({ front, behind, lengthMm }) => ({ front, behind, weight: lengthMm / length })),
    alike: pairsAlike(page.things),
    apart: differences([...colours.values()].map(({ lab }) => lab)),
    colours: colours.size,
    pencils: book.tray.length,
    mood: leaning(wishes.mood ?? FREE_MOOD, plot.lean),
    shares: [shares[0] / whole, shares[1] / whole, shares[2] / whole],
  };
}

/** Of options that come to the same pencils in the same voice the one that asks for them most nearly: the rest are never better. */
function unlike(options: readonly Option[]): Option[] {
  const best = new Map<string, Option>();
  for (const option of options) {
    const key = `${option.voice} ${option.family!.pencils.join()} ${option.family!.blender}`;
    const known = best.get(key);
    if (!known || option.miss + MISFIT * option.off < known.miss + MISFIT * known.off) best.set(key, option);
  }
  return [...best.values()];
}

/** Accents are the last hand's where there are three or more, else what is clear away from the ruling hand. */
function voiceOf(hand: number, hands: number, { clarity }: Part): Voice {
  if (hands === 1) return clarity === 'clear' ? 2 : clarity === 'quiet' ? 0 : 1;
  if (hand === 0) return 0;
  return (hands > 2 && hand === hands - 1) || (hands === 2 && clarity === 'clear') ? 2 : 1;
}

function leaning(mood: Mood, lean: Partial<Mood>): Mood {
  return Object.fromEntries(
    Object.entries(mood).map(([axis, wished]) => [axis, wished ?? lean[axis as keyof Mood] ?? null]),
  ) as Mood;
}

function nearest(hands: readonly number[], angle: number): number {
  const off = (hand: number) => Math.abs(turnBetween(hand, angle));
  return hands.reduce((best, hand, i) => (off(hand) < off(hands[best]) ? i : best), 0);
}

function pairsAlike(things: readonly PageThing[]): [number, number][] {
  const last = new Map<string, number>();
  return things.flatMap(({ alike }, i): [number, number][] => {
    if (alike === null) return [];
    const before = last.get(alike);
    last.set(alike, i);
    return before === undefined ? [] : [[before, i]];
  });
}

function differences(labs: readonly Lab[]): Float32Array {
  const apart = new Float32Array(labs.length * labs.length);
  for (let p = 0; p < labs.length; p++) {
    for (let q = p + 1; q < labs.length; q++) {
      apart[p * labs.length + q] = apart[q * labs.length + p] = deltaE2000(labs[p], labs[q]);
    }
  }
  return apart;
}
