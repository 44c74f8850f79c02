import { type Pressure, toolById } from '../laydown/index.ts';
import { type Point, type Stroke } from '../recipe/index.ts';
import { USUAL_COSTS } from './costs.ts';

/** How fast a person works. */
export interface Rates {
  /** Minutes to go once over 1 cm2 with each point, at medium pressure in small circles. */
  minutesPerCm2: Readonly<Record<Point, number>>;
  /** Seconds to find and start each region. */
  secondsPerRegion: number;
  /** Seconds to put one pencil down and take up another. */
  pickUpSeconds: number;
  /** How many finished steps these were learnt from; 0 where they are assumed. */
  learntFrom: number;
}

/** What is assumed until enough steps were logged to learn from. */
export const ASSUMED_RATES: Rates = {
  minutesPerCm2: { sharp: 0.9, normal: 0.45, 'side of the lead': 0.14 },
  secondsPerRegion: 4,
  pickUpSeconds: USUAL_COSTS.pickUpSeconds,
  learntFrom: 0,
};

/** How much longer a press takes than a medium one, and a stroke than small circles. Assumptions. */
const PRESS_TAKES: Readonly<Record<Pressure, number>> = {
  whisper: 0.9,
  light: 0.95,
  medium: 1,
  firm: 1.1,
  burnish: 1.3,
};
const STROKE_TAKES: Readonly<Record<Stroke, number>> = {
  'small circles': 1,
  'one direction': 0.9,
  hatching: 0.8,
  'cross-hatching': 1.1,
  'following the contour': 0.95,
  flicks: 0.85,
  stippling: 1.4,
  scumbling: 0.8,
  'fine lines': 0.6,
};

/** How a step is laid, as far as its time depends on it. */
export interface Laying {
  passes: number;
  point: Point;
  /** How many regions it is laid on. */
  regions: number;
  /** Default medium. */
  pressure?: Pressure;
  /** Default small circles. */
  stroke?: Stroke;
  /** Id of the tool that is held; default a pencil. */
  tool?: string;
}

/**
 * Minutes for one step, before the pencil is picked up.
 * @param coveredMm2 area that is gone over, mm2
 */
export function minutesFor(coveredMm2: number, laying: Laying, rates: Rates = ASSUMED_RATES): number {
  const { passes, point, regions, pressure = 'medium', stroke = 'small circles', tool } = laying;
  const takes = tool === undefined ? PRESS_TAKES[pressure] * STROKE_TAKES[stroke] : (toolById(tool).takes ?? 1);
  const going = (coveredMm2 / 100) * passes * rates.minutesPerCm2[point];
  return going * takes + (regions * rates.secondsPerRegion) / 60;
}
