import { Trash2, Undo2 } from 'lucide-react';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { toast } from 'sonner';
import { type Pencil, type TrialStep, isHere } from '../../../contracts/index.ts';
import { hexOfLab, labOfHex, wordsFor } from '../../../core/colour/index.ts';
import { type Pressure, PRESSURES, TOOLS, beliefOfAll, toolById } from '../../../core/laydown/index.ts';
import { useKeepTrialMutation } from '../../api/desk-api.ts';
import { sentenceOf } from '../../api/sentence.ts';
import { usePaper } from '../../api/use-paper.ts';
import { type PaperInUse } from '../../../pencils/index.ts';
import { BELIEF_WORDS, Button, Choice, Notice, Select, PixelCanvas, ToothGauge } from '../../parts/index.ts';
import { pencilJobs, useAnswer } from '../../workers/index.ts';
import { KeptTrials } from './kept-trials.tsx';
import { PencilFinder } from '../../desk/pencil-finder.tsx';

type Step = TrialStep & { key: number };

const NO_TOOL = 'none';
const PATCH_PX = 168;

/** A small place to stack passes on this paper and see what comes out, before the page is touched. */
export function TrialPatch({ trayId, pencils, paper }: { trayId: string; pencils: readonly Pencil[]; paper: string }) {
  const use = usePaper(trayId, paper);
  const [steps, setSteps] = useState<readonly Step[]>([]);
  const [undone, setUndone] = useState<readonly (readonly Step[])[]>([]);
  const [pressure, setPressure] = useState<Pressure>('light');
  const [colour, setColour] = useState('#f6f4ee');
  const ask = () => {
    const used = new Set(steps.flatMap((step) => ('pencil' in step ? [step.pencil] : [])));
    const own = pencils.filter(({ id }) => used.has(id)).map(use!.trayPencil);
    return pencilJobs.start('trial', {
      pencils: own,
      paper: use!.paper,
      steps: steps.map(plain),
      size: PATCH_PX,
    });
  };
  const { value: laid, sentence: refused } = useAnswer(use ? [ask] : [], [steps, pencils, use]);
  const change = (next: readonly Step[]) => {
    setUndone([...undone, steps]);
    setSteps(next);
  };
  const add = (step: TrialStep) => change([...steps, { ...step, key: (steps.at(-1)?.key ?? 0) + 1 }]);
  const undo = () => {
    setSteps(undone.at(-1) ?? []);
    setUndone(undone.slice(0, -1));
  };
  const codeOf = (id: string) => pencils.find((pencil) => pencil.id === id);
  const last = laid && laid.after.length === steps.length ? laid.after.at(-1) : null;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_minmax(15rem,20rem)] gap-6">
      <div>
        <div className="grid gap-2">
          <Choice<Pressure>
            label="How hard, or how much"
            value={pressure}
            options={PRESSURES.map((value) => ({ value, label: value }))}
            onChange={setPressure}
          />
          <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_3rem] gap-2">
            <PencilFinder
              label="lay a pencil: code, name or words"
              pencils={pencils.filter(isHere)}
              onFound={({ id }) => add({ pencil: id, pressure })}
            />
            <Select
              label="Use something else"
              value={NO_TOOL}
              options={[
                { value: NO_TOOL, label: 'or use something else' },
                ...TOOLS.map(({ id, name, caution }) => ({ value: id, label: name, says: caution })),
              ]}
              onChange={(id) => {
                if (id === NO_TOOL) return;
                const own = toolById(id).coloured ? { colour: labOfHex(colour) } : {};
                add({ tool: id, pressure: id === 'drying' ? 'burnish' : pressure, ...own });
              }}
            />
            <input
              type="color"
              aria-label="Colour of pens, markers, washes and paint"
              title="Colour of pens, markers, washes and paint"
              value={colour}
              onChange={(event) => setColour(event.target.value)}
              className="h-10 w-12 border border-edge bg-leaf p-1"
            />
          </div>
        </div>
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
        <ol className="mt-3 grid gap-1.5" aria-label="Passes of the trial patch">
          {steps.map((step, i) => {
            const pencil = 'pencil' in step ? codeOf(step.pencil) : null;
            const here = laid?.after[i];
            const name = pencil
              ? `${pencil.code} ${pencil.ownName || pencil.name}`
              : 'tool' in step
                ? toolById(step.tool).name
                : '';
            return (
              <li key={step.key} className="flex items-start gap-3 bg-leaf p-2">
                <span
                  className="h-11 w-16 shrink-0 border border-rule"
                  style={{ background: here ? hexOfLab(here.lab) : undefined }}
                  aria-hidden
                />
                <span className="min-w-0 flex-1 text-[0.95rem] leading-snug">
                  <span className="font-semibold">{name}</span>
                  {!('tool' in step && step.tool === 'drying') && `, ${String(step.pressure)}`}
                  {here && (
                    <span className="block text-soft">
                      {wordsFor(here.lab)}, {Math.round(100 * here.specks)}% specks, {Math.round(100 * here.toothLeft)}%
                      of the tooth left
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
                  onClick={() => change(steps.filter(({ key }) => key !== step.key))}
                >
                  <Trash2 size={16} />
                </button>
              </li>
            );
          })}
        </ol>
        {use && (
          <KeptTrials
            trayId={trayId}
            pencils={pencils}
            paper={paper}
            use={use}
            onLay={(kept) => change(kept.map((step, key) => ({ ...step, key })))}
          />
        )}
      </div>
      <div className="grid content-start gap-3">
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
            <p className="text-[0.92rem] text-soft">{use && howSure(steps, pencils, use)}</p>
          </>
        )}
        <div className="flex gap-2">
          <Button className="flex-1" disabled={undone.length === 0} onClick={undo}>
            <Undo2 size={16} /> Undo
          </Button>
          <Button className="flex-1" disabled={steps.length === 0} onClick={() => change([])}>
            New paper
          </Button>
        </div>
        {last && (
          <KeepTrial key={steps.map(({ key }) => key).join()} trayId={trayId} paper={paper} steps={steps.map(plain)} />
        )}
      </div>
    </div>
  );
}

/** Gives the passes on the patch a name and keeps them. */
function KeepTrial({ trayId, paper, steps }: { trayId: string; paper: string; steps: TrialStep[] }) {
  const [keep, { isLoading }] = useKeepTrialMutation();
  const [title, setTitle] = useState('');
  return (
    <form
      className="flex gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        const trial = { id: nanoid(), title: title.trim(), paper, steps, seen: null, taught: null };
        void keep({ trayId, trial }).then(({ error }) => {
          if (error) toast.error(sentenceOf(error));
          else {
            toast(`“${trial.title}” is kept.`);
            setTitle('');
          }
        });
      }}
    >
      <input
        aria-label="Name of the trial"
        placeholder="keep it as …"
        value={title}
        maxLength={60}
        className="h-10 min-w-0 flex-1 border border-edge bg-leaf px-3 placeholder:text-soft"
        onChange={(event) => setTitle(event.target.value)}
      />
      <Button type="submit" disabled={!title.trim() || isLoading}>
        Keep
      </Button>
    </form>
  );
}

/** What the colours of a trial rest on, and how far off that may leave them. */
function howSure(steps: readonly Step[], pencils: readonly Pencil[], use: PaperInUse): string {
  const ids = new Set(steps.flatMap((step) => ('pencil' in step ? [step.pencil] : [])));
  const own = pencils.filter(({ id }) => ids.has(id));
  const beliefs = own.map(use.beliefIn);
  const belief = beliefOfAll(beliefs);
  if (!belief) return '';
  const alike = beliefs.every(({ ground }) => ground === belief.ground);
  const which = own.length === 1 ? 'it is' : alike ? 'all are' : 'the least sure of them is';
  return `What comes out may lie about ${belief.apart.toFixed(1)} from this: ${which} ${BELIEF_WORDS[belief.ground]}.`;
}

function plain({ key: _key, ...step }: Step): TrialStep {
  return step as TrialStep;
}
