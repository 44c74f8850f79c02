import { type ColourWheel, type Ring, RINGS, labOfOklch, wheelById, wheelOfHue } from '../colour/index.ts';
import { type Paper, type Pass, bareGround, groundAfterPasses, pencilOptics } from '../laydown/index.ts';
import { type RgbaImage } from '../lineart/index.ts';
import { TILE, grainOf, grainTile } from './grain.ts';
import { type Shade, paintPixel, shadeOf, stepsOf } from './shade.ts';

/** Chroma (OKLCH) at the rim of the wheel; pencils are plotted on the same scale. */
export const RIM_CHROMA = 0.2;
/** Bare paper is left within this share of the radius. */
export const HUB = 0.14;
/** The wheel is laid as if on paper so large. */
const PIXELS_PER_MM = 6;
const SECTORS = 72;
const STEPS = 24;
/** The notional pencils of the wheel: chroma and opacity, lightness of the mean hue and how far yellow is above it. */
const PENCIL = { chroma: 0.19, opacity: 0.35, lightness: 0.62, swing: 0.2 };
/** OKLCH lightness of the grey for tones and the black for shades. */
const GREY = 0.62;
const BLACK = 0.16;
/** From the middle to the rim pressure grows from the lightest by this power. */
const PRESSED = { lightest: 0.06, power: 1.3 };
/** How hard each ring is pressed, and what goes over or under it. */
const RING_PRESSURE = { tint: 0.28, full: 0.9, tone: 0.55, greyOver: 0.6, blackUnder: 0.8 };
/** The rim is ragged from this share of the radius on, by so many of the 255 heights of the tooth for each of it. */
const RAGGED = { from: 0.975, by: 10_000 };

/** How much of each ring's width is left bare between it and the next. */
const BETWEEN = 0.06;

export interface DiscOptions {
  /** Default the painter's. */
  wheel?: ColourWheel;
  /** Rings of tints, full colours, tones and shades instead of one passage from paper to full colour. */
  rings?: boolean;
}

/** Where a ring lies, as shares of the disc's radius. */
export function ringRadius(ring: Ring): { from: number; to: number } {
  const width = (1 - HUB) / RINGS.length;
  const from = HUB + RINGS.indexOf(ring) * width;
  return { from, to: from + width * (1 - BETWEEN) };
}

/**
 * A wheel as it would be laid with pencils on this paper, yellow at the top, running clockwise through orange to red:
 * a notional pencil for every five degrees, pressed harder from the middle to the rim; or in rings, laid lightly for
 * tints, fully, with a grey for tones and with a black for shades.
 * @param size side in pixels; outside the disc is transparent
 */
export function wheelDisc(
  paper: Paper,
  size: number,
  { wheel = wheelById('painters'), rings = false }: DiscOptions = {},
): RgbaImage {
  const ground = bareGround(paper);
  const notional = (l: number, c: number, h: number) =>
    pencilOptics({ masstone: labOfOklch({ l, c, h }), type: 'wax', opacity: PENCIL.opacity });
  const [grey, black] = [notional(GREY, 0, 0), notional(BLACK, 0, 0)];
  const laid = (passes: Pass[]) => shadeOf(groundAfterPasses(ground, passes));
  const shades: Shade[][] = Array.from({ length: SECTORS }, (_, sector) => {
    const hue = wheel.hueOf((360 / SECTORS) * sector);
    const l = PENCIL.lightness + PENCIL.swing * Math.cos((wheelOfHue(hue) * Math.PI) / 180);
    const pencil = notional(l, PENCIL.chroma, hue);
    const twice = (pressure: number): Pass[] => [
      { pencil, pressure },
      { pencil, pressure },
    ];
    if (!rings) {
      const { lightest, power } = PRESSED;
      const pressureAt = (step: number) => lightest + (1 - lightest) * (step / (STEPS - 1)) ** power;
      return Array.from({ length: STEPS }, (__, step) => laid(twice(pressureAt(step))));
    }
    const made: Record<Ring, Pass[]> = {
      tint: twice(RING_PRESSURE.tint),
      full: twice(RING_PRESSURE.full),
      tone: [...twice(RING_PRESSURE.tone), { pencil: grey, pressure: RING_PRESSURE.greyOver }],
      shade: [{ pencil: black, pressure: RING_PRESSURE.blackUnder }, ...twice(RING_PRESSURE.full)],
    };
    return RINGS.map((ring) => laid(made[ring]));
  });
  const edges = RINGS.map(ringRadius);
  const data = new Uint8ClampedArray(4 * size * size);
  const nothing: Shade = { covered: stepsOf(ground.bare), bare: stepsOf(ground.bare), specks: 255 };
  const { stride, shares } = grainOf(paper.grainMm, PIXELS_PER_MM);
  const [tooth, mask] = [grainTile(), TILE - 1];
  const middle = size / 2;
  for (let y = 0, p = 0; y < size; y++) {
    for (let x = 0; x < size; x++, p += 4) {
      const dx = x + 0.5 - middle;
      const dy = y + 0.5 - middle;
      const radius = Math.sqrt(dx * dx + dy * dy) / middle;
      if (radius > 1) continue;
      const angle = ((Math.atan2(dx, -dy) * 180) / Math.PI + 360) % 360;
      const value = tooth[((stride * y) & mask) * TILE + ((stride * x) & mask)]!;
      const out = (radius - HUB) / (1 - HUB);
      // The rim is ragged as a hand leaves it: what the last strokes miss there is not paper but nothing.
      if (out > RAGGED.from && value < (out - RAGGED.from) * RAGGED.by) continue;
      const step = rings
        ? edges.findIndex(({ from, to }) => radius >= from && radius <= to)
        : Math.min(STEPS - 1, Math.max(0, Math.floor(out * STEPS)));
      const sector = shades[Math.round((angle / 360) * SECTORS) % SECTORS]!;
      const shade = out < 0 || step < 0 ? nothing : sector[step]!;
      paintPixel(data, p, shade, shares[(shade.specks << 8) | value]!);
    }
  }
  return { width: size, height: size, data };
}
