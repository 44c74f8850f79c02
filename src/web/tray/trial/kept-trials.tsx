import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import type { Pencil, TrialPatch, TrialStep } from '../../../contracts/index.ts';
import { type Lab, deltaE2000, hexOfLab } from '../../../core/colour/index.ts';
import { type PaperModel } from '../../../pencils/index.ts';
import { useKeepTrialMutation, usePutTrialAwayMutation, useTrialsQuery } from '../../api/desk-api.ts';
import { sentenceOf } from '../../api/sentence.ts';
import { Button, Select, Why } from '../../parts/index.ts';
import { pencilJobs, useAnswer } from '../../workers/index.ts';
import { SampleColour } from '../sample-colour.tsx';
import { type SeenTrial, useTeach } from './use-teach.ts';

interface Props {
  trayId: string;
  pencils: readonly Pencil[];
  paper: string;
  paperModel: PaperModel;
  /** Lays the passes of a kept trial on the patch again. */
  onLay(steps: readonly TrialStep[]): void;
}

/** Trials that were kept on this paper: what was foretold beside what came out, and what that teaches. */
export function KeptTrials({ trayId, pencils, paper, paperModel, onLay }: Props) {
  const { data: trials = [] } = useTrialsQuery(trayId);
  const own = trials.filter((trial) => trial.paper === paper);
  if (own.length === 0) return null;
  return (
    <section aria-label="Kept trials" className="mt-6">
      <h2 className="mb-2 text-[1.05rem]">Kept trials</h2>
      <ul className="grid gap-2">
        {own.map((trial) => (
          <KeptTrial
            key={trial.id}
            trial={trial}
            trayId={trayId}
            pencils={pencils}
            paper={paper}
            paperModel={paperModel}
            onLay={onLay}
          />
        ))}
      </ul>
    </section>
  );
}

function KeptTrial({ trial, trayId, pencils, paper, paperModel, onLay }: Props & { trial: TrialPatch }) {
  const [keep] = useKeepTrialMutation();
  const [putAway] = usePutTrialAwayMutation();
  const [sampling, setSampling] = useState(false);
  const teach = useTeach(trayId, paper, pencils, paperModel);
  const foretold = useForetold(trial, pencils, paperModel);
  const codeOf = (id: string) => pencils.find((pencil) => pencil.id === id)?.code ?? 'a pencil';
  const { trayId: _tray, origin: _origin, at: _at, ...content } = trial;
  const keepIt = async (change: Partial<typeof content>) => {
    const { error } = await keep({ trayId, trial: { ...content, ...change } });
    if (error) toast.error(sentenceOf(error));
  };
  const away = async () => {
    const { error } = await putAway({ trayId, id: trial.id });
    if (error) return void toast.error(sentenceOf(error));
    toast(`“${trial.title}” is put away.`, { action: { label: 'Bring it back', onClick: () => void keepIt({}) } });
  };
  const used = [...new Set(trial.steps.flatMap((step) => ('pencil' in step ? [step.pencil] : [])))];
  const told = (refused: unknown) => {
    toast.error(refused instanceof Error ? refused.message : sentenceOf(refused));
  };
  const learn = async (from: string) => {
    try {
      const takeBack = await teach(trial as SeenTrial, from === 'hand' ? 'hand' : { pencil: from });
      const what = from === 'hand' ? 'your hand' : codeOf(from);
      toast(`Learnt from “${trial.title}”: what is foretold of ${what} is new.`, {
        action: { label: 'Take it back', onClick: () => void takeBack().catch(told) },
      });
    } catch (refused) {
      told(refused);
    }
  };
  const off = foretold && trial.seen ? deltaE2000(foretold, trial.seen) : null;
  return (
    <li className="grid grid-cols-[5.5rem_minmax(0,1fr)] items-start gap-x-3 gap-y-2 bg-leaf p-2">
      <span className="flex h-12 border border-rule" aria-hidden>
        <span className="flex-1" style={{ background: foretold ? hexOfLab(foretold) : undefined }} />
        {trial.seen && <span className="flex-1" style={{ background: hexOfLab(trial.seen) }} />}
      </span>
      <span className="min-w-0 leading-snug">
        <strong className="block truncate">{trial.title}</strong>
        <span className="text-[0.92rem] text-soft">
          {off === null ? (
            'foretold; not yet held against what came out'
          ) : (
            <>
              foretold at the left, as it came out at the right: {off.toFixed(1)} apart{' '}
              <Why of="how far apart">
                CIEDE2000, 1 is just seen. The pencils of this trial are foretold to about{' '}
                {Math.max(
                  ...used.map((id) => paperModel.beliefIn(pencils.find((each) => each.id === id)!).apart),
                ).toFixed(1)}
                ; what is beyond that is the hand, or a pencil that is otherwise than thought.
              </Why>
            </>
          )}
          {trial.taught && `; it taught ${trial.taught === 'hand' ? 'your hand' : codeOf(trial.taught.pencil)}`}
        </span>
      </span>
      <span className="col-span-2 flex flex-wrap items-center gap-1.5">
        <Button onClick={() => onLay(trial.steps)} aria-label={`Lay ${trial.title} again`}>
          Lay again
        </Button>
        <Button onClick={() => setSampling(true)} aria-label={`What came out of ${trial.title}`}>
          What came out
        </Button>
        {trial.seen && used.length > 0 && (
          <Select
            label={`Learn from ${trial.title}`}
            value="nothing"
            className="w-40!"
            options={[
              { value: 'nothing', label: 'Learn from it' },
              { value: 'hand', label: 'my hand', says: 'I pressed otherwise than the names of pressures mean' },
              ...used.map((id) => ({
                value: id,
                label: codeOf(id),
                says: 'it lays and covers otherwise than thought',
              })),
            ]}
            onChange={(from) => {
              if (from !== 'nothing') void learn(from);
            }}
          />
        )}
        <button
          type="button"
          aria-label={`Put ${trial.title} away`}
          className="ml-auto flex h-9 w-9 items-center justify-center hover:bg-card"
          onClick={() => void away()}
        >
          <Trash2 size={16} />
        </button>
      </span>
      {sampling && (
        <SampleColour
          title={`What came out of “${trial.title}”`}
          paper={paper}
          onColour={(lab) => {
            setSampling(false);
            void keepIt({ seen: lab });
          }}
          onClose={() => setSampling(false)}
        />
      )}
    </li>
  );
}

/** The colour that is foretold of a trial as things are known now. */
function useForetold({ steps }: TrialPatch, pencils: readonly Pencil[], paperModel: PaperModel): Lab | null {
  const ask = () => {
    const used = new Set(steps.flatMap((step) => ('pencil' in step ? [step.pencil] : [])));
    const own = pencils.filter(({ id }) => used.has(id)).map(paperModel.trayPencil);
    return pencilJobs.start('trial', { pencils: own, paper: paperModel.paper, steps, size: 2 });
  };
  return useAnswer([ask], [steps, pencils, paperModel]).value?.after.at(-1)?.lab ?? null;
}
