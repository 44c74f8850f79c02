import { addDays, formatISO, getDay, parseISO } from 'date-fns';
import type { Evenings } from '../contracts/index.ts';

/**
 * The days on which sittings fall, one each.
 * @param today year, month and day; no sitting falls before it
 * @returns as many days as there are sittings; none where no day of the week is chosen
 */
export function daysOfSittings(sittings: number, { weekdays, from }: Evenings, today: string): string[] {
  if (weekdays.length === 0) return [];
  const days: string[] = [];
  const first = from && from > today ? from : today;
  for (let day = parseISO(first); days.length < sittings; day = addDays(day, 1)) {
    if (weekdays.includes(getDay(day))) days.push(formatISO(day, { representation: 'date' }));
  }
  return days;
}
