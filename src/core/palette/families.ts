import {
  type ColourWheel,
  type Lab,
  type Oklch,
  deltaE2000,
  deltasE2000,
  labOfOklch,
  oklchOfLab,
} from '../colour/index.ts';
import { type Ground, type Paper, type PencilOptics, bareGround } from '../laydown/index.ts';
import { type Family, bodyOf, familyOf } from '../recipe/index.ts';
import { type PencilOnPaper, overlapOf } from '../tray/index.ts';
import { blenderFor } from './blender.ts';
import { depthFor } from './depth.ts';
import { type Part, placeFromBody, targetsOf } from './palette-part.ts';

/** A family found for a part, and how well it does. */
export interface FoundFamily {
  family: Family;
  /** Mean CIEDE2000 between what was asked and what its pencils give on this paper. */
  miss: number;
  /** How hard it blends, CIEDE2000: what its largest step and its worst mud go beyond what blends easily. */
  rough: number;
  /** The colour that the thing takes from it. */
  body: Lab;
}

/** So many pencils nearest to each colour asked for are tried. */
const CANDIDATES = 8;
/** L* that should lie between neighbours in a family of three for the form to read; more pencils lie closer. */
const VALUE_GAP = 11;
const GAP_WEIGHT = 0.8;
const BODY_WEIGHT = 2.5;
/** A step up to this blends easily, CIEDE2000 of laydowns. */
const EASY_STEP = 20;
const ROUGH_WEIGHT = 0.25;
/** A pencil should have this much of the chroma that is asked for, in the direction of its hue ... */
const HUE_NEEDED = 0.45;
/** ... and is put back by so much CIEDE2000 for each unit of OKLCH chroma that it lacks of it. */
const HUE_WEIGHT = 160;

/**
 * How hard pairs of pencils blend, by paper and by the optics of either: laid once for as long as those are kept, since
 * palettes are asked for again and again from one tray.
 */
const ROUGHNESS = new Map<string, WeakMap<PencilOptics, WeakMap<PencilOptics, number>>>();

function roughnessOn(paper: Paper): WeakMap<PencilOptics, WeakMap<PencilOptics, number>> {
  const key = JSON.stringify(paper);
  const known = ROUGHNESS.get(key) ?? new WeakMap<PencilOptics, WeakMap<PencilOptics, number>>();
  ROUGHNESS.set(key, known);
  return known;
}

/** Families of one tray on one paper; overlaps of its pencils are laid once each. */
export class FamilyBook {
  readonly tray: readonly PencilOnPaper[];
  readonly byId: ReadonlyMap<string, PencilOnPaper>;
  readonly #ground: Ground;
  readonly #bodies: Float64Array;
  readonly #oklch: readonly Oklch[];
  readonly #pairs: ReturnType<typeof roughnessOn>;
  readonly #found = new Map<string, FoundFamily[]>();

  /**
   * @param tray pencils on the paper
   * @throws RangeError when the tray is empty
   */
  constructor(tray: readonly PencilOnPaper[], paper: Paper) {
    if (tray.length === 0) throw new RangeError('The tray is empty: no pencil is here to choose from.');
    this.tray = tray;
    this.byId = new Map(tray.map((pencil) => [pencil.id, pencil]));
    this.#ground = bareGround(paper);
    this.#pairs = roughnessOn(paper);
    this.#bodies = Float64Array.from(tray.flatMap(({ body }) => body));
    this.#oklch = tray.map(({ body }) => oklchOfLab(body));
  }

  /**
   * The families of so many pencils that come nearest to a part, best first: near the colours asked for, far enough
   * apart in value to show a form, and easy to blend.
   * @param count 1 to 8; a tray of fewer pencils gives smaller families
   * @param among places in the tray that may be used; default all
   * @param limit how many at most
   */
  nearest(part: Part, wheel: ColourWheel, count: number, limit: number, among?: readonly number[]): FoundFamily[] {
    const key = `${wheel.id} ${part.angle} ${part.clarity} ${part.key} ${count} ${limit} ${among?.join() ?? ''}`;
    let found = this.#found.get(key);
    if (!found) {
      found = this.along(targetsOf(part, wheel, Math.min(count, among?.length ?? this.tray.length)), limit, among);
      this.#found.set(key, found);
    }
    return found;
  }

  /**
   * The families that come nearest to a row of colours from dark to light, best first, no two with the same body.
   * @param targets one to eight colours
   */
  along(targets: readonly Lab[], limit: number, among?: readonly number[]): FoundFamily[] {
    const gap = (VALUE_GAP * 2) / Math.max(2, targets.length - 1);
    const near = targets.map((target) => this.#near(target, among));
    interface Way {
      at: number[];
      cost: number;
      miss: number;
      rough: number;
    }
    // The pencil that gives the family its colour counts for more than its ends.
    const weight = (place: number) => (placeFromBody(place, targets.length) === 0 ? BODY_WEIGHT : 1);
    let ways: Way[] = near[0]!.map(({ at, miss, cost }) => ({ at: [at], cost: weight(0) * cost, miss, rough: 0 }));
    for (const [before, next] of near.slice(1).entries()) {
      // Each way is kept for each pencil it can end on, so that a dear start can still be a good whole.
      ways = next.flatMap(({ at, miss, cost: dear }) => {
        const longer = ways.flatMap((way) => {
          if (way.at.includes(at)) return [];
          const last = way.at.at(-1)!;
          const lack = Math.max(0, gap - (this.tray[at]!.body[0] - this.tray[last]!.body[0]));
          const rough = Math.max(way.rough, this.roughness(last, at));
          const cost =
            way.cost + weight(before + 1) * dear + targets.length * (GAP_WEIGHT * lack + ROUGH_WEIGHT * rough);
          return [{ at: [...way.at, at], cost, miss: way.miss + miss, rough }];
        });
        return longer.sort((p, q) => p.cost - q.cost).slice(0, 2);
      });
    }
    const found = new Map<string, FoundFamily>();
    for (const { at, miss, rough } of ways.sort((p, q) => p.cost - q.cost)) {
      const family = this.complete(at, among);
      const body = bodyOf(family);
      if (found.size < limit && !found.has(body)) {
        found.set(body, { family, miss: miss / targets.length, rough, body: this.byId.get(body)!.body });
      }
    }
    return [...found.values()];
  }

  /**
   * The family round one pencil that has it: its own hue from dark to light.
   * @param place of the pencil in the tray
   */
  around(place: number, count: number, among?: readonly number[]): FoundFamily {
    const { body } = this.tray[place]!;
    const rest = (among ?? this.tray.map((_, i) => i)).filter((i) => i !== place);
    const row = rowAround(body, Math.min(count, rest.length + 1));
    const misses = row.map((target) => deltaE2000(target, body));
    const own = misses.indexOf(Math.min(...misses));
    const others = row.filter((_, i) => i !== own);
    const [found] = others.length > 0 ? this.along(others, 1, rest) : [];
    const at = [place, ...(found?.family.pencils ?? []).map((id) => this.tray.findIndex((each) => each.id === id))];
    const family = this.complete(at, among);
    return { family, miss: found?.miss ?? 0, rough: found?.rough ?? 0, body: this.byId.get(bodyOf(family))!.body };
  }

  /** A family of these places in the tray, from dark to light, with the blender and the depth that the craft wants. */
  complete(at: readonly number[], among?: readonly number[]): Family {
    const pencils = [...at].map((i) => this.tray[i]!).sort((p, q) => p.body[0] - q.body[0]);
    const allowed = among ? among.map((i) => this.tray[i]!) : this.tray;
    return familyOf(
      pencils.map(({ id }) => id),
      { blender: blenderFor(pencils, allowed)?.id ?? null, depth: depthFor(pencils, allowed)?.id ?? null },
    );
  }

  /** The pencil that is nearest to a colour. */
  nearestTo(target: Lab, among?: readonly number[]): PencilOnPaper {
    return this.tray[this.#near(target, among)[0]!.at]!;
  }

  /** How hard two pencils of the tray blend beyond what is easy, CIEDE2000, by their places. */
  roughness(p: number, q: number): number {
    const [a, b] = [this.tray[p]!, this.tray[q]!];
    const row = this.#pairs.get(a.optics) ?? new WeakMap<PencilOptics, number>();
    this.#pairs.set(a.optics, row);
    let known = row.get(b.optics);
    if (known === undefined) {
      const band = ({ optics }: PencilOnPaper) => ({ optics, pressure: 'medium' as const });
      const { step, dip, darkening } = overlapOf(this.#ground, band(a), band(b), [a.body, b.body]);
      known = Math.max(0, step - EASY_STEP) + 0.5 * (dip + darkening);
      row.set(b.optics, known);
    }
    return known;
  }

  /** The pencils nearest to a colour; a grey costs more than its miss where a hue is asked for. */
  #near(target: Lab, among?: readonly number[]): { at: number; miss: number; cost: number }[] {
    const misses = deltasE2000(target, this.#bodies);
    const places = among ?? this.tray.map((_, i) => i);
    const { c, h } = oklchOfLab(target);
    return places
      .map((at) => {
        const own = this.#oklch[at]!;
        const towards = own.c * Math.cos(((own.h - h) * Math.PI) / 180);
        const lack = Math.max(0, HUE_NEEDED * c - towards);
        return { at, miss: misses[at]!, cost: misses[at]! + HUE_WEIGHT * lack };
      })
      .sort((p, q) => p.cost - q.cost)
      .slice(0, CANDIDATES);
  }
}

/** Colours from dark to light round a colour that a thing must keep: the row that a natural colour asks for. */
export function rowAround(natural: Lab, count: number): Lab[] {
  const { l, c, h } = oklchOfLab(natural);
  return Array.from({ length: count }, (_, i) => {
    const out = placeFromBody(i, count);
    if (out === 0) return natural;
    return labOfOklch({ l: Math.min(0.95, Math.max(0.2, l + 0.2 * out)), c: c * (1 - 0.25 * Math.abs(out)), h });
  });
}
