import { type Pressure } from '../laydown/index.ts';
import { EXTRAS } from './family.ts';

/** How the pencil moves. */
export const STROKES = ['small circles', 'one direction', 'hatching', 'following the contour', 'flicks'] as const;
export type Stroke = (typeof STROKES)[number];

/** The state of the point. */
export const POINTS = ['sharp', 'normal', 'side of the lead'] as const;
export type Point = (typeof POINTS)[number];

/** Width of the mark each point leaves at medium pressure, mm. An assumption until somebody measures it. */
export const POINT_MM: Readonly<Record<Point, number>> = { sharp: 0.4, normal: 0.8, 'side of the lead': 2.5 };

/** The part of a region that a layer covers: an interval of one field, with edges that fade over some millimetres. */
export interface Zone {
  field: 'tone';
  /** Interval of the field, 0 (deepest shadow) to 1 (highlight). */
  from: number;
  to: number;
  /** How far each edge fades, mm; an edge at 0 or 1 does not fade. */
  softnessMm: number;
  /** Whether the edge towards the highlight is hard all the same, so that nothing enters what lies beyond. */
  hardTo?: boolean;
}

/** Who a pencil is in its family: its own from dark to light, and what may stand beside them. */
export const ROLES = ['dark', 'mid', 'light', ...EXTRAS] as const;
export type Role = (typeof ROLES)[number];

/** One pencil laid in one zone. */
export interface Layer {
  /** Unique and stable within its recipe. */
  id: string;
  pencil: string;
  role: Role;
  pressure: Pressure;
  /** How many times it is gone over. */
  passes: number;
  zone: Zone;
  stroke: Stroke;
  point: Point;
  /** What it is for, to be read at the table. */
  purpose: string;
  /** Laid only in regions at least this wide, mm: narrower ones have no room for it. */
  fromWidthMm: number;
}

/** A thing's layers in the order in which they are laid. */
export interface Recipe {
  effect: string;
  school: string;
  layers: readonly Layer[];
  /** What was left out or done otherwise for want of room or pencils, in sentences. */
  notes: readonly string[];
  /** Half the usual usable width of the thing's regions, mm: what a zone's softness is measured against. */
  halfWidthMm: number;
}
