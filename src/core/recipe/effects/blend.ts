import { type Family } from '../family.ts';
import { type Layer, POINT_MM, type Point, type Stroke } from '../layer.ts';
import { type Sketch } from '../schools/index.ts';
import { type Effect, type RegionContext } from './effect.ts';

/** A smooth passage from the family's dark to its light. */
export const blend: Effect = {
  id: 'blend',
  name: 'blend',
  says: 'A smooth passage from the dark pencil through the mid to the light one.',
  layers(school, family, context) {
    const width = usualWidth(context);
    const { point, stroke } = toolFor(width);
    return laidBy(family, school.sketch).map(({ from, to, bands, ...laid }): Layer => {
      const edge = from > 0 || to < 1;
      const own = edge && point === 'side of the lead' && laid.pressure === 'firm' ? 'normal' : point;
      return {
        ...laid,
        zone: { field: 'tone', from, to, softnessMm: edge ? softnessFor(own, width) : 0 },
        stroke,
        point: own,
        // A band on each side and each no narrower than the point that lays it.
        fromWidthMm: bands === 1 ? 0 : 2 * bands * POINT_MM.sharp,
      };
    });
  },
};

type Laid = Pick<Layer, 'id' | 'role' | 'pencil' | 'pressure' | 'passes' | 'purpose'> &
  Pick<Sketch, 'from' | 'to' | 'bands'>;

/** A school's order with the pencils of one family: its middle ones share the middle, its extras come where they belong. */
function laidBy(family: Family, sketch: readonly Sketch[]): Laid[] {
  const { pencils, blender, depth, accent, neutral } = family;
  const [dark, light] = [pencils[0], pencils.at(-1)!];
  const shadow = sketch.findIndex(({ role }) => role === 'dark');
  const lastMid = sketch.findLastIndex(({ role }) => role === 'mid');
  return sketch.flatMap((each, i): Laid[] => {
    const last = i === sketch.length - 1;
    if (each.role === 'mid') return [...middles(each, pencils, sketch[shadow].to), ...(i === lastMid ? touches() : [])];
    // A single pencil has nothing to unify.
    if (last && each.role === 'light' && pencils.length === 1 && !blender) return [];
    const own: Laid = { ...each, pencil: each.role === 'dark' ? dark : light };
    if (last && each.role === 'light' && blender) return [...deeper(), { ...own, role: 'blender', pencil: blender }];
    return [...(last ? deeper() : []), own, ...(i === shadow ? calming(each) : [])];
  });

  function calming({ to }: Sketch): Laid[] {
    if (!neutral) return [];
    const purpose = 'Calms the shadow; colour goes over it again.';
    return [extra('neutral', neutral, { from: 0, to: to + 0.06, pressure: 'light', bands: 2, purpose })];
  }
  function touches(): Laid[] {
    if (!accent) return [];
    const purpose = 'Touches of another hue where the form turns into shadow.';
    return [extra('accent', accent, { from: 0.2, to: 0.42, pressure: 'light', bands: 3, purpose })];
  }
  function deeper(): Laid[] {
    if (!depth) return [];
    const purpose = 'Deepens the innermost shadow.';
    return [extra('depth', depth, { from: 0, to: 0.14, pressure: 'medium', bands: 3, purpose })];
  }
}

function extra(
  role: 'depth' | 'accent' | 'neutral',
  pencil: string,
  rest: Omit<Laid, 'id' | 'role' | 'pencil' | 'passes'>,
): Laid {
  return { id: role, role, pencil, passes: 1, ...rest };
}

/** One layer for each pencil between the darkest and the lightest, the darker the nearer to the shadow. */
function middles(each: Sketch, pencils: readonly string[], shadowTo: number): Laid[] {
  const between = pencils.length > 2 ? pencils.slice(1, -1) : pencils.slice(-1);
  return between.map((pencil, k) => {
    const to = shadowTo + ((each.to - shadowTo) * (k + 1)) / between.length;
    return { ...each, id: k === 0 ? each.id : `${each.id}-${k + 1}`, pencil, to: Math.round(100 * to) / 100 };
  });
}

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
