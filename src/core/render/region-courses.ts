import { type PointMm, type Region } from '../lineart/index.ts';
import { type Glow } from '../light/index.ts';
import { type Course, courseOf } from '../preview/index.ts';
import { layersFor } from '../recipe/index.ts';
import { type LaidThing } from './region-tables.ts';

/**
 * The course of the strokes on each region, at its id: that of the last layer laid there.
 * @param upTo layers laid so far by thing id; things that are not named have all of theirs
 */
export function regionCourses(
  things: readonly LaidThing[],
  regions: readonly Region[],
  upTo: Readonly<Record<string, number>>,
  { glows, vanishing }: { glows: readonly Pick<Glow, 'thingId' | 'at'>[]; vanishing: PointMm | null },
): (Course | null)[] {
  const byId = new Map(regions.map((region) => [region.id, region]));
  const courses: (Course | null)[] = new Array(regions.length + 1).fill(null);
  const middles = new Map(
    things.flatMap(({ id, regionIds }) => {
      const own = regionIds.flatMap((regionId) => byId.get(regionId) ?? []);
      return own.length > 0 ? [[id, middleOf(own)] as const] : [];
    }),
  );
  const lights = glows.flatMap(({ thingId, at }) => (thingId === null ? (at ?? []) : (middles.get(thingId) ?? [])));
  for (const { id, regionIds, recipe } of things) {
    const middle = middles.get(id);
    if (!recipe || !middle) continue;
    const laid = recipe.layers.slice(0, upTo[id] ?? recipe.layers.length);
    for (const regionId of regionIds) {
      const region = byId.get(regionId);
      if (!region) continue;
      const last = layersFor({ ...recipe, layers: laid }, region.usableWidthMm).at(-1);
      if (last) courses[regionId] = courseOf(last, region, { middle, light: nearest(lights, region.pole), vanishing });
    }
  }
  return courses;
}

/** The middle of the box round some regions. */
function middleOf(regions: readonly Region[]): PointMm {
  const left = Math.min(...regions.map(({ box }) => box.left));
  const right = Math.max(...regions.map(({ box }) => box.right));
  const top = Math.min(...regions.map(({ box }) => box.top));
  const bottom = Math.max(...regions.map(({ box }) => box.bottom));
  return { x: (left + right) / 2, y: (top + bottom) / 2 };
}

function nearest(points: readonly PointMm[], { x, y }: PointMm): PointMm | null {
  const away = (point: PointMm) => Math.hypot(point.x - x, point.y - y);
  return points.reduce<PointMm | null>((best, point) => (!best || away(point) < away(best) ? point : best), null);
}
