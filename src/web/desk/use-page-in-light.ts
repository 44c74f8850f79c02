import { useMemo } from 'react';
import type { SheetState } from '../../contracts/index.ts';
import { type FieldSamples } from '../../core/light/index.ts';
import { formedThings, withLight } from '../../plan/derive/index.ts';
import { lightingOf } from '../../plan/index.ts';
import { PRIORITY, pageJobs, useAnswer } from '../workers/index.ts';
import { type PageRegions } from './desk-context.ts';

const UNKNOWN: ReadonlyMap<number, FieldSamples> = new Map();

/**
 * A page whose regions know what light does on them, as the sheet's plan has it; while a light is changed, as it was
 * before. What could not be worked out stays unknown.
 * @returns null until it is known for the first time
 */
export function usePageInLight(sheet: SheetState | undefined, page: PageRegions | null): PageRegions | null {
  const key = page?.from ?? '';
  const plan = sheet?.plan;
  const things = useMemo(() => (plan && page ? formedThings(plan, page) : []), [plan, page]);
  const lighting = plan ? lightingOf(plan) : null;
  const ask = () =>
    pageJobs.start('fieldSamples', { key, things, lighting: lighting! }, { priority: PRIORITY.waitedFor });
  const { value, sentence } = useAnswer(page && lighting ? [ask] : [], [key, things, lighting]);
  const samples = value?.key === key ? value.samples : sentence !== null ? UNKNOWN : null;
  return useMemo(() => page && samples && withLight(page, samples), [page, samples]);
}
