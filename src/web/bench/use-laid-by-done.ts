import { useMemo } from 'react';
import type { BenchState } from '../../contracts/index.ts';
import { useDesk } from '../desk/desk-context.ts';

/** How many layers of each thing lie on the paper once these steps are done; without a plan, all of them. */
export function useLaidByDone({ plan, done }: BenchState): Readonly<Record<string, number>> {
  const { recipes } = useDesk();
  return useMemo(() => {
    if (!plan) return {};
    const doneIds = new Set(done.map((entry) => entry.stepId));
    return Object.fromEntries(
      [...recipes].map(([id, recipe]) => [id, laidLayers(id, recipe.layers, doneIds, plan.steps)]),
    );
  }, [plan, done, recipes]);
}

/** Layers up to the last one that is done; layers of an earlier plan are not among this plan's steps and count as laid. */
function laidLayers(
  thingId: string,
  layers: readonly { id: string }[],
  doneIds: ReadonlySet<string>,
  steps: readonly { id: string; thingId: string }[],
): number {
  const open = new Set(steps.flatMap((step) => (step.thingId === thingId && !doneIds.has(step.id) ? [step.id] : [])));
  const first = layers.findIndex((layer) => open.has(`${thingId}/${layer.id}`));
  return first < 0 ? layers.length : first;
}
