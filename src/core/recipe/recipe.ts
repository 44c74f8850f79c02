import type { Layer } from './schemas.ts';

/** A thing's layers in the order in which they are laid. */
export interface Recipe {
  effect: string;
  school: string;
  layers: readonly Layer[];
  /** What was left out or done otherwise for want of room or pencils, in sentences. */
  notes: readonly string[];
  /** Half the usual usable width of the thing's regions, mm: the way from its edge to its middle. */
  halfWidthMm: number;
}
