import { type Point } from '../recipe/index.ts';

/** Minutes to go once over 1 cm2 with each point. Assumptions, until enough steps have been logged to learn from. */
const MINUTES_PER_CM2: Readonly<Record<Point, number>> = { sharp: 0.9, normal: 0.45, 'side of the lead': 0.14 };
/** Seconds to find and start each region. An assumption. */
const SECONDS_PER_REGION = 4;
/** Seconds to put one pencil down and take up another. An assumption. */
export const PICK_UP_SECONDS = 12;

/**
 * Minutes for one step, before picking the pencil up.
 * @param areaMm2 area gone over once, mm2
 * @param zoneShare share of the tone interval that is covered, 0..1, taken as the share of the area
 */
export function minutesFor(
  areaMm2: number,
  zoneShare: number,
  { passes, point, regions }: { passes: number; point: Point; regions: number },
): number {
  return (areaMm2 / 100) * zoneShare * passes * MINUTES_PER_CM2[point] + (regions * SECONDS_PER_REGION) / 60;
}
