import { Trash2 } from 'lucide-react';
import type { Pencil, TrialStep } from '../../../contracts/index.ts';
import { hexOfLab, wordsFor } from '../../../core/colour/index.ts';
import { toolById } from '../../../core/laydown/index.ts';
import { type OutputOf, type PencilJobs } from '../../workers/index.ts';

/** A pass of the patch, with a key of its own while it is worked on. */
export type KeyedStep = TrialStep & { key: number };

interface Props {
  steps: readonly KeyedStep[];
  /** What they come to; null until it is known. */
  laid: OutputOf<PencilJobs['trial']> | null;
  pencils: readonly Pencil[];
  onTakeOut(step: KeyedStep): void;
}

/** The passes of a trial patch in order, each with what stands after it and what there is to say of it. */
export function PassList({ steps, laid, pencils, onTakeOut }: Props) {
  const nameOf = (step: TrialStep) => {
    if ('tool' in step) return toolById(step.tool).name;
    const pencil = pencils.find(({ id }) => id === step.pencil);
    return pencil ? `${pencil.code} ${pencil.ownName || pencil.name}` : '';
  };
  return (
    <ol className="mt-3 grid gap-1.5" aria-label="Passes of the trial patch">
      {steps.map((step, i) => {
        const here = laid?.after[i];
        return (
          <li key={step.key} className="flex items-start gap-3 bg-leaf p-2">
            <span
              className="h-11 w-16 shrink-0 border border-rule"
              style={{ background: here ? hexOfLab(here.lab) : undefined }}
              aria-hidden
            />
            <span className="min-w-0 flex-1 text-[0.95rem] leading-snug">
              <span className="font-semibold">{nameOf(step)}</span>
              {!('tool' in step && toolById(step.tool).waits) && `, ${String(step.pressure)}`}
              {here && (
                <span className="block text-soft">
                  {wordsFor(here.lab)}, {Math.round(100 * here.specks)}% specks, {Math.round(100 * here.toothLeft)}% of
                  the tooth left
                </span>
              )}
              {laid?.remarks[i]?.map((remark) => (
                <span key={remark} className="hatched-edge mt-1 block pl-2 text-[0.88rem]">
                  {remark}
                </span>
              ))}
            </span>
            <button
              type="button"
              aria-label={`Take pass ${i + 1} out`}
              className="flex h-9 w-9 shrink-0 items-center justify-center hover:bg-card"
              onClick={() => onTakeOut(step)}
            >
              <Trash2 size={16} />
            </button>
          </li>
        );
      })}
    </ol>
  );
}
