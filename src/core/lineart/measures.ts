import { NO_REGION, type PointMm, type Region } from './region-map.ts';

/**
 * Measures every region in one go over the page.
 * @param labels region id of each white pixel, 1..count; 0 and NO_REGION are passed over
 * @param distance pixels from each pixel to the nearest ink
 * @returns regions in order of id
 */
export function measureRegions(
  labels: Uint16Array,
  distance: Float32Array,
  size: { width: number; height: number; pixelsPerMm: number },
  count: number,
): Region[] {
  const { width, height, pixelsPerMm } = size;
  const sums = Array.from({ length: count + 1 }, newSums);
  for (let y = 0, i = 0; y < height; y++) {
    for (let x = 0; x < width; x++, i++) {
      if (labels[i] === 0 || labels[i] === NO_REGION) continue;
      const s = sums[labels[i]];
      s.n++;
      s.x += x;
      s.y += y;
      s.xx += x * x;
      s.yy += y * y;
      s.xy += x * y;
      if (x < s.left) s.left = x;
      if (x > s.right) s.right = x;
      if (y < s.top) s.top = y;
      s.bottom = y;
      if (distance[i] > s.widest) {
        s.widest = distance[i];
        s.poleX = x;
        s.poleY = y;
      }
    }
  }
  return sums.slice(1).map((s, i) => toRegion(i + 1, s, pixelsPerMm));
}

type Sums = ReturnType<typeof newSums>;

function newSums() {
  return {
    n: 0,
    x: 0,
    y: 0,
    xx: 0,
    yy: 0,
    xy: 0,
    left: Infinity,
    right: 0,
    top: Infinity,
    bottom: 0,
    widest: 0,
    poleX: 0,
    poleY: 0,
  };
}

function toRegion(id: number, s: Sums, pixelsPerMm: number): Region {
  const mx = s.x / s.n;
  const my = s.y / s.n;
  const vx = s.xx / s.n - mx * mx + 1 / 12;
  const vy = s.yy / s.n - my * my + 1 / 12;
  const cov = s.xy / s.n - mx * my;
  const major = (vx + vy) / 2 + Math.hypot((vx - vy) / 2, cov);
  const axis = (Math.atan2(2 * cov, vx - vy) * 90) / Math.PI;
  const point = (x: number, y: number): PointMm => ({ x: (x + 0.5) / pixelsPerMm, y: (y + 0.5) / pixelsPerMm });
  return {
    id,
    areaMm2: s.n / pixelsPerMm ** 2,
    // The circle reaches from the pole's centre to half a pixel before the nearest ink centre.
    usableWidthMm: (2 * Math.max(0.5, s.widest - 0.5)) / pixelsPerMm,
    pole: point(s.poleX, s.poleY),
    centroid: point(mx, my),
    box: {
      left: s.left / pixelsPerMm,
      top: s.top / pixelsPerMm,
      right: (s.right + 1) / pixelsPerMm,
      bottom: (s.bottom + 1) / pixelsPerMm,
    },
    axisDegrees: axis < 0 ? axis + 180 : axis,
    lengthMm: (4 * Math.sqrt(major)) / pixelsPerMm,
  };
}
