import { useCallback, useEffect, useRef, useState } from 'react';
import { useStoreRegionsMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { useDesk } from '../desk/desk-context.ts';
import { pictureUrl } from '../desk/picture-url.ts';
import { regionsKey } from '../../plan/derive/index.ts';
import { type JobUnderWay, pageJobs } from '../workers/index.ts';

/** How far the finding of regions is. */
export type FindingState =
  | { state: 'idle' }
  | { state: 'working'; share: number; doing: string }
  /** What was found is on its way to the store: there is nothing left to stop. */
  | { state: 'keeping' }
  | { state: 'stopped' }
  | { state: 'refused'; sentence: string };

const IDLE: FindingState = { state: 'idle' };
const BEGINNING: FindingState = { state: 'working', share: 0, doing: 'reading the page' };

/** Finds the regions of the sheet on the desk whenever none hold for its present size, and stores them. */
export function useRegionFinding() {
  const { sheet, pixelsPerMm } = useDesk();
  const [finding, setFinding] = useState<FindingState>(IDLE);
  const [store] = useStoreRegionsMutation();
  const job = useRef<JobUnderWay<unknown> | null>(null);
  const from = regionsKey(sheet.picture.hash, sheet.picture.width, sheet.plan.page.widthMm, sheet.plan.finding);
  const { finding: wishes } = sheet.plan;
  const sheetId = sheet.id;
  const picture = pictureUrl(sheet.id, sheet.picture.hash);
  const colours = sheet.coloursHash && `/api/sheets/${sheet.id}/colours/${sheet.coloursHash}`;

  const start = useCallback(async () => {
    job.current?.cancel();
    const input = { key: from, picture, colours, wishes: { pixelsPerMm, ...wishes } };
    const report = (share: number, doing: string) => {
      if (job.current === found) setFinding({ state: 'working', share: 0.95 * share, doing });
    };
    const found = pageJobs.start('findRegions', input, { report });
    job.current = found;
    const outcome = await found.outcome;
    if (job.current !== found) return;
    if (outcome.kind === 'cancelled') return setFinding({ state: 'stopped' });
    if (outcome.kind === 'refused') return setFinding({ state: 'refused', sentence: outcome.sentence });
    setFinding({ state: 'keeping' });
    const form = new FormData();
    form.set('from', from);
    form.set('index', new Blob([outcome.value]), 'index.gz');
    const result = await store({ sheetId, form });
    setFinding(result.error ? { state: 'refused', sentence: sentenceOf(result.error) } : IDLE);
    // The key stands for the wishes.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [picture, colours, pixelsPerMm, from, sheetId, store]);

  const missing = sheet.plan.regionsFrom !== from;
  useEffect(() => {
    if (!missing) return;
    // It says how far it is only once the worker answers.
    // oxlint-disable-next-line react/set-state-in-effect
    void start();
    return () => {
      job.current?.cancel();
      job.current = null;
      // Regions that hold turned up meanwhile, or others are wanted now.
      setFinding(IDLE);
    };
  }, [missing, start]);

  return {
    finding: missing && finding.state === 'idle' ? BEGINNING : finding,
    start() {
      setFinding(IDLE);
      void start();
    },
    stop: () => job.current?.cancel(),
  };
}
