import { type Pressure } from '../laydown/index.ts';
import { type Field } from '../light/index.ts';
import { EXTRAS } from './family.ts';

/** How the pencil moves. */
export const STROKES = [
  ...(['small circles', 'one direction', 'hatching', 'cross-hatching'] as const),
  ...(['following the contour', 'flicks', 'stippling', 'scumbling'] as const),
] as const;
export type Stroke = (typeof STROKES)[number];

/**
 * How much of a pass an open stroke leaves, as a share of its pressure: dots and open lines let paper show between them.
 * Assumptions until somebody measures them.
 */
export const STROKE_LEAVES: Readonly<Partial<Record<Stroke, number>>> = {
  stippling: 0.1,
  scumbling: 0.8,
  hatching: 0.8,
};

/** Which way strokes run. */
export const DIRECTIONS = [
  ...(['level', 'upright', 'along the shape', 'across the shape'] as const),
  ...(['out from the middle', 'round the light', 'to the vanishing point'] as const),
] as const;
export type Direction = (typeof DIRECTIONS)[number];

/** The state of the point. */
export const POINTS = ['sharp', 'normal', 'side of the lead'] as const;
export type Point = (typeof POINTS)[number];

/** Width of the mark each point leaves at medium pressure, mm. An assumption until somebody measures it. */
export const POINT_MM: Readonly<Record<Point, number>> = { sharp: 0.4, normal: 0.8, 'side of the lead': 2.5 };

/** An interval of one field, with edges that fade over some millimetres. */
export interface Span {
  field: Field;
  /** From 0 to 1. */
  from: number;
  to: number;
  /** How far each edge fades, mm; an edge at 0 or 1 does not fade. */
  softnessMm: number;
  /** Way over which the field runs from 0 to 1 on the shapes that this was fitted to, mm, above 0. */
  overMm: number;
  /** Whether the upper edge is hard all the same, so that nothing enters what lies beyond: a highlight. */
  hardTo?: boolean;
  /** Of a reflection: the place of its source among those of the thing. */
  source?: number;
}

/** The part of a region that a layer covers: an interval of one field, or what lies in two at once. */
export interface Zone extends Span {
  and?: Span;
}

/**
 * Who a pencil is in its family: its own from dark to light, and what may stand beside them; or what it brings from
 * elsewhere: a neighbour's colour, that of a light, the white of a highlight.
 */
export const ROLES = ['dark', 'mid', 'light', ...EXTRAS, 'reflected', 'glow', 'white'] as const;
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
  /** Where the shape does not say it. */
  direction?: Direction;
  point: Point;
  /** Id of a tool that works what is laid, in place of laying the pencil itself. */
  tool?: string;
  /** How long it dries before anything else is laid, minutes. */
  dryMinutes?: number;
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
  /** Half the usual usable width of the thing's regions, mm: the way from its edge to its middle. */
  halfWidthMm: number;
}
