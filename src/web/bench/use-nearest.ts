import { useMemo } from 'react';
import { type Pencil, isHere } from '../../contracts/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { pencilJobs, useAnswer } from '../workers/index.ts';

/** A pencil that comes near another on this paper. */
export interface Near {
  pencil: Pencil;
  /** CIEDE2000 between the two at a medium press. */
  apart: number;
  /** How it differs, in words. */
  differs: string;
}

const HOW_MANY = 5;

/** The pencils of the tray that come nearest to one of them on this paper; null until that is known. */
export function useNearest(pencilId: string | null): Near[] | null {
  const { pencils, pencilById, paperModel, laid } = useDesk();
  const own = pencilId ? pencilById.get(pencilId) : undefined;
  const target = pencilId ? laid.get(pencilId)?.body : undefined;
  const ask = () => {
    const others = pencils.filter((pencil) => pencil.id !== pencilId && isHere(pencil)).map(paperModel.trayPencil);
    const look = { target: target!, of: paperModel.trayPencil(own!), pressure: 'medium', limit: HOW_MANY } as const;
    return pencilJobs.start('near', { ...look, pencils: others, paper: paperModel.paper });
  };
  const found = useAnswer(own && target ? [ask] : [], [own, target, pencils, paperModel], { fresh: true }).value;
  return useMemo(
    () =>
      found &&
      found.singles.map(({ id, deltaE, differs }) => ({ pencil: pencilById.get(id)!, apart: deltaE, differs })),
    [found, pencilById],
  );
}
