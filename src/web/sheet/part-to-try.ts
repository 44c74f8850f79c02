import { type Region } from '../../core/lineart/index.ts';

/** A part of the picture, pixels. */
export interface Part {
  left: number;
  top: number;
  width: number;
  height: number;
}

const [WIDE_MM, HIGH_MM] = [66, 44];

/**
 * The part of a page on which wishes are tried: where most of its regions crowd, for that is where they matter.
 * @param regions as found so far; without any, the middle of the page
 */
export function partToTry(
  picture: { width: number; height: number },
  pixelsPerMm: number,
  regions: readonly Pick<Region, 'pole'>[],
): Part {
  const width = Math.min(picture.width, Math.round(WIDE_MM * pixelsPerMm));
  const height = Math.min(picture.height, Math.round(HIGH_MM * pixelsPerMm));
  let best = { left: (picture.width - width) >> 1, top: (picture.height - height) >> 1, held: 0 };
  for (let top = 0; top + height <= picture.height; top += Math.max(1, height >> 1)) {
    for (let left = 0; left + width <= picture.width; left += Math.max(1, width >> 1)) {
      const held = regions.filter(({ pole }) => {
        const [x, y] = [pole.x * pixelsPerMm, pole.y * pixelsPerMm];
        return x >= left && x < left + width && y >= top && y < top + height;
      }).length;
      if (held > best.held) best = { left, top, held };
    }
  }
  return { left: best.left, top: best.top, width, height };
}
