/**
 * Grows labels through the ink to the middle of each line, so that neighbours touch. White paper that is no region
 * grows too and keeps its NO_REGION, so that colour never runs over a line into the margin. Grows one pixel at a time
 * from all labels at once, by edges and corners in turn, which keeps the front near a circle. A pixel that two labels
 * reach in the same step goes to the smaller, so that the line between them is straight.
 * @param labels 0 on ink
 * @param reachPx how far a label may grow; solid black shapes wider than twice this keep an unlabelled middle
 * @returns a new array; `labels` is not changed
 */
export function growLabels(labels: Uint16Array, width: number, height: number, reachPx: number): Uint16Array {
  const grown = labels.slice();
  const waiting = inkOf(labels);
  let left = waiting.length;
  const reached = new Uint16Array(left);
  for (let step = 1; step <= reachPx && left > 0; step++) {
    const corners = step % 2 === 0;
    for (let k = 0; k < left; k++) reached[k] = smallestBeside(grown, waiting[k], width, height, corners);
    let still = 0;
    for (let k = 0; k < left; k++) {
      if (reached[k]) grown[waiting[k]] = reached[k];
      else waiting[still++] = waiting[k];
    }
    if (still === left && corners) break;
    left = still;
  }
  return grown;
}

function inkOf(labels: Uint16Array): Int32Array {
  let ink = new Int32Array(1 + (labels.length >> 2));
  let n = 0;
  for (let i = 0; i < labels.length; i++) {
    if (labels[i] !== 0) continue;
    if (n === ink.length) {
      const more = new Int32Array(2 * n);
      more.set(ink);
      ink = more;
    }
    ink[n++] = i;
  }
  return ink.subarray(0, n);
}

/** The smallest label beside a pixel, by edges and where asked by corners too; 0 where there is none. */
function smallestBeside(labels: Uint16Array, i: number, width: number, height: number, corners: boolean): number {
  const x = i % width;
  const [left, right, up, down] = [x > 0, x < width - 1, i >= width, i < width * (height - 1)];
  let least = 65_536;
  if (left && labels[i - 1] && labels[i - 1] < least) least = labels[i - 1];
  if (right && labels[i + 1] && labels[i + 1] < least) least = labels[i + 1];
  if (up && labels[i - width] && labels[i - width] < least) least = labels[i - width];
  if (down && labels[i + width] && labels[i + width] < least) least = labels[i + width];
  if (corners) {
    if (left && up && labels[i - width - 1] && labels[i - width - 1] < least) least = labels[i - width - 1];
    if (right && up && labels[i - width + 1] && labels[i - width + 1] < least) least = labels[i - width + 1];
    if (left && down && labels[i + width - 1] && labels[i + width - 1] < least) least = labels[i + width - 1];
    if (right && down && labels[i + width + 1] && labels[i + width + 1] < least) least = labels[i + width + 1];
  }
  return least === 65_536 ? 0 : least;
}
