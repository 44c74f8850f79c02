import { type PointMm, type Region } from '../lineart/index.ts';

/**
 * Parts a layer's regions by place, so that each part takes no longer than wished where that can be: a set that takes
 * longer is halved across its longer side, at the middle of its time. One region is never parted: a stop in it would show.
 * @param minutesOf what a set of regions takes
 * @param most minutes, above 0
 * @returns parts from top left to bottom right, each in the order in which its regions came
 */
export function partsByPlace(
  regions: readonly Region[],
  minutesOf: (regions: readonly Region[]) => number,
  most: number,
): Region[][] {
  if (regions.length < 2 || minutesOf(regions) <= most) return [[...regions]];
  const spread = (of: (at: PointMm) => number) => {
    const values = regions.map(({ pole }) => of(pole));
    return Math.max(...values) - Math.min(...values);
  };
  const along = spread(({ x }) => x) > spread(({ y }) => y) ? (at: PointMm) => at.x : (at: PointMm) => at.y;
  const sorted = [...regions].sort((p, q) => along(p.pole) - along(q.pole) || p.id - q.id);
  const each = sorted.map((region) => minutesOf([region]));
  const half = each.reduce((sum, minutes) => sum + minutes, 0) / 2;
  let [cut, sum] = [1, each[0]!];
  while (cut < sorted.length - 1 && sum + each[cut]! / 2 < half) sum += each[cut++]!;
  const first = new Set(sorted.slice(0, cut));
  return [regions.filter((region) => first.has(region)), regions.filter((region) => !first.has(region))].flatMap(
    (part) => partsByPlace(part, minutesOf, most),
  );
}
