import { useMemo } from 'react';
import type { BenchState } from '../../contracts/index.ts';
import { useDesk } from './desk-context.ts';
import { laidLayers } from '../../order/index.ts';

/** How many layers of each thing lie on the paper once these steps are done; without a plan, all of them. */
export function useLaidByDone({ plan, done }: Pick<BenchState, 'plan' | 'done'>): Readonly<Record<string, number>> {
  const { recipes } = useDesk();
  return useMemo(() => {
    if (!plan) return {};
    const doneIds = new Set(done.map((entry) => entry.stepId));
    return Object.fromEntries(
      [...recipes].map(([id, recipe]) => [id, laidLayers(id, recipe.layers, doneIds, plan.steps)]),
    );
  }, [plan, done, recipes]);
}
