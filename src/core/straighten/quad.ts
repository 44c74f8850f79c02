/** A point of a picture in pixels, y down. */
export interface PointPx {
  x: number;
  y: number;
}

/** The corners of a page in a photograph: top left, top right, bottom right, bottom left. */
export type Quad = readonly [PointPx, PointPx, PointPx, PointPx];

/** Corners that no flat page can have, with a sentence that says so. */
export class InvalidQuadError extends RangeError {
  constructor() {
    super('These four corners are not those of a page: they must go round it clockwise, without a dent.');
    this.name = 'InvalidQuadError';
  }
}

/** Whether four corners go round clockwise (on a picture, y down) and none is a dent or lies on the line of its neighbours. */
export function isConvexQuad(quad: Quad): boolean {
  return quad.every((corner, k) => {
    const [next, after] = [quad[(k + 1) % 4]!, quad[(k + 2) % 4]!];
    return (next.x - corner.x) * (after.y - next.y) - (next.y - corner.y) * (after.x - next.x) > 1e-6;
  });
}

/** Mean length of the top and bottom side and of the left and right side, pixels: how large the page is in the picture. */
export function sideLengths([a, b, c, d]: Quad): { width: number; height: number } {
  const length = (p: PointPx, q: PointPx) => Math.hypot(p.x - q.x, p.y - q.y);
  return { width: (length(a, b) + length(d, c)) / 2, height: (length(a, d) + length(b, c)) / 2 };
}
