import { gzipSync } from 'fflate';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useStoreRegionsMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { useDesk } from '../desk/desk-context.ts';
import { pictureUrl } from '../desk/load-page.ts';
import { regionsKey } from '../../planning/index.ts';
import { type Job, pageWorker, startJob } from '../workers/index.ts';

/** How far the finding of regions is. */
export type FindingState =
  | { state: 'idle' }
  | { state: 'working'; share: number; doing: string }
  | { state: 'stopped' }
  | { state: 'refused'; sentence: string };

/** Finds the regions of the sheet on the desk whenever none hold for its present size, and stores them. */
export function useRegionFinding() {
  const { sheet, pixelsPerMm } = useDesk();
  const [finding, setFinding] = useState<FindingState>({ state: 'idle' });
  const [store] = useStoreRegionsMutation();
  const job = useRef<Job<unknown> | null>(null);
  const from = regionsKey(sheet.picture.hash, sheet.picture.width, sheet.plan.page.widthMm, sheet.plan.finding);
  const { finding: wishes } = sheet.plan;
  const sheetId = sheet.id;
  const url = pictureUrl(sheet.id, sheet.picture.hash);
  const coloursUrl = sheet.coloursHash && `/api/sheets/${sheet.id}/colours/${sheet.coloursHash}`;

  const start = useCallback(async () => {
    job.current?.cancel();
    setFinding({ state: 'working', share: 0, doing: 'reading the page' });
    const found = startJob(
      pageWorker,
      (jobId, report) => pageWorker.find(jobId, url, coloursUrl, { pixelsPerMm, ...wishes }, report),
      (share, doing) =>
        setFinding((now) => (now.state === 'working' ? { state: 'working', share: 0.95 * share, doing } : now)),
    );
    job.current = found;
    const outcome = await found.outcome;
    if (job.current !== found) return;
    if (outcome.kind === 'cancelled') return setFinding({ state: 'stopped' });
    if (outcome.kind === 'refused') return setFinding({ state: 'refused', sentence: outcome.sentence });
    setFinding({ state: 'working', share: 0.97, doing: 'keeping the regions' });
    const { meta, labels } = outcome.value;
    const packed = gzipSync(new Uint8Array(labels.buffer, labels.byteOffset, labels.byteLength), { level: 4 });
    const form = new FormData();
    form.set('meta', JSON.stringify({ ...meta, from }));
    form.set('labels', new Blob([packed as Uint8Array<ArrayBuffer>]), 'labels.gz');
    const result = await store({ sheetId, form });
    setFinding(result.error ? { state: 'refused', sentence: sentenceOf(result.error) } : { state: 'idle' });
    // The key stands for the wishes.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [url, coloursUrl, pixelsPerMm, from, sheetId, store]);

  const missing = sheet.plan.regionsFrom !== from;
  useEffect(() => {
    if (!missing) return;
    const soon = setTimeout(() => void start(), 0);
    return () => {
      clearTimeout(soon);
      job.current?.cancel();
      job.current = null;
      // Regions that hold turned up meanwhile, or others are wanted now.
      setFinding({ state: 'idle' });
    };
  }, [missing, start]);

  return { finding, start, stop: () => job.current?.cancel() };
}
