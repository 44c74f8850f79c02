import { useState } from 'react';
import { toast } from 'sonner';
import { CAME_OUT, type CameOut, type LogEntry } from '../../../contracts/index.ts';
import { type Recipe, mergedEdits, withEdits } from '../../../core/recipe/index.ts';
import { useStoreFitMutation } from '../../api/desk-api.ts';
import { sentenceOf } from '../../api/sentence.ts';
import { usePlanChange } from '../../api/use-plan.ts';
import { useDesk } from '../../desk/desk-context.ts';
import { paperKind } from '../../../core/laydown/index.ts';
import { Button, CardOver, Why } from '../../parts/index.ts';
import { pencilWorker } from '../../workers/index.ts';
import { onItsGround } from './on-its-ground.ts';

interface Props {
  /** The step that was done last, with its thing and how many of that thing's layers lie there. */
  last: { entry: LogEntry; thingId: string; thing: string; code: string; laid: number };
  onSaid(cameOut: CameOut): void;
  /** What is left was changed: it is to be put in order again. */
  onChanged(): void;
}

type Fitted = Extract<Awaited<ReturnType<typeof pencilWorker.afterSeeing>>, { kind: 'done' }>['value'];

/** Asks how a thing's first layer came out; where it is darker, paler or patchy, what is left of the thing is fitted to it. */
export function HowItCameOut({ last, onSaid, onChanged }: Props) {
  const desk = useDesk();
  const { sheet, recipes } = desk;
  const recipe = recipes.get(last.thingId);
  const [fitted, setFitted] = useState<Fitted | null>(null);
  const say = async (cameOut: CameOut) => {
    onSaid(cameOut);
    if (cameOut === 'as planned' || !recipe) return;
    const on = onItsGround(desk, last.thingId, recipe);
    const outcome = await pencilWorker.afterSeeing(recipe, last.laid, cameOut, on);
    if (outcome.kind === 'refused') toast.error(outcome.sentence);
    if (outcome.kind === 'done') setFitted(outcome.value);
  };
  const { cameOut } = last.entry;
  return (
    <>
      {cameOut === null && (
        <div className="mb-3 border-b border-rule pb-3" role="group" aria-label="How it came out">
          <p>
            How did <strong>{last.thing}</strong> come out with{' '}
            <span className="font-figure font-bold">{last.code}</span>?
          </p>
          <div className="mt-1.5 grid grid-cols-4 gap-1.5">
            {CAME_OUT.map((each) => (
              <Button key={each} className="px-1!" onClick={() => void say(each)}>
                {each}
              </Button>
            ))}
          </div>
        </div>
      )}
      {fitted && recipe && (
        <FittedCard
          {...{ fitted, recipe, last, cameOut }}
          sheetId={sheet.id}
          onClose={() => setFitted(null)}
          onChanged={onChanged}
        />
      )}
    </>
  );
}

interface CardProps {
  fitted: Fitted;
  recipe: Recipe;
  last: Props['last'];
  cameOut: CameOut | null;
  sheetId: string;
  onClose(): void;
  onChanged(): void;
}

function FittedCard({ fitted, recipe, last, cameOut, sheetId, onClose, onChanged }: CardProps) {
  const { sheet, pencilById, use } = useDesk();
  const change = usePlanChange(sheetId, 'bench');
  const [storeFit] = useStoreFitMutation();
  const changes = changesInWords(recipe, fitted.edits, (id) => pencilById.get(id)?.code ?? '');
  const learn = async () => {
    const factors = Object.entries(fitted.hand);
    if (factors.length === 0) return;
    const here = use.carried ? null : use.fit;
    const learnt: Record<string, number> = { ...here?.learnt };
    for (const [pressure, factor] of factors) learnt[pressure] = (learnt[pressure] ?? 1) * factor;
    const fit = { fit: use.found, learnt, pencils: here?.pencils ?? [] };
    const { error } = await storeFit({ trayId: sheet.trayId, paper: paperKind(sheet.plan.page.paper), fit });
    if (error) toast.error(sentenceOf(error));
  };
  const accept = async () => {
    onClose();
    const { layers } = sheet.plan;
    const edits = mergedEdits(layers.edits[last.thingId] ?? {}, fitted.edits);
    if (changes.length > 0) {
      await change(`what is left of ${last.thing}`, {
        layers: { ...layers, edits: { ...layers.edits, [last.thingId]: edits } },
      });
    }
    await learn();
    onChanged();
  };
  return (
    <CardOver title={`${last.thing} came out ${cameOut ?? 'otherwise'}`} width="narrow" onClose={onClose}>
      <p className="mt-2">
        {changes.length > 0
          ? 'What is left of it can be fitted, so that the end comes out as planned:'
          : 'What is left comes out as near to the plan as it can without a change.'}
      </p>
      {changes.length > 0 && (
        <ul className="mt-2 list-disc pl-5">
          {changes.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      <p className="mt-2 text-[0.95rem] text-soft">
        Left as it is, the end lies {fitted.apartIfLeft.toFixed(1)} from the plan; changed,{' '}
        {fitted.apartThen.toFixed(1)}.{' '}
        <Why of="these numbers">
          Mean colour difference (CIEDE2000, 1 is just seen) over all values of this thing. “Darker” is taken as a press
          about a third harder than meant, “paler” as about a third lighter, “patchy” as a little lighter.
        </Why>
      </p>
      {cameOut !== 'patchy' && <p className="mt-2 text-[0.95rem] text-soft">{handInWords(fitted.hand)}</p>}
      <div className="mt-4 flex gap-2">
        <Button look="strong" onClick={() => void accept()}>
          {changes.length > 0 ? 'Change what is left' : Object.keys(fitted.hand).length > 0 ? 'Learn from it' : 'Go on'}
        </Button>
        <Button onClick={onClose}>Leave it as it is</Button>
      </div>
    </CardOver>
  );
}

/** What is learnt of the hand; pale layers, and patches, say next to nothing. */
function handInWords(hand: Fitted['hand']): string {
  const told = Object.entries(hand).filter(([, factor]) => factor.toFixed(2) !== '1.00');
  if (told.length === 0) return 'What lies there says little about your hand.';
  return `Your hand is learnt from it too: ${told.map(([pressure, factor]) => `${pressure} × ${factor.toFixed(2)}`).join(', ')}.`;
}

/** What edits change, a line for each layer. */
function changesInWords(recipe: Recipe, edits: Fitted['edits'], codeOf: (pencil: string) => string): string[] {
  const before = new Map(recipe.layers.map((layer) => [layer.id, layer]));
  return withEdits(recipe, edits).layers.flatMap((layer) => {
    const was = before.get(layer.id);
    const times = (passes: number) => (passes === 1 ? 'once' : `${passes} times`);
    if (!was) return [`${codeOf(layer.pencil)}: ${layer.purpose}`];
    const told = [
      ...(was.passes === layer.passes ? [] : [`${times(layer.passes)} instead of ${times(was.passes)}`]),
      ...(was.pressure === layer.pressure ? [] : [`${layer.pressure} instead of ${was.pressure}`]),
    ];
    return told.length > 0 ? [`${codeOf(layer.pencil)} (${layer.purpose.replace(/\.$/, '')}): ${told.join(', ')}`] : [];
  });
}
