/**
 * The rings around one region as closed polygons in pixels, following pixel edges: the outer ring and one for each
 * hole. Straight runs are one segment. The region is kept on the right hand, so holes turn the other way.
 * @param labels region of each pixel
 * @param box where to look, pixels, right and bottom exclusive
 * @returns rings as x, y, x, y, ... without repeating the first corner
 */
export function outlineRings(
  labels: Uint16Array,
  width: number,
  region: number,
  box: { left: number; top: number; right: number; bottom: number },
): Int32Array[] {
  const across = box.right - box.left + 1;
  const height = labels.length / width;
  const inside = (x: number, y: number) =>
    x >= 0 && y >= 0 && x < width && y < height && labels[y * width + x] === region;
  const walked = new Uint8Array(across * (box.bottom - box.top + 1));
  const rings: Int32Array[] = [];
  for (let y = box.top; y < box.bottom; y++) {
    for (let x = box.left; x < box.right; x++) {
      if (!inside(x, y) || inside(x, y - 1) || walked[(y - box.top) * across + x - box.left]) continue;
      rings.push(walk(x, y));
    }
  }
  return rings;

  /** Walks from a top edge, heading east with the region to the right (below), back to where it began. */
  function walk(startX: number, startY: number): Int32Array {
    const corners: number[] = [];
    let x = startX;
    let y = startY;
    let [dx, dy] = [1, 0];
    do {
      if (dx === 1) walked[(y - box.top) * across + x - box.left] = 1;
      x += dx;
      y += dy;
      const [rx, ry] = [-dy, dx];
      const aheadRight = inside(x + (dx + rx - 1) / 2, y + (dy + ry - 1) / 2);
      const aheadLeft = inside(x + (dx - rx - 1) / 2, y + (dy - ry - 1) / 2);
      if (!aheadRight) {
        corners.push(x, y);
        [dx, dy] = [rx, ry];
      } else if (aheadLeft) {
        corners.push(x, y);
        [dx, dy] = [-rx, -ry];
      }
    } while (x !== startX || y !== startY || dx !== 1);
    return Int32Array.from(corners);
  }
}
