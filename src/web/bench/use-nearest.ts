import { useEffect, useState } from 'react';
import { type Pencil, isHere } from '../../contracts/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { pencilWorker } from '../workers/index.ts';

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
  const { pencils, pencilById, use, laid } = useDesk();
  const [found, setFound] = useState<{ of: string; near: Near[] } | null>(null);
  useEffect(() => {
    const own = pencilId ? pencilById.get(pencilId) : undefined;
    const target = pencilId ? laid.get(pencilId)?.body : undefined;
    if (!own || !target) return;
    let wanted = true;
    const others = pencils.filter((pencil) => pencil.id !== own.id && isHere(pencil)).map(use.trayPencil);
    void pencilWorker.near(target, use.trayPencil(own), others, use.paper, 'medium', HOW_MANY).then(({ singles }) => {
      if (!wanted) return;
      const near = singles.map(({ id, deltaE, differs }) => ({ pencil: pencilById.get(id)!, apart: deltaE, differs }));
      setFound({ of: own.id, near });
    });
    return () => void (wanted = false);
  }, [pencilId, pencils, pencilById, use, laid]);
  return found && found.of === pencilId ? found.near : null;
}
