import { type Drawing } from './drawing.ts';
import { type P, boundsOf, distanceToOutline, isWithin, polar } from './path.ts';

/**
 * Texture that the artist only hints: marks that stay clear of the outline and of each other, so that they suggest
 * shade or grain and close nothing off.
 */
export interface Hint {
  /** Room kept to the outline, mm. */
  clear?: number;
  /** How likely a mark is at a place, 0..1. */
  where?: (p: P) => number;
}

/** Dots, denser where `where` is higher. */
export function stipple(d: Drawing, shape: readonly P[], apart: number, { clear = 0.6, where = () => 1 }: Hint = {}): void {
  const [left, top, right, bottom] = boundsOf(shape);
  const placed: P[] = [];
  const tries = Math.round((((right - left) * (bottom - top)) / apart ** 2) * 5);
  for (let i = 0; i < tries; i++) {
    const p: P = [d.between(left, right), d.between(top, bottom)];
    const likely = where(p);
    if (d.random() > likely || !isWithin(p, shape) || distanceToOutline(p, shape) < clear) continue;
    if (placed.some((q) => Math.hypot(p[0] - q[0], p[1] - q[1]) < apart * (1.5 - 0.6 * likely))) continue;
    placed.push(p);
    d.dot(p, d.between(0.1, 0.17));
  }
}

/** Short strokes that follow `direction` (degrees at a place), each `length` mm, about `apart` from each other. */
export function ticks(
  d: Drawing,
  shape: readonly P[],
  apart: number,
  length: number,
  direction: (p: P) => number,
  { clear = 0.7, where = () => 1 }: Hint = {},
): void {
  const [left, top, right, bottom] = boundsOf(shape);
  const placed: P[] = [];
  const tries = Math.round((((right - left) * (bottom - top)) / apart ** 2) * 5);
  for (let i = 0; i < tries; i++) {
    const p: P = [d.between(left, right), d.between(top, bottom)];
    if (d.random() > where(p)) continue;
    if (placed.some((q) => Math.hypot(p[0] - q[0], p[1] - q[1]) < apart)) continue;
    const angle = direction(p) + d.between(-6, 6);
    const reach = (length / 2) * d.between(0.7, 1.25);
    const bend = d.between(-0.12, 0.12) * length;
    const stroke: P[] = [polar(p, -reach, angle), polar(p, bend, angle + 90), polar(p, reach, angle)];
    if (stroke.some((q) => !isWithin(q, shape) || distanceToOutline(q, shape) < clear)) continue;
    placed.push(p);
    d.line([stroke[0], ...between3(stroke), stroke[2]], 0.25);
  }
}

/** A few points of the arc through three. */
function between3([a, b, c]: readonly P[]): P[] {
  return [0.25, 0.5, 0.75].map((t): P => {
    const [u, v, w] = [(1 - t) * (1 - 2 * t), 4 * t * (1 - t), t * (2 * t - 1)];
    return [u * a[0] + v * b[0] + w * c[0], u * a[1] + v * b[1] + w * c[1]];
  });
}
