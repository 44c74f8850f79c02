/** A colour scheme: hands on the wheel that turn together. */
export interface Scheme {
  id: string;
  name: string;
  says: string;
  /** Degrees from the anchor on the painter's wheel, the anchor's own 0 first. */
  hands: readonly number[];
}
