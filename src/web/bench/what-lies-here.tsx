import { format } from 'date-fns';
import { useMemo } from 'react';
import { useRecordQuery } from '../api/desk-api.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Section } from '../parts/index.ts';
import { thingsOf } from '../../plan/index.ts';

/** What was used on a region: every finished step on it with its pencil, passes and day; what comes next where some is left. */
export function WhatLiesHere({ regionId }: { regionId: number }) {
  const { sheet, recipes } = useDesk();
  const { data: record = [] } = useRecordQuery(sheet.id);
  const here = useMemo(() => record.filter(({ regionIds }) => regionIds.includes(regionId)), [record, regionId]);
  const thing = thingsOf(sheet.plan).find(({ regionIds }) => regionIds.includes(regionId));
  const layers = thing ? (recipes.get(thing.id)?.layers.length ?? 0) : 0;
  return (
    <Section title={`What I used here: ${thing?.name ?? 'no thing yet'}`} aside={`region ${regionId}`}>
      {here.length === 0 && <p className="text-[0.95rem]">Nothing is laid here yet.</p>}
      <ol data-testid="used-here">
        {here.map(({ id, pencil, pressure, passes, finishedAt, purpose }) => (
          <li key={id} className="flex items-start gap-2 border-b border-rule py-1 text-[0.95rem]">
            <span className="h-6 w-2.5 shrink-0" style={{ background: pencil.colour }} aria-hidden />
            <span className="w-14 shrink-0 font-figure font-bold">{pencil.code}</span>
            <span className="min-w-0 flex-1">
              {pressure}, {passes === 1 ? 'once' : `${passes} times`}
              <span className="block truncate text-sm text-soft" title={purpose}>
                {purpose}
              </span>
            </span>
            <time className="text-sm whitespace-nowrap text-soft" dateTime={finishedAt}>
              {format(new Date(finishedAt), 'd MMM yyyy')}
            </time>
          </li>
        ))}
      </ol>
      {layers > here.length && (
        <p className="mt-1 text-sm text-soft">
          {here.length} of about {layers} layers.
        </p>
      )}
    </Section>
  );
}
