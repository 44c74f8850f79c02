import { format, parseISO } from 'date-fns';
import type { BenchPlan, Plan } from '../../contracts/index.ts';
import { toolById } from '../../core/laydown/index.ts';
import { daysOfSittings } from '../../order/index.ts';

/** The day and time of each sitting that is still ahead, in words; null where no evening is chosen. */
export function sittingDays(
  { sittings }: Pick<BenchPlan, 'sittings'>,
  doneIds: ReadonlySet<string>,
  bench: Plan['bench'],
) {
  const ahead = sittings.map(({ steps }) => steps.some((id) => !doneIds.has(id)));
  const days = daysOfSittings(ahead.filter(Boolean).length, bench.evenings, format(new Date(), 'yyyy-MM-dd'));
  let next = 0;
  return ahead.map((isAhead) => {
    const day = isAhead ? days[next++] : undefined;
    return day === undefined ? null : { day, at: bench.evenings.at };
  });
}

export function dayInWords({ day, at }: { day: string; at: string }): string {
  return `${format(parseISO(day), 'EEE d MMM')}, ${at}`;
}

/** A fault of an order with steps and things by their names instead of their ids. */
export function faultInWords(
  fault: string,
  { steps, things, pencils }: Pick<BenchPlan, 'steps' | 'things' | 'pencils'>,
) {
  const code = new Map(pencils.map((pencil) => [pencil.id, pencil.code]));
  const name = new Map(things.map((thing) => [thing.id, thing.name]));
  const stepOf = new Map(steps.map((step) => [step.id, step]));
  return fault
    .replace(/[A-Za-z0-9_-]+\/[A-Za-z0-9_-]+(~\d+)?/g, (id) => {
      const step = stepOf.get(id);
      return step ? `${code.get(step.pencil) ?? ''} on ${name.get(step.thingId) ?? ''}` : id;
    })
    .replace(/^Step /, '');
}

export function toolNames(ids: readonly string[]): string[] {
  return ids.map((id) => toolById(id).name);
}
