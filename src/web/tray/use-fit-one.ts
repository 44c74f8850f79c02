import type { Pencil } from '../../contracts/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { readingsOf } from '../../pencils/index.ts';
import { useLazySwatchesOnQuery, useStoreFitMutation } from '../api/desk-api.ts';
import { usePaper } from '../api/use-paper.ts';
import { pencilJobs } from '../workers/index.ts';

/** Fits one pencil to its swatches on a paper as that is known so far, and keeps it with what was fitted before. */
export function useFitOne(pencil: Pencil, paper: string) {
  const { trayId } = pencil;
  const use = usePaper(trayId, paper);
  const [fetchSwatches] = useLazySwatchesOnQuery();
  const [store] = useStoreFitMutation();
  /** @returns how far model and readings lie apart, or null while it was read too little */
  return async (): Promise<number | null> => {
    if (!use) return null;
    const [read] = readingsOf([pencil], await fetchSwatches({ trayId, paper }).unwrap()).read;
    if (!read) return null;
    const input = { paper: paperById(paper), found: use.found, pencil: read };
    const outcome = await pencilJobs.start('fitOne', input).outcome;
    if (outcome.kind !== 'done') return null;
    const before = use.carried ? [] : (use.fit?.pencils ?? []);
    const others = before.filter(({ pencilId }) => pencilId !== pencil.id);
    const learnt = use.carried ? {} : (use.fit?.learnt ?? {});
    const content = { fit: use.found, learnt, pencils: [...others, { pencilId: pencil.id, fit: outcome.value }] };
    await store({ trayId, paper, fit: content }).unwrap();
    return outcome.value.apart;
  };
}
