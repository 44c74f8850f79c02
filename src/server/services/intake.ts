import sharp from 'sharp';
import { LineArtError, checkPage, inkOfPage } from '../../core/lineart/index.ts';
import { Refused } from '../refused.ts';

/** The picture that is worked on has at most as many pixels as A4 at 300 dpi; drawings come out at this longest side. */
const WORKING_PIXELS = 2480 * 3508;
const DRAWN_SIDE = 2480;
const MOST_PIXELS = 100_000_000;
const LONGEST_SIDE = 16_000;
const SHORTEST_SIDE = 64;
const A4_LONG_MM = 297;

/** A page brought in: the working picture (its ink in grey, upright, on white, without what was coloured on it) and the size it says it has. */
export interface Intake {
  mime: string;
  picture: { png: Uint8Array; width: number; height: number };
  /** The same page in colour as a JPEG of half its sides, for what lies on it already; null for drawings. */
  colours: Uint8Array | null;
  /** Width of the file's own picture, upright, pixels; null for drawings. */
  scannedWidth: number | null;
  /** From the file's own resolution or units where it states one, else the longer side of A4. */
  widthMm: number;
  heightMm: number;
}

/**
 * Reads a PNG, JPEG, WebP, TIFF or SVG file to a working picture. What a file is, its first bytes say, never its name.
 * @throws Refused with one sentence for anything that is not such a file, is too large or too small, broken, blank or all dark
 */
export async function takeIn(file: Uint8Array): Promise<Intake> {
  const mime = kindOf(file);
  const meta = await readMeta(file, mime);
  const turned = (meta.orientation ?? 1) >= 5;
  const [width, height] = turned ? [meta.height, meta.width] : [meta.width, meta.height];
  refuseBadSize(width, height, mime);
  const density = mime === 'image/svg+xml' ? await drawingDensity(file, Math.max(width, height)) : undefined;
  try {
    const { data, info } = await sharp(file, { density, limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .rotate()
      .flatten({ background: '#ffffff' })
      .resize({ ...workingSize(width, height, mime), fit: 'inside', withoutEnlargement: mime !== 'image/svg+xml' })
      .toColourspace('srgb')
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const { width: across, height: down } = info;
    const rgb = threeChannels(data, info.channels);
    const { grey } = inkOfPage({ width: across, height: down, data: rgb });
    checkPage(grey);
    const png = await sharp(grey.data, { raw: { width: grey.width, height: grey.height, channels: 1 } })
      .toColourspace('b-w')
      .png({ compressionLevel: 8 })
      .toBuffer();
    const colours =
      mime === 'image/svg+xml'
        ? null
        : await sharp(rgb, { raw: { width: across, height: down, channels: 3 } })
            .resize({ width: Math.ceil(across / 2) })
            .jpeg({ quality: 88, chromaSubsampling: '4:4:4' })
            .toBuffer();
    const picture = { png, width: grey.width, height: grey.height };
    const scannedWidth = mime === 'image/svg+xml' ? null : width;
    return { mime, picture, colours, scannedWidth, ...realSize(width, height, meta, mime) };
  } catch (error) {
    if (error instanceof LineArtError) throw new Refused(422, error.message);
    throw broken();
  }
}

/** The box that the working picture fits in, pixels. */
function workingSize(width: number, height: number, mime: string): { width: number; height: number } {
  if (mime === 'image/svg+xml') return { width: DRAWN_SIDE, height: DRAWN_SIDE };
  const share = Math.min(1, Math.sqrt(WORKING_PIXELS / (width * height)));
  return { width: Math.round(share * width), height: Math.round(share * height) };
}

/**
 * What a file is that a picture was taken out of: a PDF, or a picture itself.
 * @throws Refused for anything else
 */
export function kindOfOriginal(file: Uint8Array): string {
  return new TextDecoder('latin1').decode(file.subarray(0, 1024)).includes('%PDF-') ? 'application/pdf' : kindOf(file);
}

function kindOf(file: Uint8Array): string {
  const starts = (...bytes: number[]) => bytes.every((byte, i) => file[i] === byte);
  if (starts(0x89, 0x50, 0x4e, 0x47)) return 'image/png';
  if (starts(0xff, 0xd8, 0xff)) return 'image/jpeg';
  if (starts(0x52, 0x49, 0x46, 0x46) && String.fromCharCode(...file.subarray(8, 12)) === 'WEBP') return 'image/webp';
  if (starts(0x49, 0x49, 0x2a, 0) || starts(0x4d, 0x4d, 0, 0x2a)) return 'image/tiff';
  const text = new TextDecoder().decode(file.subarray(0, 1000)).trimStart();
  if (text.startsWith('<') && /<svg[\s>]/.test(new TextDecoder().decode(file.subarray(0, 20_000))))
    return 'image/svg+xml';
  throw new Refused(
    415,
    'This file is not a PNG, JPEG, WebP, TIFF or SVG picture, nor a PDF. Scan or save the page as one of these and bring it again.',
  );
}

/**
 * The density at which a drawing of `side` pixels at 72 dpi comes out at the working size. Drawings in millimetres
 * grow with the square of the density, those in pixels with the density itself, so a first try tells which.
 */
async function drawingDensity(file: Uint8Array, side: number): Promise<number> {
  const density = Math.min(2400, (72 * DRAWN_SIDE) / side);
  const tried = await sharp(file, { density, limitInputPixels: false }).metadata();
  return density / Math.sqrt(Math.max(1, Math.max(tried.width ?? 1, tried.height ?? 1) / DRAWN_SIDE));
}

interface Meta {
  width: number;
  height: number;
  orientation?: number;
  density?: number;
}

async function readMeta(file: Uint8Array, mime: string): Promise<Meta> {
  try {
    const { width, height, orientation, density } = await sharp(file, { limitInputPixels: false }).metadata();
    if (!width || !height) throw broken();
    return { width, height, orientation, density: mime === 'image/svg+xml' ? 72 : density };
  } catch {
    throw broken();
  }
}

function broken(): Refused {
  return new Refused(422, 'This picture is broken and cannot be read to its end. Save or scan it again.');
}

function refuseBadSize(width: number, height: number, mime: string): void {
  const size = `${width.toLocaleString('en')} × ${height.toLocaleString('en')} pixels`;
  if (width * height > MOST_PIXELS || Math.max(width, height) > LONGEST_SIDE) {
    throw new Refused(
      413,
      `This picture is ${size}; the most that fits is 100 megapixels and 16,000 pixels a side. Scan the page at 300 dpi.`,
    );
  }
  if (mime !== 'image/svg+xml' && Math.min(width, height) < SHORTEST_SIDE) {
    throw new Refused(
      422,
      `This picture is only ${size}, too small to find outlines in. Scan the page at 200 dpi or more.`,
    );
  }
}

/** Grey pictures come with one channel; each of the three is the same then. */
function threeChannels(data: Uint8Array, channels: number): Uint8Array {
  if (channels === 3) return data;
  return Uint8Array.from({ length: (3 * data.length) / channels }, (_, i) => data[channels * Math.floor(i / 3)]!);
}

function realSize(width: number, height: number, { density }: Meta, mime: string) {
  // A picture without a resolution says 72; scanners say 150 and more.
  if (mime !== 'image/svg+xml' && density && density >= 100 && density <= 1300) {
    const mm = (px: number) => Math.round((25.4 * px) / density);
    if (inRange(mm(width)) && inRange(mm(height))) return { widthMm: mm(width), heightMm: mm(height) };
  }
  const long = Math.max(width, height);
  const fitted = (px: number) => Math.max(20, Math.round((A4_LONG_MM * px) / long));
  return { widthMm: fitted(width), heightMm: fitted(height) };
}

function inRange(mm: number): boolean {
  return mm >= 20 && mm <= 1200;
}
