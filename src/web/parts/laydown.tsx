import clsx from 'clsx';
import { LRUCache } from 'lru-cache';
import { useEffect, useState } from 'react';
import type { Pencil } from '../../contracts/index.ts';
import { type Paper } from '../../core/laydown/index.ts';
import { type TrayPencil } from '../../core/tray/index.ts';
import { type PaperModel } from '../../pencils/index.ts';
import { useAppSelector } from '../app/store.ts';
import { type Outcome, type OutputOf, type PencilJobs, pencilJobs } from '../workers/index.ts';
import { PixelCanvas } from './pixel-canvas.tsx';

type Strip = OutputOf<PencilJobs['strip']>;

/** Strips already computed, by what they were computed from. */
const strips = new LRUCache<string, Promise<Outcome<Strip>>>({ max: 1500 });

interface Props {
  pencil: Pencil;
  /** The paper it is laid on, as far as that is known; null while it is not. */
  paperModel: PaperModel | null;
  /** CSS pixels. */
  width: number;
  height: number;
  className?: string;
}

/** A pencil as its computed laydown on the paper, from a whisper at the left to burnished at the right. Stands beside its code. */
export function Laydown({ pencil, paperModel, width, height, className }: Props) {
  const lamp = useAppSelector((state) => state.atTheDesk.lamp);
  const [strip, setStrip] = useState<Strip | null>(null);
  const { id } = pencil;
  const laid = paperModel && JSON.stringify([paperModel.trayPencil(pencil), paperModel.paper]);
  useEffect(() => {
    if (!laid) return;
    let wanted = true;
    const key = [laid, width, height, lamp ?? ''].join(' ');
    let made = strips.get(key);
    if (!made) {
      const [own, on] = JSON.parse(laid) as [TrayPencil, Paper];
      made = pencilJobs.start('strip', { pencil: own, paper: on, width, height, shift: shiftOf(id), lamp }).outcome;
      strips.set(key, made);
    }
    void made.then((outcome) => {
      if (outcome.kind !== 'done') strips.delete(key);
      else if (wanted) setStrip(outcome.value);
    });
    return () => void (wanted = false);
  }, [laid, id, width, height, lamp]);
  return (
    <span className={clsx('block overflow-hidden bg-white', className)} style={{ width, height }}>
      <PixelCanvas pixels={strip} className="block h-full w-full" />
    </span>
  );
}

/** The same pencil always shows the same grain. */
function shiftOf(id: string): number {
  return [...id].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 251, 7);
}
