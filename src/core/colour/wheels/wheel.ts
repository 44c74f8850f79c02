/** A named place of a wheel. */
export interface WheelPlace {
  name: string;
  /** Degrees on this wheel. */
  angle: number;
  /** OKLCH hue in degrees of the colour at this place. */
  hue: number;
}

/** A wheel: yellow at 0 degrees (the top), running clockwise through orange to red; smooth and invertible. */
export interface ColourWheel {
  id: 'painters' | 'perceptual';
  name: string;
  /** What it is good for, in one line. */
  says: string;
  /** What it costs, in one line. */
  costs: string;
  /** Twelve named places in order. */
  places: readonly WheelPlace[];
  /** OKLCH hue in degrees at an angle of the wheel. */
  hueOf(angle: number): number;
  /** Angle on the wheel of an OKLCH hue in degrees; the inverse of `hueOf`. */
  angleOf(hue: number): number;
}
