interface Point {
  x: number;
  y: number;
}

/** Whether a point lies within a closed outline (even-odd). */
export function isWithin(outline: readonly Point[], { x, y }: Point): boolean {
  let within = false;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const [p, q] = [outline[i], outline[j]];
    if (p.y > y !== q.y > y && x < ((q.x - p.x) * (y - p.y)) / (q.y - p.y) + p.x) within = !within;
  }
  return within;
}
