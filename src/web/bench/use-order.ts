import { nanoid } from 'nanoid';
import { useCallback, useEffect, useRef } from 'react';
import { toast } from 'sonner';
import type { BenchState } from '../../contracts/index.ts';
import { type Rates, type RuledSteps, type Sequence, costsAt } from '../../core/bench/index.ts';
import { benchPlanFrom, openSteps, benchPlanWithSittings, stepsFinished } from '../../order/index.ts';
import { useRatesQuery, useStoreBenchMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { type Desk, useDesk } from '../desk/desk-context.ts';
import { pencilWorker, useJob } from '../workers/index.ts';
import { allSent } from './log-queue.ts';

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
export function useOrder(bench: BenchState) {
  const desk = useDesk();
  const { refetch } = useRatesQuery(desk.sheet.id);
  const { now, start, cancel } = useJob<Sequence>(pencilWorker, 'laying the steps out');
  const [store] = useStoreBenchMutation();
  const latest = useRef({ desk, bench });
  useEffect(() => void (latest.current = { desk, bench }), [desk, bench]);
  const order = useCallback(async (): Promise<boolean> => {
    // What was changed, done and learnt just now has to have come to the desk first.
    await allSent();
    const { data: learnt } = await refetch();
    await new Promise((settled) => setTimeout(settled, 0));
    const { desk: onDesk, bench: there } = latest.current;
    const known: Rates = learnt ?? onDesk.rates;
    const { sheet, pencilById } = onDesk;
    const { steps, leftOut } = stepsLeft(onDesk, there, known);
    if (steps.length === 0) {
      toast('Every step of this page is done already.');
      return false;
    }
    const { openThings, sittingMinutes, hand } = sheet.plan.bench;
    const costs = costsAt(known);
    const options = { openThings, sittingMinutes, hand, costs, deadlineMs: PATIENCE_MS };
    const found = await start((jobId, report) => pencilWorker.sequence(jobId, steps, options, report));
    if (!found) return false;
    const ruled = { steps, leftOut, rates: known };
    const plan = benchPlanFrom(nanoid(), sheet, ruled, found, pencilById);
    // Somebody may have gone on meanwhile: what was done since does not come up again.
    await allSent();
    await new Promise((settled) => setTimeout(settled, 0));
    const done = stepsFinished(plan.steps, latest.current.bench.finished);
    if (done.size === plan.steps.length) return false;
    const { error } = await store({
      sheetId: sheet.id,
      plan: done.size > 0 ? benchPlanWithSittings(plan.id, plan, plan.sittings, done) : plan,
    });
    if (error) toast.error(sentenceOf(error));
    return !error;
  }, [start, store, refetch]);
  return { now, order, cancel };
}
