import { type Region, type ShapeKind } from '../lineart/index.ts';

/** A thing whose largest region covers more than this share of the page is a background. */
const BACKGROUND_SHARE = 0.06;
/** What things of a material mostly are, whatever their outline. */
const BY_MATERIAL: Readonly<Record<string, string>> = {
  sky: 'fades-down',
  water: 'fades-up',
  leaf: 'leaf',
  cloth: 'fold',
  gem: 'faceted',
  pearl: 'ball',
};
const BY_SHAPE: Readonly<Record<ShapeKind, string>> = {
  ball: 'ball',
  tube: 'tube',
  // What is pointed at both ends is a petal or a scale as often as a leaf.
  leaf: 'raised',
  ring: 'ring',
  strip: 'tube',
  irregular: 'raised',
};
/** So much of a thing's area must look alike before a form is proposed by its shape. */
const MOSTLY = 0.6;

/**
 * Proposes a form for a thing: by what it is made of where that says it; for a background by where it lies, paler
 * downwards in the upper half of the page and upwards in the lower, or a plane where a material is stated; else by the
 * shape that most of its area has, and raised where it has none.
 * @param material id of its material; null where nobody said
 * @returns a form's id
 */
export function proposeForm(
  regions: readonly Region[],
  page: { widthMm: number; heightMm: number },
  material: string | null = null,
): string {
  if (material !== null && BY_MATERIAL[material]) return BY_MATERIAL[material];
  const area = regions.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  const largest = regions.reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a));
  const wide = BACKGROUND_SHARE * page.widthMm * page.heightMm;
  if (material !== null && area > wide) return 'plane';
  if (largest.areaMm2 >= wide) return largest.centroid.y < page.heightMm / 2 ? 'fades-down' : 'fades-up';
  const byShape = new Map<ShapeKind, number>();
  for (const { shape, areaMm2 } of regions) byShape.set(shape, (byShape.get(shape) ?? 0) + areaMm2);
  const [shape, most] = [...byShape].reduce((a, b) => (b[1] > a[1] ? b : a));
  return most >= MOSTLY * area ? BY_SHAPE[shape] : 'raised';
}
