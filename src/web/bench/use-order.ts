import { nanoid } from 'nanoid';
import { useCallback } from 'react';
import { toast } from 'sonner';
import type { BenchState } from '../../contracts/index.ts';
import { type Rates, type RuledSteps, type SequenceAsWished, costsAt } from '../../core/bench/index.ts';
import { benchPlanFrom, openSteps, benchPlanWithSittings, stepsFinished } from '../../order/index.ts';
import { useRatesQuery, useStoreBenchMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { deskNow } from '../desk/derived-desk.ts';
import { type Desk } from '../desk/desk-context.ts';
import { pencilJobs, useJob } from '../workers/index.ts';
import { allSent, benchNow } from './table-log.ts';

/** An order is looked for so long; what is found in the first second is mostly within a few pick-ups of it. */
const PATIENCE_MS = 4000;
const NO_PAGE = { regions: [], neighbours: [] };

/** The steps of a sheet that are not done yet. */
export function stepsLeft(
  { sheet, page, recipes, laid, pencilById }: Desk,
  bench: BenchState,
  rates: Rates,
): RuledSteps {
  const hand = { pencils: pencilById, valueOf: (id: string) => laid.get(id)?.body[0] ?? 50, rates };
  return openSteps(sheet.plan, page ?? NO_PAGE, recipes, hand, bench.finished);
}

/** Works out an order for everything that is not done yet, checks and stores it. */
export function useOrder(sheetId: string) {
  const { refetch } = useRatesQuery(sheetId);
  const { now, start, cancel } = useJob<SequenceAsWished>('laying the steps out');
  const [store] = useStoreBenchMutation();
  const order = useCallback(async (): Promise<boolean> => {
    // What was done and learnt just now has to have come to the desk first.
    await allSent();
    const { data: learnt } = await refetch();
    const [desk, bench] = [deskNow(sheetId), benchNow(sheetId)];
    if (!desk || !bench) return false;
    const { sheet, pencilById } = desk;
    const rates: Rates = learnt ?? desk.rates;
    const { steps, leftOut } = stepsLeft(desk, bench, rates);
    if (steps.length === 0) {
      toast('Every step of this page is done already.');
      return false;
    }
    const { openThings, sittingMinutes, hand } = sheet.plan.bench;
    const options = {
      sittingMinutes,
      hand,
      costs: costsAt(rates),
      deadlineMs: PATIENCE_MS,
    };
    const found = await start((report) =>
      pencilJobs.start('sequenceSteps', { steps, open: openThings, options }, { report }),
    );
    if (!found) return false;
    const plan = benchPlanFrom(nanoid(), sheet, { steps, leftOut, rates }, found, pencilById);
    // Somebody may have gone on meanwhile: what was done since does not come up again.
    await allSent();
    const done = stepsFinished(plan.steps, benchNow(sheetId)?.finished ?? bench.finished);
    if (done.size === plan.steps.length) return false;
    const { error } = await store({
      sheetId,
      plan: done.size > 0 ? benchPlanWithSittings(plan.id, plan, plan.sittings, done) : plan,
    });
    if (error) toast.error(sentenceOf(error));
    return !error;
  }, [sheetId, start, store, refetch]);
  return { now, order, cancel };
}
