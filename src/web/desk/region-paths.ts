import simplify from 'simplify-js';
import { outlineRings } from '../../core/lineart/index.ts';
import { type PageRegions } from './desk-context.ts';

/** Outlines already traced, by page. */
const traced = new WeakMap<PageRegions, Map<number, Path2D>>();

/** The outline of a region as a path in pixels of the working picture; traced once. */
export function outlineOf(page: PageRegions, regionId: number): Path2D {
  let paths = traced.get(page);
  if (!paths) traced.set(page, (paths = new Map()));
  let path = paths.get(regionId);
  if (!path) paths.set(regionId, (path = trace(page, regionId)));
  return path;
}

/** A stair of pixels may be cut by so many of them, so that it is drawn as the slope that it stands for. */
const CUT = 0.8;
/** A ring with fewer corners is kept as it is. */
const FEW = 24;

/** The corners of a ring, x and y by turns, as points along it. */
export function smoothed(ring: ArrayLike<number>): { x: number; y: number }[] {
  const points = Array.from({ length: ring.length / 2 }, (_, i) => ({ x: ring[2 * i], y: ring[2 * i + 1] }));
  return points.length < FEW ? points : simplify(points, CUT, true);
}

function trace(page: PageRegions, regionId: number): Path2D {
  const path = new Path2D();
  const region = page.regions[regionId - 1];
  if (!region) return path;
  const px = (mm: number) => Math.round(mm * page.pixelsPerMm);
  const { left, top, right, bottom } = region.box;
  const box = { left: px(left), top: px(top), right: px(right), bottom: px(bottom) };
  for (const ring of outlineRings(page.labels, page.width, regionId, box)) {
    const [first, ...rest] = smoothed(ring);
    path.moveTo(first.x, first.y);
    for (const { x, y } of rest) path.lineTo(x, y);
    path.closePath();
  }
  return path;
}
