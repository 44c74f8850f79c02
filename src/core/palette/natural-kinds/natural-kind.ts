import { type Oklch } from '../../colour/index.ts';

/** A block of colours in OKLCH: hues run from the first to the second, past 360 where that is less. */
export interface ColourRange {
  hue: readonly [from: number, to: number];
  chroma: readonly [least: number, most: number];
  lightness: readonly [least: number, most: number];
  /** Words in a name that say that it is this one: a sky at night. Default none. */
  words?: readonly string[];
}

/** Colours that a practised hand goes through from dark to light where they are not of one hue. */
export interface Ladder {
  /** OKLCH, from the darkest to the lightest; at least two. */
  rungs: readonly Oklch[];
  /** Of another hue: where a background crosses to it at its palest. */
  accent?: Oklch;
  /** As those of a range. */
  words?: readonly string[];
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
  /** Ways from its dark to its light, the usual one first. Default along one hue. */
  ladders?: readonly Ladder[];
  /** Whether it has the colours of the sky above it, as that is called. Default not. */
  underSky?: boolean;
  /** Whether each pencil of it is a band of its own, as in a background. Default not. */
  inBands?: boolean;
}
