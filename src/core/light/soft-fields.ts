import { type PageGeometry } from './page.ts';

/** Central differences are taken over so many pixels on either side: exact distances have steps at a pixel. */
export const SPAN = 2;

/** A coarse field at full size, even between its pixels. */
export function enlargedEvenly(
  page: PageGeometry,
  coarse: PageGeometry,
  field: Float32Array,
  step: number,
  write: (i: number, value: number) => void,
): void {
  for (let y = 0, i = 0; y < page.height; y++) {
    const top = Math.floor(y / step);
    const bottom = Math.min(coarse.height - 1, top + 1);
    const down = y / step - top;
    for (let x = 0; x < page.width; x++, i++) {
      const left = Math.floor(x / step);
      const right = Math.min(coarse.width - 1, left + 1);
      const across = x / step - left;
      const [row, next] = [top * coarse.width, bottom * coarse.width];
      const above = field[row + left]! + (field[row + right]! - field[row + left]!) * across;
      const below = field[next + left]! + (field[next + right]! - field[next + left]!) * across;
      write(i, above + (below - above) * down);
    }
  }
}

/** Looks up which way a field rises at a pixel, as a unit vector; nowhere where it is even. */
export function gradientOf(
  { width, height }: PageGeometry,
  field: Uint8Array,
): (i: number) => readonly [number, number] {
  return (i) => {
    const x = i % width;
    const y = Math.floor(i / width);
    const right = field[i + Math.min(SPAN, width - 1 - x)]!;
    const left = field[i - Math.min(SPAN, x)]!;
    const below = field[i + width * Math.min(SPAN, height - 1 - y)]!;
    const above = field[i - width * Math.min(SPAN, y)]!;
    const length = Math.hypot(right - left, below - above);
    return length > 0 ? [(right - left) / length, (below - above) / length] : [0, 0];
  };
}
