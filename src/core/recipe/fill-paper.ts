import {
  type Ground,
  type Hand,
  type Lead,
  type Pressure,
  type Relief,
  PRESS,
  PRESSURES,
  reliefAfter,
  reliefOf,
  toothMarks,
} from '../laydown/index.ts';
import { type RegionContext, effectById } from './effects/index.ts';
import { placesOn } from './places.ts';
import { type Recipe } from './recipe.ts';
import { type Role } from './roles.ts';
import type { Layer } from './schemas.ts';
import { STROKE_LEAVES } from './strokes.ts';
import { fieldsOf, shareInZone } from './zone.ts';

/** A layer is gone over so often at most. */
const MOST_PASSES = 6;
/** Passes and presses are added so often at most: a recipe that needs more is not one for this paper. */
const MOST_ADDED = 24;
/** Shares of a layer's pressure are told apart by so much of the whole. */
const SHARES = 8;
/** What leaves more of the paper bare than this has its grain for a texture: it is gone over, not pressed. */
const TEXTURED = 0.15;
/** Where more than this share arrives a layer covers. */
const COVERED = 0.51;
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
/** What closes less of the paper than this is not worth going over it. */
const LEAST_GAIN = 1e-3;
/** Pressing the palest harder at the very end closes the paper in no more time: the usual way to finish. Others are gone over again. */
const PRESSING_CLOSES = { palest: 1.1, others: 0.75 };

/** One kind of place: how much of each layer's pressure arrives, whether it is covered by it, and how much of the area is alike. */
interface Kind {
  shares: number[];
  covers: boolean[];
  area: number;
}

/** What a kind of place comes to as the layers stand, and whether nothing closes it further. */
interface State extends Kind {
  specks: number;
  least: number;
  isClosed: boolean;
}

/** One way to close the paper: what changes of which layer, and how soon it is taken. */
interface Way {
  i: number;
  change: Pick<Layer, 'passes' | 'pressure'>;
  closes: number;
}

/**
 * A recipe that closes the paper as far as its effect wants it closed: layers are gone over more often, and the last over
 * all is pressed harder, up to a burnish. Where only whispers lie, or nothing, paper is meant to show.
 * @param leadOf the type of a pencil and how it presses; undefined for one that is not in the tray
 * @param ground what it is laid on, in the hand that lays it
 * @param hardest the hardest that may be pressed
 */
export function fillPaper(
  recipe: Recipe,
  context: Pick<RegionContext, 'regions'>,
  leadOf: (pencil: string) => Lead | undefined,
  ground: Ground,
  hardest: Pressure = 'burnish',
): Recipe {
  const layers = recipe.layers.map((layer) => ({ ...layer }));
  const { leavesBare, pale } = effectById(recipe.effect);
  const target = CLOSER * leavesBare;
  const closesBy = pale ? PALE_CLOSES : CLOSES;
  const isTextured = leavesBare > TEXTURED;
  const leads = layers.map(({ pencil }) => leadOf(pencil));
  const kinds = kindsOf(layers, context);
  const covered = kinds.reduce((sum, { area }) => sum + area, 0);
  const { full } = toothMarks(ground);
  const bare = reliefOf(ground);
  const onItsOwn = kinds.filter(({ covers }) => covers.every((is, i) => i === 0 || !is));
  // Where a base coat is all that much of a thing gets, as a narrow one does, it is no mere ground for what follows.
  const isGround = onItsOwn.reduce((sum, { area }) => sum + area, 0) < BASE.alone * covered;
  // Layers find tooth at every kind of place, whether the light makes it now or after it is changed.
  const everywhere = kindsOf(layers, { regions: context.regions.map(({ lit: _lit, ...region }) => region) });
  const states = kinds.map((kind): State => ({ ...kind, ...laid(kind), isClosed: false }));
  for (let added = 0; added < MOST_ADDED; added++) {
    const above = states.filter(({ specks, isClosed }) => specks > target && !isClosed);
    if (above.reduce((sum, { area }) => sum + area, 0) <= EDGES * covered) break;
    const worst = above.reduce((a, b) => (worth(b) > worth(a) ? b : a));
    worst.isClosed = !close(worst);
  }
  const isFilled = layers.some(({ passes, pressure }, i) => {
    const before = recipe.layers[i]!;
    return passes !== before.passes || pressure !== before.pressure;
  });
  return isFilled ? { ...recipe, layers } : recipe;

  function laid(kind: Kind) {
    return laidOn(layers, leads, kind, bare, ground.hand);
  }

  function worth({ specks, area }: State): number {
    return (specks - target) * area;
  }

  /**
   * Goes over one of a place's layers once more, or presses its last one harder: what closes most for its time and leaves
   * tooth for every layer, wherever it is laid.
   * @returns whether anything did
   */
  function close(worst: State): boolean {
    const { covers, specks } = worst;
    const there = layers.flatMap(({ tool, role }, i) => (!tool && covers[i] && closesBy[role] ? [i] : []));
    const ways = there
      .flatMap((i) => waysToClose(i))
      .map((way) => {
        const { from, to } = layers[way.i]!.zone;
        const gain = specks - changed(way, () => laid(worst)).specks;
        return { ...way, gain, worth: (gain * way.closes) / Math.max(0.1, to - from) };
      });
    for (const way of ways.filter(({ gain }) => gain > LEAST_GAIN).sort((p, q) => q.worth - p.worth)) {
      const after = changed(way, () => states.map((state) => (state.shares[way.i]! > 0 ? laid(state) : null)));
      if (changed(way, () => everywhere.some((kind) => kind.shares[way.i]! > 0 && laid(kind).least <= full))) continue;
      Object.assign(layers[way.i]!, way.change);
      after.forEach((state, k) => state && Object.assign(states[k]!, state));
      return true;
    }
    return false;
  }

  /** Once more, or harder. */
  function waysToClose(i: number): Way[] {
    const { passes, pressure, role, zone } = layers[i]!;
    const isBase = i === 0 && isGround && zone.from === 0 && zone.to >= BASE.reaches;
    const closes = closesBy[role]! * (isBase ? BASE.closes : 1);
    const ways: Way[] = [];
    if (passes < (isBase ? MOST_BASE_PASSES : MOST_PASSES))
      ways.push({ i, change: { passes: passes + 1, pressure }, closes });
    const harder = PRESSURES[PRESSURES.indexOf(pressure) + 1];
    if (isBase || isTextured || !harder || PRESS[harder] > PRESS[hardest]) return ways;
    const isPalest = role === 'light' || role === 'blender';
    if (PRESS[harder] <= PRESS.medium || isLastOfAll(i))
      ways.push({
        i,
        change: { passes, pressure: harder },
        closes: closes * PRESSING_CLOSES[isPalest ? 'palest' : 'others'],
      });
    return ways;
  }

  /** Whether nothing but whispers goes over a layer, wherever it is laid: what is pressed hard comes at the end. */
  function isLastOfAll(i: number): boolean {
    return everywhere.every(({ covers }) => {
      const over = covers.some((is, k) => is && k > i && layers[k]!.pressure !== 'whisper');
      return !covers[i] || !over;
    });
  }

  /** Looks at something as it would be with a layer changed. */
  function changed<T>({ i, change }: { i: number; change: Partial<Layer> }, look: () => T): T {
    const layer = layers[i]!;
    layers[i] = { ...layer, ...change };
    const seen = look();
    layers[i] = layer;
    return seen;
  }
}

/**
 * How far the paper is closed where more than a whisper lies.
 * @returns the share of that area on which more of it shows than is `meant`, and the most that shows on any of it, 0..1
 */
export function paperLeft(
  { layers }: Pick<Recipe, 'layers'>,
  context: Pick<RegionContext, 'regions'>,
  leadOf: (pencil: string) => Lead | undefined,
  ground: Ground,
  meant: number,
): { open: number; most: number } {
  const leads = layers.map(({ pencil }) => leadOf(pencil));
  const bare = reliefOf(ground);
  const left = kindsOf(layers, context).map((kind) => {
    return { area: kind.area, specks: laidOn(layers, leads, kind, bare, ground.hand).specks };
  });
  const areaOf = (kinds: typeof left) => kinds.reduce((sum, { area }) => sum + area, 0);
  return {
    open: areaOf(left.filter(({ specks }) => specks > meant)) / Math.max(1e-9, areaOf(left)),
    most: Math.max(0, ...left.map(({ specks }) => specks)),
  };
}

/** What a place comes to: the paper that still shows, and the least tooth that a layer but the first finds. */
function laidOn(
  layers: readonly Layer[],
  leads: readonly (Lead | undefined)[],
  { shares, covers }: Kind,
  bare: Relief,
  hand: Hand,
): { specks: number; least: number } {
  let relief = bare;
  let least = 1;
  layers.forEach(({ pressure, passes, stroke, tool }, i) => {
    const lead = leads[i];
    const share = shares[i]! / SHARES;
    if (tool || !lead || share === 0) return;
    if (relief.mass > 0 && covers[i]) least = Math.min(least, 1 - relief.filled);
    const left = share * (STROKE_LEAVES[stroke] ?? 1);
    const press = left === 1 ? pressure : PRESS[pressure] * left;
    for (let pass = 0; pass < passes; pass++) relief = reliefAfter(relief, lead, press, hand);
  });
  return { specks: relief.specks, least };
}

/** The kinds of place on which more than a whisper lies, as light falls on the regions where that is known. */
function kindsOf(layers: readonly Layer[], context: Pick<RegionContext, 'regions'>): Kind[] {
  const kinds = new Map<string, Kind>();
  const meant = layers.map(({ pressure, tool }) => !tool && pressure !== 'whisper');
  for (const { place, widthMm, areaMm2 } of placesOn(fieldsOf(layers), context.regions)) {
    const arrives = layers.map(({ zone, fromWidthMm }) => (fromWidthMm > widthMm ? 0 : shareInZone(zone, place)));
    const covers = arrives.map((share) => share > COVERED);
    if (!covers.some((is, i) => is && meant[i])) continue;
    const shares = arrives.map((share) => Math.round(SHARES * share));
    const key = `${shares.join()} ${covers.join()}`;
    const kind = kinds.get(key);
    if (kind) kind.area += areaMm2;
    else kinds.set(key, { shares, covers, area: areaMm2 });
  }
  return [...kinds.values()];
}
