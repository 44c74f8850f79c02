import { type PointMm } from '../lineart/index.ts';
import { goesOn } from './rounds.ts';
import type { Step } from './schemas.ts';

/** What breaks a round off, and what is blunt where a round begins, come after whatever lies on the page, mm. */
const BREAKS_OFF = 1e8;
const BLUNT = 1e4;

/**
 * Steps with the same in hand, each after what it waits for: what can be laid in one go together, sharp work first, and of
 * that always what lies nearest to the hand.
 * @param last the step that the hand comes from; default none
 */
export function byPlace(steps: readonly Step[], last?: Step): Step[] {
  if (steps.length === 1) return [...steps];
  const left = new Map(steps.map((step) => [step.id, step]));
  const laid: Step[] = [];
  let here = (last && middleOf(last)) ?? { x: 0, y: 0 };
  let round: Step[] = [];
  while (left.size > 0) {
    const ready = [...left.values()].filter(({ after }) => !after.some((before) => left.has(before)));
    let [next, least] = [ready[0]!, Infinity];
    for (const step of ready) {
      const middle = middleOf(step);
      const way = middle ? Math.hypot(middle.x - here.x, middle.y - here.y) : 0;
      const worth = way + (goesOn(round, step) ? 0 : BREAKS_OFF) + (step.point === 'sharp' ? 0 : BLUNT);
      if (worth < least) [next, least] = [step, worth];
    }
    round = goesOn(round, next) ? [...round, next] : [next];
    left.delete(next.id);
    laid.push(next);
    here = middleOf(next) ?? here;
  }
  return laid;
}

function middleOf({ box }: Step): PointMm | undefined {
  return box && { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 };
}
