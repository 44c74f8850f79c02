import type { Pencil } from '../../../contracts/index.ts';
import { wordsFor } from '../../../core/colour/index.ts';
import { beliefOfAll } from '../../../core/laydown/index.ts';
import { type PaperModel } from '../../../pencils/index.ts';
import { BELIEF_WORDS, PixelCanvas, ToothGauge } from '../../parts/index.ts';
import { type OutputOf, type PencilJobs } from '../../workers/index.ts';
import { type KeyedStep } from './pass-list.tsx';

interface Props {
  steps: readonly KeyedStep[];
  laid: OutputOf<PencilJobs['trial']> | null;
  pencils: readonly Pencil[];
  paperModel: PaperModel | null;
}

/** What the passes so far come to: the patch, its colour, the tooth left, and how sure that is. */
export function PatchOutcome({ steps, laid, pencils, paperModel }: Props) {
  const last = laid && laid.after.length === steps.length ? laid.after.at(-1) : null;
  return (
    <>
      <div className="border border-rule bg-leaf p-2">
        <PixelCanvas
          pixels={laid?.picture ?? null}
          label={last ? `The patch: ${wordsFor(last.lab)}` : 'Bare paper'}
          className="block w-full [image-rendering:auto]"
        />
      </div>
      {last && (
        <>
          <p>
            <span className="font-semibold">{wordsFor(last.lab)}</span>
            <span className="block font-figure text-[0.92rem] text-soft">
              L* {last.lab[0].toFixed(0)} a* {last.lab[1].toFixed(0)} b* {last.lab[2].toFixed(0)}
            </span>
          </p>
          <p className="flex items-center gap-2 text-[0.95rem]">
            <ToothGauge left={last.toothLeft} /> {Math.round(100 * last.toothLeft)}% of the tooth left
          </p>
          <p className="text-[0.92rem] text-soft">{paperModel && howSure(steps, pencils, paperModel)}</p>
        </>
      )}
    </>
  );
}

/** What the colours of a trial rest on, and how far off that may leave them. */
function howSure(steps: readonly KeyedStep[], pencils: readonly Pencil[], paperModel: PaperModel): string {
  const ids = new Set(steps.flatMap((step) => ('pencil' in step ? [step.pencil] : [])));
  const own = pencils.filter(({ id }) => ids.has(id));
  const beliefs = own.map(paperModel.beliefIn);
  const belief = beliefOfAll(beliefs);
  if (!belief) return '';
  const alike = beliefs.every(({ ground }) => ground === belief.ground);
  const which = own.length === 1 ? 'it is' : alike ? 'all are' : 'the least sure of them is';
  return `What comes out may lie about ${belief.apart.toFixed(1)} from this: ${which} ${BELIEF_WORDS[belief.ground]}.`;
}
