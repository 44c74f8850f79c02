/** A point on the sheet, mm from its top left corner, y down. */
export type P = readonly [x: number, y: number];

/** Points of a path: pairs, or their coordinates in a row (x, y, x, y). */
export type Points = readonly P[] | readonly number[];

function pairs(points: Points): readonly P[] {
  if (typeof points[0] !== 'number') return points as readonly P[];
  const flat = points as readonly number[];
  return Array.from({ length: flat.length / 2 }, (_, i): P => [flat[2 * i], flat[2 * i + 1]]);
}

/** Longest step between two points of a drawn line, mm. */
export const STEP = 0.7;

/** Fewest points of a whole turn: enough where a shape drawn small is sized up. */
const FEWEST = 40;

/** The point a share `t` of the way from a to b. */
export function along(a: P, b: P, t: number): P {
  return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
}

/** The point `r` mm from c in the direction of `degrees`, clockwise from +x. */
export function polar(c: P, r: number, degrees: number): P {
  const a = (degrees * Math.PI) / 180;
  return [c[0] + r * Math.cos(a), c[1] + r * Math.sin(a)];
}

/** A point of a rope that hangs between a and b, sagging by `sag` in the middle. */
export function hanging(a: P, b: P, sag: number, t: number): P {
  const [x, y] = along(a, b, t);
  return [x, y + 4 * sag * t * (1 - t)];
}

/** A shape with straight sides and corners at the points. */
export function poly(points: Points): P[] {
  const corners = pairs(points);
  return resample([...corners, corners[0]]).slice(0, -1);
}

/** A rectangle by its left, top, right and bottom. */
export function rect(left: number, top: number, right: number, bottom: number): P[] {
  return poly([left, top, right, top, right, bottom, left, bottom]);
}

/** A shape that runs smoothly through the points. */
export function blob(through: Points): P[] {
  return spline(pairs(through), true);
}

/** A shape of smooth sides that meet in corners: each side runs through its points, the next begins where it ends. */
export function sides(...points: Points[]): P[] {
  const each = points.map(pairs);
  return each.flatMap((side, i) => {
    const next = each[(i + 1) % each.length][0];
    const end = side[side.length - 1];
    const whole = end[0] === next[0] && end[1] === next[1] ? side : [...side, next];
    return spline(whole, false).slice(0, -1);
  });
}

/** An ellipse, turned by `tilt` degrees. */
export function oval(c: P, rx: number, ry: number = rx, tilt = 0): P[] {
  return arc(c, rx, ry, 0, 360, tilt).slice(0, -1);
}

/** Part of an ellipse, from one angle to another (degrees, clockwise from +x), turned by `tilt`. */
export function arc(c: P, rx: number, ry: number, from: number, to: number, tilt = 0): P[] {
  const share = Math.abs(to - from) / 360;
  const n = Math.ceil(share * Math.max(FEWEST, (Math.PI * (rx + ry)) / STEP));
  const [cos, sin] = [Math.cos((tilt * Math.PI) / 180), Math.sin((tilt * Math.PI) / 180)];
  return Array.from({ length: n + 1 }, (_, i): P => {
    const a = ((from + ((to - from) * i) / n) * Math.PI) / 180;
    const [x, y] = [rx * Math.cos(a), ry * Math.sin(a)];
    return [c[0] + x * cos - y * sin, c[1] + x * sin + y * cos];
  });
}

/** An open line, straight between the points. */
export function straight(points: Points): P[] {
  return resample(pairs(points));
}

/** An open line that runs smoothly through the points. */
export function curve(through: Points): P[] {
  return spline(pairs(through), false);
}

/** A piece of a ring between two radii and two angles (degrees, clockwise from +x). */
export function sector(c: P, inner: number, outer: number, from: number, to: number): P[] {
  return [...arc(c, outer, outer, from, to), ...arc(c, inner, inner, to, from)];
}

/** The same line with each point moved by `move`. */
export function moved(points: readonly P[], move: (p: P) => P): P[] {
  return points.map(move);
}

/** The shape with its left and right exchanged about a vertical line. */
export function mirroredAcross(x: number, points: readonly P[]): P[] {
  return points.map(([px, py]): P => [2 * x - px, py]).reverse();
}

/** Points no farther apart than STEP along the straight pieces between the points. */
export function resample(points: readonly P[]): P[] {
  const out: P[] = [];
  for (let i = 0; i + 1 < points.length; i++) {
    const [a, b] = [points[i], points[i + 1]];
    const pieces = Math.max(1, Math.ceil(Math.hypot(b[0] - a[0], b[1] - a[1]) / STEP));
    for (let k = 0; k < pieces; k++) out.push(along(a, b, k / pieces));
  }
  return [...out, points[points.length - 1]];
}

/** A Catmull-Rom spline through the points (centripetal, so that uneven spacing makes no loops). */
export function spline(points: readonly P[], closed: boolean): P[] {
  const n = points.length;
  if (n === 2 && !closed) return resample(points);
  const at = (i: number): P => {
    if (closed) return points[(i + n) % n];
    if (i < 0) return along(points[0], points[1], -0.5);
    return i < n ? points[i] : along(points[n - 1], points[n - 2], -0.5);
  };
  const out: P[] = [];
  for (let i = 0; i < (closed ? n : n - 1); i++) {
    const [a, b] = [at(i), at(i + 1)];
    const pieces = Math.max(9, Math.ceil((Math.hypot(b[0] - a[0], b[1] - a[1]) / STEP) * 1.3));
    for (let k = 0; k < pieces; k++) out.push(centripetal(at(i - 1), a, b, at(i + 2), k / pieces));
  }
  return closed ? out : [...out, points[n - 1]];
}

/** Centripetal Catmull-Rom between b and c by the pyramid of Barry and Goldman (1988). */
function centripetal(a: P, b: P, c: P, d: P, share: number): P {
  const knot = (p: P, q: P) => Math.max(1e-6, Math.sqrt(Math.hypot(q[0] - p[0], q[1] - p[1])));
  const t0 = 0;
  const t1 = t0 + knot(a, b);
  const t2 = t1 + knot(b, c);
  const t3 = t2 + knot(c, d);
  const t = t1 + (t2 - t1) * share;
  const mix = (p: P, q: P, from: number, to: number): P => along(p, q, (t - from) / (to - from));
  const [ab, bc, cd] = [mix(a, b, t0, t1), mix(b, c, t1, t2), mix(c, d, t2, t3)];
  return mix(mix(ab, bc, t0, t2), mix(bc, cd, t1, t3), t1, t2);
}

/** Fewer points that stay within `off` mm of the line (Ramer, Douglas and Peucker). */
export function simplified(points: readonly P[], off: number): P[] {
  const keep = new Uint8Array(points.length);
  keep[0] = keep[points.length - 1] = 1;
  const stack: [number, number][] = [[0, points.length - 1]];
  for (let span = stack.pop(); span; span = stack.pop()) {
    const [from, to] = span;
    let far = off;
    let at = -1;
    for (let i = from + 1; i < to; i++) {
      const away = distanceToPiece(points[i], points[from], points[to]);
      if (away > far) [far, at] = [away, i];
    }
    if (at < 0) continue;
    keep[at] = 1;
    stack.push([from, at], [at, to]);
  }
  return points.filter((_, i) => keep[i]);
}

/** Distance of p from the straight piece a to b, mm. */
export function distanceToPiece(p: P, a: P, b: P): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const t = Math.max(0, Math.min(1, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(p[0] - a[0] - t * dx, p[1] - a[1] - t * dy);
}

/** Whether p lies within the closed shape (even-odd). */
export function isWithin(p: P, shape: readonly P[]): boolean {
  let within = false;
  for (let i = 0, j = shape.length - 1; i < shape.length; j = i++) {
    const [a, b] = [shape[i], shape[j]];
    if (a[1] > p[1] !== b[1] > p[1] && p[0] < ((b[0] - a[0]) * (p[1] - a[1])) / (b[1] - a[1]) + a[0]) within = !within;
  }
  return within;
}

/** Distance of p from the outline of a closed shape, mm. */
export function distanceToOutline(p: P, shape: readonly P[]): number {
  let nearest = Infinity;
  for (let i = 0, j = shape.length - 1; i < shape.length; j = i++) {
    nearest = Math.min(nearest, distanceToPiece(p, shape[j], shape[i]));
  }
  return nearest;
}

/** Left, top, right and bottom of some points. */
export function boundsOf(points: readonly P[]): [number, number, number, number] {
  const xs = points.map((p) => p[0]);
  const ys = points.map((p) => p[1]);
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}
