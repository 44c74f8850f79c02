import { type ColourWheel, wheelById } from '../colour/index.ts';
import { type PencilOnPaper } from '../tray/index.ts';
import { type Distance } from './distance.ts';
import { withLikeParts } from './like-parts.ts';
import { type FamilyBook } from './families.ts';
import { Bodies, type Option, Ways } from './options.ts';
import { type PageSummary, type PageThing } from './page.ts';
import { handsOf, schemeById } from './schemes/index.ts';
import { plannedValues } from './values.ts';
import { FREE_MOOD, type Mood, USUAL_SHARES, type Wishes } from './wishes.ts';

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
  tray: readonly PencilOnPaper[];
  /** Places of the pencils that must come in. */
  must: readonly number[];
  mood: Mood;
  /** How near and far are told apart. */
  distance: Distance;
  /** How clear the page is to be as a whole, 1 as usual. */
  clearness: number;
  /** Shares of light, middle and dark by area that it is to have; 1 in all. */
  values: readonly [number, number, number];
  /** How many hues are to be seen on large things. */
  largeHues: number;
  /** Shares of the area wished for, by voice; 1 in all. */
  shares: readonly [number, number, number];
}

/** A page that is wished as dull as this may have things in grey. */
const GREYS_FROM = -0.35;

/** One of the ways in which the same wishes may be played: which hand rules, and on what kind of ground. */
export interface Plot {
  ruler: number;
  /** How light and how clear the page as a whole leans to, -1 to 1, where the wishes leave that free. */
  light?: number;
  clear?: number;
  says: string;
}

/**
 * A page, a tray and wishes as a problem for a search, played in one plot.
 * @param among places of the tray that may be used; default all. Pinned families may use others
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
  const hands = [own[plot.ruler]!, ...own.filter((_, i) => i !== plot.ruler)];
  const placeOf = new Map(book.tray.map(({ id }, i) => [id, i]));
  const must = (wishes.must ?? []).flatMap((id) => placeOf.get(id) ?? []);
  const bodies = new Bodies();
  const greys = wishes.mood?.clear !== undefined && wishes.mood.clear !== null && wishes.mood.clear <= GREYS_FROM;
  const sky = page.things.find(({ kind }) => kind === 'sky')?.name ?? '';
  const ways = new Ways({ sky, book, wheel, hands, must, among, placeOf, bodies, greys });
  const pinned = withLikeParts(wishes.pinned ?? {}, page.things);
  const options = page.things.map((thing) => ways.of(thing, pinned[thing.id]));
  const area = page.things.reduce((sum, { areaMm2 }) => sum + areaMm2, 0) || 1;
  const at = new Map(page.things.map(({ id }, i) => [id, i]));
  const borders = page.borders.flatMap(({ a, b, lengthMm }) => {
    const [p, q] = [at.get(a), at.get(b)];
    return p === undefined || q === undefined || p === q
      ? []
      : [{ front: Math.min(p, q), behind: Math.max(p, q), lengthMm }];
  });
  const length = borders.reduce((sum, { lengthMm }) => sum + lengthMm, 0) || 1;
  const mood = wishes.mood ?? FREE_MOOD;
  const shares = wishes.shares ?? USUAL_SHARES;
  const whole = shares[0] + shares[1] + shares[2] || 1;
  return {
    things: page.things,
    wheel,
    hands,
    options,
    must,
    share: Float64Array.from(page.things, ({ areaMm2 }) => areaMm2 / area),
    borders: borders.map(({ front, behind, lengthMm }) => ({ front, behind, weight: lengthMm / length })),
    alike: pairsAlike(page.things),
    apart: bodies.differences(),
    colours: bodies.count,
    tray: book.tray,
    mood,
    distance: wishes.distance ?? 'scene',
    clearness: 1 + 0.6 * (mood.clear ?? plot.clear ?? 0),
    largeHues: schemeById(wishes.scheme).largeHues,
    values: plannedValues(mood.light ?? plot.light ?? 0),
    shares: [shares[0] / whole, shares[1] / whole, shares[2] / whole],
  };
}

/** For each thing the places of those that it is paired with as alike. */
export function likesOf({ things, alike }: Pick<Problem, 'things' | 'alike'>): number[][] {
  return things.map((_, i) => alike.flatMap(([p, q]) => (p === i ? [q] : q === i ? [p] : [])));
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
