import {
  type ColourWheel,
  type Lab,
  deltaE2000,
  isWarm,
  labOfOklch,
  oklchOfLab,
  turnBetween,
  wheelOfHue,
} from '../colour/index.ts';
import { type Family, bodyOf, pencilsFor, pencilsOf } from '../recipe/index.ts';
import { type FamilyBook, type FoundFamily, rowAround } from './families.ts';
import { ladderTargets, ladderThrough } from './ladders.ts';
import { type PageThing } from './page.ts';
import { type NaturalKind, beyondNature, narrowedBy, naturalKindById } from './natural-kinds/index.ts';
import { CLARITIES, KEYS, type Part, partOf } from './palette-part.ts';
import { MISFIT } from './terms.ts';

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

/** So many of the best families are kept for each part. */
const FAMILIES_EACH = 2;
const NATURAL_FAMILIES = 3;
/** L* by which a natural colour may be laid darker or paler, as the light has it; further counts. */
const NATURAL_LEANS = [0, -16, 16];
const LIGHT_MAY_CHANGE = 14;
/** Hues at which a natural kind's colours are tried, along its range, and how clear. */
const ACROSS_RANGE = [0.15, 0.5, 0.85];
const NATURAL_CLARITIES = ['clear', 'quiet'] as const;
/** L* by which a ladder is laid darker or paler, and how many families are tried on each. */
const LADDER_LEANS = [0, -8, 8];
const LADDER_FAMILIES = 3;
/** CIEDE2000 that a family within nature but off the ladders of its kind counts as beside it. */
const OFF_LADDER = 8;
/** Up to so far outside of nature a colour is taken for it, CIEDE2000; so many ways within it are a choice. */
const WITHIN = 1;
const ENOUGH = 6;
const GREY = 0.03;
/** A colour within so many degrees of its hand is on it. */
const ON_HAND = 12;
/** CIEDE2000 from a natural colour up to which it is kept as far as an eye would say. */
export const NATURAL_KEPT = 12;

/** The bodies that options have, each once, with how far any two are apart. */
export class Bodies {
  readonly #rows = new Map<string, { row: number; lab: Lab }>();

  get count(): number {
    return this.#rows.size;
  }

  /** The row of a body; like names are one. */
  rowOf(name: string, lab: Lab): number {
    const known = this.#rows.get(name) ?? { row: this.#rows.size, lab };
    this.#rows.set(name, known);
    return known.row;
  }

  /** CIEDE2000 between any two: row times `count` plus column. */
  differences(): Float32Array {
    const labs = [...this.#rows.values()].map(({ lab }) => lab);
    const apart = new Float32Array(labs.length * labs.length);
    for (let p = 0; p < labs.length; p++) {
      for (let q = p + 1; q < labs.length; q++) {
        apart[p * labs.length + q] = apart[q * labs.length + p] = deltaE2000(labs[p]!, labs[q]!);
      }
    }
    return apart;
  }
}

interface Means {
  book: FamilyBook;
  wheel: ColourWheel;
  /** The ruling one first. */
  hands: readonly number[];
  /** Places of the pencils that must come in. */
  must: readonly number[];
  /** Places of the tray that may be used; default all. */
  among?: readonly number[];
  placeOf: ReadonlyMap<string, number>;
  bodies: Bodies;
  /** What the sky of the page is called; "" where it has none. */
  sky: string;
  /** Whether greys may come in without a natural colour that asks for them. */
  greys: boolean;
}

/**
 * Works out every way to colour a thing: one that is laid or pinned has one, one with a natural colour a few, any other
 * one for each hand, clarity, key and family near it; and one for each pencil that must come in.
 */
export class Ways {
  readonly #with: Means;
  /** What things without a natural colour may take, by the number of their pencils: the same for all of them. */
  readonly #played = new Map<number, Option[]>();

  constructor(means: Means) {
    this.#with = means;
  }

  of(thing: PageThing, pinned: Family | undefined): Option[] {
    const { book, wheel, among } = this.#with;
    const fixed = thing.laid ?? (pinned && book.byId.get(bodyOf(pinned))?.body);
    if (fixed) {
      const part = partOf(oklchOfLab(fixed), wheel);
      const family = thing.laid ? null : pinned!;
      return [this.#option(part, this.#nearestHand(part), { family, miss: 0, rough: 0, body: fixed }, thing.natural)];
    }
    const kind = thing.kind ? this.#kindOf(thing.kind, thing.name) : null;
    const count = pencilsFor(thing.widthMm, kind?.inBands);
    if (!thing.natural && kind) return [...this.#ofKind(kind, count), ...this.#wished(count, null)];
    if (!thing.natural) return [...this.#free(count), ...this.#wished(count, null)];
    const { natural } = thing;
    const part = partOf(oklchOfLab(natural), wheel);
    const most = Math.min(count, among?.length ?? book.tray.length);
    const ladder = kind?.ladders?.at(0);
    const kept = NATURAL_LEANS.flatMap((lean) => {
      const [l, a, b] = natural;
      const body: Lab = [Math.min(94, Math.max(14, l + lean)), a, b];
      const row = ladder ? ladderThrough(ladder, body, most) : rowAround(body, most);
      return book
        .along(row, NATURAL_FAMILIES, among)
        .map((found) => this.#option(part, this.#nearestHand(part), found, natural));
    });
    return [...unlike(kept), ...this.#wished(count, natural)];
  }

  /** A natural kind as its name and the sky above it narrow it. */
  #kindOf(id: string, name: string): NaturalKind {
    const kind = naturalKindById(id);
    return narrowedBy(kind, kind.underSky ? `${name} ${this.#with.sky}` : name);
  }

  #free(count: number): Option[] {
    const { book, wheel, hands, among, greys } = this.#with;
    const clarities = CLARITIES.filter((clarity) => greys || clarity !== 'grey');
    const known = this.#played.get(count);
    if (known) return known;
    const options = hands.flatMap((angle, hand) =>
      clarities.flatMap((clarity) =>
        KEYS.flatMap((key) => {
          const part = { angle, clarity, key };
          const found = book.nearest(part, wheel, count, FAMILIES_EACH, among);
          return found.map((each) => this.#option(part, hand, each, null));
        }),
      ),
    );
    const played = unlike(options);
    this.#played.set(count, played);
    return played;
  }

  /** What a natural kind may be: what is free and lies within its colours, and its own colours at every value. */
  #ofKind(kind: NaturalKind, count: number): Option[] {
    const { book, wheel, among } = this.#with;
    const own = kind.ranges.flatMap(({ hue: [from, to] }) =>
      ACROSS_RANGE.flatMap((along) =>
        NATURAL_CLARITIES.flatMap((clarity) =>
          KEYS.flatMap((key) => {
            const angle = Math.round(wheel.angleOf(from + along * ((to - from + 360) % 360)));
            const part = { angle, clarity, key };
            const found = book.nearest(part, wheel, count, 1, among);
            return found.map((each) => this.#option(part, this.#nearestHand(part), each, null));
          }),
        ),
      ),
    );
    const laddered = new Set(this.#onLadders(kind, count));
    const ways = unlike([...laddered, ...own, ...this.#free(count)]).map((option) => {
      const beyond = beyondNature(kind, option.body);
      const natural = beyond + (kind.ladders && !laddered.has(option) ? OFF_LADDER : 0);
      // What is natural need not keep to a hand.
      return { beyond, option: { ...option, natural, off: beyond === 0 ? 0 : option.off } };
    });
    // What the tray has enough of is not painted otherwise.
    const kept = ways.filter(({ beyond }) => beyond <= WITHIN);
    return (kept.length >= ENOUGH ? kept : ways).map(({ option }) => option);
  }

  /** What goes through the colours of a kind's own ladders, as they are and darker and paler. */
  #onLadders(kind: NaturalKind, count: number): Option[] {
    const { book, wheel, among } = this.#with;
    const most = Math.min(count, among?.length ?? book.tray.length);
    return (kind.ladders ?? []).flatMap((ladder) => {
      const targets = ladderTargets(ladder, most);
      const accent = ladder.accent && book.nearestTo(labOfOklch(ladder.accent), among).id;
      return LADDER_LEANS.flatMap((lean) => {
        const row = targets.map(([l, a, b]): Lab => [Math.min(96, Math.max(12, l + lean)), a, b]);
        return book.along(row, LADDER_FAMILIES, among).map((found) => {
          const part = partOf(oklchOfLab(found.body), wheel);
          const family = accent && !found.family.pencils.includes(accent) ? { ...found.family, accent } : found.family;
          return this.#option(part, this.#nearestHand(part), { ...found, family }, null);
        });
      });
    });
  }

  /** Families round the pencils that must come in, as far as they keep a natural colour. */
  #wished(count: number, natural: Lab | null): Option[] {
    const { book, wheel, must, among } = this.#with;
    return must.flatMap((place) => {
      const found = book.around(place, count, among);
      if (natural && deltaE2000(found.body, natural) > NATURAL_KEPT) return [];
      const part = partOf(oklchOfLab(book.tray[place]!.body), wheel);
      return [{ ...this.#option(part, this.#nearestHand(part), found, natural), offered: true }];
    });
  }

  #option(
    part: Part,
    hand: number,
    { family, body, miss, rough }: Omit<FoundFamily, 'family'> & { family: Family | null },
    natural: Lab | null,
  ): Option {
    const { wheel, hands, placeOf, bodies } = this.#with;
    const { c, h } = oklchOfLab(body);
    const turned = Math.abs(turnBetween(wheel.angleOf(h), hands[hand]!));
    return {
      part,
      hand,
      family,
      body,
      miss,
      rough,
      voice: voiceOf(hand, hands.length, part),
      pencils: family ? pencilsOf(family).flatMap((id) => placeOf.get(id) ?? []) : [],
      colour: bodies.rowOf(family ? bodyOf(family) : `laid ${body.join()}`, body),
      chroma: c,
      warm: c < GREY ? 0.5 : Number(isWarm(wheelOfHue(h))),
      off: Math.min(1, Math.max(0, turned - ON_HAND) / 60) * Math.min(1, c / 0.06),
      natural: natural ? naturalMiss(body, natural) : 0,
      offered: false,
    };
  }

  #nearestHand({ angle }: Part): number {
    const { hands } = this.#with;
    const off = (hand: number) => Math.abs(turnBetween(hand, angle));
    return hands.reduce((best, hand, i) => (off(hand) < off(hands[best]!) ? i : best), 0);
  }
}

/** Of options that come to the same pencils in the same voice the one that asks for them most nearly: the rest are never better. */
function unlike(options: readonly Option[]): Option[] {
  const best = new Map<string, Option>();
  for (const option of options) {
    const key = `${option.voice} ${option.family!.pencils.join()} ${option.family!.blender} ${option.family!.accent}`;
    const known = best.get(key);
    if (!known || option.miss + MISFIT * option.off < known.miss + MISFIT * known.off) best.set(key, option);
  }
  return [...best.values()];
}

/** How far a colour is from a natural one, CIEDE2000, in any light that a page may have. */
function naturalMiss(body: Lab, natural: Lab): number {
  const off = body[0] - natural[0];
  const kept = Math.sign(off) * Math.max(0, Math.abs(off) - LIGHT_MAY_CHANGE);
  return deltaE2000([natural[0] + kept, body[1], body[2]], natural);
}

/** Accents are the last hand's where there are three or more, else what is clear away from the ruling hand. */
function voiceOf(hand: number, hands: number, { clarity, key }: Part): Voice {
  if (hands === 1) return clarity === 'clear' ? 2 : key === 'middle' ? 0 : 1;
  if (hand === 0) return 0;
  return (hands > 2 && hand === hands - 1) || (hands === 2 && clarity === 'clear') ? 2 : 1;
}
