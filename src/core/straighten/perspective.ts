import { type PointPx, type Quad, InvalidQuadError, isConvexQuad } from './quad.ts';

/**
 * The perspective that carries the unit square onto four corners: (0,0), (1,0), (1,1), (0,1) go to the first to fourth.
 * Source: P. Heckbert, Fundamentals of texture mapping and image warping (1989), section 2.2.3.
 * @returns a function from the unit square to the picture; what it returns is used again at the next call
 * @throws InvalidQuadError when the corners are not those of a flat page
 */
export function perspectiveOf(quad: Quad): (u: number, v: number) => PointPx {
  if (!isConvexQuad(quad)) throw new InvalidQuadError();
  const [p, q, r, s] = quad;
  const [dx1, dx2, sx] = [q.x - r.x, s.x - r.x, p.x - q.x + r.x - s.x];
  const [dy1, dy2, sy] = [q.y - r.y, s.y - r.y, p.y - q.y + r.y - s.y];
  const scale = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / scale;
  const h = (dx1 * sy - sx * dy1) / scale;
  const [a, b] = [q.x - p.x + g * q.x, s.x - p.x + h * s.x];
  const [d, e] = [q.y - p.y + g * q.y, s.y - p.y + h * s.y];
  const at = { x: 0, y: 0 };
  return (u, v) => {
    const w = g * u + h * v + 1;
    at.x = (a * u + b * v + p.x) / w;
    at.y = (d * u + e * v + p.y) / w;
    return at;
  };
}
