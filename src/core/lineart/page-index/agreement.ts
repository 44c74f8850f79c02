import { NO_REGION } from '../region-map.ts';
import { type Counts, type Views, BORDER_COLUMNS, SEEN_COLUMNS } from './layout.ts';

/** @throws RangeError where one part of an index speaks of what another part does not hold */
export function refuseDisagreement(
  { starts, labels, grown, alike, neighbours, seen, inkReflects }: Views,
  counts: Counts,
  perMm: number,
): void {
  if (!(perMm > 0 && perMm < Infinity)) throw new RangeError('The regions of this page have no resolution.');
  if (highestLabel(labels) !== counts.regions || highestLabel(grown) !== counts.regions) {
    throw new RangeError('The raster of regions and their list do not agree.');
  }
  for (let k = 0; k < counts.arcs; k++) {
    if (starts[k]! > starts[k + 1]!) throw new RangeError('The borders of this page are out of order.');
  }
  if (starts[0] !== 0 || starts[counts.arcs] !== counts.corners) {
    throw new RangeError('The borders of this page and their corners do not agree.');
  }
  for (const reflects of inkReflects) {
    if (!(reflects >= 0 && reflects < 1)) throw new RangeError('The printed lines of this page are of no ink.');
  }
  const isRegion = (id: number) => Number.isInteger(id) && id >= 1 && id <= counts.regions;
  for (let k = 0; k < neighbours.length; k += BORDER_COLUMNS) {
    if (!isRegion(neighbours[k]!) || !isRegion(neighbours[k + 1]!)) {
      throw new RangeError('A border of this page is one of a region that is not there.');
    }
  }
  for (let k = SEEN_COLUMNS; k < seen.length; k += SEEN_COLUMNS) {
    if (!isRegion(seen[k]!)) throw new RangeError('Colour was seen on a region that is not there.');
  }
  for (let k = 0; k < alike.length; k += 1 + alike[k]!) {
    const set = alike.subarray(k + 1, k + 1 + alike[k]!);
    if (set.length !== alike[k] || !set.every(isRegion)) {
      throw new RangeError('A set of like regions holds one that is not there.');
    }
  }
}

function highestLabel(labels: Uint16Array): number {
  let highest = 0;
  // By index: an iterator over millions of pixels takes many times as long.
  for (let i = 0; i < labels.length; i++) {
    const label = labels[i]!;
    if (label > highest && label !== NO_REGION) highest = label;
  }
  return highest;
}
