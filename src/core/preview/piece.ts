import { type PageFields, FIELDS } from '../light/index.ts';
import { type PreviewSource } from './render-preview.ts';

/** A piece of a page, mm from its top left corner. */
export interface Piece {
  left: number;
  top: number;
  widthMm: number;
  heightMm: number;
}

/**
 * A piece of a page at a resolution of its own: regions and fields are those of the nearest pixel, printed lines go evenly
 * from pixel to pixel, and the grain is as fine as the resolution lets it be. What a loupe shows, or a file holds.
 * @param pixelsPerMm of the piece, above 0
 * @param lit fields worked out at another resolution than the rest, since light changes slowly; default those of the page
 * @throws RangeError for a piece or a resolution without any pixel
 */
export function pieceOf(
  page: PreviewSource,
  { left, top, widthMm, heightMm }: Piece,
  pixelsPerMm: number,
  lit: Pick<PreviewSource, 'width' | 'height' | 'pixelsPerMm' | 'fields'> = page,
): PreviewSource {
  const across = Math.round(widthMm * pixelsPerMm);
  const down = Math.round(heightMm * pixelsPerMm);
  if (!(across >= 1 && down >= 1)) throw new RangeError('A picture has at least one pixel each way.');
  const { width, height, ink } = page;
  const within = (value: number, size: number) => Math.min(size - 1, Math.max(0, value));
  // Where the middle of each pixel lies, in pixels of what it is taken from.
  const placesIn = (perMm: number) => ({
    columns: Float64Array.from({ length: across }, (_, x) => (left + (x + 0.5) / pixelsPerMm) * perMm),
    rows: Float64Array.from({ length: down }, (_, y) => (top + (y + 0.5) / pixelsPerMm) * perMm),
  });
  const nearest = <T extends Uint8Array | Uint16Array>(from: Omit<typeof lit, 'fields'>, values: T, out: T): T => {
    const { columns, rows } = placesIn(from.pixelsPerMm);
    const column = Int32Array.from(columns, (x) => within(Math.floor(x), from.width));
    for (let y = 0, o = 0; y < down; y++) {
      const start = within(Math.floor(rows[y]), from.height) * from.width;
      for (let x = 0; x < across; x++, o++) out[o] = values[start + column[x]];
    }
    return out;
  };
  const { columns, rows } = placesIn(page.pixelsPerMm);
  const size = across * down;
  const between = (share: Uint8Array): Uint8Array => {
    const out = new Uint8Array(size);
    for (let y = 0, o = 0; y < down; y++) {
      const v = within(rows[y] - 0.5, height);
      const upper = Math.floor(v) * width;
      const lower = within(Math.floor(v) + 1, height) * width;
      const below = v % 1;
      for (let x = 0; x < across; x++, o++) {
        const u = within(columns[x] - 0.5, width);
        const [a, b, right] = [Math.floor(u), within(Math.floor(u) + 1, width), u % 1];
        const high = share[upper + a] * (1 - right) + share[upper + b] * right;
        const low = share[lower + a] * (1 - right) + share[lower + b] * right;
        out[o] = high * (1 - below) + low * below + 0.5;
      }
    }
    return out;
  };
  return {
    ...page,
    ...{ width: across, height: down, pixelsPerMm, origin: { x: left, y: top } },
    labels: nearest(page, page.labels, new Uint16Array(size)),
    fields: Object.fromEntries(
      FIELDS.map((field) => [field, nearest(lit, lit.fields[field], new Uint8Array(size))]),
    ) as PageFields,
    ink: ink && { ...ink, share: between(ink.share) },
  };
}
