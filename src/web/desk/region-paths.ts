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

function trace(page: PageRegions, regionId: number): Path2D {
  const path = new Path2D();
  const region = page.regions[regionId - 1];
  if (!region) return path;
  const px = (mm: number) => Math.round(mm * page.pixelsPerMm);
  const { left, top, right, bottom } = region.box;
  const box = { left: px(left), top: px(top), right: px(right), bottom: px(bottom) };
  for (const ring of outlineRings(page.labels, page.width, regionId, box)) {
    path.moveTo(ring[0], ring[1]);
    for (let i = 2; i < ring.length; i += 2) path.lineTo(ring[i], ring[i + 1]);
    path.closePath();
  }
  return path;
}
