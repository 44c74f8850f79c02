import {
  type Ground,
  type Hand,
  type Lead,
  type Pressure,
  type Relief,
  PRESS,
  PRESSURES,
  reliefOf,
  toothMarks,
} from '../laydown/index.ts';
import { type Effect, type RegionContext, effectById } from './effects/index.ts';
import { type Kind, type Leads, kindsOf, laidOn } from './paper-left.ts';
import { type Recipe } from './recipe.ts';
import { type Role } from './roles.ts';
import type { Layer } from './schemas.ts';
import { drawsLines } from './strokes.ts';

/** A layer is gone over so often at most. */
const MOST_PASSES = 6;
/** Passes and presses are added so often at most: a recipe that needs more is not one for this paper. */
const MOST_ADDED = 24;
/** What leaves more of the paper bare than this has its grain for a texture: it is gone over, not pressed. */
const TEXTURED = 0.15;
/** Paper is closed a little further than asked, since what is asked holds between the places that are looked at too. */
const CLOSER = 0.85;
/** Less than this share of what is covered are edges, where two zones fade into each other. */
const EDGES = 0.04;

/**
 * Whose layers close the paper, and which of them sooner: the palest where it is pale, the dark where it is dark, and the
 * middle after them, so that value keeps its range. What is a touch of another hue stays a touch. Assumption.
 */
const CLOSES: Readonly<Partial<Record<Role, number>>> = { blender: 1, light: 1, mid: 0.85, dark: 1 };
/** What is pale in shadow too is closed with its palest, and never with its dark. */
const PALE_CLOSES: typeof CLOSES = { blender: 1, light: 1, mid: 0.4 };
/** A base coat, which lies first and nearly everywhere, leaves less tooth for all that follows the more often it is laid. */
const BASE = { reaches: 0.9, alone: 0.12, closes: 0.4 };
/** ... so it is gone over so often at most, and never pressed harder: pressing belongs at the end. */
const MOST_BASE_PASSES = 4;
/** A layer on less of a field than this is reckoned to take as long as one on so much. */
const LEAST_SHARE = 0.1;
/** What closes less of the paper than this is not worth going over it. */
const LEAST_GAIN = 1e-3;
/** Pressing the palest harder at the very end closes the paper in no more time: the usual way to finish. Others are gone over again. */
const PRESSING_CLOSES = { palest: 1.1, others: 0.75 };

/** What a kind of place comes to as the layers stand, and whether nothing closes it further. */
interface State extends Kind {
  specks: number;
  least: number;
  isClosed: boolean;
}

/** One way to close the paper: what changes of which layer. */
interface Way {
  i: number;
  change: Pick<Layer, 'passes' | 'pressure'>;
}

/**
 * A recipe that closes the paper as far as its effect wants it closed: layers are gone over more often, and the last over
 * all is pressed harder, up to a burnish. Where only whispers lie, or nothing, paper is meant to show.
 * @param ground what it is laid on, in the hand that lays it
 * @param hardest the hardest that may be pressed
 */
export function fillPaper(
  recipe: Recipe,
  { regions }: Pick<RegionContext, 'regions'>,
  leadOf: Leads,
  ground: Ground,
  hardest: Pressure = 'burnish',
): Recipe {
  const filling = new Filling(recipe, regions, leadOf, ground, hardest);
  for (let added = 0; added < MOST_ADDED && filling.isOpen(); added++) filling.closeWorst();
  const isFilled = filling.layers.some(({ passes, pressure }, i) => {
    const before = recipe.layers[i]!;
    return passes !== before.passes || pressure !== before.pressure;
  });
  return isFilled ? { ...recipe, layers: filling.layers } : recipe;
}

/** The layers of a recipe while they are made to close the paper. */
class Filling {
  readonly layers: Layer[];
  readonly #effect: Pick<Effect, 'leavesBare' | 'pale'>;
  readonly #hardest: Pressure;
  readonly #leads: readonly (Lead | undefined)[];
  readonly #bare: Relief;
  readonly #hand: Hand;
  /** Share of the tooth left at which this paper is full. */
  readonly #full: number;
  readonly #states: State[];
  /** Layers find tooth at every kind of place, whether the light makes it now or after it is changed. */
  readonly #everywhere: readonly Kind[];
  readonly #area: number;
  /** Whether a first layer is a mere ground for what follows; where it is all that much of a thing gets it is not. */
  readonly #isGround: boolean;

  constructor(recipe: Recipe, regions: RegionContext['regions'], leadOf: Leads, ground: Ground, hardest: Pressure) {
    this.layers = recipe.layers.map((layer) => ({ ...layer }));
    this.#effect = effectById(recipe.effect);
    this.#hardest = hardest;
    this.#leads = this.layers.map(({ pencil }) => leadOf(pencil));
    this.#bare = reliefOf(ground);
    this.#hand = ground.hand;
    this.#full = toothMarks(ground).full;
    const kinds = kindsOf(this.layers, { regions });
    this.#everywhere = kindsOf(this.layers, { regions: regions.map(({ lit: _lit, ...region }) => region) });
    this.#area = areaOf(kinds);
    const onItsOwn = kinds.filter(({ covers }) => covers.every((is, i) => i === 0 || !is));
    this.#isGround = areaOf(onItsOwn) < BASE.alone * this.#area;
    this.#states = kinds.map((kind) => ({ ...kind, ...this.#laid(kind), isClosed: false }));
  }

  /** Whether more of the paper shows than is meant to, on more than edges, and something might close it. */
  isOpen(): boolean {
    return areaOf(this.#above()) > EDGES * this.#area;
  }

  /**
   * Goes over one of the layers once more where most is to be closed, or presses its last one harder: what closes most for
   * its time and leaves tooth for every layer, wherever it is laid.
   */
  closeWorst(): void {
    const worst = this.#above().reduce((a, b) => (this.#missing(b) > this.#missing(a) ? b : a));
    const way = this.#waysToClose(worst).find((each) => this.#leavesTooth(each));
    if (!way) {
      worst.isClosed = true;
      return;
    }
    Object.assign(this.layers[way.i]!, way.change);
    for (const state of this.#states) if (state.shares[way.i]! > 0) Object.assign(state, this.#laid(state));
  }

  get #target(): number {
    return CLOSER * this.#effect.leavesBare;
  }

  #above(): State[] {
    return this.#states.filter(({ specks, isClosed }) => specks > this.#target && !isClosed);
  }

  #missing({ specks, area }: State): number {
    return (specks - this.#target) * area;
  }

  #laid(kind: Kind) {
    return laidOn(this.layers, this.#leads, kind, this.#bare, this.#hand);
  }

  /** What closes a place, the best first. */
  #waysToClose(worst: State): Way[] {
    const closesBy = this.#effect.pale ? PALE_CLOSES : CLOSES;
    return this.layers
      .flatMap(({ tool, role, zone, stroke }, i) => {
        const closes = closesBy[role];
        if (tool || !worst.covers[i] || !closes || drawsLines(stroke)) return [];
        return this.#waysOf(i).map(({ change, sooner }) => {
          const gain = worst.specks - this.#changed({ i, change }, () => this.#laid(worst)).specks;
          return { i, change, gain, worth: (gain * closes * sooner) / Math.max(LEAST_SHARE, zone.to - zone.from) };
        });
      })
      .filter(({ gain }) => gain > LEAST_GAIN)
      .sort((p, q) => q.worth - p.worth);
  }

  /** Once more, or harder, and how much sooner one is taken than another that closes as much. */
  #waysOf(i: number): (Pick<Way, 'change'> & { sooner: number })[] {
    const { passes, pressure, role, zone } = this.layers[i]!;
    const isBase = i === 0 && this.#isGround && zone.from === 0 && zone.to >= BASE.reaches;
    const sooner = isBase ? BASE.closes : 1;
    const more =
      passes < (isBase ? MOST_BASE_PASSES : MOST_PASSES) ? [{ change: { passes: passes + 1, pressure }, sooner }] : [];
    const harder = PRESSURES[PRESSURES.indexOf(pressure) + 1];
    const isTextured = this.#effect.leavesBare > TEXTURED;
    if (isBase || isTextured || !harder || PRESS[harder] > PRESS[this.#hardest]) return more;
    // A burnish would leave nothing for lines over it to hold to.
    if (harder === 'burnish' && this.layers.slice(i + 1).some(({ stroke }) => drawsLines(stroke))) return more;
    if (PRESS[harder] > PRESS.medium && (this.#effect.pale || !this.#isLastOfAll(i))) return more;
    const palest = role === 'light' || role === 'blender';
    return [
      ...more,
      { change: { passes, pressure: harder }, sooner: palest ? PRESSING_CLOSES.palest : PRESSING_CLOSES.others },
    ];
  }

  /** Whether nothing but whispers and fine lines goes over a layer, wherever it is laid: what is pressed hard comes at the end. */
  #isLastOfAll(i: number): boolean {
    return this.#everywhere.every(({ covers }) => {
      const over = covers.some(
        (is, k) => is && k > i && this.layers[k]!.pressure !== 'whisper' && !drawsLines(this.layers[k]!.stroke),
      );
      return !covers[i] || !over;
    });
  }

  #leavesTooth(way: Way): boolean {
    const fills = (kind: Kind) => kind.shares[way.i]! > 0 && this.#laid(kind).least <= this.#full;
    return this.#changed(way, () => !this.#everywhere.some(fills));
  }

  /** Looks at something as it would be with a layer changed. */
  #changed<T>({ i, change }: Pick<Way, 'i' | 'change'>, look: () => T): T {
    const layer = this.layers[i]!;
    this.layers[i] = { ...layer, ...change };
    const seen = look();
    this.layers[i] = layer;
    return seen;
  }
}

function areaOf(kinds: readonly Kind[]): number {
  return kinds.reduce((sum, { area }) => sum + area, 0);
}
