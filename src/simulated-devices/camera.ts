import { Matrix, solve } from 'ml-matrix';
import type { Camera, ShotRequest, Subject } from '../contracts/index.ts';
import { type Run } from '../core/run/index.ts';
import { seededRandom } from '../core/random/index.ts';
import { SHOT_FAULTS } from './quality.ts';
import { type Picture, resample } from './resample.ts';
import { jpegOf } from './scanner.ts';

/** Something flat that can lie on the table under the camera. */
export interface FlatThing extends Subject {
  look(run: Run): Promise<Picture>;
}

const LONG_SIDE = 2400;
const TABLE = [112, 106, 98] as const;
/** How much of the picture the thing fills, along its tighter side. */
const FILLS = 0.86;

export type Corner = readonly [x: number, y: number];

/** Where the four corners of a thing (top left, top right, bottom right, bottom left) come to lie in the picture, pixels. */
export function cornersOf(thing: { width: number; height: number }, { quality, seed }: Omit<ShotRequest, 'subject'>) {
  const random = seededRandom(seed);
  const wide = thing.width >= thing.height;
  const width = wide ? LONG_SIDE : LONG_SIDE * 0.75;
  const height = wide ? LONG_SIDE * 0.75 : LONG_SIDE;
  const scale = FILLS * Math.min(width / thing.width, height / thing.height);
  const stray = SHOT_FAULTS[quality].perspective;
  const corners = (
    [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ] as const
  ).map(([u, v]): Corner => {
    const inward = random() * stray;
    const aside = (random() - 0.5) * stray;
    return [
      width / 2 + (u * scale * thing.width * (1 - inward)) / 2 + aside * width * 0.4,
      height / 2 + (v * scale * thing.height * (1 - inward)) / 2 + aside * height * 0.4,
    ];
  });
  return { width, height, corners };
}

/**
 * A camera that only pretends: the thing comes back in perspective, under a coloured lamp, darker in the corners,
 * soft and noisy.
 * @param things what can lie on the table
 */
export function simulatedCamera(things: () => Promise<readonly FlatThing[]>): Camera {
  return {
    device: { id: 'simulated-camera', kind: 'camera', name: 'Simulated camera', simulated: true },
    subjects: async () => (await things()).map(({ id, title, says }) => ({ id, title, says })),
    async shoot(request, run) {
      const thing = (await things()).find(({ id }) => id === request.subject);
      if (!thing) throw new RangeError('This does not lie on the table.');
      const half = (from: number): Run => ({
        ...run,
        progress: (share, doing) => run.progress(from + share / 2, doing),
      });
      const flat = await thing.look(half(0));
      const { width, height, corners } = cornersOf(flat, request);
      const faults = SHOT_FAULTS[request.quality];
      const back = homography(corners, [
        [0, 0],
        [flat.width, 0],
        [flat.width, flat.height],
        [0, flat.height],
      ]);
      const random = seededRandom(request.seed + 1);
      const picture = await resample(
        flat,
        { width, height },
        (x, y, into) => {
          const w = back[6]! * x + back[7]! * y + 1;
          into.x = (back[0]! * x + back[1]! * y + back[2]!) / w;
          into.y = (back[3]! * x + back[4]! * y + back[5]!) / w;
        },
        {
          beside: TABLE,
          noise: faults.noise,
          random,
          shade(x, y, into) {
            const far = ((x / width - 0.5) ** 2 + (y / height - 0.5) ** 2) * 2;
            for (let c = 0; c < 3; c++) into[c] = faults.cast[c]! * (1 - faults.vignette * far);
          },
        },
        half(0.5),
        'taking the picture',
      );
      return { name: `${thing.title}, photo.jpg`, mime: 'image/jpeg', bytes: await jpegOf(picture, faults) };
    },
  };
}

/** The eight numbers of the projection that takes four points to four others. */
export function homography(from: readonly Corner[], to: readonly Corner[]): number[] {
  const rows = from.flatMap(([x, y], i) => {
    const [u, v] = to[i]!;
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y],
      [0, 0, 0, x, y, 1, -v * x, -v * y],
    ];
  });
  return solve(new Matrix(rows), Matrix.columnVector(to.flat())).to1DArray();
}
