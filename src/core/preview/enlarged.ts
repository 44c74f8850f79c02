import { type PageFields, FIELDS } from '../light/index.ts';
import { type PointMm } from '../lineart/index.ts';
import { type PreviewSource } from './render-preview.ts';

/**
 * A square piece of a page at a resolution of its own, to be painted as a loupe shows it: regions and fields are those of
 * the nearest pixel, printed lines go evenly from pixel to pixel, and the grain is as fine as the resolution lets it be.
 * @param middle of the piece, mm
 * @param sideMm of the piece, mm
 * @param pixels along each side
 */
export function enlarged(page: PreviewSource, middle: PointMm, sideMm: number, pixels: number): PreviewSource {
  const { width, height, pixelsPerMm, ink } = page;
  const origin = { x: middle.x - sideMm / 2, y: middle.y - sideMm / 2 };
  const scale = (pixelsPerMm * sideMm) / pixels;
  const within = (value: number, size: number) => Math.min(size - 1, Math.max(0, value));
  const columns = Int32Array.from({ length: pixels }, (_, x) =>
    within(Math.floor(origin.x * pixelsPerMm + (x + 0.5) * scale), width),
  );
  const rows = Int32Array.from({ length: pixels }, (_, y) =>
    within(Math.floor(origin.y * pixelsPerMm + (y + 0.5) * scale), height),
  );
  const nearest = <T extends Uint8Array | Uint16Array>(values: T, out: T): T => {
    for (let y = 0, o = 0; y < pixels; y++) {
      const row = rows[y] * width;
      for (let x = 0; x < pixels; x++, o++) out[o] = values[row + columns[x]];
    }
    return out;
  };
  const size = pixels * pixels;
  const share = ink && new Uint8Array(size);
  if (ink && share) {
    for (let y = 0, o = 0; y < pixels; y++) {
      const v = within(origin.y * pixelsPerMm + (y + 0.5) * scale - 0.5, height);
      const [upper, down] = [Math.floor(v), v % 1];
      const lower = within(upper + 1, height);
      for (let x = 0; x < pixels; x++, o++) {
        const u = within(origin.x * pixelsPerMm + (x + 0.5) * scale - 0.5, width);
        const [left, right] = [Math.floor(u), within(Math.floor(u) + 1, width)];
        const along = (row: number) =>
          ink.share[row * width + left] * (1 - (u % 1)) + ink.share[row * width + right] * (u % 1);
        share[o] = along(upper) * (1 - down) + along(lower) * down + 0.5;
      }
    }
  }
  return {
    ...page,
    ...{ width: pixels, height: pixels, pixelsPerMm: pixels / sideMm, origin },
    labels: nearest(page.labels, new Uint16Array(size)),
    fields: Object.fromEntries(
      FIELDS.map((field) => [field, nearest(page.fields[field], new Uint8Array(size))]),
    ) as PageFields,
    ink: ink && share && { ...ink, share },
  };
}
