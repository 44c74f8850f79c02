import { type Field } from '../../light/index.ts';
import type { Layer, Span } from '../schemas.ts';
import { POINT_MM, type Point, type Stroke } from '../strokes.ts';
import { type RegionContext } from './effect.ts';

/** The usual width of a thing's regions, mm: half of the thing's area lies in regions at least this wide. */
export function usualWidth({ regions }: Pick<RegionContext, 'regions'>): number {
  const widest = [...regions].sort((p, q) => q.usableWidthMm - p.usableWidthMm);
  const half = regions.reduce((sum, region) => sum + region.areaMm2, 0) / 2;
  let area = 0;
  return (widest.find((region) => (area += region.areaMm2) >= half) ?? widest[0]!).usableWidthMm;
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

/** An interval of a field before it is fitted to a thing. */
export interface SpanDraft {
  /** Default the tone. */
  field?: Field;
  from: number;
  to: number;
  /** Whether the upper edge is hard though the other one is soft. */
  hardTo?: boolean;
  /** Of a reflection: the place of its source. */
  source?: number;
  /** How far edges fade, as a share of the field; default by the width and the point. */
  fades?: number;
}

/** A layer of an effect before it is fitted to a thing. */
export interface LayerDraft
  extends
    SpanDraft,
    Pick<Layer, 'id' | 'role' | 'pencil' | 'pressure' | 'passes' | 'purpose' | 'direction' | 'tool' | 'dryMinutes'> {
  /** Only where this holds too. */
  and?: SpanDraft;
  /** How many bands a region must have room for before it is worth laying. */
  bands: 1 | 2 | 3;
  /** Hard edges are drawn with a sharp point and do not fade; default soft. */
  edge?: 'hard' | 'soft';
  /** Where the effect asks for another stroke or point than the width does. */
  stroke?: Stroke;
  point?: Point;
}

/** Ways over which fields run that do not depend on a shape, mm: see the light's own reach of reflections and shadows. */
const RUNS_MM = { reflect: 14, shadow: 8, glow: 20 };

/** Over how many mm a field runs from 0 to 1 on a thing, at least half a mm. */
export function overMm(field: Field, context: RegionContext): number {
  const width = usualWidth(context);
  const runs: Record<Field, number> = {
    tone: width / 2,
    turn: width,
    reflect: RUNS_MM.reflect,
    shadow: RUNS_MM.shadow,
    along: context.heightMm ?? width,
    out: context.outMm ?? width / 2,
    glow: context.glow?.reachMm ?? RUNS_MM.glow,
    lit: context.glow?.reachMm ?? RUNS_MM.glow,
  };
  return Math.max(0.5, runs[field]);
}

/** Fits layers to the usual width of a thing's regions: the point, the stroke, and how far edges fade. */
export function fitted(plain: readonly LayerDraft[], context: RegionContext): Layer[] {
  const width = usualWidth(context);
  const usual = toolFor(width);
  return plain.map((each) => {
    const { id, role, pencil, pressure, passes, purpose, bands, edge, and, direction, tool, dryMinutes } = each;
    const hasEdge = each.from > 0 || each.to < 1;
    const sharp = edge === 'hard' && hasEdge;
    const firmEdge = hasEdge && usual.point === 'side of the lead' && pressure === 'firm';
    const point: Point = each.point ?? (sharp ? 'sharp' : firmEdge ? 'normal' : usual.point);
    const soft = softnessFor(point, width);
    return {
      id,
      role,
      pencil,
      pressure,
      passes,
      purpose,
      zone: { ...spanOf(each, sharp ? HARD_MM : soft, context), ...(and && { and: spanOf(and, soft, context) }) },
      stroke: each.stroke ?? usual.stroke,
      point,
      fromWidthMm: widthForBands(bands),
      ...(direction && { direction }),
      ...(tool && { tool }),
      ...(dryMinutes && { dryMinutes }),
    };
  });
}

/** What a sharp point blurs an edge by at the most, mm. */
const HARD_MM = 0.1;

function spanOf(
  { field = 'tone', from, to, hardTo, source, fades }: SpanDraft,
  soft: number,
  context: RegionContext,
): Span {
  const runs = overMm(field, context);
  const softnessMm = from > 0 || to < 1 ? (fades === undefined ? soft : Math.round(10 * fades * runs) / 10) : 0;
  return {
    field,
    from,
    to,
    softnessMm,
    overMm: Math.round(100 * runs) / 100,
    ...(hardTo && { hardTo }),
    ...(source !== undefined && { source }),
  };
}
