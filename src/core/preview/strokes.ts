import { seededRandom } from '../random/index.ts';

/** How the hand draws the tooth out: along its natural slant, level, upright, or not at all where it dots or circles. */
export const DRAWN = ['slanted', 'level', 'upright', 'round'] as const;
export type Drawn = (typeof DRAWN)[number];

/** Which way strokes run, y down; null where they leave no lines. */
export const STROKE_RUNS: Readonly<Record<Drawn, { x: number; y: number } | null>> = {
  slanted: { x: Math.cos((-24 * Math.PI) / 180), y: Math.sin((-24 * Math.PI) / 180) },
  level: { x: 1, y: 0 },
  upright: { x: 0, y: 1 },
  round: null,
};

/** Side of the tile of strokes; a power of two so that coordinates wrap by masking. */
export const STROKE_TILE = 256;
/** Pixels of the tile for each mm along a stroke and across it. */
export const ALONG_PER_MM = 1.6;
export const ACROSS_PER_MM = 11;
/** How wide a stroke is, mm. */
const WIDE_MM = 0.45;
/** How much the share of specks varies from stroke to stroke, of what it can at most. */
const VARIES = 0.045;
/** Strokes are told apart in so many steps from the lightest to the hardest. */
export const STROKE_STEPS = 16;

let tile: Uint8Array | null = null;

/** How hard each stroke is, 0 to STROKE_STEPS - 1, strokes along the rows; it wraps. Made when first asked for. */
export function strokeTile(): Uint8Array {
  return (tile ??= makeTile());
}

function makeTile(): Uint8Array {
  const random = seededRandom(21);
  const size = STROKE_TILE * STROKE_TILE;
  const noise = Float32Array.from({ length: size }, () => random() - 0.5);
  const mask = STROKE_TILE - 1;
  const field = new Float32Array(size);
  const [along, across] = [4, Math.round((WIDE_MM * ACROSS_PER_MM) / 2)];
  for (let y = 0, i = 0; y < STROKE_TILE; y++) {
    for (let x = 0; x < STROKE_TILE; x++, i++) {
      let sum = 0;
      for (let v = -across; v <= across; v++) {
        const row = ((y + v) & mask) * STROKE_TILE;
        const weight = across + 1 - Math.abs(v);
        for (let u = -along; u <= along; u++) sum += weight * noise[row | ((x + u) & mask)]!;
      }
      field[i] = sum;
    }
  }
  const order = field.slice().sort();
  const edges = Array.from({ length: STROKE_STEPS - 1 }, (_, k) => order[Math.floor(((k + 1) * size) / STROKE_STEPS)]);
  return Uint8Array.from(field, (value) => {
    let step = 0;
    while (step < edges.length && value >= edges[step]!) step++;
    return step;
  });
}

/**
 * The share of specks under each stroke, 0..255, at [specks of the whole] x STROKE_STEPS + how hard it is: fewer under a
 * hard one, as much more under a light one, so that the mean stays. Pixels wider than strokes see less of them.
 */
export function specksUnderStrokes(pixelsPerMm: number): Uint8Array {
  const wide = 1 / pixelsPerMm / WIDE_MM;
  const left = VARIES / Math.sqrt(1 + wide * wide);
  return Uint8Array.from({ length: 256 * STROKE_STEPS }, (_, i) => {
    const [specks, step] = [Math.floor(i / STROKE_STEPS), i % STROKE_STEPS];
    const softer = (STROKE_STEPS - 1 - 2 * step) / (STROKE_STEPS - 1);
    // Of what varies evenly from -1 to 1 the deviation is the root of a third.
    return Math.round(specks + Math.sqrt(3) * left * softer * 4 * specks * (1 - specks / 256));
  });
}
