import { useMemo, useState } from 'react';
import type { BenchPlan } from '../../contracts/index.ts';
import { about, afterEvenings, thingsInWords } from '../../order/index.ts';
import { Select } from '../parts/index.ts';

/** What becomes of the page in fewer evenings than it takes: what is finished by then and what is left out. */
export function FewerEvenings({ benchPlan, doneIds }: { benchPlan: BenchPlan; doneIds: ReadonlySet<string> }) {
  const whole = benchPlan.sittings.filter(({ steps }) => steps.some((id) => !doneIds.has(id))).length;
  const [wished, setWished] = useState<number | null>(null);
  const evenings = Math.min(wished ?? whole, whole);
  const nameOf = useMemo(() => new Map(benchPlan.things.map(({ id, name }) => [id, name])), [benchPlan]);
  const after = useMemo(() => afterEvenings(benchPlan, doneIds, evenings), [benchPlan, doneIds, evenings]);
  if (whole < 2) return null;
  const inWords = (ids: readonly string[]) => thingsInWords(ids.map((id) => nameOf.get(id) ?? ''));
  return (
    <>
      <Select
        label="How many evenings there are"
        value={String(evenings)}
        options={Array.from({ length: whole }, (_, k) => {
          const count = whole - k;
          return { value: String(count), label: count === whole ? `all ${whole} sittings` : onlySoMany(count) };
        })}
        onChange={(value) => setWished(Number(value))}
      />
      {evenings < whole && (
        <div className="grid gap-1 text-[0.95rem]" role="status">
          <dl className="grid gap-1">
            <Standing name="Finished by then" words={inWords(after.finished)} />
            <Standing name="Left half done" words={inWords(after.begun)} />
            <Standing name="Left out" words={inWords(after.untouched)} />
          </dl>
          <p className="text-sm text-soft">{about(after.minutesLeft)} of laying are left out.</p>
        </div>
      )}
    </>
  );
}

function onlySoMany(count: number): string {
  return count === 1 ? 'only one sitting' : `only ${count} sittings`;
}

function Standing({ name, words }: { name: string; words: string }) {
  return (
    <div>
      <dt className="inline text-soft">{name}: </dt>
      <dd className="inline">{words || 'nothing'}</dd>
    </div>
  );
}
