import { type Pressure } from '../laydown/index.ts';
import { type Region } from '../lineart/index.ts';
import { type Direction, type Point, type Stroke, type Zone } from '../recipe/index.ts';

/** Edges of what a step is laid on, mm of the page. */
export interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** One pencil at one pressure on one or more regions of a thing, to be done in one go. */
export interface Step {
  /** thing id and layer id, joined by a slash; with a number behind a tilde where the layer is laid place by place. */
  id: string;
  thingId: string;
  layerId: string;
  pencil: string;
  regionIds: readonly number[];
  pressure: Pressure;
  passes: number;
  stroke: Stroke;
  point: Point;
  zone: Zone;
  direction?: Direction;
  /** Id of a tool that works what is laid, in place of laying the pencil. */
  tool?: string;
  /** How long it dries before anything else is laid there, minutes. */
  dryMinutes?: number;
  purpose: string;
  /** Minutes it takes, by the rates in rates.ts. */
  minutes: number;
  /** L* of the pencil's laydown on this paper. */
  value: number;
  /** Where it lies; absent in older plans. */
  box?: Box;
  /** Area that it covers, mm2. */
  coveredMm2?: number;
  /** How many sharp points it wears down. */
  wear?: number;
  /** Whether what it leaves smears under a hand. */
  soft?: boolean;
  /** Ids of steps that must be done before. */
  after: readonly string[];
}

/** Edges of some regions, one at least. */
export function boxAround(regions: readonly Pick<Region, 'box'>[]): Box {
  return {
    left: Math.min(...regions.map(({ box }) => box.left)),
    top: Math.min(...regions.map(({ box }) => box.top)),
    right: Math.max(...regions.map(({ box }) => box.right)),
    bottom: Math.max(...regions.map(({ box }) => box.bottom)),
  };
}

/** What is held for a step: its tool, or else its pencil. */
export function inHand({ tool, pencil }: Pick<Step, 'tool' | 'pencil'>): string {
  return tool ?? pencil;
}
