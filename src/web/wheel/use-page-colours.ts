import { useMemo } from 'react';
import { type Lab, oklchOfLab } from '../../core/colour/index.ts';
import { type PageSummary } from '../../core/palette/index.ts';
import { bodyOf } from '../../core/recipe/index.ts';
import { familiesOf } from '../../plan/index.ts';
import { summariseSheet } from '../../plan/derive/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { type PageColour } from './wheel.tsx';

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

/** The colours of the page as marks on the wheel, the largest first. */
export function usePageMarks(summary: PageSummary | null, colours: ReadonlyMap<string, Lab>): PageColour[] {
  return useMemo(() => {
    const things = (summary?.things ?? []).filter(({ id }) => colours.has(id));
    const area = things.reduce((sum, { areaMm2 }) => sum + areaMm2, 0) || 1;
    // Things of one colour are one mark.
    const byColour = new Map<string, { lab: Lab; share: number; names: string[] }>();
    for (const { id, name, areaMm2 } of things) {
      const lab = colours.get(id)!;
      const known = byColour.get(lab.join()) ?? { lab, share: 0, names: [] };
      byColour.set(lab.join(), { lab, share: known.share + areaMm2 / area, names: [...known.names, name] });
    }
    return [...byColour.values()]
      .map(({ lab, share, names }): PageColour => {
        const { c, h } = oklchOfLab(lab);
        return { lab, hue: h, chroma: c, share, says: `${names.join(', ')}: ${(100 * share).toFixed(1)}%` };
      })
      .sort((p, q) => q.share - p.share);
  }, [summary, colours]);
}
