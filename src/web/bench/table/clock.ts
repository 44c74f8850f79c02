import { z } from 'zod';

/** How long a step and a sitting have been worked at. Times are ms of the wall clock. */
export const Clock = z.object({
  stepId: z.string(),
  stepSince: z.number(),
  sittingSince: z.number(),
  /** Time in which nobody worked, of the step and of the sitting. */
  stepPausedMs: z.number().min(0),
  sittingPausedMs: z.number().min(0),
  /** When work was paused; null while it goes on. */
  pausedAt: z.number().nullable(),
  /** When the hand was rested last, in ms worked at the sitting. */
  restedAtMs: z.number().min(0),
  /** When somebody was last seen at the table. */
  seenAt: z.number(),
});
export type Clock = z.infer<typeof Clock>;

/** Nobody seen for longer than this is taken for a pause, ms; after the second, another sitting begins. */
const AWAY_MS = 90_000;
const ANOTHER_SITTING_MS = 90 * 60_000;
/** The hand is rested after so long, ms. */
const REST_AFTER_MS = 25 * 60_000;

export function clockFrom(now: number, stepId: string): Clock {
  return {
    stepId,
    stepSince: now,
    sittingSince: now,
    stepPausedMs: 0,
    sittingPausedMs: 0,
    pausedAt: null,
    restedAtMs: 0,
    seenAt: now,
  };
}

/** Somebody sits at the table: a time in which nobody was seen counts as a pause, a long one begins another sitting. */
export function seenAgain(clock: Clock, now: number): Clock {
  const gone = now - clock.seenAt;
  if (gone > ANOTHER_SITTING_MS) {
    return { ...clockFrom(now, clock.stepId), stepSince: now - workedAtStep(clock, clock.seenAt) };
  }
  if (gone <= AWAY_MS || clock.pausedAt !== null) return { ...clock, seenAt: now };
  return {
    ...clock,
    seenAt: now,
    stepPausedMs: clock.stepPausedMs + gone,
    sittingPausedMs: clock.sittingPausedMs + gone,
  };
}

/** The next step comes up; a pause goes on into it. */
export function stepComesUp(clock: Clock, now: number, stepId: string): Clock {
  if (clock.stepId === stepId) return clock;
  const { sittingPausedMs, pausedAt } = clock;
  const paused = pausedAt === null ? sittingPausedMs : sittingPausedMs + (now - pausedAt);
  return {
    ...clock,
    stepId,
    stepSince: now,
    stepPausedMs: 0,
    sittingPausedMs: paused,
    seenAt: now,
    pausedAt: pausedAt === null ? null : now,
  };
}

/** What is left of a step, once some of it was logged: its time begins now. */
export function stepBeginsAnew(clock: Clock, now: number): Clock {
  return { ...clock, stepSince: now, stepPausedMs: 0, pausedAt: clock.pausedAt === null ? null : now };
}

export function pausedOrNot(clock: Clock, now: number): Clock {
  const { pausedAt } = clock;
  if (pausedAt === null) return { ...clock, pausedAt: now, seenAt: now };
  const gone = now - pausedAt;
  return {
    ...clock,
    stepPausedMs: clock.stepPausedMs + gone,
    sittingPausedMs: clock.sittingPausedMs + gone,
    pausedAt: null,
    seenAt: now,
  };
}

/** Time worked at the step, ms. */
export function workedAtStep({ stepSince, stepPausedMs, pausedAt }: Clock, now: number): number {
  return Math.max(0, (pausedAt ?? now) - stepSince - stepPausedMs);
}

/** Time worked at the sitting, ms. */
export function workedAtSitting({ sittingSince, sittingPausedMs, pausedAt }: Clock, now: number): number {
  return Math.max(0, (pausedAt ?? now) - sittingSince - sittingPausedMs);
}

/** Whether it is time to rest the hand. */
export function isRestDue(clock: Clock, now: number): boolean {
  return clock.pausedAt === null && workedAtSitting(clock, now) - clock.restedAtMs >= REST_AFTER_MS;
}

export function rested(clock: Clock, now: number): Clock {
  return { ...clock, restedAtMs: workedAtSitting(clock, now) };
}
