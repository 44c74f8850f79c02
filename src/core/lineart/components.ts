/** Connected parts of a mask. */
export interface Components {
  /** 1..count in reading order of each part's first pixel; 0 elsewhere. */
  labels: Int32Array;
  count: number;
  /** Pixels of each part; index 0 unused. */
  areas: Float64Array;
  /** x0, y0, x1, y1 (inclusive, pixels) of each part at 4 x label. */
  boxes: Int32Array;
}

/**
 * Labels the connected parts of a mask by runs and union-find.
 * Source: L. He, Y. Chao, K. Suzuki, A run-based two-scan labeling algorithm (2008).
 * @param mask one byte a pixel
 * @param value which byte counts as inside
 * @param connectivity 4 (edges) or 8 (edges and corners)
 */
export function labelComponents(
  mask: Uint8Array,
  width: number,
  height: number,
  value: number,
  connectivity: 4 | 8,
): Components {
  const runs = findRuns(mask, width, height, value);
  const parent = linkRuns(runs, height, connectivity === 8 ? 1 : 0);
  return paint(runs, parent, width, height);
}

interface Runs {
  /** First and last x of each run. */
  from: Int32Array;
  to: Int32Array;
  /** Index of each row's first run; one more than height. */
  rowStart: Int32Array;
}

function findRuns(mask: Uint8Array, width: number, height: number, value: number): Runs {
  let capacity = 1024;
  let from = new Int32Array(capacity);
  let to = new Int32Array(capacity);
  const rowStart = new Int32Array(height + 1);
  let n = 0;
  for (let y = 0; y < height; y++) {
    rowStart[y] = n;
    const row = y * width;
    for (let x = 0; x < width; x++) {
      if (mask[row + x] !== value) continue;
      const start = x;
      while (x + 1 < width && mask[row + x + 1] === value) x++;
      if (n === capacity) {
        capacity *= 2;
        from = enlarged(from, capacity);
        to = enlarged(to, capacity);
      }
      from[n] = start;
      to[n++] = x;
    }
  }
  rowStart[height] = n;
  return { from: from.subarray(0, n), to: to.subarray(0, n), rowStart };
}

function enlarged(old: Int32Array, capacity: number): Int32Array<ArrayBuffer> {
  const next = new Int32Array(capacity);
  next.set(old);
  return next;
}

function linkRuns({ from, to, rowStart }: Runs, height: number, slack: 0 | 1): Int32Array {
  const parent = new Int32Array(from.length);
  for (let i = 0; i < parent.length; i++) parent[i] = i;
  for (let y = 1; y < height; y++) {
    let above = rowStart[y - 1];
    for (let here = rowStart[y]; here < rowStart[y + 1]; here++) {
      while (above < rowStart[y] && to[above] < from[here] - slack) above++;
      for (let a = above; a < rowStart[y] && from[a] <= to[here] + slack; a++) join(parent, a, here);
    }
  }
  return parent;
}

function root(parent: Int32Array, i: number): number {
  while (parent[i] !== i) i = parent[i] = parent[parent[i]];
  return i;
}

function join(parent: Int32Array, a: number, b: number): void {
  const ra = root(parent, a);
  const rb = root(parent, b);
  if (ra < rb) parent[rb] = ra;
  else parent[ra] = rb;
}

function paint({ from, to, rowStart }: Runs, parent: Int32Array, width: number, height: number): Components {
  const labels = new Int32Array(width * height);
  const labelOf = new Int32Array(from.length);
  let count = 0;
  for (let i = 0; i < from.length; i++) if (root(parent, i) === i) labelOf[i] = ++count;
  const areas = new Float64Array(count + 1);
  const boxes = new Int32Array(4 * (count + 1));
  for (let y = 0; y < height; y++) {
    for (let i = rowStart[y]; i < rowStart[y + 1]; i++) {
      const label = labelOf[root(parent, i)];
      labels.fill(label, y * width + from[i], y * width + to[i] + 1);
      const b = 4 * label;
      if (areas[label] === 0) boxes.set([from[i], y, to[i], y], b);
      boxes[b] = Math.min(boxes[b], from[i]);
      boxes[b + 2] = Math.max(boxes[b + 2], to[i]);
      boxes[b + 3] = y;
      areas[label] += to[i] - from[i] + 1;
    }
  }
  return { labels, count, areas, boxes };
}
