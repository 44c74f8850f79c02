/** A colour scheme: hands on the wheel that turn together. */
export interface Scheme {
  id: string;
  name: string;
  says: string;
  /** Degrees from the anchor on the wheel in use, the ruling one first. */
  hands: readonly number[];
  /** Whether hands are turned each by itself, and may be more or fewer. */
  byHand?: boolean;
  /** How many hues are to be seen on large things at the least; 0 where few are the point. */
  largeHues: number;
}
