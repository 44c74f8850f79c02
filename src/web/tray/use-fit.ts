import type { NewTrayFit } from '../../contracts/index.ts';
import { type CardFit, paperById } from '../../core/laydown/index.ts';
import { readingsOf } from '../../pencils/index.ts';
import { useLazyPencilsQuery, useLazySwatchesOnQuery, useStoreFitMutation } from '../api/desk-api.ts';
import { pencilJobs, useJob } from '../workers/index.ts';

/** Fits a tray to all its swatches on a paper, and keeps what is found. */
export function useFit(trayId: string, paper: string) {
  const [fetchSwatches] = useLazySwatchesOnQuery();
  const [fetchPencils] = useLazyPencilsQuery();
  const [store] = useStoreFitMutation();
  const { now, start, cancel } = useJob<CardFit>('looking at the swatches');
  /** @throws what the server said, where it could not be asked or would not keep it; null when it was stopped */
  const fit = async (): Promise<NewTrayFit | null> => {
    const [pencils, swatches] = await Promise.all([
      fetchPencils(trayId).unwrap(),
      fetchSwatches({ trayId, paper }).unwrap(),
    ]);
    const { pencils: own, read, overlays } = readingsOf(pencils, swatches);
    const input = { paper: paperById(paper), pencils: read, overlays };
    const found = await start((report) => pencilJobs.start('fitSwatches', input, { report }));
    if (!found) return null;
    const content = {
      fit: found.paper,
      learnt: {},
      pencils: found.pencils.flatMap((each, i) => (each ? [{ pencilId: own[i]!.id, fit: each }] : [])),
    };
    await store({ trayId, paper, fit: content }).unwrap();
    return content;
  };
  return { now, fit, cancel };
}
