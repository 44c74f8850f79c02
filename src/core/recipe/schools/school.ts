import { type Pressure } from '../../laydown/index.ts';

/** One layer of a school's order, before it is fitted to a thing. */
export interface Sketch {
  id: string;
  /** Which of the family's own pencils lays it; the middle ones lay one layer each. */
  role: 'dark' | 'mid' | 'light';
  pressure: Pressure;
  passes: number;
  /** Interval of tone that it covers. */
  from: number;
  to: number;
  purpose: string;
  /** How many bands a region must have room for before this layer is worth laying. */
  bands: 1 | 2 | 3;
}

/** A school: an order in which good colourists lay a family of pencils. */
export interface School {
  id: string;
  name: string;
  /** How it goes, in one line. */
  says: string;
  /** What it costs, in one line. */
  costs: string;
  sketch: readonly Sketch[];
}
