import { NO_REGION } from '../../core/lineart/index.ts';
import { type PageRegions } from './desk-context.ts';

/**
 * The region at a point of the picture, or the nearest within `reach` pixels where the point lies on a line.
 * @returns its id, or null beside all
 */
export function regionAt({ index, width, height }: PageRegions, x: number, y: number, reach: number): number | null {
  const { labels } = index;
  const cx = Math.floor(x);
  const cy = Math.floor(y);
  const at = (px: number, py: number) => {
    if (px < 0 || py < 0 || px >= width || py >= height) return 0;
    const label = labels[py * width + px]!;
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

/** Regions narrower than this on the screen are easily missed, CSS pixels. */
const TINY_PX = 7;

/**
 * The regions within `reach` pixels of a point of the picture, when the one at the point is so narrow on the screen,
 * and another one too, that a click may well have meant that other one; none otherwise.
 * @param scale CSS pixels per pixel of the picture
 */
export function tinyRegionsAround(page: PageRegions, x: number, y: number, reach: number, scale: number): number[] {
  const { index, width, height, regions, pixelsPerMm } = page;
  const { labels } = index;
  const [cx, cy, r] = [Math.floor(x), Math.floor(y), Math.min(40, Math.ceil(reach))];
  const near = new Set<number>();
  for (let py = Math.max(0, cy - r); py <= Math.min(height - 1, cy + r); py++) {
    for (let px = Math.max(0, cx - r); px <= Math.min(width - 1, cx + r); px++) {
      const label = labels[py * width + px]!;
      if (label > 0 && label !== NO_REGION && (px - cx) ** 2 + (py - cy) ** 2 <= reach * reach) near.add(label);
    }
  }
  const tiny = [...near].filter((id) => regions[id - 1]!.usableWidthMm * pixelsPerMm * scale < TINY_PX);
  const meant = regionAt(page, x, y, reach);
  return tiny.length > 1 && meant !== null && tiny.includes(meant) ? [...near] : [];
}
