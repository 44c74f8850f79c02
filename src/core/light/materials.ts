/** What a thing can be made of, as far as light and layers care. */
export interface Material {
  id: string;
  name: string;
  /** What it does to the light, in a few words. */
  says: string;
  /** How much of its neighbours' colours it shows, 0..1: what is shiny, white or wet. Default none. */
  shows?: number;
  /** The edge of its highlight, where that is a shape of its own. Default none: it is only the palest of its tones. */
  highlight?: HighlightEdge;
  /** Id of its finish, for metals. */
  finish?: string;
  /** Whether it lies behind everything, so that a light from behind does not rim it. Default not. */
  background?: boolean;
  /** Whether it lies over everything: what shows colours shows its. Default not. */
  overhead?: boolean;
  /** Whether, still, it repeats what stands above its edge upside down. Default not. */
  mirrors?: boolean;
  /** Whether no shadow is seen on it. Default shadows are. */
  shadowless?: boolean;
  /** Its place among what wide areas of a page are mostly made of, the likeliest first. Default they are not. */
  wide?: number;
}

export type HighlightEdge = 'hard' | 'soft';

export const MATERIALS: readonly Material[] = [
  { id: 'paper', name: 'paper', says: 'dull, lets a light behind it glow through' },
  { id: 'wood', name: 'wood', says: 'dull, along its grain', wide: 5 },
  { id: 'stone', name: 'stone', says: 'dull and uneven', wide: 4 },
  { id: 'leaf', name: 'leaf', says: 'a soft sheen along the fold' },
  { id: 'fur', name: 'fur', says: 'shaded by the density of its strokes', highlight: 'soft' },
  { id: 'skin', name: 'skin', says: 'soft, borrows colour from beside it', shows: 0.35, highlight: 'soft' },
  { id: 'cloth', name: 'cloth', says: 'soft in its folds' },
  { id: 'gold', name: 'gold', says: 'polished: dark beside light', shows: 0.4, finish: 'polished' },
  { id: 'copper', name: 'copper', says: 'polished, warm', shows: 0.4, finish: 'polished' },
  { id: 'silver', name: 'silver', says: 'polished, takes the colours around it', shows: 0.9, finish: 'polished' },
  { id: 'glass', name: 'glass', says: 'a hard highlight, clear through', shows: 0.6, highlight: 'hard' },
  { id: 'gem', name: 'gem', says: 'dark beside the highlight, aglow opposite', highlight: 'hard' },
  { id: 'pearl', name: 'pearl', says: 'a soft ball of pale colours', shows: 0.6, highlight: 'hard' },
  {
    id: 'water',
    name: 'water',
    says: 'repeats what is above it, darker',
    shows: 1,
    background: true,
    mirrors: true,
    wide: 2,
  },
  { id: 'snow', name: 'snow', says: 'shadows take the sky', shows: 0.6, wide: 3 },
  {
    id: 'sky',
    name: 'sky',
    says: 'one long gradient',
    background: true,
    overhead: true,
    shadowless: true,
    wide: 1,
  },
  { id: 'light', name: 'light source', says: 'the palest; its neighbours take its colour', shadowless: true },
  { id: 'fire', name: 'flame', says: 'palest in its mantle, darker in its core', shadowless: true },
  { id: 'other', name: 'something else', says: 'dull', wide: 6 },
];

/**
 * The material with this id.
 * @throws RangeError when there is none
 */
export function materialById(id: string): Material {
  const material = MATERIALS.find((each) => each.id === id);
  if (!material) throw new RangeError(`There is no material called "${id}".`);
  return material;
}

/** The material with this id, where somebody said one that there is. */
export function materialOf(id: string | null): Material | undefined {
  return MATERIALS.find((each) => each.id === id);
}
