import { doubled } from './doubled.ts';

/** Lines wider than twice this are solid black shapes, mm. */
export const LINE_REACH_MM = 2;

/** Index of every pixel without a label, in reading order: the lines of a labelled page. */
export function linePixels(labels: Uint16Array): Int32Array {
  let lines = new Int32Array(1 + (labels.length >> 2));
  let n = 0;
  for (let i = labels.indexOf(0); i >= 0;) {
    if (n === lines.length) lines = doubled(lines);
    lines[n++] = i++;
    if (labels[i] !== 0) i = labels.indexOf(0, i);
  }
  return lines.subarray(0, n);
}

/**
 * Grows labels through the ink to the middle of each line, so that neighbours touch. White paper that is no region
 * grows too and keeps its NO_REGION, so that colour never runs over a line into the margin. Grows one pixel at a time
 * from all labels at once, by edges and corners in turn, which keeps the front near a circle. A pixel that two labels
 * reach in the same step goes to the smaller, so that the line between them is straight.
 * @param labels 0 on ink
 * @param reachPx how far a label may grow; solid black shapes wider than twice this keep an unlabelled middle
 * @param lines the pixels of label 0, as linePixels gives them
 * @returns a new array; `labels` is not changed
 */
export function growLabels(
  labels: Uint16Array,
  width: number,
  height: number,
  reachPx: number,
  lines: Int32Array = linePixels(labels),
): Uint16Array {
  const grown = labels.slice();
  const waiting = lines.slice();
  let left = waiting.length;
  const reached = new Uint16Array(left);
  const [firstInner, lastInner] = [width + 1, labels.length - width - 2];
  for (let step = 1; step <= reachPx && left > 0; step++) {
    const corners = step % 2 === 0;
    for (let k = 0; k < left; k++) {
      const i = waiting[k]!;
      const x = i % width;
      const inner = i >= firstInner && i <= lastInner && x > 0 && x < width - 1;
      reached[k] = inner
        ? corners
          ? smallestAround(grown, i, width)
          : smallestByEdges(grown, i, width)
        : smallestAtRim(grown, i, width, height, corners);
    }
    let still = 0;
    for (let k = 0; k < left; k++) {
      if (reached[k]) grown[waiting[k]!] = reached[k]!;
      else waiting[still++] = waiting[k]!;
    }
    if (still === left && corners) break;
    left = still;
  }
  return grown;
}

/*
 * The smallest label beside a pixel, 0 where there is none. One less than a label is compared, modulo 65,536, so that
 * no label becomes the largest of all numbers.
 */

function smallestByEdges(labels: Uint16Array, i: number, width: number): number {
  const up = (labels[i - width]! - 1) & NONE;
  const left = (labels[i - 1]! - 1) & NONE;
  const right = (labels[i + 1]! - 1) & NONE;
  const down = (labels[i + width]! - 1) & NONE;
  return (Math.min(Math.min(up, left), Math.min(right, down)) + 1) & NONE;
}

function smallestAround(labels: Uint16Array, i: number, width: number): number {
  const upLeft = (labels[i - width - 1]! - 1) & NONE;
  const upRight = (labels[i - width + 1]! - 1) & NONE;
  const downLeft = (labels[i + width - 1]! - 1) & NONE;
  const downRight = (labels[i + width + 1]! - 1) & NONE;
  const byEdges = (smallestByEdges(labels, i, width) - 1) & NONE;
  const byCorners = Math.min(Math.min(upLeft, upRight), Math.min(downLeft, downRight));
  return (Math.min(byEdges, byCorners) + 1) & NONE;
}

/** The same on the outermost pixels of the page. */
function smallestAtRim(labels: Uint16Array, i: number, width: number, height: number, corners: boolean): number {
  const [x, y] = [i % width, Math.floor(i / width)];
  let least = NONE;
  for (let v = -1; v <= 1; v++) {
    for (let u = -1; u <= 1; u++) {
      const beside = corners || u === 0 || v === 0;
      if (!beside || x + u < 0 || x + u >= width || y + v < 0 || y + v >= height) continue;
      least = Math.min(least, (labels[(y + v) * width + x + u]! - 1) & NONE);
    }
  }
  return (least + 1) & NONE;
}

const NONE = 0xffff;
