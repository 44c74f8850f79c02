import ical from 'ical-generator';
import { addMinutes, parseISO } from 'date-fns';

/** A sitting on an evening. */
export interface Appointment {
  /** Stable, so that a calendar that is brought in again takes the new time over. */
  id: string;
  day: string;
  at: string;
  minutes: number;
  title: string;
  /** What to lay out, one thing a line. */
  lines: readonly string[];
}

/** Sittings as an iCalendar file (RFC 5545) at the local time of whoever reads it. */
export function calendarFile(name: string, appointments: readonly Appointment[]): string {
  const calendar = ical({ name, prodId: { company: 'Harmonie', product: 'Bench' } });
  for (const { id, day, at, minutes, title, lines } of appointments) {
    const start = parseISO(`${day}T${at}:00`);
    calendar.createEvent({
      id,
      start,
      end: addMinutes(start, Math.ceil(minutes / 5) * 5),
      floating: true,
      summary: title,
      description: lines.join('\n'),
    });
  }
  return calendar.toString();
}
