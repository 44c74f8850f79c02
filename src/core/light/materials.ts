/** What a thing can be made of, as far as light and layers care. */
export interface Material {
  id: string;
  name: string;
  /** What it does to the light, in a few words. */
  says: string;
  /** How much of its neighbours' colours it shows, 0..1: what is shiny, white or wet. Default none. */
  shows?: number;
}

export const MATERIALS: readonly Material[] = [
  { id: 'paper', name: 'paper', says: 'dull, lets a light behind it glow through' },
  { id: 'wood', name: 'wood', says: 'dull, along its grain' },
  { id: 'stone', name: 'stone', says: 'dull and uneven' },
  { id: 'leaf', name: 'leaf', says: 'a soft sheen along the fold' },
  { id: 'fur', name: 'fur', says: 'shaded by the density of its strokes' },
  { id: 'skin', name: 'skin', says: 'soft, borrows colour from beside it', shows: 0.35 },
  { id: 'cloth', name: 'cloth', says: 'soft in its folds' },
  { id: 'gold', name: 'gold', says: 'polished: dark beside light', shows: 0.4 },
  { id: 'copper', name: 'copper', says: 'polished, warm', shows: 0.4 },
  { id: 'silver', name: 'silver', says: 'polished, takes the colours around it', shows: 0.9 },
  { id: 'glass', name: 'glass', says: 'a hard highlight, clear through', shows: 0.6 },
  { id: 'gem', name: 'gem', says: 'dark beside the highlight, aglow opposite' },
  { id: 'pearl', name: 'pearl', says: 'a soft ball of pale colours', shows: 0.6 },
  { id: 'water', name: 'water', says: 'repeats what is above it, darker', shows: 1 },
  { id: 'snow', name: 'snow', says: 'shadows take the sky', shows: 0.6 },
  { id: 'sky', name: 'sky', says: 'one long gradient' },
  { id: 'light', name: 'light source', says: 'the palest; its neighbours take its colour' },
  { id: 'other', name: 'something else', says: 'dull' },
];
