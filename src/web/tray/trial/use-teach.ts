import type { Pencil, TrialPatch } from '../../../contracts/index.ts';
import { type PaperModel } from '../../../pencils/index.ts';
import { useKeepTrialMutation, useStoreFitMutation } from '../../api/desk-api.ts';
import { pencilJobs } from '../../workers/index.ts';

/** A trial with the colour that really came out. */
export type SeenTrial = TrialPatch & { seen: NonNullable<TrialPatch['seen']> };

/**
 * Learns from a trial: of the hand, beside what earlier trials taught of it, or of one pencil. What is learnt is kept
 * with what the tray's swatches say, the hand apart from the pencils.
 */
export function useTeach(trayId: string, paper: string, pencils: readonly Pencil[], paperModel: PaperModel | null) {
  const [store] = useStoreFitMutation();
  const [keep] = useKeepTrialMutation();
  /**
   * @returns what takes it back
   * @throws Error with a sentence where nothing could be learnt, or what the server said
   */
  return async (trial: SeenTrial, of: 'hand' | { pencil: string }): Promise<() => Promise<void>> => {
    if (!paperModel) throw new Error('The tray is still being looked at. Try again in a moment.');
    const here = paperModel.carried ? null : paperModel.fit;
    const before = { fit: paperModel.found, learnt: here?.learnt ?? {}, pencils: here?.pencils ?? [] };
    const used = trial.steps.flatMap((step) => ('pencil' in step ? [step.pencil] : []));
    const own = pencils.filter(({ id }) => used.includes(id)).map(paperModel.trayPencil);
    const told = { steps: trial.steps, lab: trial.seen };
    if (of === 'hand') {
      const input = { paper: paperModel.paper, pencils: own, trials: [told] };
      const outcome = await pencilJobs.start('teachHand', input).outcome;
      if (outcome.kind !== 'done') throw new Error(outcome.kind === 'refused' ? outcome.sentence : 'It was stopped.');
      const learnt = { ...before.learnt };
      for (const [name, factor] of Object.entries(outcome.value)) {
        const pressure = name as keyof typeof learnt;
        learnt[pressure] = (learnt[pressure] ?? 1) * factor;
      }
      await store({ trayId, paper, fit: { ...before, learnt } }).unwrap();
    } else {
      const input = { paper: paperModel.paper, pencils: own, trial: told, pencilId: of.pencil };
      const outcome = await pencilJobs.start('teachPencil', input).outcome;
      if (outcome.kind !== 'done') throw new Error(outcome.kind === 'refused' ? outcome.sentence : 'It was stopped.');
      const known = before.pencils.find(({ pencilId }) => pencilId === of.pencil)?.fit;
      const { masstone } = own.find(({ id }) => id === of.pencil)!;
      const fit = { masstone, fills: 1, apart: LITTLE_READ, doubtful: [], ...known, ...outcome.value };
      const others = before.pencils.filter(({ pencilId }) => pencilId !== of.pencil);
      await store({ trayId, paper, fit: { ...before, pencils: [...others, { pencilId: of.pencil, fit }] } }).unwrap();
    }
    const { trayId: _tray, origin: _origin, at: _at, ...content } = trial;
    await keep({ trayId, trial: { ...content, taught: of } }).unwrap();
    return async () => {
      await store({ trayId, paper, fit: before }).unwrap();
      await keep({ trayId, trial: content }).unwrap();
    };
  };
}

/** How far off a pencil is taken to be that one trial alone taught, CIEDE2000. */
const LITTLE_READ = 2.5;
