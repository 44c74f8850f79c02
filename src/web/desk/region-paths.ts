import { type PageRegions } from './desk-context.ts';

/** Outlines already traced, by page. */
const traced = new WeakMap<PageRegions, Map<number, Path2D>>();

/** The outline of a region, within its lines, as a path in pixels of the working picture; made once. */
export function outlineOf(page: PageRegions, regionId: number): Path2D {
  let paths = traced.get(page);
  if (!paths) traced.set(page, (paths = new Map()));
  let path = paths.get(regionId);
  if (!path) paths.set(regionId, (path = pathOf(page.index.outlineOf(regionId))));
  return path;
}

function pathOf(rings: readonly Float64Array[]): Path2D {
  const path = new Path2D();
  for (const ring of rings) {
    path.moveTo(ring[0]!, ring[1]!);
    for (let k = 2; k < ring.length; k += 2) path.lineTo(ring[k]!, ring[k + 1]!);
    path.closePath();
  }
  return path;
}
