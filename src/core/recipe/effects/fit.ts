import { type Layer, POINT_MM, type Point, type Stroke } from '../layer.ts';
import { type RegionContext } from './effect.ts';

/** The usual width of a thing's regions, mm: half of the thing's area lies in regions at least this wide. */
export function usualWidth({ regions }: RegionContext): number {
  const widest = [...regions].sort((p, q) => q.usableWidthMm - p.usableWidthMm);
  const half = regions.reduce((sum, region) => sum + region.areaMm2, 0) / 2;
  let area = 0;
  return (widest.find((region) => (area += region.areaMm2) >= half) ?? widest[0]).usableWidthMm;
}

/** The point and the stroke that a width asks for. */
export function toolFor(widthMm: number): { point: Point; stroke: Stroke } {
  if (widthMm < 2) return { point: 'sharp', stroke: 'following the contour' };
  if (widthMm < 12) return { point: 'normal', stroke: 'small circles' };
  return { point: 'side of the lead', stroke: 'one direction' };
}

/** An edge fades over at least the point's own width, and over a third of the way to the middle where there is room. */
export function softnessFor(point: Point, widthMm: number): number {
  return Math.round(10 * Math.max(POINT_MM[point], widthMm / 6)) / 10;
}

/** A region needs this width for a layer that is laid in so many bands: one on each side, none narrower than the point. */
export function widthForBands(bands: number): number {
  return bands <= 1 ? 0 : 2 * bands * POINT_MM.sharp;
}

/** A layer of an effect before it is fitted to a thing. */
export interface Plain extends Pick<Layer, 'id' | 'role' | 'pencil' | 'pressure' | 'passes' | 'purpose'> {
  from: number;
  to: number;
  /** How many bands a region must have room for before it is worth laying. */
  bands: 1 | 2 | 3;
  /** Hard edges are drawn with a sharp point and do not fade; default soft. */
  edge?: 'hard' | 'soft';
  /** Whether the edge towards the highlight is hard though the other one is soft. */
  hardTo?: boolean;
  /** Where the effect asks for another than the width does. */
  stroke?: Stroke;
}

/** Fits layers to the usual width of a thing's regions: the point, the stroke, and how far edges fade. */
export function fitted(plain: readonly Plain[], context: RegionContext): Layer[] {
  const width = usualWidth(context);
  const { point, stroke } = toolFor(width);
  return plain.map(({ from, to, bands, edge = 'soft', hardTo, stroke: own, ...laid }) => {
    const hasEdge = from > 0 || to < 1;
    const sharp = edge === 'hard' && hasEdge;
    const firmEdge = hasEdge && point === 'side of the lead' && laid.pressure === 'firm';
    const tip: Point = sharp ? 'sharp' : firmEdge ? 'normal' : point;
    return {
      ...laid,
      zone: {
        ...{ field: 'tone', from, to, softnessMm: sharp ? HARD_MM : hasEdge ? softnessFor(tip, width) : 0 },
        ...(hardTo && { hardTo }),
      },
      stroke: own ?? stroke,
      point: tip,
      fromWidthMm: widthForBands(bands),
    };
  });
}

/** What a sharp point blurs an edge by at the most, mm. */
const HARD_MM = 0.1;
