import { placeOn } from '../../colour/index.ts';
import { type SeenThing, type View, GREY, accentsOf, warmth } from './view.ts';

/** A page in numbers, by area. */
export interface Facts {
  /** Share of the page's things that have a colour, of the area, 0..1. */
  coloured: number;
  /** Hues by place of the wheel, the largest share of the area first; greys are apart. */
  hues: { name: string; angle: number; share: number }[];
  grey: number;
  /** Share of what has a hue that is warm, 0..1; null where nothing has one. */
  warm: number | null;
  /** L* that a twentieth of the area lies below, and above. */
  value: { dark: number; light: number };
  /** The same for OKLCH chroma. */
  chroma: { quiet: number; clear: number };
  /** Accents by id, with where they sit as shares of width and height. */
  accents: { id: string; x: number; y: number }[];
}

export function factsOf(view: View): Facts {
  const { seen, open, wheel } = view;
  const area = (things: readonly { areaMm2: number }[]) => things.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  const hued = seen.filter(({ chroma }) => chroma >= GREY);
  const shares = new Map<string, { name: string; angle: number; share: number }>();
  for (const { angle, share } of hued) {
    const place = placeOn(wheel, angle);
    const known = shares.get(place.name) ?? { name: place.name, angle: place.angle, share: 0 };
    shares.set(place.name, { ...known, share: known.share + share });
  }
  const huedShare = hued.reduce((sum, { share }) => sum + share, 0);
  const warm = hued.filter(warmth).reduce((sum, { share }) => sum + share, 0);
  const chroma = spread(seen, (thing) => thing.chroma);
  return {
    coloured: area(seen) / (area(seen) + area(open) || 1),
    hues: [...shares.values()].sort((p, q) => q.share - p.share),
    grey: seen.length > 0 ? 1 - huedShare : 0,
    warm: huedShare > 0 ? warm / huedShare : null,
    value: valueSpread(seen),
    chroma: { quiet: chroma.low, clear: chroma.high },
    accents: accentsOf(view).map(({ id, at }) => ({ id, ...at })),
  };
}

/** L* that a twentieth of the area lies below, and above. */
export function valueSpread(seen: readonly SeenThing[]): { dark: number; light: number } {
  const { low, high } = spread(seen, ({ lab }) => lab[0]);
  return { dark: low, light: high };
}

function spread(seen: readonly SeenThing[], of: (thing: SeenThing) => number): { low: number; high: number } {
  const sorted = seen.map((thing) => ({ value: of(thing), share: thing.share })).sort((p, q) => p.value - q.value);
  const at = (wanted: number) => {
    let sum = 0;
    return sorted.find(({ share }) => (sum += share) >= wanted)?.value ?? sorted.at(-1)?.value ?? 0;
  };
  return { low: at(0.05), high: at(0.95) };
}
