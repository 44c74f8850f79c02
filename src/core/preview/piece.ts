import { type Field } from '../light/index.ts';
import { type PreviewSource } from './render-preview.ts';

/** A piece of a page, mm from its top left corner. */
export interface Piece {
  left: number;
  top: number;
  widthMm: number;
  heightMm: number;
}

/** Pixels that something is taken from. */
type Pixels = Pick<PreviewSource, 'width' | 'height' | 'pixelsPerMm'>;

/**
 * A piece of a page at a resolution of its own: regions are those of the nearest pixel, light and printed lines go evenly
 * from pixel to pixel, and the grain is as fine as the resolution lets it be. What a loupe shows, or a file holds.
 * @param pixelsPerMm of the piece, above 0
 * @param lit fields worked out at another resolution than the rest, since light changes slowly; default those of the page
 * @throws RangeError for a piece or a resolution without any pixel
 */
export function pieceOf(
  page: PreviewSource,
  { left, top, widthMm, heightMm }: Piece,
  pixelsPerMm: number,
  lit: Pixels & Pick<PreviewSource, 'fields'> = page,
): PreviewSource {
  const across = Math.round(widthMm * pixelsPerMm);
  const down = Math.round(heightMm * pixelsPerMm);
  if (!(across >= 1 && down >= 1)) throw new RangeError('A picture has at least one pixel each way.');
  const size = across * down;
  // Where the middle of each pixel of the piece lies, in pixels of what it is taken from.
  const places = (count: number, from: number, perMm: number) =>
    Float64Array.from({ length: count }, (_, k) => (from + (k + 0.5) / pixelsPerMm) * perMm);
  const takenFrom = ({ width, height, pixelsPerMm: perMm }: Pixels) => {
    const [columns, rows] = [places(across, left, perMm), places(down, top, perMm)];
    return {
      nearest<T extends Uint8Array | Uint16Array>(values: T, out: T): T {
        const column = Int32Array.from(columns, (x) => within(Math.floor(x), width));
        for (let y = 0, o = 0; y < down; y++) {
          const start = within(Math.floor(rows[y]!), height) * width;
          for (let x = 0; x < across; x++, o++) out[o] = values[start + column[x]!]!;
        }
        return out;
      },
      evenly(values: Uint8Array): Uint8Array {
        const out = new Uint8Array(size);
        const at = columns.map((x) => within(x - 0.5, width));
        for (let y = 0, o = 0; y < down; y++) {
          const v = within(rows[y]! - 0.5, height);
          const upper = Math.floor(v) * width;
          const lower = within(Math.floor(v) + 1, height) * width;
          const below = v % 1;
          for (let x = 0; x < across; x++, o++) {
            const a = Math.floor(at[x]!);
            const b = a + 1 < width ? a + 1 : a;
            const right = at[x]! - a;
            const high = values[upper + a]! * (1 - right) + values[upper + b]! * right;
            const low = values[lower + a]! * (1 - right) + values[lower + b]! * right;
            out[o] = high * (1 - below) + low * below + 0.5;
          }
        }
        return out;
      },
    };
  };
  const [ofPage, ofLight] = [takenFrom(page), takenFrom(lit)];
  // A reflection tells which neighbour's colour arrives: between two of them lies a third.
  const fieldOf = (field: Field) =>
    field === 'reflect'
      ? ofLight.nearest(lit.fields.reflect!, new Uint8Array(size))
      : ofLight.evenly(lit.fields[field]!);
  const looked = new Set(page.tables.flatMap((table) => table?.fields ?? []));
  return {
    ...page,
    width: across,
    height: down,
    pixelsPerMm,
    origin: { x: left, y: top },
    labels: ofPage.nearest(page.labels, new Uint16Array(size)),
    fields: Object.fromEntries([...looked].map((field) => [field, fieldOf(field)])),
    ink: page.ink && { ...page.ink, share: ofPage.evenly(page.ink.share) },
  };
}

/** A place within so many pixels. */
function within(value: number, size: number): number {
  return Math.min(size - 1, Math.max(0, value));
}
