import { placeOn, type Lab } from '../colour/index.ts';
import { type Family } from '../recipe/index.ts';
import { PARTED } from './measures.ts';
import { Objective } from './objective.ts';
import { type PageSummary } from './page.ts';
import { type Part } from './palette-part.ts';
import { type Option, type Voice } from './options.ts';
import { type Plot, type Problem } from './problem.ts';
import { type Answer } from './search.ts';
import { TERM, TERMS, type TermId } from './terms.ts';
import { unmetBy } from './unmet-wishes.ts';

/** What one thing gets. */
export interface ProposedPart extends Part {
  thingId: string;
  /** Which hand of the scheme it belongs to, as an angle on the wheel. */
  hand: number;
  voice: Voice;
  /** Null where it keeps the colour that it has on the paper. */
  family: Family | null;
  /** The colour that it takes. */
  body: Lab;
  /** Mean CIEDE2000 from the colours asked for. */
  miss: number;
}

/** One palette for the whole page. */
export interface Proposal {
  /** What it is like, and which hand rules. */
  name: string;
  /** The way in which the scheme is played: which hand rules, on what ground. */
  plot: string;
  parts: ProposedPart[];
  /** Lower is better; see {@link TERMS}. */
  objective: number;
  /** Of 100, more is better, for each term that this page can have. */
  scores: { id: TermId; name: string; score: number }[];
  /** Number of different pencils. */
  pencils: number;
  /** Why, from its own numbers. */
  reason: string;
  /** Where it falls behind the others. */
  tradesAway: string;
  /** Wishes that it does not meet, each in a sentence. */
  unmet: string[];
}

/** Terms that are shown as scores. */
const SHOWN: readonly TermId[] = [
  'parting',
  'ground',
  'focus',
  'shares',
  'accents',
  'natural',
  'distance',
  'fit',
  'blends',
];

/** A proposal with its reason, made of the numbers of an answer. */
export function describe(
  plot: Plot,
  problem: Problem,
  { chosen, objective }: Answer,
  page: PageSummary,
  unmet: readonly string[],
  atMost?: number | null,
): Proposal {
  const terms = new Objective(problem, chosen).terms();
  const own = problem.things.map((_, i) => problem.options[i]![chosen[i]!]!);
  const pencils = new Set(own.flatMap((option) => option.pencils)).size;
  const has: Partial<Record<TermId, boolean>> = {
    focus: page.things.some(({ focus }) => focus),
    natural: page.things.some(({ natural }) => natural !== null),
    distance: problem.distance !== 'none' && page.things.some(({ far }) => typeof far === 'number'),
    parting: problem.borders.length > 0,
    ground: problem.borders.length > 0,
    accents: page.things.length >= 3,
  };
  return {
    name: nameOf(problem, own),
    plot: plot.says,
    parts: own.map(({ part, hand, voice, family, body, miss }, i) => ({
      ...part,
      thingId: problem.things[i]!.id,
      hand: problem.hands[hand]!,
      voice,
      family,
      body,
      miss,
    })),
    objective,
    scores: SHOWN.filter((id) => has[id] !== false).map((id) => ({
      id,
      name: TERMS[TERM[id]]!.name,
      score: Math.round(100 * (1 - Math.min(1, terms[TERM[id]]!))),
    })),
    pencils,
    reason: reasonOf(problem, own, pencils),
    tradesAway: '',
    unmet: [...unmet, ...unmetBy(problem, chosen, atMost, pencils)],
  };
}

/** Means by area below and above which a page is told to be dark or light, hushed or bright. */
const TOLD = { light: [46, 63], chroma: [0.05, 0.085] } as const;

/** What a palette is like at arm's length, from its own numbers, and which hand rules. */
function nameOf({ share, wheel, hands }: Problem, own: readonly Option[]): string {
  const mean = (of: (option: Option) => number) => own.reduce((sum, option, i) => sum + share[i]! * of(option), 0);
  const word = (value: number, [low, high]: readonly [number, number], words: readonly [string, string, string]) =>
    words[value < low ? 0 : value > high ? 2 : 1];
  const value = word(
    mean(({ body }) => body[0]),
    TOLD.light,
    ['dark', 'half-light', 'light'],
  );
  const clear = word(
    mean(({ chroma }) => chroma),
    TOLD.chroma,
    ['hushed', 'mellow', 'bright'],
  );
  return `${value} and ${clear}, ${placeOn(wheel, hands[0]!).name} rules`;
}

/** Like names told apart by how the scheme is played. */
export function named(proposals: readonly Proposal[]): Proposal[] {
  return proposals.map((proposal) => {
    const alike = proposals.filter(({ name }) => name === proposal.name);
    const [, ...how] = proposal.plot.split(', ');
    return alike.length > 1 && how.length > 0 ? { ...proposal, name: `${proposal.name}, ${how.join(', ')}` } : proposal;
  });
}

function reasonOf(problem: Problem, own: readonly Option[], pencils: number): string {
  const { hands, wheel, share, borders, things, apart, colours } = problem;
  const carried = (voice: Voice) => own.reduce((sum, option, i) => sum + (option.voice === voice ? share[i]! : 0), 0);
  const percent = (part: number) => `${Math.round(100 * part)}%`;
  const names = hands.map((angle) => placeOn(wheel, angle).name);
  const away = ({ front, behind }: (typeof borders)[number]) =>
    apart[own[front]!.colour * colours + own[behind]!.colour]!;
  const parted = borders.filter((border) => away(border) >= PARTED).reduce((sum, { weight }) => sum + weight, 0);
  const focus = things.flatMap((thing, i) => (thing.focus ? [i] : []));
  const miss = own.reduce((sum, option, i) => sum + share[i]! * option.miss, 0);
  const others = [...new Set(names.slice(1))].filter((name) => name !== names[0]);
  return [
    `${capital(names[0]!)} rules with ${percent(carried(0))} of the area` +
      (others.length > 0
        ? `; ${others.join(', ')} support and accent it with ${percent(carried(1))} and ${percent(carried(2))}.`
        : '.'),
    ...(borders.length > 0
      ? [`Neighbours part clearly (${PARTED} or more apart) along ${percent(parted)} of their borders.`]
      : []),
    ...focus.slice(0, 1).map((i) => {
      const around = borders.filter(({ front, behind }) => front === i || behind === i);
      const length = around.reduce((sum, { weight }) => sum + weight, 0);
      const out = around.reduce((sum, border) => sum + border.weight * away(border), 0) / (length || 1);
      return `${things[i]!.name} stands ${out.toFixed(0)} apart from what lies round it.`;
    }),
    `The ${pencils} pencils come within ${miss.toFixed(1)} of the colours asked for, on average by area.`,
  ].join(' ');
}

function capital(text: string): string {
  return text[0]!.toUpperCase() + text.slice(1);
}
