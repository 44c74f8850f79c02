import { type Lab, deltaE2000, oklchOfLab, placeAt, turn, turnBetween, wheelOfHue } from '../colour/index.ts';
import { type Family } from '../recipe/index.ts';
import { type Run, breather, quietRun } from '../run/index.ts';
import { type PencilOnPaper } from '../tray/index.ts';
import { type FoundFamily, familyFor } from './families.ts';
import { CLARITIES, type Clarity, KEYS, type Key, type Part } from './part.ts';
import { seededRandom } from '../random/index.ts';
import { schemeById } from './schemes/index.ts';

/** What the palette must know of a page: its things and who borders on whom. */
export interface SheetSummary {
  things: readonly {
    id: string;
    name: string;
    areaMm2: number;
    /** Whether the eye should go here first. */
    focus: boolean;
    /** The natural colour that it must keep, if any. */
    natural: Lab | null;
  }[];
  /** Shared border between two things, by id. */
  borders: readonly { a: string; b: string; lengthMm: number }[];
}

export interface Preferences {
  /** Anchor on the painter's wheel, degrees. */
  anchor: number;
  /** Id of a scheme. */
  scheme: string;
  /** How many proposals at most. Default 3. */
  count?: number;
  /** Default 1. */
  seed?: number;
}

export interface ProposedPart extends Part {
  thingId: string;
  family: Family;
  /** Mean CIEDE2000 from the colours asked for. */
  miss: number;
}

/** One palette for the whole page. Scores run from 0 to 100, more is better. */
export interface Proposal {
  name: string;
  parts: ProposedPart[];
  scores: {
    /** Share of the border length at which neighbours part clearly in colour. */
    parting: number;
    /** How near the tray comes to the colours asked for. */
    fit: number;
    /** How near the shares of the hands are to those aimed at. */
    shares: number;
  };
  /** Number of different pencils. */
  pencils: number;
  /** Why, from its own numbers. */
  reason: string;
}

/** Neighbours whose mid colours differ by this much (CIEDE2000) part clearly. */
const PARTED = 16;
const ROUNDS = 6;
/** What a hand may carry of the area: the first rules, the second supports, the rest accents. */
const SHARES = [0.6, 0.3, 0.1];

/**
 * Proposes palettes for a page: each thing gets a place in the scheme, a clarity and a key, and the family of pencils
 * that comes nearest. Proposals differ in which hand of the scheme rules the page; the best by the sum of its scores comes first. The search is greedy from the
 * largest thing down, then improves one thing at a time until nothing gets better; the same seed gives the same result.
 * @throws RangeError for an empty tray, a page without things or an unknown scheme
 * @throws CancelledError when the run is cancelled
 */
export async function proposePalettes(
  sheet: SheetSummary,
  tray: readonly PencilOnPaper[],
  preferences: Preferences,
  run: Run = quietRun,
): Promise<Proposal[]> {
  if (tray.length === 0)
    throw new RangeError('The tray is empty: bring at least one pencil before planning a palette.');
  if (sheet.things.length === 0)
    throw new RangeError('Name at least one thing on the sheet before planning a palette.');
  const hands = schemeById(preferences.scheme).hands.map((offset) => turn(preferences.anchor + offset));
  const breathe = breather(run);
  await breathe(0, 'finding families in the tray');
  const palette = new FamilyBook(tray);
  const random = seededRandom(preferences.seed ?? 1);
  const proposals: Proposal[] = [];
  const rulers = hands.length === 1 ? [0] : hands.map((_, i) => i);
  for (const [n, ruler] of rulers.slice(0, preferences.count ?? 3).entries()) {
    const order = [ruler, ...rulers.filter((i) => i !== ruler)].map((i) => hands[i]);
    await breathe(0.1 + (0.9 * n) / rulers.length, `trying ${placeAt(order[0]).name} as the ruling colour`);
    proposals.push(await solve(sheet, order, palette, random, breathe));
  }
  run.progress(1, 'done');
  return proposals.sort((p, q) => total(q.scores) - total(p.scores));
}

function total({ parting, fit, shares }: Proposal['scores']): number {
  return parting + fit + shares;
}

/** Families by part, each looked for once. */
class FamilyBook {
  readonly #tray: readonly PencilOnPaper[];
  readonly #found = new Map<string, FoundFamily>();
  constructor(tray: readonly PencilOnPaper[]) {
    this.#tray = tray;
  }
  get(part: Part): FoundFamily {
    const key = `${Math.round(part.angle)} ${part.clarity} ${part.key}`;
    let found = this.#found.get(key);
    if (!found) this.#found.set(key, (found = familyFor(part, this.#tray)));
    return found;
  }
}

type Choice = Part & { hand: number; found: FoundFamily };

async function solve(
  sheet: SheetSummary,
  hands: number[],
  book: FamilyBook,
  random: () => number,
  breathe: (share: number, doing: string) => Promise<void>,
): Promise<Proposal> {
  const things = [...sheet.things].sort((p, q) => q.areaMm2 - p.areaMm2 || (p.id < q.id ? -1 : 1));
  const options = new Map(things.map((thing) => [thing.id, optionsFor(thing, hands, book)]));
  const chosen = new Map<string, Choice>();
  const cost = pageCost(sheet, chosen);
  for (const thing of things) pick(thing.id);
  for (let round = 0; round < ROUNDS; round++) {
    let changed = false;
    const order = things.map((t) => ({ t, r: random() })).sort((p, q) => p.r - q.r);
    for (const { t } of order) {
      if (pick(t.id)) changed = true;
      await breathe(0.5, `weighing ${t.name}`);
    }
    if (!changed) break;
  }
  return describe(sheet, hands, chosen);

  function pick(id: string): boolean {
    const before = chosen.get(id);
    let best = before;
    let bestCost = before ? cost(id) : Infinity;
    for (const option of options.get(id) ?? []) {
      chosen.set(id, option);
      const c = cost(id);
      if (c < bestCost - 1e-9) [best, bestCost] = [option, c];
    }
    chosen.set(id, best as Choice);
    return best !== before;
  }
}

function optionsFor(thing: SheetSummary['things'][number], hands: number[], book: FamilyBook): Choice[] {
  const make = (angle: number, clarity: Clarity, key: Key, hand: number): Choice => {
    const part = { angle, clarity, key };
    return { ...part, hand, found: book.get(part) };
  };
  if (thing.natural) {
    const { l, c, h } = oklchOfLab(thing.natural);
    const clarity = c < 0.045 ? 'grey' : c < 0.11 ? 'quiet' : 'clear';
    const angle = Math.round(wheelOfHue(h));
    const nearest = hands.reduce((best, hand, i) => (apart(hand, angle) < apart(hands[best], angle) ? i : best), 0);
    const natural = 0.6 + 0.09 * Math.cos((angle * Math.PI) / 180);
    const key: Key = l < natural - 0.08 ? 'deep' : l > natural + 0.08 ? 'pale' : 'middle';
    return [make(angle, clarity, key, nearest)];
  }
  return hands.flatMap((angle, hand) =>
    CLARITIES.flatMap((clarity) => KEYS.map((key) => make(angle, clarity, key, hand))),
  );
}

function apart(a: number, b: number): number {
  return Math.abs(turnBetween(a, b));
}

/** The cost of the whole page as far as one thing has a say in it; lower is better. */
function pageCost(sheet: SheetSummary, chosen: Map<string, Choice>): (id: string) => number {
  const total = sheet.things.reduce((sum, thing) => sum + thing.areaMm2, 0);
  const thingOf = new Map(sheet.things.map((thing) => [thing.id, thing]));
  const beside = new Map<string, { other: string; lengthMm: number }[]>();
  for (const { a, b, lengthMm } of sheet.borders) {
    beside.set(a, [...(beside.get(a) ?? []), { other: b, lengthMm }]);
    beside.set(b, [...(beside.get(b) ?? []), { other: a, lengthMm }]);
  }
  return (id) => {
    const thing = thingOf.get(id)!;
    const own = chosen.get(id)!;
    const borders = (beside.get(id) ?? []).filter(({ other }) => chosen.has(other));
    const around = borders.reduce((sum, border) => sum + border.lengthMm, 0);
    const merge = borders.reduce((sum, { other, lengthMm }) => {
      const away = deltaE2000(own.found.mid, chosen.get(other)!.found.mid);
      return sum + (lengthMm / around) * Math.max(0, 1 - away / PARTED);
    }, 0);
    const share = thing.areaMm2 / total;
    // Large areas stay quiet; small ones and the focus may be clear.
    const loud = own.clarity === 'clear' ? share * 4 : own.clarity === 'grey' ? 0.25 : 0;
    const focus = thing.focus ? (own.clarity === 'clear' ? 0 : 1) + (own.key === 'pale' ? 0 : 0.3) : 0;
    return 2.5 * merge + own.found.miss / 14 + loud + focus + 3 * sharesMiss(sheet, chosen, total);
  };
}

function sharesMiss(sheet: SheetSummary, chosen: Map<string, Choice>, total: number): number {
  const hands = Math.max(...[...chosen.values()].map((c) => c.hand)) + 1;
  if (hands === 1) return 0;
  const carried = new Array<number>(SHARES.length).fill(0);
  for (const thing of sheet.things) {
    const choice = chosen.get(thing.id);
    if (choice) carried[Math.min(choice.hand, SHARES.length - 1)] += thing.areaMm2 / total;
  }
  return carried.reduce((sum, share, i) => sum + Math.abs(share - SHARES[i]), 0) / 2;
}

function describe(sheet: SheetSummary, hands: number[], chosen: Map<string, Choice>): Proposal {
  const parts = sheet.things.map((thing): ProposedPart => {
    const { angle, clarity, key, found } = chosen.get(thing.id)!;
    return { thingId: thing.id, angle, clarity, key, family: found.family, miss: found.miss };
  });
  const length = sheet.borders.reduce((sum, border) => sum + border.lengthMm, 0);
  const parted = sheet.borders.filter(
    ({ a, b }) => deltaE2000(chosen.get(a)!.found.mid, chosen.get(b)!.found.mid) >= PARTED,
  );
  const parting = length === 0 ? 1 : parted.reduce((sum, border) => sum + border.lengthMm, 0) / length;
  const total = sheet.things.reduce((sum, thing) => sum + thing.areaMm2, 0);
  const miss = parts.reduce((sum, part, i) => sum + (part.miss * sheet.things[i].areaMm2) / total, 0);
  const pencils = new Set(parts.flatMap((part) => Object.values(part.family))).size;
  const ruling = sheet.things.filter((thing) => chosen.get(thing.id)!.hand === 0);
  const carried = ruling.reduce((sum, thing) => sum + thing.areaMm2, 0) / total;
  const ruler = placeAt(hands[0]).name;
  const others = hands.slice(1).map((angle) => placeAt(angle).name);
  return {
    name: `${ruler} rules`,
    parts,
    scores: {
      parting: Math.round(100 * parting),
      fit: Math.round(Math.max(0, 100 - 5 * miss)),
      shares: Math.round(100 * (1 - sharesMiss(sheet, chosen, total))),
    },
    pencils,
    reason:
      `${capital(ruler)} carries ${Math.round(100 * carried)}% of the area` +
      (others.length ? `, set against ${others.join(' and ')}. ` : '. ') +
      `Neighbours part clearly (a colour difference of ${PARTED} or more) along ${Math.round(100 * parting)}% of their shared borders. ` +
      `The pencils here come within ${miss.toFixed(1)} of the colours asked for, on average by area, with ${pencils} pencils.`,
  };
}

function capital(text: string): string {
  return text[0].toUpperCase() + text.slice(1);
}
