import { useMemo } from 'react';
import { type Lab } from '../../core/colour/index.ts';
import { type PageSummary } from '../../core/palette/index.ts';
import { bodyOf } from '../../core/recipe/index.ts';
import { familiesOf } from '../../plan/index.ts';
import { summariseSheet } from '../../plan/derive/index.ts';
import { useDesk } from '../desk/desk-context.ts';

/** The page as a palette must know it; null until its regions are there. */
export function usePageSummary(): PageSummary | null {
  const { sheet, page, grounds } = useDesk();
  const { plan } = sheet;
  return useMemo(() => (page ? summariseSheet(plan, page, grounds) : null), [plan, page, grounds]);
}

/** The colour of each thing that has one, by id: what lies on the paper, or else what its family comes to. */
export function usePageColours(summary: PageSummary | null): ReadonlyMap<string, Lab> {
  const { sheet, laid } = useDesk();
  const families = familiesOf(sheet.plan);
  return useMemo(() => {
    const colours = new Map<string, Lab>();
    for (const { id, laid: own } of summary?.things ?? []) {
      const planned = families[id] && laid.get(bodyOf(families[id]))?.body;
      const lab = own ?? planned;
      if (lab) colours.set(id, lab);
    }
    return colours;
  }, [summary, families, laid]);
}
