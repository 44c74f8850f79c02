import { type Option } from './options.ts';
import { type Problem } from './problem.ts';
import { MISFIT, TERM, TERMS, type TermId } from './terms.ts';

/** Neighbours whose bodies differ by this much (CIEDE2000) part clearly. */
export const PARTED = 16;
/** L* by which a figure stands clear of its ground. */
const FIGURE = 15;
/** CIEDE2000, and OKLCH chroma, at which a focus stands out. */
const FOCUS = { apart: 32, chroma: 0.11 };
/** Things smaller than this share of the area do not compete with the focus. */
const SEEN_SHARE = 0.002;
/** Accents are looked for in thirds of the page, across and down. */
const THIRDS = 3;

const WEIGHT = Object.fromEntries(TERMS.map(({ id, weight }) => [id, weight])) as Record<TermId, number>;

/**
 * A choice of options with what it comes to under the objective of {@link TERMS}. One thing's option is changed at a
 * time, at the cost of its borders only; everything that the page has in all is kept as running sums.
 */
export class Objective {
  /** Place of the option of each thing. */
  readonly chosen: Int32Array;
  readonly #problem: Problem;
  readonly #focus: readonly number[];
  readonly #rivals: readonly number[];
  readonly #local: readonly Float64Array[];
  readonly #cost: Float32Array;
  readonly #beside: readonly { other: number; weight: number; front: boolean }[][];
  readonly #likes: readonly number[][];
  readonly #around: Float64Array;
  readonly #contrast: Float64Array;
  readonly #used: Int32Array;
  readonly #cells = new Int32Array(THIRDS * THIRDS);
  readonly #cell: Int32Array;
  readonly #voices = new Float64Array(3);
  /** Mean L*, its square, chroma and warmth, by area. */
  readonly #means = new Float64Array(4);
  readonly #wanted: ReturnType<typeof moodTargets>;
  #locals = 0;
  #borders = 0;
  #unlike = 0;
  #pencils = 0;
  #tilt = 0;
  #accents = 0;

  /** @param chosen place of the option of each thing; default the first of each */
  constructor(problem: Problem, chosen: ArrayLike<number> = new Int32Array(problem.things.length)) {
    const { things, options, borders, alike, apart, colours, share } = problem;
    this.#problem = problem;
    this.#focus = things.flatMap(({ focus }, i) => (focus ? [i] : []));
    this.#rivals = things.flatMap(({ focus }, i) => (!focus && share[i] > SEEN_SHARE ? [i] : []));
    this.#local = options.map((own, i) => Float64Array.from(own, (option) => weighed(localTerms(problem, i, option))));
    this.#cost = pairCosts(problem, apart, colours);
    this.#beside = things.map(() => []);
    this.#around = new Float64Array(things.length);
    this.#contrast = new Float64Array(things.length);
    for (const { front, behind, weight } of borders) {
      this.#beside[front].push({ other: behind, weight, front: true });
      this.#beside[behind].push({ other: front, weight, front: false });
      this.#around[front] += weight;
      this.#around[behind] += weight;
    }
    this.#likes = things.map((_, i) => alike.flatMap(([p, q]) => (p === i ? [q] : q === i ? [p] : [])));
    this.#used = new Int32Array(problem.pencils);
    this.#wanted = moodTargets(problem.mood);
    const third = (part: number) => Math.min(THIRDS - 1, Math.max(0, Math.floor(THIRDS * part)));
    this.#cell = Int32Array.from(things, ({ at }) => third(at.y) * THIRDS + third(at.x));
    this.chosen = new Int32Array(things.length);
    this.setAll(chosen);
  }

  /** Sets every thing's option. */
  setAll(chosen: ArrayLike<number>): void {
    const { things } = this.#problem;
    this.chosen.set(chosen);
    for (const sums of [this.#contrast, this.#used, this.#cells, this.#voices, this.#means]) sums.fill(0);
    this.#locals = this.#borders = this.#unlike = this.#pencils = this.#tilt = this.#accents = 0;
    for (let i = 0; i < things.length; i++) {
      this.#count(i, 1);
      // Each border and each pair of like things once, from its later thing.
      this.#weighBeside(i, 1, i);
    }
  }

  /** Gives one thing another option. */
  set(thing: number, option: number): void {
    this.#count(thing, -1);
    this.#weighBeside(thing, -1);
    this.chosen[thing] = option;
    this.#count(thing, 1);
    this.#weighBeside(thing, 1);
  }

  /** What the present choice comes to, lower is better. */
  get value(): number {
    return (
      this.#locals +
      this.#borders +
      WEIGHT.focus * this.#focusLack() +
      WEIGHT.shares * this.#sharesLack() +
      WEIGHT.accents * this.#accentsLack() +
      WEIGHT.pencils * this.#pencilsTerm() +
      WEIGHT.alike * this.#alikeTerm() +
      WEIGHT.mood * this.#moodLack() +
      WEIGHT.must * this.#mustLack()
    );
  }

  /** The terms of the present choice, in the order of {@link TERMS}. */
  terms(): Float64Array {
    const terms = new Float64Array(TERMS.length);
    const { options, borders, apart, colours } = this.#problem;
    options.forEach((own, i) => {
      for (const [id, value] of localTerms(this.#problem, i, own[this.chosen[i]])) terms[TERM[id]] += value;
    });
    for (const { front, behind, weight } of borders) {
      const [p, q] = [options[front][this.chosen[front]], options[behind][this.chosen[behind]]];
      terms[TERM.parting] += weight * mergedAt(apart[p.colour * colours + q.colour]);
      terms[TERM.ground] += weight * sunk(p, q);
    }
    terms[TERM.focus] = this.#focusLack();
    terms[TERM.shares] = this.#sharesLack();
    terms[TERM.accents] = this.#accentsLack();
    terms[TERM.pencils] = this.#pencilsTerm();
    terms[TERM.alike] = this.#alikeTerm();
    terms[TERM.mood] = this.#moodLack();
    terms[TERM.must] = this.#mustLack();
    return terms;
  }

  /** Adds a thing's own option to the sums, or takes it out. */
  #count(i: number, sign: 1 | -1): void {
    const { options, share, things } = this.#problem;
    const own = options[i][this.chosen[i]];
    const part = sign * share[i];
    this.#locals += sign * this.#local[i][this.chosen[i]];
    this.#voices[own.voice] += part;
    if (own.voice === 2) {
      const weight = sign * Math.sqrt(share[i]);
      this.#tilt += weight * (2 * things[i].at.x - 1);
      this.#accents += weight;
      this.#cells[this.#cell[i]] += sign;
    }
    const l = own.body[0];
    this.#means[0] += part * l;
    this.#means[1] += part * l * l;
    this.#means[2] += part * own.chroma;
    this.#means[3] += part * own.warm;
    const used = this.#used;
    for (let k = 0; k < own.pencils.length; k++) {
      const pencil = own.pencils[k];
      if (sign > 0 ? used[pencil]++ === 0 : --used[pencil] === 0) this.#pencils += sign;
    }
  }

  /** Adds what lies between a thing and those beside and like it, or takes it out; with `before`, only earlier things. */
  #weighBeside(i: number, sign: 1 | -1, before = Infinity): void {
    const { options, apart, colours } = this.#problem;
    const own = options[i][this.chosen[i]].colour;
    const beside = this.#beside[i];
    for (let k = 0; k < beside.length; k++) {
      const { other, weight, front } = beside[k];
      if (other >= before) continue;
      const its = options[other][this.chosen[other]].colour;
      this.#borders += sign * weight * this.#cost[front ? own * colours + its : its * colours + own];
      const away = sign * weight * apart[own * colours + its];
      this.#contrast[i] += away;
      this.#contrast[other] += away;
    }
    const likes = this.#likes[i];
    for (let k = 0; k < likes.length; k++) {
      if (likes[k] < before && options[likes[k]][this.chosen[likes[k]]].colour !== own) this.#unlike += sign;
    }
  }

  #focusLack(): number {
    if (this.#focus.length === 0) return 0;
    const [contrast, around] = [this.#contrast, this.#around];
    let most = 0;
    for (let k = 0; k < this.#rivals.length; k++) {
      const i = this.#rivals[k];
      if (around[i] > 0 && contrast[i] > most * around[i]) most = contrast[i] / around[i];
    }
    let lack = 0;
    for (const i of this.#focus) {
      const own = this.#problem.options[i][this.chosen[i]];
      const out = around[i] > 0 ? contrast[i] / around[i] : FOCUS.apart;
      lack +=
        0.4 * Math.max(0, 1 - out / FOCUS.apart) +
        0.3 * Math.min(1, Math.max(0, most - out) / FOCUS.apart) +
        0.3 * Math.max(0, 1 - own.chroma / FOCUS.chroma);
    }
    return lack / this.#focus.length;
  }

  #sharesLack(): number {
    const { shares } = this.#problem;
    let off = 0;
    for (let voice = 0; voice < 3; voice++) off += Math.abs(this.#voices[voice] - shares[voice]);
    return off / 2;
  }

  #accentsLack(): number {
    if (this.#problem.things.length < 3) return 0;
    let places = 0;
    for (let k = 0; k < this.#cells.length; k++) if (this.#cells[k] > 0) places++;
    if (places === 0) return 0.6;
    const spread = places === 1 ? 0.6 : Math.min(1, 0.15 * Math.max(0, places - 4));
    return 0.6 * spread + (0.4 * Math.abs(this.#tilt)) / Math.max(1e-9, this.#accents);
  }

  #pencilsTerm(): number {
    return this.#pencils / Math.min(36, 3 * this.#problem.things.length);
  }

  #alikeTerm(): number {
    return this.#unlike / Math.max(1, this.#problem.alike.length);
  }

  #moodLack(): number {
    const [means, wanted] = [this.#means, this.#wanted];
    const light = means[0];
    const spread = Math.sqrt(Math.max(0, means[1] - light * light));
    return (
      lack(light, wanted.light, 25) +
      lack(means[2], wanted.chroma, 0.06) +
      lack(means[3], wanted.warm, 0.5) +
      lack(spread, wanted.spread, 12)
    );
  }

  #mustLack(): number {
    const { must } = this.#problem;
    let count = 0;
    for (let k = 0; k < must.length; k++) if (this.#used[must[k]] === 0) count++;
    return count;
  }
}

/** What each axis of a mood asks of the page: mean L*, mean OKLCH chroma, warm share and spread of L*, all by area. */
export function moodTargets(mood: Problem['mood']) {
  const on = (value: number | null, middle: number, reach: number) => (value === null ? null : middle + reach * value);
  return {
    light: on(mood.light, 58, 20),
    chroma: on(mood.clear, 0.075, 0.055),
    warm: on(mood.warm, 0.5, 0.45),
    spread: on(mood.contrast, 15, 9),
  };
}

function lack(is: number, want: number | null, by: number): number {
  return want === null ? 0 : Math.min(1.5, Math.abs(is - want) / by);
}

/** Terms that a thing has by itself. */
function localTerms({ share, things }: Problem, i: number, option: Option): [TermId, number][] {
  const part = 0.5 * share[i] + 0.5 / things.length;
  return [
    ['scheme', part * option.off],
    ['fit', part * Math.min(1.5, option.miss / MISFIT)],
    ['blends', part * Math.min(1.5, option.rough / 20)],
    ['natural', Math.max(part, 0.02) * Math.min(2, option.natural / MISFIT)],
    ['quiet', share[i] * share[i] * Math.max(0, option.chroma - 0.06) * 12],
  ];
}

function weighed(terms: readonly [TermId, number][]): number {
  return terms.reduce((sum, [id, value]) => sum + WEIGHT[id] * value, 0);
}

/** How far two neighbours run into each other, 0..1. */
function mergedAt(away: number): number {
  const merged = Math.max(0, 1 - away / PARTED);
  return merged * (0.4 + 0.6 * merged);
}

/** How far a thing sinks into what lies behind it, 0..1: by value, and by what lies behind being clearer. */
function sunk(front: Look, behind: Look): number {
  const flat = Math.max(0, 1 - Math.abs(front.body[0] - behind.body[0]) / FIGURE);
  return 0.7 * flat + 0.3 * Math.min(1, Math.max(0, behind.chroma - front.chroma) / 0.08);
}

type Look = Pick<Option, 'body' | 'chroma'>;

/** What a border costs between any two colours, the front one's row times `colours` plus the one behind. */
function pairCosts({ options }: Problem, apart: Float32Array, colours: number): Float32Array {
  const looks = new Array<Look>(colours);
  for (const own of options) for (const option of own) looks[option.colour] = option;
  const cost = new Float32Array(colours * colours);
  for (let p = 0; p < colours; p++) {
    for (let q = 0; q < colours; q++) {
      const at = p * colours + q;
      cost[at] = WEIGHT.parting * mergedAt(apart[at]) + WEIGHT.ground * sunk(looks[p], looks[q]);
    }
  }
  return cost;
}
