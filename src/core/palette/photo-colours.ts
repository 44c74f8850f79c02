import { type Lab, labOfOklch, labOfRgb, oklchOfLab } from '../colour/index.ts';
import { type RgbaImage } from '../lineart/index.ts';
import { seededRandom } from '../random/index.ts';

/** A colour drawn out of a photo, and how much of the photo it stands for, 0..1. */
export interface PhotoColour {
  lab: Lab;
  share: number;
}

/** So many pixels are looked at, spread evenly over the photo. */
const SAMPLES = 4000;
const ROUNDS = 24;
/** A clear pixel weighs up to so much more than a grey one: small clear places are what a palette is taken for. */
const CLEAR_WEIGHT = 3;

/**
 * Draws the colours of a photo out: weighted k-means in OKLab (B. Ottosson, 2020), begun by k-means++ (D. Arthur,
 * S. Vassilvitskii, 2007), clear pixels weighing more than grey ones.
 * @param count how many colours, 1 to 12; fewer come back where the photo has fewer
 * @returns the largest share first; shares are of the weight and sum to 1
 * @throws RangeError for a count outside 1 to 12 or a photo without pixels
 */
export function coloursOfPhoto({ width, height, data }: RgbaImage, count: number, seed = 1): PhotoColour[] {
  if (!(Number.isInteger(count) && count >= 1 && count <= 12))
    throw new RangeError('Draw 1 to 12 colours out of a photo.');
  if (width * height === 0 || data.length < 4) throw new RangeError('The photo holds no pixels.');
  const step = Math.max(1, Math.floor((width * height) / SAMPLES));
  const points: { at: readonly [number, number, number]; weight: number }[] = [];
  for (let i = 0; i < width * height; i += step) {
    if (data[4 * i + 3]! < 128) continue;
    const { l, c, h } = oklchOfLab(labOfRgb([data[4 * i]!, data[4 * i + 1]!, data[4 * i + 2]!]));
    const turn = (h * Math.PI) / 180;
    points.push({ at: [l, c * Math.cos(turn), c * Math.sin(turn)], weight: 1 + CLEAR_WEIGHT * Math.min(1, c / 0.15) });
  }
  if (points.length === 0) throw new RangeError('The photo holds no pixels.');
  const random = seededRandom(seed);
  let middles = [points[Math.floor(random() * points.length)]!.at];
  while (middles.length < count) {
    const far = points.map(({ at, weight }) => weight * Math.min(...middles.map((middle) => apart2(at, middle))));
    let left = random() * far.reduce((p, q) => p + q, 0);
    if (left <= 1e-9) break;
    middles.push(
      points[
        Math.max(
          0,
          far.findIndex((each) => (left -= each) <= 0),
        )
      ]!.at,
    );
  }
  let sums: { sum: number[]; weight: number }[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    sums = middles.map(() => ({ sum: [0, 0, 0], weight: 0 }));
    for (const { at, weight } of points) {
      const own = sums[nearestOf(at, middles)]!;
      own.weight += weight;
      for (let k = 0; k < 3; k++) own.sum[k]! += weight * at[k]!;
    }
    middles = sums.map(({ sum, weight }, i) =>
      weight > 0 ? ([sum[0]! / weight, sum[1]! / weight, sum[2]! / weight] as const) : middles[i]!,
    );
  }
  const whole = sums.reduce((sum, { weight }) => sum + weight, 0);
  return middles
    .map(([l, a, b], i) => ({
      lab: labOfOklch({ l, c: Math.hypot(a, b), h: (Math.atan2(b, a) * 180) / Math.PI }),
      share: sums[i]!.weight / whole,
    }))
    .filter(({ share }) => share > 0)
    .sort((p, q) => q.share - p.share);
}

type Point = readonly [number, number, number];

function nearestOf(at: Point, middles: readonly Point[]): number {
  return middles.reduce((best, middle, i) => (apart2(at, middle) < apart2(at, middles[best]!) ? i : best), 0);
}

function apart2(p: Point, q: Point): number {
  return (p[0] - q[0]) ** 2 + (p[1] - q[1]) ** 2 + (p[2] - q[2]) ** 2;
}
