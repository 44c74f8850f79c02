import {
  WEIGHT,
  accentsLack,
  localTerms,
  mergedAt,
  moodLack,
  moodTargets,
  pairCosts,
  sharesApart,
  lossInGround,
  weighed,
} from './measures.ts';
import { HUES, LARGE, type Packed, pack } from './packed.ts';
import { type Problem } from './problem.ts';
import { TERM, TERMS } from './terms.ts';

/** CIEDE2000, and OKLCH chroma, at which a focus stands out, and by how much it is to lead all else. */
const FOCUS = { apart: 34, chroma: 0.13, lead: 4 };
/** What a focus lacks, by contrast, by not leading and by not being clear. Assumptions. */
const FOCUS_LACK = { contrast: 0.4, lead: 0.3, clearness: 0.3 };
/** Things smaller than this share of the area do not compete with the focus. */
const SEEN_SHARE = 0.002;
/** Accents are looked for in thirds of the page, across and down. */
const THIRDS = 3;
/** The voice of accents. */
const ACCENT = 2;

/** Sums over the whole page that a change of one thing adds to, and their places. */
const SUM = {
  locals: 0,
  borders: 1,
  unlike: 2,
  pencils: 3,
  missing: 4,
  tilt: 5,
  accents: 6,
  cells: 7,
  voices: 8,
  light: 11,
  square: 12,
  chroma: 13,
  warm: 14,
  values: 15,
  /** Which rival of the focus stands out most. */
  foremost: 18,
  hues: 19,
} as const;
const SUMS = 20;

/**
 * A choice of options with what it comes to under the objective of {@link TERMS}. One thing's option is changed at a
 * time, at the cost of its borders only; everything that the page has in all is kept as running sums. A change is
 * weighed before anything is written, so that one that is not taken costs little.
 */
export class Objective {
  /** Place of the option of each thing. */
  readonly chosen: Int32Array;
  /** What the present choice comes to, lower is better. */
  value = 0;
  readonly #problem: Problem;
  readonly #packed: Packed;
  readonly #focus: Int32Array;
  /** What each border costs between any two colours. */
  readonly #cost: Float32Array;
  /** 1 over the length of each thing's borders, 0 for a thing without any. */
  readonly #perLength: Float64Array;
  /** The same, but 0 for a thing that does not compete with the focus. */
  readonly #rival: Float64Array;
  readonly #mustCome: Uint8Array;
  readonly #wanted: ReturnType<typeof moodTargets>;
  readonly #contrast: Float64Array;
  readonly #used: Int32Array;
  readonly #cells = new Int32Array(THIRDS * THIRDS);
  /** How many large things have each hue, and how many hues they are to have. */
  readonly #hues = new Int32Array(HUES);
  readonly #wantedHues: number;
  #sums = new Float64Array(SUMS);
  /** The change that was weighed last: its sums, and the contrast of each thing that it touches. */
  #thing = 0;
  #option = 0;
  #weighed = 0;
  #next = new Float64Array(SUMS);
  readonly #changed: Float64Array;
  readonly #touched: Int32Array;
  #turn = 0;

  /** @param chosen place of the option of each thing; default the first of each */
  constructor(problem: Problem, chosen: ArrayLike<number> = new Int32Array(problem.things.length)) {
    const { things, borders, apart, colours, share } = problem;
    this.#problem = problem;
    this.#packed = pack(problem, (i, option) => weighed(localTerms(problem, i, option)), THIRDS);
    this.#focus = Int32Array.from(things.flatMap(({ focus }, i) => (focus ? [i] : [])));
    this.#cost = pairCosts(problem, apart, colours);
    const around = new Float64Array(things.length);
    for (const { front, behind, weight } of borders) {
      around[front]! += weight;
      around[behind]! += weight;
    }
    this.#perLength = around.map((length) => (length > 0 ? 1 / length : 0));
    this.#rival = this.#perLength.map((per, i) => (!things[i]!.focus && share[i]! > SEEN_SHARE ? per : 0));
    this.#mustCome = new Uint8Array(problem.tray.length);
    for (const place of problem.must) this.#mustCome[place] = 1;
    this.#wanted = moodTargets(problem.mood);
    // Where few things are large, some of them still have to agree.
    const large = share.filter((own) => own > LARGE).length;
    this.#wantedHues = Math.min(problem.largeHues, Math.ceil(large / 2));
    this.#contrast = new Float64Array(things.length);
    this.#changed = new Float64Array(things.length);
    this.#touched = new Int32Array(things.length);
    this.#used = new Int32Array(problem.tray.length);
    this.chosen = new Int32Array(things.length);
    this.setAll(chosen);
  }

  /** Sets every thing's option. */
  setAll(chosen: ArrayLike<number>): void {
    const { things, options, borders, alike, apart, colours, must, share } = this.#problem;
    const { first, local, voice, values, hue, light, square, chroma, warm, offCentre, root, cell } = this.#packed;
    this.chosen.set(chosen);
    const [sums, cells, hues, used, contrast] = [this.#sums, this.#cells, this.#hues, this.#used, this.#contrast];
    for (const each of [sums, cells, hues, used, contrast]) each.fill(0);
    for (let i = 0; i < things.length; i++) {
      const at = first[i]! + this.chosen[i]!;
      sums[SUM.locals]! += local[at]!;
      sums[SUM.light]! += light[at]!;
      for (let k = 0; k < 3; k++) sums[SUM.values + k]! += values[k]![at]!;
      sums[SUM.square]! += square[at]!;
      sums[SUM.chroma]! += chroma[at]!;
      sums[SUM.warm]! += warm[at]!;
      sums[SUM.voices + voice[at]!]! += share[i]!;
      if (hue[at]! >= 0) hues[hue[at]!]!++;
      for (const pencil of options[i]![this.chosen[i]!]!.pencils) used[pencil]!++;
      if (voice[at] !== ACCENT) continue;
      sums[SUM.tilt]! += root[i]! * offCentre[i]!;
      sums[SUM.accents]! += root[i]!;
      cells[cell[i]!]!++;
    }
    const colourOf = (i: number) => options[i]![this.chosen[i]!]!.colour;
    for (const { front, behind, weight } of borders) {
      const at = colourOf(front) * colours + colourOf(behind);
      sums[SUM.borders]! += weight * this.#cost[at]!;
      contrast[front]! += weight * apart[at]!;
      contrast[behind]! += weight * apart[at]!;
    }
    sums[SUM.unlike] = alike.filter(([p, q]) => colourOf(p) !== colourOf(q)).length;
    sums[SUM.pencils] = used.filter((times) => times > 0).length;
    sums[SUM.missing] = must.filter((place) => used[place] === 0).length;
    sums[SUM.hues] = hues.filter((things) => things > 0).length;
    sums[SUM.cells] = cells.filter((accents) => accents > 0).length;
    this.#turn++;
    sums[SUM.foremost] = this.#foremost();
    this.value = this.#valueOf(sums, -1, 0);
  }

  /** Gives one thing another option. */
  set(thing: number, option: number): void {
    this.weigh(thing, option);
    this.take();
  }

  /** What the choice would come to if one thing had another option; nothing changes until it is {@link take}n. */
  weigh(thing: number, option: number): number {
    const { first, voice, hue, offCentre, root, cell, colour } = this.#packed;
    const was = first[thing]! + this.chosen[thing]!;
    const is = first[thing]! + option;
    this.#thing = thing;
    this.#option = option;
    this.#turn++;
    const next = this.#next;
    const sums = this.#sums;
    for (let k = 0; k < SUMS; k++) next[k] = sums[k]!;
    this.#exchangeOwn(next, thing, was, is);
    if (voice[was] === ACCENT && voice[is] !== ACCENT) {
      next[SUM.tilt]! -= root[thing]! * offCentre[thing]!;
      next[SUM.accents]! -= root[thing]!;
      if (this.#cells[cell[thing]!] === 1) next[SUM.cells]!--;
    } else if (voice[was] !== ACCENT && voice[is] === ACCENT) {
      next[SUM.tilt]! += root[thing]! * offCentre[thing]!;
      next[SUM.accents]! += root[thing]!;
      if (this.#cells[cell[thing]!] === 0) next[SUM.cells]!++;
    }
    if (hue[was] !== hue[is]) {
      if (hue[was]! >= 0 && this.#hues[hue[was]!] === 1) next[SUM.hues]!--;
      if (hue[is]! >= 0 && this.#hues[hue[is]!] === 0) next[SUM.hues]!++;
    }
    this.#exchangePencils(next, was, is);
    if (colour[was] !== colour[is]) this.#recolour(next, thing, colour[was]!, colour[is]!);
    return (this.#weighed = this.#valueOf(next, thing, is));
  }

  /** Takes the change that was weighed last. */
  take(): void {
    const { first, voice, hue, cell, colour, pencil, pencils, beside, other } = this.#packed;
    const thing = this.#thing;
    const was = first[thing]! + this.chosen[thing]!;
    const is = first[thing]! + this.#option;
    for (let k = pencil[was]!; k < pencil[was + 1]!; k++) this.#used[pencils[k]!]!--;
    for (let k = pencil[is]!; k < pencil[is + 1]!; k++) this.#used[pencils[k]!]!++;
    if (hue[was]! >= 0) this.#hues[hue[was]!]!--;
    if (hue[is]! >= 0) this.#hues[hue[is]!]!++;
    this.#cells[cell[thing]!]! += Number(voice[is] === ACCENT) - Number(voice[was] === ACCENT);
    if (colour[was] !== colour[is]) {
      this.#contrast[thing] = this.#changed[thing]!;
      for (let k = beside[thing]!; k < beside[thing + 1]!; k++) this.#contrast[other[k]!] = this.#changed[other[k]!]!;
    }
    [this.#sums, this.#next] = [this.#next, this.#sums];
    this.value = this.#weighed;
    this.chosen[thing] = this.#option;
  }

  /** The terms of the present choice, in the order of {@link TERMS}. */
  terms(): Float64Array {
    const terms = new Float64Array(TERMS.length);
    const { options, borders, apart, colours } = this.#problem;
    options.forEach((own, i) => {
      for (const [id, value] of localTerms(this.#problem, i, own[this.chosen[i]!]!)) terms[TERM[id]]! += value;
    });
    for (const { front, behind, weight } of borders) {
      const [p, q] = [options[front]![this.chosen[front]!]!, options[behind]![this.chosen[behind]!]!];
      terms[TERM.parting]! += weight * mergedAt(apart[p.colour * colours + q.colour]!);
      terms[TERM.ground]! += weight * lossInGround(p, q);
    }
    terms[TERM.focus] = this.#focusLack(this.#sums[SUM.foremost]!, -1, 0);
    terms[TERM.shares] = this.#sharesLack(this.#sums);
    terms[TERM.values] = this.#valuesLack(this.#sums);
    terms[TERM.accents] = this.#accentsLack(this.#sums);
    terms[TERM.hues] = this.#huesLack(this.#sums);
    terms[TERM.pencils] = this.#pencilsTerm(this.#sums);
    terms[TERM.alike] = this.#alikeTerm(this.#sums);
    terms[TERM.mood] = this.#moodLack(this.#sums);
    terms[TERM.must] = this.#sums[SUM.missing]!;
    return terms;
  }

  /** @param at place of the option that a thing has or, where it is the one weighed, would have */
  #valueOf(sums: Float64Array, thing: number, at: number): number {
    return (
      sums[SUM.locals]! +
      sums[SUM.borders]! +
      WEIGHT.focus * this.#focusLack(sums[SUM.foremost]!, thing, at) +
      WEIGHT.shares * this.#sharesLack(sums) +
      WEIGHT.values * this.#valuesLack(sums) +
      WEIGHT.accents * this.#accentsLack(sums) +
      WEIGHT.hues * this.#huesLack(sums) +
      WEIGHT.pencils * this.#pencilsTerm(sums) +
      WEIGHT.alike * this.#alikeTerm(sums) +
      WEIGHT.mood * this.#moodLack(sums) +
      WEIGHT.must * sums[SUM.missing]!
    );
  }

  /** Takes what a thing brings by its own area with one option for what it brings with another. */
  #exchangeOwn(sums: Float64Array, thing: number, was: number, is: number): void {
    const { local, voice, values, light, square, chroma, warm } = this.#packed;
    sums[SUM.locals]! += local[is]! - local[was]!;
    sums[SUM.light]! += light[is]! - light[was]!;
    for (let k = 0; k < 3; k++) sums[SUM.values + k]! += values[k]![is]! - values[k]![was]!;
    sums[SUM.square]! += square[is]! - square[was]!;
    sums[SUM.chroma]! += chroma[is]! - chroma[was]!;
    sums[SUM.warm]! += warm[is]! - warm[was]!;
    if (voice[was] !== voice[is]) {
      const share = this.#problem.share[thing]!;
      sums[SUM.voices + voice[was]!]! -= share;
      sums[SUM.voices + voice[is]!]! += share;
    }
  }

  /** Counts pencils that come in with an option and go with another. */
  #exchangePencils(sums: Float64Array, was: number, is: number): void {
    const { pencil } = this.#packed;
    const used = this.#used;
    const { pencils } = this.#packed;
    for (let k = pencil[was]!; k < pencil[was + 1]!; k++) {
      const each = pencils[k]!;
      if (used[each]! > 1 || this.#has(is, each)) continue;
      sums[SUM.pencils]!--;
      sums[SUM.missing]! += this.#mustCome[each]!;
    }
    for (let k = pencil[is]!; k < pencil[is + 1]!; k++) {
      const each = pencils[k]!;
      if (used[each]! > 0) continue;
      sums[SUM.pencils]!++;
      sums[SUM.missing]! -= this.#mustCome[each]!;
    }
  }

  #has(at: number, each: number): boolean {
    const { pencil, pencils } = this.#packed;
    for (let k = pencil[at]!; k < pencil[at + 1]!; k++) if (pencils[k] === each) return true;
    return false;
  }

  /** Weighs anew what lies between a thing and those beside and like it, when its colour changes. */
  #recolour(sums: Float64Array, i: number, was: number, is: number): void {
    const { first, colour, beside, other, weight, inFront, likes, like } = this.#packed;
    const { apart, colours } = this.#problem;
    const chosen = this.chosen;
    const contrast = this.#contrast;
    const changed = this.#changed;
    const touched = this.#touched;
    const rival = this.#rival;
    const cost = this.#cost;
    const turn = this.#turn;
    let own = contrast[i]!;
    let borders = 0;
    for (let k = beside[i]!; k < beside[i + 1]!; k++) {
      const j = other[k]!;
      const its = colour[first[j]! + chosen[j]!]!;
      const before = its * colours + was;
      const after = its * colours + is;
      borders +=
        weight[k]! *
        (inFront[k] ? cost[is * colours + its]! - cost[was * colours + its]! : cost[after]! - cost[before]!);
      const away = weight[k]! * (apart[after]! - apart[before]!);
      own += away;
      // Two things may share more than one border.
      changed[j] = (touched[j] === turn ? changed[j]! : contrast[j]!) + away;
      touched[j] = turn;
    }
    changed[i] = own;
    touched[i] = turn;
    sums[SUM.borders]! += borders;
    for (let k = likes[i]!; k < likes[i + 1]!; k++) {
      const its = colour[first[like[k]!]! + chosen[like[k]!]!];
      sums[SUM.unlike]! += Number(its !== is) - Number(its !== was);
    }
    let foremost = sums[SUM.foremost]!;
    if (touched[foremost] === turn && changed[foremost]! < contrast[foremost]!) foremost = this.#foremost();
    else {
      if (this.#contrastOf(i) * rival[i]! > this.#contrastOf(foremost) * rival[foremost]!) foremost = i;
      for (let k = beside[i]!; k < beside[i + 1]!; k++) {
        if (changed[other[k]!]! * rival[other[k]!]! > this.#contrastOf(foremost) * rival[foremost]!)
          foremost = other[k]!;
      }
    }
    sums[SUM.foremost] = foremost;
  }

  /** The contrast of a thing with what lies round it, with the change that is being weighed. */
  #contrastOf(i: number): number {
    return this.#touched[i] === this.#turn ? this.#changed[i]! : this.#contrast[i]!;
  }

  #foremost(): number {
    const rival = this.#rival;
    let foremost = 0;
    let most = this.#contrastOf(0) * rival[0]!;
    for (let i = 1; i < rival.length; i++) {
      const out = this.#contrastOf(i) * rival[i]!;
      if (out > most) [most, foremost] = [out, i];
    }
    return foremost;
  }

  #focusLack(foremost: number, thing: number, at: number): number {
    const focus = this.#focus;
    if (focus.length === 0) return 0;
    const { first, clear } = this.#packed;
    const most = this.#contrastOf(foremost) * this.#rival[foremost]!;
    let lack = 0;
    for (let k = 0; k < focus.length; k++) {
      const i = focus[k]!;
      const own = clear[i === thing ? at : first[i]! + this.chosen[i]!]!;
      const out = this.#perLength[i]! > 0 ? this.#contrastOf(i) * this.#perLength[i]! : FOCUS.apart;
      lack +=
        FOCUS_LACK.contrast * Math.max(0, 1 - out / FOCUS.apart) +
        FOCUS_LACK.lead * Math.min(1, (3 * Math.max(0, most + FOCUS.lead - out)) / FOCUS.apart) +
        FOCUS_LACK.clearness * Math.max(0, 1 - own / FOCUS.chroma);
    }
    return lack / focus.length;
  }

  #sharesLack(sums: Float64Array): number {
    return sharesApart(sums, SUM.voices, this.#problem.shares);
  }

  #valuesLack(sums: Float64Array): number {
    return sharesApart(sums, SUM.values, this.#problem.values);
  }

  #accentsLack(sums: Float64Array): number {
    if (this.#problem.things.length < 3) return 0;
    return accentsLack(sums[SUM.cells]!, sums[SUM.tilt]! / Math.max(1e-9, sums[SUM.accents]!));
  }

  #huesLack(sums: Float64Array): number {
    return this.#wantedHues > 0 ? Math.max(0, 1 - sums[SUM.hues]! / this.#wantedHues) : 0;
  }

  #pencilsTerm(sums: Float64Array): number {
    return sums[SUM.pencils]! / Math.min(36, 3 * this.#problem.things.length);
  }

  #alikeTerm(sums: Float64Array): number {
    return sums[SUM.unlike]! / Math.max(1, this.#problem.alike.length);
  }

  #moodLack(sums: Float64Array): number {
    const light = sums[SUM.light]!;
    const spread = Math.sqrt(Math.max(0, sums[SUM.square]! - light * light));
    return moodLack({ light, chroma: sums[SUM.chroma]!, warm: sums[SUM.warm]!, spread }, this.#wanted);
  }
}
