import { useMemo } from 'react';
import { type Thing, isHere } from '../../contracts/index.ts';
import { type Lab } from '../../core/colour/index.ts';
import { type PageSummary } from '../../core/palette/index.ts';
import { type Family } from '../../core/recipe/index.ts';
import { giveFamilies } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { type OutputOf, type PencilJobs, pencilJobs, useAnswer } from '../workers/index.ts';

export type AboutFamily = OutputOf<PencilJobs['family']>;

/** Changes a thing's family. @param label what the change is called in undo */
export type SetFamily = (label: string, next: Family) => void;

export function useSetFamily({ id, name }: Pick<Thing, 'id' | 'name'>): SetFamily {
  const change = usePlanChange(useDesk().sheet.id, 'wheel');
  return (label, next) => void change(`${name}: ${label}`, (plan) => giveFamilies(plan, { [id]: next }));
}

/** How a thing's family does and what could take its places; null until it is worked out. */
export function useFamily(
  { id, family }: Pick<Thing, 'id' | 'family'>,
  summary: PageSummary | null,
  colours: ReadonlyMap<string, Lab>,
): AboutFamily | null {
  const { sheet, pencils, paperModel } = useDesk();
  const { wheel } = sheet.plan.wheel;
  const neighbours = useMemo(() => neighboursOf(id, summary, colours), [id, summary, colours]);
  const ask = () => {
    const some = pencils
      .filter((pencil) => isHere(pencil) || family!.pencils.includes(pencil.id))
      .map(paperModel.trayPencil);
    return pencilJobs.start('family', { family: family!, pencils: some, paper: paperModel.paper, neighbours, wheel });
  };
  return useAnswer(family ? [ask] : [], [family, pencils, paperModel, neighbours, wheel]).value;
}

/** The colours of what a thing borders on. */
function neighboursOf(id: string, summary: PageSummary | null, colours: ReadonlyMap<string, Lab>): Lab[] {
  const others = (summary?.borders ?? []).flatMap(({ a, b }) => (a === id ? [b] : b === id ? [a] : []));
  return others.map((other) => colours.get(other)).filter((lab) => lab !== undefined);
}
