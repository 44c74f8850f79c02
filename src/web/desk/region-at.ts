import { NO_REGION } from '../../core/lineart/index.ts';
import { type PageRegions } from './desk-context.ts';

/**
 * The region at a point of the picture, or the nearest within `reach` pixels where the point lies on a line.
 * @returns its id, or null beside all
 */
export function regionAt({ labels, width, height }: PageRegions, x: number, y: number, reach: number): number | null {
  const cx = Math.floor(x);
  const cy = Math.floor(y);
  const at = (px: number, py: number) => {
    if (px < 0 || py < 0 || px >= width || py >= height) return 0;
    const label = labels[py * width + px];
    return label === NO_REGION ? 0 : label;
  };
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
