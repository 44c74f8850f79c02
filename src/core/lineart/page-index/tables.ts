import { type Arc, lengthOf } from '../borders.ts';
import type { Border, Doubt, Region, SeenColours } from '../schemas.ts';
import { SHAPE_KINDS } from '../shape-kinds.ts';
import { type SeenGround } from '../seen/index.ts';
import { type Views, ARC_COLUMNS, SEEN_COLUMNS } from './layout.ts';

/** The columns of each table, in their order. */
type ArcRow = [left: number, right: number, closed: number];
type RegionRow = [
  areaMm2: number,
  usableWidthMm: number,
  poleX: number,
  poleY: number,
  x: number,
  y: number,
  left: number,
  top: number,
  right: number,
  bottom: number,
  axisDegrees: number,
  lengthMm: number,
  breadthMm: number,
  holes: number,
  shape: number,
];
type DoubtRow = [
  kind: number,
  x: number,
  y: number,
  measure: number,
  fromX: number,
  fromY: number,
  toX: number,
  toY: number,
  closed: number,
];
type SeenRow = [region: number, kind: number, colour: number];
type BorderRow = [a: number, b: number, lengthMm: number];

export function readArcs({ starts, ends, points }: Views, count: number): Arc[] {
  return Array.from({ length: count }, (_, k): Arc => {
    const [left, right, closed] = [...ends.subarray(k * ARC_COLUMNS, (k + 1) * ARC_COLUMNS)] as ArcRow;
    const own = points.subarray(2 * starts[k]!, 2 * starts[k + 1]!);
    return { left, right, closed: closed === 1, points: own, lengthPx: lengthOf(own, closed === 1) };
  });
}

export function readSets(words: Uint16Array): number[][] {
  const sets: number[][] = [];
  for (let k = 0; k < words.length; k += 1 + words[k]!) sets.push([...words.subarray(k + 1, k + 1 + words[k]!)]);
  return sets;
}

export function rowOfRegion(region: Region): RegionRow {
  const { areaMm2, usableWidthMm, pole, centroid, box, axisDegrees, lengthMm, breadthMm, holes, shape } = region;
  const { left, top, right, bottom } = box;
  const kind = SHAPE_KINDS.indexOf(shape);
  const [p, c] = [pole, centroid];
  // prettier-ignore
  return [areaMm2, usableWidthMm, p.x, p.y, c.x, c.y, left, top, right, bottom, axisDegrees, lengthMm, breadthMm, holes, kind];
}

export function regionOfRow(row: Float64Array, id: number): Region {
  const [areaMm2, usableWidthMm, poleX, poleY, x, y, left, top, right, bottom, ...rest] = [...row] as RegionRow;
  const [axisDegrees, lengthMm, breadthMm, holes, shape] = rest;
  const kind = SHAPE_KINDS[shape];
  if (!kind) throw new RangeError(`Region ${id} of this page has a shape that is not known.`);
  return {
    id,
    areaMm2,
    usableWidthMm,
    pole: { x: poleX, y: poleY },
    centroid: { x, y },
    box: { left, top, right, bottom },
    axisDegrees,
    lengthMm,
    breadthMm,
    holes,
    shape: kind,
  };
}

export function borderOfRow(row: Float64Array): Border {
  const [a, b, lengthMm] = [...row] as BorderRow;
  return { a, b, lengthMm };
}

export function rowOfDoubt(doubt: Doubt): DoubtRow {
  const { x, y } = doubt.at;
  if (doubt.kind === 'fleck') return [0, x, y, doubt.areaMm2, 0, 0, 0, 0, 0];
  const { from, to, gapeMm, closed } = doubt;
  return [1, x, y, gapeMm, from.x, from.y, to.x, to.y, closed ? 1 : 0];
}

export function doubtOfRow(row: Float64Array): Doubt {
  const [kind, x, y, measure, fromX, fromY, toX, toY, closed] = [...row] as DoubtRow;
  const at = { x, y };
  if (kind === 0) return { kind: 'fleck', at, areaMm2: measure };
  return {
    kind: 'gap',
    at,
    from: { x: fromX, y: fromY },
    to: { x: toX, y: toY },
    gapeMm: measure,
    closed: closed === 1,
  };
}

const SEEN_KINDS = ['printed grey', 'coloured'] as const satisfies readonly SeenGround['kind'][];

export function rowsOfSeen(seen: SeenColours | null): number[] {
  if (!seen) return [];
  const number = (colour: string) => parseInt(colour.slice(1), 16);
  const grounds = seen.grounds.flatMap(({ region, kind, colour }) => [
    region,
    SEEN_KINDS.indexOf(kind),
    number(colour),
  ]);
  return [0, 0, number(seen.paper), ...grounds];
}

export function seenOfRows(rows: Float64Array): SeenColours | null {
  if (rows.length === 0) return null;
  const hex = (colour: number) => '#' + colour.toString(16).padStart(6, '0');
  const grounds: SeenColours['grounds'] = [];
  for (let k = SEEN_COLUMNS; k < rows.length; k += SEEN_COLUMNS) {
    const [region, kind, colour] = [...rows.subarray(k, k + SEEN_COLUMNS)] as SeenRow;
    grounds.push({ region, kind: SEEN_KINDS[kind] ?? 'coloured', colour: hex(colour) });
  }
  return { paper: hex(rows[2]!), grounds };
}
