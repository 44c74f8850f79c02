import { type Pressure } from '../laydown/index.ts';
import { type Direction, type Point, type Stroke, type Zone } from '../recipe/index.ts';

/** One pencil at one pressure on one or more regions of a thing, to be done in one go. */
export interface Step {
  /** thing id and layer id, joined by a slash. */
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
  /** Minutes it takes, by the rates in minutes.ts. */
  minutes: number;
  /** L* of the pencil's laydown on this paper. */
  value: number;
  /** Ids of steps that must be done before. */
  after: readonly string[];
}
