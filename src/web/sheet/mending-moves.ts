import type { Mend } from '../../contracts/index.ts';
import { type Region } from '../../core/lineart/index.ts';

/** Regions as far as a line through one of them needs them. */
interface Raster {
  labels: Uint16Array;
  width: number;
  height: number;
  pixelsPerMm: number;
}

/**
 * The line straight across a region's long axis at its widest place, from outline to outline, mm. It ends in the
 * outline, so that no other region is touched.
 */
export function halvingLine(
  { labels, width, height, pixelsPerMm }: Raster,
  { id, pole, axisDegrees }: Pick<Region, 'id' | 'pole' | 'axisDegrees'>,
) {
  const across = ((axisDegrees + 90) * Math.PI) / 180;
  const [dx, dy] = [Math.cos(across), Math.sin(across)];
  const edge = (side: number) => {
    let [x, y] = [pole.x * pixelsPerMm, pole.y * pixelsPerMm];
    const within = () =>
      x >= 0 && y >= 0 && x < width && y < height && labels[Math.floor(y) * width + Math.floor(x)] === id;
    while (within()) [x, y] = [x + 0.5 * side * dx, y + 0.5 * side * dy];
    return { x: x / pixelsPerMm, y: y / pixelsPerMm };
  };
  return [edge(-1), edge(1)];
}

/**
 * The stretches of a drawn line that run through a region, each from outline to outline, mm: what parting along the
 * line comes to when no other region is to be touched.
 */
export function withinRegion(
  { labels, width, height, pixelsPerMm }: Raster,
  id: number,
  points: readonly { x: number; y: number }[],
): Mend[] {
  const cuts: Mend[] = [];
  let stretch: { x: number; y: number }[] | null = null;
  let before = points[0]!;
  const end = (at: { x: number; y: number }) => {
    if (stretch) cuts.push({ kind: 'cut', points: [...stretch, at] });
    stretch = null;
  };
  for (let k = 1; k < points.length; k++) {
    const [a, b] = [points[k - 1]!, points[k]!];
    const steps = Math.max(1, Math.ceil(2 * pixelsPerMm * Math.hypot(b.x - a.x, b.y - a.y)));
    for (let s = 0; s <= steps; s++) {
      const at = { x: a.x + ((b.x - a.x) * s) / steps, y: a.y + ((b.y - a.y) * s) / steps };
      const [x, y] = [Math.floor(at.x * pixelsPerMm), Math.floor(at.y * pixelsPerMm)];
      const within = x >= 0 && y >= 0 && x < width && y < height && labels[y * width + x] === id;
      if (within && !stretch) stretch = [before];
      if (!within) end(at);
      before = at;
    }
    if (stretch && k < points.length - 1) stretch.push(b);
  }
  end(before);
  return cuts;
}

/** Joins regions in turn: each with the first. */
export function joinsOf(regions: readonly Pick<Region, 'pole'>[]): Mend[] {
  return regions.slice(1).map(({ pole }) => ({ kind: 'join', a: regions[0]!.pole, b: pole }));
}
