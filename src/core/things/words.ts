import { type Region } from '../lineart/index.ts';

/** A single region larger than this share of the page is a wide area: sky, wall, water, ground. */
export const WIDE_SHARE = 0.06;

const SHAPES = {
  ball: ['Round shape', 'round shapes'],
  tube: ['Bar', 'bars'],
  leaf: ['Leaf shape', 'leaf shapes'],
  ring: ['Ring', 'rings'],
  strip: ['Strip', 'strips'],
  irregular: ['Shape', 'shapes'],
} as const;

/**
 * What a guessed thing is called until somebody names it: what it looks like and where it lies.
 * @param regions of the thing, one at least
 * @param page its size in mm
 */
export function describeGuess(
  regions: readonly Region[],
  { widthMm, heightMm }: { widthMm: number; heightMm: number },
): string {
  const largest = regions.reduce((p, q) => (q.areaMm2 > p.areaMm2 ? q : p));
  return `${looks(regions, largest, widthMm * heightMm)}, ${placeOf(centre(regions), widthMm, heightMm)}`;
}

function looks(regions: readonly Region[], largest: Region, pageMm2: number): string {
  if (largest.areaMm2 > WIDE_SHARE * pageMm2) return 'Wide area';
  const kind = commonest(regions);
  if (regions.length === 1) return SHAPES[kind][0];
  return `${regions.length} ${SHAPES[kind][1]}`;
}

/** The shape that more than half of the regions have. */
function commonest(regions: readonly Region[]): Region['shape'] {
  const times = new Map<Region['shape'], number>();
  for (const { shape } of regions) times.set(shape, (times.get(shape) ?? 0) + 1);
  const [kind, count] = [...times].reduce((p, q) => (q[1] > p[1] ? q : p));
  return count > regions.length / 2 ? kind : 'irregular';
}

function centre(regions: readonly Region[]): { x: number; y: number } {
  const area = regions.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  const mean = (of: (region: Region) => number) =>
    regions.reduce((sum, region) => sum + of(region) * region.areaMm2, 0) / area;
  return { x: mean(({ centroid }) => centroid.x), y: mean(({ centroid }) => centroid.y) };
}

function placeOf({ x, y }: { x: number; y: number }, widthMm: number, heightMm: number): string {
  const across = ['left', '', 'right'][third(x / widthMm)];
  const down = ['top', '', 'bottom'][third(y / heightMm)];
  return [down, across].filter(Boolean).join(' ') || 'middle';
}

function third(share: number): number {
  return Math.min(2, Math.max(0, Math.floor(3 * share)));
}

const GUESS = new RegExp(
  `^(\\d+ )?(${Object.values(SHAPES).flat().join('|')}), (top|bottom|left|right|middle|(top|bottom) (left|right))( \\(\\d+\\))?$`,
);

/** What many things that are still called as they were guessed are called together, as "strips"; null for other names. */
export function kindOfGuess(name: string): string | null {
  const looks = GUESS.exec(name)?.[2];
  const shape = Object.values(SHAPES).find(([one, many]) => one === looks || many === looks);
  return shape ? shape[1] : null;
}

/** The same names, each made different from all before it and from those taken. */
export function toldApart(names: readonly string[], taken: readonly string[] = []): string[] {
  const used = new Set(taken.map((name) => name.toLowerCase()));
  return names.map((name) => {
    let own = name;
    for (let k = 2; used.has(own.toLowerCase()); k++) own = `${name} (${k})`;
    used.add(own.toLowerCase());
    return own;
  });
}
