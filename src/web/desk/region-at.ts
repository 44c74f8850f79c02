import { type PageRegions } from './desk-context.ts';

/**
 * The region at a point of the picture, or the nearest within `reach` pixels where the point lies on a line.
 * @returns its id, or null beside all
 */
export function regionAt({ labels, width, height }: PageRegions, x: number, y: number, reach: number): number | null {
  const cx = Math.floor(x);
  const cy = Math.floor(y);
  const at = (px: number, py: number) =>
    px < 0 || py < 0 || px >= width || py >= height ? 0 : labels[py * width + px];
  if (at(cx, cy)) return at(cx, cy);
  let best: number | null = null;
  let nearest = reach * reach;
  const r = Math.min(40, Math.ceil(reach));
  for (let dy = -r; dy <= r; dy++) {
    for (let dx = -r; dx <= r; dx++) {
      const id = at(cx + dx, cy + dy);
      if (id === 0 || dx * dx + dy * dy >= nearest) continue;
      nearest = dx * dx + dy * dy;
      best = id;
    }
  }
  return best;
}
