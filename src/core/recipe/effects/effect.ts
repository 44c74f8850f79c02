import { type Family } from '../family.ts';
import { type Layer } from '../layer.ts';
import { type School } from '../schools/index.ts';

/** What a recipe must know of the regions that it is for. */
export interface RegionContext {
  /** Usable width and area of each region; at least one. */
  regions: readonly { usableWidthMm: number; areaMm2: number }[];
}

/** What an effect comes to for one thing. */
export interface Laid {
  layers: Layer[];
  /** What was left out or done otherwise for want of room or pencils, in sentences. */
  notes: readonly string[];
}

/** An effect: what a family of pencils is made to look like. */
export interface Effect {
  id: string;
  name: string;
  says: string;
  /** Ids of the materials that it is proposed for. */
  suits: readonly string[];
  /** Whether it is laid in the order of the school; others have an order of their own. */
  bySchool: boolean;
  /** @param school of no meaning where the effect has an order of its own */
  lay(school: School, family: Family, context: RegionContext): Laid;
}
