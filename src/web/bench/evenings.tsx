import clsx from 'clsx';
import { Evenings, type Plan } from '../../contracts/index.ts';
import { decide } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Choice, Select } from '../parts/index.ts';

type Bench = Plan['bench'];
const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];
/** As weeks are read. */
const WEEK = [1, 2, 3, 4, 5, 6, 0];
const LENGTHS = ['10', '20', '30', '40', '60', '90'];

/** How long a sitting is, on which evenings there is one, and which hand draws. */
export function EveningsWished() {
  const { sheet } = useDesk();
  const { bench } = sheet.plan;
  const { evenings } = bench;
  const change = usePlanChange(sheet.id, 'bench');
  const set = (label: string, part: Partial<Bench>) =>
    void change(label, (plan) => decide(plan, { bench: { ...bench, ...part } }));
  const setEvenings = (label: string, part: Partial<Evenings>) => {
    const next = Evenings.safeParse({ ...evenings, ...part });
    if (next.success) set(label, { evenings: next.data });
  };
  return (
    <div className="grid gap-2">
      <Select
        label="Length of a sitting"
        value={String(bench.sittingMinutes)}
        options={LENGTHS.map((value) => ({ value, label: `sittings of about ${value} min` }))}
        onChange={(value) => set('length of a sitting', { sittingMinutes: Number(value) })}
      />
      <div className="flex border border-edge bg-leaf" role="group" aria-label="Evenings with a sitting">
        {WEEK.map((day) => {
          const on = evenings.weekdays.includes(day);
          return (
            <button
              key={day}
              type="button"
              aria-pressed={on}
              className={clsx(
                'min-h-10 flex-1 border-r border-rule text-[0.92rem] last:border-r-0',
                on ? 'bg-strong font-semibold text-on-strong' : 'hover:bg-card',
              )}
              onClick={() =>
                setEvenings(on ? `no sittings on ${DAYS[day]}` : `sittings on ${DAYS[day]}`, {
                  weekdays: on
                    ? evenings.weekdays.filter((other) => other !== day)
                    : [...evenings.weekdays, day].sort(),
                })
              }
            >
              <span aria-hidden>{DAYS[day]?.slice(0, 2)}</span>
              <span className="sr-only">{DAYS[day]}</span>
            </button>
          );
        })}
      </div>
      {evenings.weekdays.length > 0 && (
        <div className="grid grid-cols-2 gap-2">
          <label className="text-sm text-soft">
            at
            <input
              type="time"
              required
              className="block min-h-10 w-full border border-edge bg-leaf px-2 font-figure text-[0.95rem] text-ink"
              value={evenings.at}
              onChange={({ target }) => setEvenings('time of sittings', { at: target.value })}
            />
          </label>
          <label className="text-sm text-soft">
            from
            <input
              type="date"
              className="block min-h-10 w-full border border-edge bg-leaf px-2 font-figure text-[0.95rem] text-ink"
              value={evenings.from ?? ''}
              onChange={({ target }) => setEvenings('first evening', { from: target.value || null })}
            />
          </label>
        </div>
      )}
      <Choice
        label="The hand that draws"
        value={bench.hand}
        options={[
          { value: 'right', label: 'right hand' },
          { value: 'left', label: 'left hand' },
        ]}
        onChange={(hand) => set(`${hand} hand`, { hand })}
      />
    </div>
  );
}
