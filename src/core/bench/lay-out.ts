import { Points } from './points.ts';
import { inHand } from './step.ts';
import type { Step } from './schemas.ts';

/** What to have on the table before a sitting begins. */
export interface LaidOutTable {
  /** Pencils in the order in which they are first picked up. */
  pencils: readonly string[];
  /** Tools that work what is laid, by id, in that order. */
  tools: readonly string[];
  /** Pencils to sharpen before beginning: the first that is done with them wants a sharp point. */
  sharpen: readonly string[];
  /** Whether the hand comes to lie on soft work, so that a sheet goes under it. */
  sheetUnderHand: boolean;
}

/**
 * What to lay out for a sitting.
 * @param steps of the sitting, in order
 * @param before steps of all sittings before it
 */
export function layOutFor(steps: readonly Step[], before: readonly Step[] = []): LaidOutTable {
  const first = new Map<string, Step>();
  for (const step of steps) if (!first.has(inHand(step))) first.set(inHand(step), step);
  const firsts = [...first.values()];
  return {
    pencils: firsts.filter(({ tool }) => !tool).map(({ pencil }) => pencil),
    tools: firsts.flatMap(({ tool }) => tool ?? []),
    sharpen: firsts.filter(({ tool, point }) => !tool && point === 'sharp').map(({ pencil }) => pencil),
    sheetUnderHand: [...before, ...steps.slice(0, -1)].some(({ soft }) => soft),
  };
}

/** Something to do about the point before or while a step is laid. */
export type Reminder = 'sharpen' | 'turn' | 'wipe' | 'clean tool';

/** A step that wears down so much of a point is done turning the pencil. */
const TURNS_FROM = 0.3;
/** L* from which a pencil is pale, and how much darker what it goes over has to be to soil its point. */
const PALE = 65;
const DARKER = 25;

/**
 * What to do about points on the way through an order: sharpen where one is worn too far for what comes, turn the pencil
 * in work that wears one side, wipe the point of a pale pencil that goes over strong ones, and a tool that comes from darker
 * colour than what it goes over next.
 */
export function remindersOf(order: readonly Step[]): Map<string, readonly Reminder[]> {
  const points = new Points();
  const darkest = new Map<string, number>();
  /** L* of the darkest that each tool last went over: it carries that along. */
  const carried = new Map<string, number>();
  return new Map(
    order.map((step) => {
      const { id, thingId, tool, point, wear = 0, value } = step;
      const sharpen = points.lay(step);
      const soiled = !tool && value >= PALE && (darkest.get(thingId) ?? 100) <= value - DARKER;
      if (!tool) darkest.set(thingId, Math.min(darkest.get(thingId) ?? 100, value));
      const under = darkest.get(thingId) ?? 100;
      const carries = tool !== undefined && (carried.get(tool) ?? 100) <= under - DARKER;
      if (tool) carried.set(tool, under);
      const turns = !tool && point !== 'side of the lead' && wear >= TURNS_FROM;
      return [
        id,
        [
          ...(sharpen ? ['sharpen' as const] : []),
          ...(turns ? ['turn' as const] : []),
          ...(soiled ? ['wipe' as const] : []),
          ...(carries ? ['clean tool' as const] : []),
        ],
      ];
    }),
  );
}
