import sharp from 'sharp';
import type { ScanRequest, Scanner, Subject, TakenPicture } from '../contracts/index.ts';
import { type Run } from '../core/run/index.ts';
import { seededRandom } from '../core/random/index.ts';
import { SCAN_FAULTS } from './quality.ts';
import { type Picture, resample } from './resample.ts';

/** A printed page that can lie on the glass. */
export interface PrintedPage extends Subject {
  widthMm: number;
  heightMm: number;
  /** The page at a resolution, as printed on its paper. */
  print(dpi: number): Promise<Picture>;
}

/** Glass left around the page, mm, and what the lid behind it looks like. */
const GLASS_MM = 5;
const LID = [236, 236, 233] as const;
const MM_PER_INCH = 25.4;

/** How a page lies on the glass: the size of the picture, and where a point of the page (mm) comes to lie in it (pixels). */
export interface Lie {
  width: number;
  height: number;
  pixelsPerMm: number;
  toPicture(x: number, y: number): { x: number; y: number };
}

/** How a page of this size lies on the glass; the same seed lays it the same. */
export function lieOf(
  { widthMm, heightMm }: { widthMm: number; heightMm: number },
  { dpi, quality, seed }: Omit<ScanRequest, 'subject'>,
): Lie {
  const random = seededRandom(seed);
  const skew = ((random() < 0.5 ? -1 : 1) * (0.5 + 0.5 * random()) * SCAN_FAULTS[quality].skew * Math.PI) / 180;
  const pixelsPerMm = dpi / MM_PER_INCH;
  const width = Math.round((widthMm + 2 * GLASS_MM) * pixelsPerMm);
  const height = Math.round((heightMm + 2 * GLASS_MM) * pixelsPerMm);
  const [dx, dy] = [(random() - 0.5) * 2, (random() - 0.5) * 2];
  const [c, s] = [Math.cos(skew), Math.sin(skew)];
  return {
    width,
    height,
    pixelsPerMm,
    toPicture(x, y) {
      const [u, v] = [x - widthMm / 2, y - heightMm / 2];
      return {
        x: width / 2 + (u * c - v * s + dx) * pixelsPerMm,
        y: height / 2 + (u * s + v * c + dy) * pixelsPerMm,
      };
    },
  };
}

/**
 * A scanner that only pretends: the page comes back a little askew, unevenly lit, noisy and as a JPEG.
 * @param pages what can lie on its glass
 */
export function simulatedScanner(pages: () => Promise<readonly PrintedPage[]>): Scanner {
  return {
    device: { id: 'simulated-scanner', kind: 'scanner', name: 'Simulated scanner', simulated: true },
    subjects: async () => (await pages()).map(({ id, title, says }) => ({ id, title, says })),
    async scan(request, run) {
      const page = (await pages()).find(({ id }) => id === request.subject);
      if (!page) throw new RangeError('This page does not lie on the glass.');
      run.progress(0.02, 'warming the lamp');
      const printed = await page.print(request.dpi);
      return scanned(page, printed, request, run);
    },
  };
}

async function scanned(page: PrintedPage, printed: Picture, request: ScanRequest, run: Run): Promise<TakenPicture> {
  const faults = SCAN_FAULTS[request.quality];
  const lie = lieOf(page, request);
  const random = seededRandom(request.seed + 1);
  const towards = random() * 2 * Math.PI;
  const [lx, ly] = [Math.cos(towards), Math.sin(towards)];
  const origin = lie.toPicture(0, 0);
  const across = lie.toPicture(1, 0);
  const [c, s] = [(across.x - origin.x) / lie.pixelsPerMm, (across.y - origin.y) / lie.pixelsPerMm];
  const scale = printed.width / (page.widthMm * lie.pixelsPerMm);
  const picture = await resample(
    printed,
    lie,
    (x, y, into) => {
      const [u, v] = [x - origin.x, y - origin.y];
      into.x = (u * c + v * s) * scale;
      into.y = (v * c - u * s) * scale;
    },
    {
      beside: LID,
      noise: faults.noise,
      random,
      shade(x, y, into) {
        const along = (x / lie.width - 0.5) * lx + (y / lie.height - 0.5) * ly;
        into[0] = into[1] = into[2] = 1 - faults.uneven * (0.5 - along * 0.7);
      },
    },
    { ...run, progress: (share, doing) => run.progress(0.1 + 0.8 * share, doing) },
    'the lamp moves down the page',
  );
  run.progress(0.92, 'writing the file');
  return { name: `${page.title}, scan.jpg`, mime: 'image/jpeg', bytes: await jpegOf(picture, faults, request.dpi) };
}

/** A picture as a JPEG of this quality, blurred by the lens, with its resolution written in it where it has one. */
export async function jpegOf(
  { width, height, data }: Picture,
  { blur, jpeg }: { blur: number; jpeg: number },
  dpi?: number,
): Promise<Uint8Array> {
  let image = sharp(data, { raw: { width, height, channels: 3 } });
  if (blur >= 0.3) image = image.blur(blur);
  if (dpi) image = image.withMetadata({ density: dpi });
  return new Uint8Array(await image.jpeg({ quality: jpeg }).toBuffer());
}
