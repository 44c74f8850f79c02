import { Switch } from '@headlessui/react';
import { useState } from 'react';
import { usePlanChange } from '../api/use-plan.ts';
import { aboutHours } from './about-hours.ts';
import { useDesk } from './desk-context.ts';
import { Button, Section, Why } from '../parts/index.ts';
import { decide, thingsOf } from '../../plan/index.ts';

/** How long the page takes, and how it is made to take less. */
export function HoursSection() {
  const { sheet, hours } = useDesk();
  const { plan } = sheet;
  const change = usePlanChange(sheet.id, 'wheel');
  const [told, setTold] = useState(false);
  if (hours.recipes.size === 0) return null;
  const { sittingMinutes } = plan.bench;
  const { evenings, gentle } = plan.hours;
  const needed = Math.ceil(hours.whole / sittingMinutes);
  const nameOf = new Map(thingsOf(plan).map(({ id, name }) => [id, name]));
  const lostBy = new Map<string, string[]>();
  for (const { thingId, layer } of hours.lost) {
    const name = nameOf.get(thingId) ?? '';
    lostBy.set(name, [...(lostBy.get(name) ?? []), layer.purpose.replace(/\.$/, '').toLowerCase()]);
  }
  const over = evenings !== null && hours.minutes > evenings * sittingMinutes;
  return (
    <Section
      title="Hours"
      aside={
        <>
          about {aboutHours(hours.minutes)}{' '}
          <Why of="the hours">
            Area of each zone, passes, pressure, stroke and point, at{' '}
            {hours.ratesFrom > 0
              ? `your own pace over ${hours.ratesFrom} finished steps`
              : 'starting rates that nobody has measured yet'}
            , a few seconds to find each region, and one pick-up a step at most. An evening is {sittingMinutes} minutes,
            as set at the Bench.
          </Why>
        </>
      }
    >
      <div className="flex flex-wrap items-center gap-x-6">
        <label className="flex items-center gap-2 text-[0.95rem]">
          Evenings
          <input
            type="number"
            min={1}
            max={100}
            placeholder={String(needed)}
            aria-label="How many evenings"
            key={evenings ?? 'free'}
            defaultValue={evenings ?? ''}
            onBlur={(event) => {
              const text = event.target.value;
              const count = text === '' ? null : Math.min(100, Math.max(1, Math.round(Number(text))));
              if (count === evenings) return;
              void change(count ? `${count} evenings` : 'as many evenings as it takes', (draft) =>
                decide(draft, { hours: { ...plan.hours, evenings: count } }),
              );
            }}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
            className="h-10 w-20 border border-edge bg-leaf px-2 text-right font-figure"
          />
          <span className="text-soft whitespace-nowrap">× {sittingMinutes} min</span>
        </label>
        <Switch
          checked={gentle}
          onChange={(on) =>
            void change(on ? 'a gentle hand' : 'a usual hand', (draft) =>
              decide(draft, { hours: { ...plan.hours, gentle: on } }),
            )
          }
          className="group flex min-h-10 items-center gap-2 text-[0.95rem] whitespace-nowrap"
        >
          <span className="flex h-6 w-10 items-center border border-edge bg-leaf px-0.5">
            <span className="h-4 w-4 border border-edge group-data-checked:translate-x-4.5 group-data-checked:bg-strong" />
          </span>
          gentle hand
        </Switch>
      </div>
      {hours.lost.length > 0 && (
        <div className="mt-1.5 text-[0.95rem] leading-snug">
          <p>
            {hours.lost.length} layers of {lostBy.size} things are left out; that saves{' '}
            {aboutHours(hours.whole - hours.minutes)}.{over && ' Nothing more can go without losing the form.'}{' '}
            <Button
              look="bare"
              className="min-h-0! px-0! font-normal"
              aria-expanded={told}
              onClick={() => setTold(!told)}
            >
              {told ? 'Fold up' : 'What is lost'}
            </Button>
          </p>
          {told && (
            <ul className="mt-1 grid gap-1 text-soft" aria-label="What is left out">
              {[...lostBy].map(([name, purposes]) => (
                <li key={name}>
                  <span className="font-semibold text-ink">{name}</span>: {purposes.join('; ')}
                </li>
              ))}
            </ul>
          )}
        </div>
      )}
      {gentle && (
        <p className="mt-1.5 text-[0.95rem] text-soft">
          Nothing firmer than medium: kinder to the hand, a little slower; full-strength colour is not reached.
        </p>
      )}
    </Section>
  );
}
