import { type Lab } from '../colour/index.ts';
import { type Family } from '../recipe/index.ts';

/** A thing of the page, as far as a palette must know it. */
export interface PageThing {
  id: string;
  name: string;
  areaMm2: number;
  /** Usual usable width of its regions, mm: how many pencils it holds. */
  widthMm: number;
  /** Middle of its area as shares of the page's width and height, 0..1. */
  at: { x: number; y: number };
  /** Whether the eye should go here first. */
  focus: boolean;
  /** The natural colour that it must keep, if there is one. */
  natural: Lab | null;
  /** Id of the natural kind whose colours it keeps to as long as nothing else is wished; null: none. Default null. */
  kind?: string | null;
  /** How far off it lies in a scene, 0 the nearest to 1 the farthest; null where the page is none, or for sky and ground. Default null. */
  far?: number | null;
  /** The colour that it has already on the paper and keeps, if there is one. */
  laid: Lab | null;
  /** Things with the same mark are like each other; null: like no other. */
  alike: string | null;
}

/** What a palette must know of a page: its things from front to back, and who borders on whom. */
export interface PageSummary {
  things: readonly PageThing[];
  /** Shared border between two things, by id. */
  borders: readonly { a: string; b: string; lengthMm: number }[];
}

/** A family that somebody has decided on. */
export type Pinned = Readonly<Record<string, Family>>;
