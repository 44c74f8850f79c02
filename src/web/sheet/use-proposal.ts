import { useEffect, useRef, useState } from 'react';
import type { Answer, Proposal } from '../../core/things/index.ts';
import { thingsOf } from '../../plan/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { type JobUnderWay, pageJobs } from '../workers/index.ts';

export type ProposalState =
  | { state: 'working'; share: number; doing: string; proposal: Proposal | null }
  | { state: 'there'; proposal: Proposal }
  | { state: 'refused'; sentence: string; proposal: null };

/** Things proposed for the regions in none, worked out anew with every answer; the last proposal stays meanwhile. */
export function useProposal(answers: readonly Answer[], asked: readonly string[]): ProposalState {
  const { sheet, page } = useDesk();
  const [now, setNow] = useState<ProposalState>({ state: 'working', share: 0, doing: 'looking', proposal: null });
  const job = useRef<JobUnderWay<unknown> | null>(null);
  const { regions } = sheet.plan;
  const things = thingsOf(sheet.plan);
  useEffect(() => {
    if (!page) return;
    const without = Object.entries(regions).flatMap(([id, { use }]) => (use === 'not to colour' ? [Number(id)] : []));
    const report = (share: number, doing: string) =>
      setNow((last) => (last.state === 'working' ? { state: 'working', share, doing, proposal: last.proposal } : last));
    const input = { key: page.from, options: { things, without, answers, asked } };
    const started = pageJobs.start('proposeThings', input, { report });
    job.current = started;
    void started.outcome.then((outcome) => {
      if (job.current !== started) return;
      if (outcome.kind === 'done') setNow({ state: 'there', proposal: outcome.value });
      if (outcome.kind === 'refused') setNow({ state: 'refused', sentence: outcome.sentence, proposal: null });
    });
    return () => {
      job.current = null;
      started.cancel();
    };
  }, [page, things, regions, answers, asked]);
  return now;
}
