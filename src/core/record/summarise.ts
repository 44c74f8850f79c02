/** A finished step as logged at the table. */
export interface LoggedStep {
  pencil: string;
  thingId: string;
  plannedMinutes: number;
  /** Minutes from the step coming up to its being marked done. */
  actualMinutes: number;
}

export interface RecordSummary {
  steps: number;
  plannedMinutes: number;
  actualMinutes: number;
  /** Actual over planned minutes; null before anything is finished. */
  pace: number | null;
  /** Most used first. */
  pencils: { pencil: string; steps: number; minutes: number; things: number }[];
}

/** A step that took longer than this was most likely left open; it counts for this much, minutes. */
const LONGEST_STEP = 60;

/** Adds up finished steps by pencil, and how the time taken compares with the time planned. */
export function summarise(log: readonly LoggedStep[]): RecordSummary {
  const byPencil = new Map<string, { steps: number; minutes: number; things: Set<string> }>();
  let plannedMinutes = 0;
  let actualMinutes = 0;
  for (const step of log) {
    const minutes = Math.min(LONGEST_STEP, Math.max(0, step.actualMinutes));
    plannedMinutes += step.plannedMinutes;
    actualMinutes += minutes;
    const sum = byPencil.get(step.pencil) ?? { steps: 0, minutes: 0, things: new Set<string>() };
    sum.steps++;
    sum.minutes += minutes;
    sum.things.add(step.thingId);
    byPencil.set(step.pencil, sum);
  }
  return {
    steps: log.length,
    plannedMinutes,
    actualMinutes,
    pace: plannedMinutes > 0 ? actualMinutes / plannedMinutes : null,
    pencils: [...byPencil]
      .map(([pencil, { steps, minutes, things }]) => ({ pencil, steps, minutes, things: things.size }))
      .sort((p, q) => q.minutes - p.minutes || (p.pencil < q.pencil ? -1 : 1)),
  };
}
