import { nanoid } from 'nanoid';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { BenchPlan } from '../../../contracts/index.ts';
import { type Round } from '../../../core/bench/index.ts';
import { labOfHex, deltaE2000 } from '../../../core/colour/index.ts';
import { type LooksOtherwise } from '../../../core/recipe/index.ts';
import { MISTAKES, type Remedied, mistakeById } from '../../../core/remedies/index.ts';
import { isInASpot, repairsFor, thingBeside } from '../../../order/index.ts';
import { useAddNoteMutation, useToolsQuery } from '../../api/desk-api.ts';
import { sentenceOf } from '../../api/sentence.ts';
import { usePlanChange } from '../../api/use-plan.ts';
import { useDesk } from '../../desk/desk-context.ts';
import { Button, CardOver, Choice, Select, Notice } from '../../parts/index.ts';
import { type Answer, pencilJobs, useAnswer } from '../../workers/index.ts';
import { laydownInputs } from './laydown-inputs.ts';
import { addRepairs, thingsOf } from '../../../plan/index.ts';

interface Props {
  benchPlan: BenchPlan;
  /** The step during which it happened: its pencil was held. */
  step: Round['steps'][number];
  /** How many layers lie on each thing. */
  laid: Readonly<Record<string, number>>;
  /** Repairs have come to the plan: what is left is to be put in order again. */
  onRepair(): void;
  /** What is left of a thing is to make up for it. */
  onFit(of: { thingId: string; thing: string; laid: number }, look: LooksOtherwise): void;
  onClose(): void;
}

/**
 * Something went wrong: what can be done about it, each way with how near it comes. What is chosen becomes a step, and it
 * is written down.
 */
export function MistakeCard({ benchPlan, step, laid, onRepair, onFit, onClose }: Props) {
  const { sheet, page, recipes, pencilById } = useDesk();
  const pencilId = step.pencil;
  const [kind, setKind] = useState(MISTAKES[0]!.id);
  const [chosen, setChosen] = useState<string | null>(null);
  // What goes over the line or is dragged comes to lie beside.
  const beside = useMemo(() => page && thingBeside(step.regionIds, sheet.plan, page), [page, step, sheet.plan]);
  const on = chosen ?? (isInASpot(kind) ? beside : null) ?? step.thingId;
  const [addNote] = useAddNoteMutation();
  const change = usePlanChange(sheet.id, 'bench');
  const isKnown = recipes.has(on) && pencilById.has(pencilId);
  const code = benchPlan.pencils.find(({ id }) => id === pencilId)?.code ?? '';
  const name = thingsOf(sheet.plan).find(({ id }) => id === on)?.name ?? '';
  const writeDown = async (remedy: string) => {
    const text = `${kind.charAt(0).toUpperCase()}${kind.slice(1)}: ${code} on ${name}. ${remedy}`.slice(0, 400);
    const note = { id: nanoid(), kind: 'mistake' as const, text, at: new Date().toISOString() };
    const { error } = await addNote({ sheetId: sheet.id, note });
    if (error) toast.error(sentenceOf(error));
    else toast('Written down in the Record.');
  };
  const repair = async (advice: Remedied['remedies'][number]) => {
    onClose();
    if (!page) return;
    const repairs = repairsFor(advice, { kind, thingId: on, step }, sheet.plan, page, () => nanoid(10));
    await change(`repair ${name}`, (plan) => addRepairs(plan, repairs));
    await writeDown(advice.says);
    onRepair();
  };
  const { looks: look } = mistakeById(kind);
  const laidThere = laid[on] ?? 0;
  const layersLeft = (recipes.get(on)?.layers.length ?? 0) - laidThere;
  const canMakeUp = look !== undefined && laidThere > 0 && layersLeft > 0;
  const isBare = look !== undefined && laidThere === 0;
  const worked = useRemedies({ kind, on, pencilId, laid });
  const found = isBare ? null : worked.value;
  return (
    <CardOver title="What happened?" width="narrow" onClose={onClose}>
      <div className="mt-3 grid gap-3">
        <Choice
          label="What happened"
          stacked
          value={kind}
          options={MISTAKES.map(({ id }) => ({ value: id, label: id }))}
          onChange={(value) => setKind(value)}
        />
        <Select
          label="On"
          value={on}
          options={thingsOf(sheet.plan).map(({ id, name: label }) => ({ value: id, label: `on ${label}` }))}
          onChange={setChosen}
        />
        {!isKnown && <p>What helps cannot be worked out: this thing has no layers, or {code} has left the tray.</p>}
        {isKnown && isBare && <p>Nothing is laid on {name} yet.</p>}
        {isKnown && !isBare && worked.sentence && <Notice kind="refused">{worked.sentence}</Notice>}
        {isKnown && !isBare && !found && !worked.sentence && <p className="text-soft">Working out what helps …</p>}
        {found?.isUnseen && (
          <p>
            Nobody will see it: it lies only {found.apart.toFixed(1)} from what should be there, and a difference of 1
            is just seen.
          </p>
        )}
        {found && found.remedies.length > 0 && (
          <p className="text-sm text-soft">
            “Off” is how far the colour lies from what should be there (CIEDE2000): 1 is just seen.
          </p>
        )}
        {found && !found.isUnseen && found.remedies.length === 0 && !canMakeUp && (
          <p>Nothing brings it nearer. Leave it, and look again when the page is done.</p>
        )}
        {found?.remedies.map((advice) => (
          <div key={advice.id} className="border border-rule bg-leaf p-3">
            <p className="flex items-baseline justify-between gap-2">
              <strong>{advice.name}</strong>
              <span className="text-sm text-soft">
                now {found.apart.toFixed(0)} off, then {advice.apart.toFixed(0)}
              </span>
            </p>
            <p className="mt-0.5">{advice.says}</p>
            <Button className="mt-2" onClick={() => void repair(advice)}>
              {advice.does.some(({ when }) => when === 'next') ? 'Do this next' : 'Do this later'}
            </Button>
          </div>
        ))}
        {canMakeUp && (
          <div className="border border-rule bg-leaf p-3">
            <strong>Make up for it</strong>
            <p className="mt-0.5">
              {layersLeft === 1 ? 'One layer is' : `${layersLeft} layers are`} still to come on {name}: they can be
              fitted to what lies there now.
            </p>
            <Button
              className="mt-2"
              onClick={() => {
                onClose();
                void writeDown('What is left makes up for it.');
                onFit({ thingId: on, thing: name, laid: laidThere }, look);
              }}
            >
              See what would change
            </Button>
          </div>
        )}
        <Button
          look="bare"
          className="justify-self-start px-0!"
          onClick={() => {
            onClose();
            void writeDown('Left as it is.');
          }}
        >
          Leave it and write it down
        </Button>
      </div>
    </CardOver>
  );
}

function useRemedies({
  kind,
  on,
  pencilId,
  laid,
}: {
  kind: string;
  on: string;
  pencilId: string;
  laid: Readonly<Record<string, number>>;
}): Answer<Remedied> {
  const desk = useDesk();
  const { sheet, recipes, laid: comesOut, pencilById } = desk;
  const { data: tools } = useToolsQuery(sheet.trayId);
  const things = thingsOf(sheet.plan);
  const elsewhere = useMemo(() => {
    const own = comesOut.get(pencilId)?.body;
    if (!own) return [];
    // Where its colour is nearest to what lies there anyway it looks meant soonest.
    return things
      .flatMap(({ id, name }) => {
        const pencils = recipes.get(id)?.layers.map((layer) => layer.pencil) ?? [];
        if (id === on || pencils.length === 0 || pencils.includes(pencilId)) return [];
        const apart = pencils.flatMap((pencil) => {
          const body = comesOut.get(pencil)?.body;
          return body ? [deltaE2000(body, own)] : [];
        });
        return [{ id, name, apart: Math.min(...apart) }];
      })
      .sort((p, q) => p.apart - q.apart)
      .map(({ id, name }) => ({ id, name }));
  }, [things, recipes, comesOut, pencilId, on]);
  const recipe = recipes.get(on);
  const wanted = recipe !== undefined && tools !== undefined && pencilById.has(pencilId);
  const ask = () => {
    const pens = tools!.flatMap(({ id, kind: tool, name, colour }) =>
      tool === 'pen' && colour ? [{ id, name, lab: labOfHex(colour) }] : [],
    );
    const happened = { kind, recipe: recipe!, laid: laid[on] ?? 0, pencil: pencilId };
    const laying = laydownInputs(desk, on, recipe!, [pencilId]);
    return pencilJobs.start('remedies', { happened, ...laying, pens, elsewhere });
  };
  const inputs = [kind, on, pencilId, recipe, tools, pencilById, laid, elsewhere];
  return useAnswer(wanted ? [ask] : [], inputs, { fresh: true });
}
