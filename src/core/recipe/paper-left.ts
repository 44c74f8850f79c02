import {
  type Ground,
  type Hand,
  type Lead,
  type Relief,
  PRESS,
  reliefAfter,
  reliefOf,
  toolById,
} from '../laydown/index.ts';
import { type RegionContext } from './effects/index.ts';
import { placesOn } from './places.ts';
import { type Recipe } from './recipe.ts';
import type { Layer } from './schemas.ts';
import { STROKE_LEAVES, drawsLines } from './strokes.ts';
import { fieldsOf, shareInZone } from './zone.ts';

/** Shares of a layer's pressure are told apart by so much of the whole. */
const SHARES = 8;
/** Where more than this share arrives a layer covers. */
const COVERED = 0.51;

/** One kind of place: how much of each layer's pressure arrives, whether it is covered by it, and how much of the area is alike. */
export interface Kind {
  shares: number[];
  covers: boolean[];
  area: number;
}

/** The type of a pencil and how it presses, by id; undefined for one that is not in the tray. */
export type Leads = (pencil: string) => Lead | undefined;

/**
 * How far the paper is closed where more than a whisper lies.
 * @returns the share of that area on which more of it shows than is `meant`, and the most that shows on any of it, 0..1
 */
export function paperLeft(
  { layers }: Pick<Recipe, 'layers'>,
  context: Pick<RegionContext, 'regions'>,
  leadOf: Leads,
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

/** What a place comes to: the paper that still shows, and the least tooth that a layer but the first finds; lines hold anywhere. */
export function laidOn(
  layers: readonly Layer[],
  leads: readonly (Lead | undefined)[],
  { shares, covers }: Kind,
  bare: Relief,
  hand: Hand,
): { specks: number; least: number } {
  let relief = bare;
  let least = 1;
  let isMasked = false;
  layers.forEach(({ pressure, passes, stroke, tool }, i) => {
    const lead = leads[i];
    const share = shares[i]! / SHARES;
    if (tool && share > 0) {
      const { relief: after, masks, unmasks } = toolById(tool);
      if (masks || unmasks) isMasked = masks ?? false;
      for (let pass = 0; after && !isMasked && pass < passes; pass++) relief = after(relief, PRESS[pressure] * share);
    }
    if (tool || !lead || share === 0 || isMasked) return;
    if (relief.mass > 0 && covers[i] && !drawsLines(stroke)) least = Math.min(least, 1 - relief.filled);
    const left = share * (STROKE_LEAVES[stroke] ?? 1);
    const press = left === 1 ? pressure : PRESS[pressure] * left;
    for (let pass = 0; pass < passes; pass++) relief = reliefAfter(relief, lead, press, hand);
  });
  return { specks: relief.specks, least };
}

/** The kinds of place on which more than a whisper lies, as light falls on the regions where that is known. */
export function kindsOf(layers: readonly Layer[], context: Pick<RegionContext, 'regions'>): Kind[] {
  const kinds = new Map<string, Kind>();
  const meant = layers.map(({ pressure, tool }) => !tool && pressure !== 'whisper');
  const shows = layers.map(({ tool }) => tool !== undefined && toolById(tool).mayShow === true);
  for (const { place, widthMm, areaMm2 } of placesOn(fieldsOf(layers), context.regions)) {
    const arrives = layers.map(({ zone, fromWidthMm }) => (fromWidthMm > widthMm ? 0 : shareInZone(zone, place)));
    const covers = arrives.map((share) => share > COVERED);
    if (!covers.some((is, i) => is && meant[i]) || covers.some((is, i) => is && shows[i])) continue;
    const shares = arrives.map((share) => Math.round(SHARES * share));
    const key = `${shares.join()} ${covers.join()}`;
    const kind = kinds.get(key);
    if (kind) kind.area += areaMm2;
    else kinds.set(key, { shares, covers, area: areaMm2 });
  }
  return [...kinds.values()];
}
