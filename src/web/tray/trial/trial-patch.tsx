import { Undo2 } from 'lucide-react';
import { useState } from 'react';
import type { Pencil, TrialStep } from '../../../contracts/index.ts';
import { usePaper } from '../../api/use-paper.ts';
import { Button, Notice } from '../../parts/index.ts';
import { pencilJobs, useAnswer } from '../../workers/index.ts';
import { KeepTrial } from './keep-trial.tsx';
import { KeptTrials } from './kept-trials.tsx';
import { type KeyedStep, PassList } from './pass-list.tsx';
import { PassPicker } from './pass-picker.tsx';
import { PatchOutcome } from './patch-outcome.tsx';

const PATCH_PX = 168;

/** A small place to stack passes on this paper and see what comes out, before the page is touched. */
export function TrialPatch({ trayId, pencils, paper }: { trayId: string; pencils: readonly Pencil[]; paper: string }) {
  const use = usePaper(trayId, paper);
  const [steps, setSteps] = useState<readonly KeyedStep[]>([]);
  const [undone, setUndone] = useState<readonly (readonly KeyedStep[])[]>([]);
  const ask = () => {
    const used = new Set(steps.flatMap((step) => ('pencil' in step ? [step.pencil] : [])));
    const own = pencils.filter(({ id }) => used.has(id)).map(use!.trayPencil);
    return pencilJobs.start('trial', { pencils: own, paper: use!.paper, steps: steps.map(plain), size: PATCH_PX });
  };
  const { value: laid, sentence: refused } = useAnswer(use ? [ask] : [], [steps, pencils, use]);
  const change = (next: readonly KeyedStep[]) => {
    setUndone([...undone, steps]);
    setSteps(next);
  };
  const undo = () => {
    setSteps(undone.at(-1) ?? []);
    setUndone(undone.slice(0, -1));
  };
  const isLaid = laid !== null && steps.length > 0 && laid.after.length === steps.length;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_minmax(15rem,20rem)] gap-6">
      <div>
        <PassPicker
          pencils={pencils}
          onPass={(step) => change([...steps, { ...step, key: (steps.at(-1)?.key ?? 0) + 1 }])}
        />
        {refused && (
          <div className="mt-3">
            <Notice kind="refused">{refused}</Notice>
          </div>
        )}
        {steps.length === 0 && (
          <p className="mt-6 max-w-md text-soft">
            Nothing is laid yet. Choose how hard, then a pencil; go on with the next on top of it. Nothing here touches
            a sheet.
          </p>
        )}
        <PassList
          steps={steps}
          laid={laid}
          pencils={pencils}
          onTakeOut={(step) => change(steps.filter(({ key }) => key !== step.key))}
        />
        {use && (
          <KeptTrials
            trayId={trayId}
            pencils={pencils}
            paper={paper}
            paperModel={use}
            onLay={(kept) => change(kept.map((step, key) => ({ ...step, key })))}
          />
        )}
      </div>
      <div className="grid content-start gap-3">
        <PatchOutcome steps={steps} laid={laid} pencils={pencils} paperModel={use} />
        <div className="flex gap-2">
          <Button className="flex-1" disabled={undone.length === 0} onClick={undo}>
            <Undo2 size={16} /> Undo
          </Button>
          <Button className="flex-1" disabled={steps.length === 0} onClick={() => change([])}>
            New paper
          </Button>
        </div>
        {isLaid && (
          <KeepTrial key={steps.map(({ key }) => key).join()} trayId={trayId} paper={paper} steps={steps.map(plain)} />
        )}
      </div>
    </div>
  );
}

function plain({ key: _key, ...step }: KeyedStep): TrialStep {
  return step as TrialStep;
}
