/** How the pencil moves. */
export const STROKES = [
  ...(['small circles', 'one direction', 'hatching', 'cross-hatching'] as const),
  ...(['following the contour', 'flicks', 'stippling', 'scumbling', 'fine lines'] as const),
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
  'fine lines': 0.15,
};

/** Strokes that leave less than this of a pass are dots and lines: they draw, close nothing, and hold where little tooth is left. */
const CLOSING = 0.5;

/** Whether a stroke draws dots or lines instead of laying an area. */
export function drawsLines(stroke: Stroke): boolean {
  return (STROKE_LEAVES[stroke] ?? 1) < CLOSING;
}

/** Which way strokes run. */
export const DIRECTIONS = [
  ...(['level', 'upright', 'along the shape', 'across the shape'] as const),
  ...(['out from the middle', 'round the light', 'to the vanishing point'] as const),
] as const;
export type Direction = (typeof DIRECTIONS)[number];

/** Which way colour is pulled where a layer fades. */
export const PULLS = ['dark to light', 'light to dark'] as const;
export type Pull = (typeof PULLS)[number];

/** The state of the point. */
export const POINTS = ['sharp', 'normal', 'side of the lead'] as const;
export type Point = (typeof POINTS)[number];

/** Width of the mark each point leaves at medium pressure, mm. An assumption until somebody measures it. */
export const POINT_MM: Readonly<Record<Point, number>> = { sharp: 0.4, normal: 0.8, 'side of the lead': 2.5 };
