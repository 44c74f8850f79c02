import { BookOpen, CalendarDays } from 'lucide-react';
import type { BenchPlan } from '../../contracts/index.ts';
import { layOutFor } from '../../core/bench/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { safeName } from '../../formats/index.ts';
import { saveText } from '../parts/save-file.ts';
import { sittingDays } from './sitting-words.ts';

/** The order to take away from the desk: a book to print, and the sittings for a calendar. */
export function TakeAlong({ benchPlan, doneIds }: { benchPlan: BenchPlan; doneIds: ReadonlySet<string> }) {
  const { sheet } = useDesk();
  const days = sittingDays(benchPlan, doneIds, sheet.plan.bench);
  const hasDays = days.some((day) => day !== null);
  const saveCalendar = async () => {
    const { calendarFile } = await import('./calendar-file.ts');
    const stepOf = new Map(benchPlan.steps.map((step) => [step.id, step]));
    const codeOf = new Map(benchPlan.pencils.map(({ id, code }) => [id, code]));
    const codes = (ids: readonly string[]) => ids.map((id) => codeOf.get(id) ?? '').join(', ');
    const appointments = benchPlan.sittings.flatMap((sitting, i) => {
      const day = days[i];
      if (!day) return [];
      const laid = layOutFor(sitting.steps.map((id) => stepOf.get(id)!));
      const lines = [
        `Lay out ${codes(laid.pencils)}.`,
        ...(laid.sharpen.length ? [`Sharpen first: ${codes(laid.sharpen)}.`] : []),
      ];
      return [
        {
          id: `${benchPlan.id}-${i}`,
          ...day,
          minutes: sitting.minutes,
          title: `${sheet.title}, sitting ${i + 1}`,
          lines,
        },
      ];
    });
    const text = calendarFile(sheet.title, appointments);
    saveText({ name: `${safeName(`${sheet.title}, sittings`)}.ics`, text, mime: 'text/calendar' });
  };
  const look =
    'flex min-h-10 items-center gap-2 border border-edge bg-leaf px-3 text-[0.95rem] font-semibold hover:border-ink';
  return (
    <div className="grid gap-2">
      <a href={`/api/sheets/${sheet.id}/bench-book.pdf`} className={look} download>
        <BookOpen size={17} aria-hidden /> Bench book to print (PDF)
      </a>
      {hasDays ? (
        <button type="button" className={look} onClick={() => void saveCalendar()}>
          <CalendarDays size={17} aria-hidden /> Sittings for a calendar
        </button>
      ) : (
        <p className="text-sm text-soft">Choose evenings above to have the sittings for a calendar too.</p>
      )}
    </div>
  );
}
