import { useState } from 'react';
import { toast } from 'sonner';
import { paperKind } from '../../../core/laydown/index.ts';
import { type LooksOtherwise, type Recipe, mergedEdits, withEdits } from '../../../core/recipe/index.ts';
import { decideThing } from '../../../plan/index.ts';
import { useStoreFitMutation } from '../../api/desk-api.ts';
import { sentenceOf } from '../../api/sentence.ts';
import { usePlanChange } from '../../api/use-plan.ts';
import { useDesk } from '../../desk/desk-context.ts';
import { Button, CardOver, Notice, Why } from '../../parts/index.ts';
import { type OutputOf, type PencilJobs, pencilJobs, useAnswer } from '../../workers/index.ts';
import { laydownInputs } from './laydown-inputs.ts';

interface Props {
  /** The thing, and how many of its layers lie there. */
  of: { thingId: string; thing: string; laid: number };
  /** How they look beside what was foretold. */
  look: LooksOtherwise;
  /** Whether it says something of the hand, and was no slip. */
  teaches: boolean;
  /** What is left was changed: it is to be put in order again. */
  onChanged(): void;
  onClose(): void;
}

type Fitted = OutputOf<PencilJobs['afterSeeing']>;

/** What is left of a thing, fitted to what lies there: what to change, how near the end comes, and what the hand teaches. */
export function FittedCard({ of: { thingId, thing, laid }, look, teaches, onChanged, onClose }: Props) {
  const desk = useDesk();
  const { sheet, recipes, pencilById, paperModel } = desk;
  const change = usePlanChange(sheet.id, 'bench');
  const [storeFit] = useStoreFitMutation();
  // Fitted once, to what lay there when it was asked.
  const [asked] = useState({ recipe: recipes.get(thingId), desk });
  const { recipe } = asked;
  const ask = () =>
    pencilJobs.start('afterSeeing', {
      recipe: recipe!,
      laid,
      look,
      ...laydownInputs(asked.desk, thingId, recipe!),
    });
  const { value: fitted, sentence } = useAnswer<Fitted>(recipe ? [ask] : [], [asked, thingId, laid, look]);
  const fault = recipe ? sentence : `${thing} has no layers any more.`;
  const changes = fitted && recipe ? changesInWords(recipe, fitted.edits, (id) => pencilById.get(id)?.code ?? '') : [];
  const hand = teaches && fitted ? fitted.hand : {};
  const learns = Object.keys(hand).length > 0;
  const learn = async () => {
    const here = paperModel.carried ? null : paperModel.fit;
    const learnt: Record<string, number> = { ...here?.learnt };
    for (const [pressure, factor] of Object.entries(hand)) learnt[pressure] = (learnt[pressure] ?? 1) * factor;
    const fit = { fit: paperModel.found, learnt, pencils: here?.pencils ?? [] };
    const { error } = await storeFit({ trayId: sheet.trayId, paper: paperKind(sheet.plan.page.paper), fit });
    if (error) toast.error(sentenceOf(error));
  };
  const accept = async (edits: Fitted['edits']) => {
    onClose();
    if (changes.length > 0) {
      const merged = mergedEdits(sheet.plan.things[thingId]?.edits ?? {}, edits);
      await change(`what is left of ${thing}`, (plan) => decideThing(plan, thingId, { edits: merged }));
    }
    if (learns) await learn();
    if (changes.length > 0 || learns) onChanged();
  };
  return (
    <CardOver title={`${thing} came out ${look}`} width="narrow" onClose={onClose}>
      {fault && (
        <div className="mt-2">
          <Notice kind="refused">{fault}</Notice>
        </div>
      )}
      {!fitted && !fault && <p className="mt-2 text-soft">Fitting what is left of it …</p>}
      {fitted && (
        <>
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
            Left as it is, the end lies {fitted.apartIfLeft.toFixed(1)} from the plan
            {changes.length > 0 && `; changed, ${fitted.apartThen.toFixed(1)}`}.{' '}
            <Why of="these numbers">
              Mean colour difference (CIEDE2000, 1 is just seen) over all values of this thing. “Darker” is taken as a
              press about a third harder than meant, “paler” as about a third lighter, “patchy” as a little lighter.
            </Why>
          </p>
          {teaches && look !== 'patchy' && <p className="mt-2 text-[0.95rem] text-soft">{handInWords(hand)}</p>}
          <div className="mt-4 flex gap-2">
            <Button look="strong" onClick={() => void accept(fitted.edits)}>
              {changes.length > 0 ? 'Change what is left' : learns ? 'Learn from it' : 'Go on'}
            </Button>
            {(changes.length > 0 || learns) && <Button onClick={onClose}>Leave it as it is</Button>}
          </div>
        </>
      )}
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
