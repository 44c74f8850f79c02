import { type MadeUp } from './wish.ts';

/** The cells that fill a page, as distances to their lines. */
export interface Cells {
  /** Mean distance between the middles of neighbouring cells, pixels. */
  pitch: number;
  sites: readonly { x: number; y: number }[];
  /** Distance to the nearest line's middle, pixels. */
  toLine(x: number, y: number): number;
  /** Half the weight of the line there, pixels. */
  halfWidth(x: number, y: number): number;
}

/** Cells round scattered middles, their borders bent as a hand would, within a frame. */
export function gridOfCells({ width, height, regions }: MadeUp, margin: number, random: () => number): Cells {
  const [w, h] = [width - 2 * margin, height - 2 * margin];
  const pitch = Math.sqrt((w * h) / regions);
  const across = Math.max(2, Math.round(w / pitch));
  const down = Math.max(2, Math.round(h / pitch));
  const sites = Array.from({ length: across * down }, (_, i) => ({
    x: margin + (((i % across) + 0.22 + 0.56 * random()) * w) / across,
    y: margin + ((Math.floor(i / across) + 0.22 + 0.56 * random()) * h) / down,
  }));
  const bend = [random() * 6, random() * 6, pitch * 0.06];
  return {
    pitch,
    sites,
    halfWidth: (x, y) => 2 + 0.7 * Math.sin(x / 97 + bend[0]) * Math.sin(y / 83 + bend[1]),
    toLine(x, y) {
      const frame = Math.min(x - margin, y - margin, width - margin - x, height - margin - y);
      if (frame <= 0) return -frame;
      const u = x + bend[2] * Math.sin((y / pitch) * 2.1 + bend[0]);
      const v = y + bend[2] * Math.sin((x / pitch) * 1.9 + bend[1]);
      const gx = Math.floor(((u - margin) * across) / w);
      const gy = Math.floor(((v - margin) * down) / h);
      let [first, second, near, next] = [Infinity, Infinity, 0, 0];
      for (let cy = Math.max(0, gy - 2); cy <= Math.min(down - 1, gy + 2); cy++) {
        for (let cx = Math.max(0, gx - 2); cx <= Math.min(across - 1, gx + 2); cx++) {
          const k = cy * across + cx;
          const d = (u - sites[k].x) ** 2 + (v - sites[k].y) ** 2;
          if (d < first) [second, next, first, near] = [first, near, d, k];
          else if (d < second) [second, next] = [d, k];
        }
      }
      const apart = Math.hypot(sites[near].x - sites[next].x, sites[near].y - sites[next].y);
      return Math.min(frame, (second - first) / (2 * apart));
    },
  };
}

/** A round motif that lies on the cells. */
export interface Motif {
  cx: number;
  cy: number;
  r: number;
  toLine(x: number, y: number): number;
}

/** Round motifs in rows: rings of petals, and roundels of scales. */
export function rosettes({ width, height }: MadeUp, margin: number, pitch: number, random: () => number): Motif[] {
  const motifs: Motif[] = [];
  const r = Math.min(7 * pitch, (width - 2 * margin) / 5);
  const every = 3.4 * r;
  for (let y = margin + 1.4 * r; y < height - margin - r; y += every) {
    for (let x = margin + 1.4 * r; x < width - margin - r; x += every) {
      const cx = x + (random() - 0.5) * r * 0.5;
      const cy = y + (random() - 0.5) * r * 0.5;
      motifs.push(
        motifs.length % 2
          ? { cx, cy, r, toLine: scales(cx, cy, r, pitch) }
          : { cx, cy, r, toLine: petals(cx, cy, r, pitch, random) },
      );
    }
  }
  return motifs;
}

function petals(cx: number, cy: number, r: number, pitch: number, random: () => number) {
  const rings = Math.max(3, Math.round(r / pitch));
  const turn = Array.from({ length: rings }, () => random() * 6);
  return (x: number, y: number) => {
    const d = Math.hypot(x - cx, y - cy);
    if (d > r) return d - r;
    const ring = Math.min(rings - 1, Math.floor((d / r) * rings));
    const toRing = Math.min(Math.abs(d - (ring * r) / rings), Math.abs(d - ((ring + 1) * r) / rings));
    if (ring === 0 || ring % 3 === 2) return ring === 0 ? Math.abs(d - r / rings) : toRing;
    const count = Math.round((2 * Math.PI * (ring + 0.5) * r) / rings / pitch);
    const sector = ((Math.atan2(y - cy, x - cx) + turn[ring]) * count) / (2 * Math.PI);
    const toSector = (Math.abs(sector - Math.round(sector)) * 2 * Math.PI * d) / count;
    return Math.min(toRing, toSector);
  };
}

function scales(cx: number, cy: number, r: number, pitch: number) {
  const rise = 0.6 * pitch;
  return (x: number, y: number) => {
    const edge = Math.abs(Math.hypot(x - cx, y - cy) - r);
    if (Math.hypot(x - cx, y - cy) > r) return edge;
    // The scale that lies on top is the lowest row whose disc covers the point.
    const row = Math.floor((y - cy) / rise);
    let toLine = Infinity;
    for (let k = row + 2; k >= row - 2; k--) {
      const shift = k % 2 ? pitch / 2 : 0;
      const at = cx + shift + pitch * Math.round((x - cx - shift) / pitch);
      const d = Math.hypot(x - at, y - cy - (k - 0.9) * rise) - pitch * 0.62;
      toLine = Math.min(toLine, Math.abs(d));
      if (d < 0) break;
    }
    return Math.min(edge, toLine);
  };
}
