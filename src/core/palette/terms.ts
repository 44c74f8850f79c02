/** What a palette is judged by. Each term runs from 0 (nothing to wish for) to about 1, but `must`, which counts; the objective is their weighted sum. */
export const TERMS = [
  {
    id: 'parting',
    name: 'neighbours part',
    weight: 3,
    says: 'how little neighbours part at their shared borders, by length',
  },
  {
    id: 'ground',
    name: 'figure and ground',
    weight: 1,
    says: 'how little the value of what lies in front parts from what lies behind, and whether things behind are clearer',
  },
  {
    id: 'focus',
    name: 'the focus is strongest',
    weight: 4.8,
    says: 'how far the focus falls short of standing out from what surrounds it, and more than anything else does',
  },
  {
    id: 'scheme',
    name: 'keeps to the hands',
    weight: 1.5,
    says: 'how far the laid colours turn away from the hands of the scheme, by area and chroma',
  },
  {
    id: 'shares',
    name: 'shares',
    weight: 1.5,
    says: 'how far ruling, supporting and accent voices are from the shares of the area wished for',
  },
  {
    id: 'accents',
    name: 'accents balance',
    weight: 0.6,
    says: 'whether accents sit in two or three separate places and on both sides',
  },
  {
    id: 'chroma',
    name: 'clear where it counts',
    weight: 3,
    says: 'how far things are from being the clearer the smaller they are, and the focus the clearest',
  },
  {
    id: 'values',
    name: 'light, middle, dark',
    weight: 4,
    says: 'how far the shares of light, middle and dark are from what such a ground asks for',
  },
  {
    id: 'hues',
    name: 'many hues',
    weight: 2,
    says: 'how many hues large things lack that such a scheme is to show',
  },
  {
    id: 'natural',
    name: 'natural colours kept',
    weight: 4,
    says: 'how far things are from the natural colour that they keep',
  },
  {
    id: 'distance',
    name: 'near and far',
    weight: 2,
    says: 'how far things of a scene are from being the paler and quieter the further off they lie',
  },
  { id: 'fit', name: 'the tray has it', weight: 1.5, says: 'how far pencils are from the colours asked for' },
  { id: 'blends', name: 'families blend', weight: 1, says: 'hard steps and mud inside families, by the layer model' },
  { id: 'pencils', name: 'few pencils', weight: 0.8, says: 'how many different pencils there are for so many things' },
  { id: 'alike', name: 'like things alike', weight: 2, says: 'how many pairs of like things differ' },
  {
    id: 'mood',
    name: 'mood',
    weight: 2.4,
    says: 'how far value, chroma, warmth and contrast of the page are from the mood wished for',
  },
  { id: 'must', name: 'wished pencils come in', weight: 6, says: 'how many pencils that must come in do not' },
] as const;
/** CIEDE2000 from what was asked at which a family fits no more. */
export const MISFIT = 14;

export type TermId = (typeof TERMS)[number]['id'];

/** Place of each term in {@link TERMS}. */
export const TERM = Object.fromEntries(TERMS.map(({ id }, i) => [id, i])) as Record<TermId, number>;
