import { type PointMm, type Region } from '../lineart/index.ts';
import { type Layer } from '../recipe/index.ts';

/** Which way the strokes on a region run, where that is not the same all over the page. */
export type Course =
  /** All one way, degrees clockwise from +x. */
  | { kind: 'straight'; degrees: number }
  /** To a point or out from it; or round it. The strokes are as wide as on paper at so many mm from it. */
  | { kind: 'to' | 'round'; at: PointMm; radiusMm: number };

/** What strokes can run to or round: unknown ones are null. */
export interface Landmarks {
  /** The middle of the thing. */
  middle: PointMm;
  /** The light that falls on it. */
  light: PointMm | null;
  vanishing: PointMm | null;
}

/** Closer than this to what they run to or round strokes cannot be told apart, mm. */
const LEAST_RADIUS_MM = 2;

/**
 * The course of a layer's strokes on a region.
 * @returns null where they run as everywhere: at the hand's slant, level or upright
 */
export function courseOf(
  { direction, stroke }: Pick<Layer, 'direction' | 'stroke'>,
  { axisDegrees, pole }: Pick<Region, 'axisDegrees' | 'pole'>,
  { middle, light, vanishing }: Landmarks,
): Course | null {
  if (stroke === 'stippling') return null;
  const about = (kind: 'to' | 'round', at: PointMm | null): Course | null =>
    at && { kind, at, radiusMm: Math.max(LEAST_RADIUS_MM, Math.hypot(pole.x - at.x, pole.y - at.y)) };
  if (direction === 'along the shape') return { kind: 'straight', degrees: axisDegrees };
  if (direction === 'across the shape') return { kind: 'straight', degrees: axisDegrees + 90 };
  if (direction === 'out from the middle') return about('to', middle);
  if (direction === 'round the light') return about('round', light);
  return direction === 'to the vanishing point' ? about('to', vanishing) : null;
}

/** Whether strokes run the same way. */
export function sameCourse(a: Course | null, b: Course | null): boolean {
  if (a === b) return true;
  if (a === null || b === null) return false;
  if (a.kind === 'straight') return b.kind === 'straight' && a.degrees === b.degrees;
  return b.kind === a.kind && b.radiusMm === a.radiusMm && b.at.x === a.at.x && b.at.y === a.at.y;
}

/** Where a place lies along its strokes and across them, mm. */
export function alongCourse(course: Course, x: number, y: number): readonly [along: number, across: number] {
  if (course.kind === 'straight') {
    const radians = (course.degrees * Math.PI) / 180;
    const [cos, sin] = [Math.cos(radians), Math.sin(radians)];
    return [x * cos + y * sin, y * cos - x * sin];
  }
  const [dx, dy] = [x - course.at.x, y - course.at.y];
  const [away, round] = [Math.hypot(dx, dy), Math.atan2(dy, dx) * course.radiusMm];
  return course.kind === 'to' ? [away, round] : [round, away];
}
