import { useMemo, useState } from 'react';
import type { BenchPlan } from '../../contracts/index.ts';
import { Button, Choice } from '../parts/index.ts';
import { about } from '../../order/index.ts';

/** So many rows are shown at once. */
const ROWS = 8;

/** Minutes that are left, by thing or by pencil, the most first. */
export function WhatIsLeft({
  benchPlan,
  doneIds,
  onLost,
}: {
  benchPlan: BenchPlan;
  doneIds: ReadonlySet<string>;
  /** A pencil cannot be found. */
  onLost(pencilId: string): void;
}) {
  const [by, setBy] = useState<'thing' | 'pencil'>('thing');
  const [all, setAll] = useState(false);
  const rows = useMemo(() => {
    const left = benchPlan.steps.filter(({ id }) => !doneIds.has(id));
    const minutes = new Map<string, number>();
    for (const step of left) {
      const key = by === 'thing' ? step.thingId : step.pencil;
      minutes.set(key, (minutes.get(key) ?? 0) + step.minutes);
    }
    const nameOf = new Map(benchPlan.things.map(({ id, name }) => [id, name]));
    const pencilOf = new Map(benchPlan.pencils.map((pencil) => [pencil.id, pencil]));
    return [...minutes]
      .map(([id, sum]) => ({
        id,
        sum,
        name: by === 'thing' ? nameOf.get(id) : pencilOf.get(id)?.code,
        colour: pencilOf.get(id)?.colour,
      }))
      .sort((p, q) => q.sum - p.sum);
  }, [benchPlan, doneIds, by]);
  const most = rows[0]?.sum ?? 1;
  return (
    <div className="grid gap-2">
      <Choice
        label="What is left"
        value={by}
        options={[
          { value: 'thing', label: 'by thing' },
          { value: 'pencil', label: 'by pencil' },
        ]}
        onChange={(value) => setBy(value as 'thing' | 'pencil')}
      />
      <ul className="text-[0.95rem]">
        {rows.slice(0, all ? undefined : ROWS).map(({ id, sum, name, colour }) => (
          <li key={id} className="flex min-h-8 items-center gap-2 border-b border-rule">
            {colour && <span className="h-5 w-2.5 shrink-0" style={{ background: colour }} aria-hidden />}
            <span className={by === 'pencil' ? 'w-16 font-figure font-bold' : 'min-w-0 flex-1 truncate'}>{name}</span>
            <span className="h-2 shrink-0 bg-ink" style={{ width: 70 * (sum / most) }} aria-hidden />
            <span className="ml-auto text-sm whitespace-nowrap text-soft">{about(sum)}</span>
            {by === 'pencil' && (
              <Button
                look="bare"
                className="min-h-8! px-1! text-sm!"
                onClick={() => onLost(id)}
                aria-label={`${name} is lost or used up`}
              >
                lost
              </Button>
            )}
          </li>
        ))}
      </ul>
      {rows.length > ROWS && (
        <Button look="bare" className="justify-self-start px-0!" onClick={() => setAll(!all)}>
          {all ? 'Show fewer' : `Show all ${rows.length}`}
        </Button>
      )}
    </div>
  );
}
