import { type Layer, POINT_MM, type Point, type Stroke } from '../layer.ts';
import { type Effect, type RegionContext } from './effect.ts';

/** A smooth passage from the family's dark to its light. */
export const blend: Effect = {
  id: 'blend',
  name: 'blend',
  says: 'A smooth passage from the dark pencil through the mid to the light one.',
  layers(school, family, context) {
    const width = usualWidth(context);
    const { point, stroke } = toolFor(width);
    return school.sketch.map(({ id, role, pressure, passes, from, to, purpose, bands }): Layer => {
      const edge = from > 0 || to < 1;
      const own = edge && point === 'side of the lead' && pressure === 'firm' ? 'normal' : point;
      return {
        id,
        role,
        pencil: family[role],
        pressure,
        passes,
        zone: { field: 'tone', from, to, softnessMm: edge ? softnessFor(own, width) : 0 },
        stroke,
        point: own,
        purpose,
        // A band on each side and each no narrower than the point that lays it.
        fromWidthMm: bands === 1 ? 0 : 2 * bands * POINT_MM.sharp,
      };
    });
  },
};

/** The usual width of a thing's regions, mm: half of the thing's area lies in regions at least this wide. */
export function usualWidth({ regions }: RegionContext): number {
  const widest = [...regions].sort((p, q) => q.usableWidthMm - p.usableWidthMm);
  const half = regions.reduce((sum, region) => sum + region.areaMm2, 0) / 2;
  let area = 0;
  return (widest.find((region) => (area += region.areaMm2) >= half) ?? widest[0]).usableWidthMm;
}

function toolFor(widthMm: number): { point: Point; stroke: Stroke } {
  if (widthMm < 2) return { point: 'sharp', stroke: 'following the contour' };
  if (widthMm < 12) return { point: 'normal', stroke: 'small circles' };
  return { point: 'side of the lead', stroke: 'one direction' };
}

/** An edge fades over at least the point's own width, and over a third of the way to the middle where there is room. */
function softnessFor(point: Point, widthMm: number): number {
  return Math.round(10 * Math.max(POINT_MM[point], widthMm / 6)) / 10;
}
