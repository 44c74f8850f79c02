/** A block of colours in OKLCH: hues run from the first to the second, past 360 where that is less. */
export interface ColourRange {
  hue: readonly [from: number, to: number];
  chroma: readonly [least: number, most: number];
  lightness: readonly [least: number, most: number];
}

/** Something that is known by its colours: what is painted otherwise is not taken for it. */
export interface NaturalKind {
  id: string;
  /** Ids of materials that are of this kind. */
  materials: readonly string[];
  /** Words in the name of a thing that say that it is. */
  words: readonly string[];
  /** Any of these is natural. */
  ranges: readonly ColourRange[];
}
