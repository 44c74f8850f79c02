import { type Family } from '../family.ts';
import { type Layer } from '../layer.ts';
import { type School } from '../schools/index.ts';

/** What a recipe must know of the regions that it is for. */
export interface RegionContext {
  /** Usable width and area of each region; at least one. */
  regions: readonly { usableWidthMm: number; areaMm2: number }[];
}

/** An effect: what a family of pencils is made to look like. */
export interface Effect {
  id: string;
  name: string;
  says: string;
  layers(school: School, family: Family, context: RegionContext): Layer[];
}
