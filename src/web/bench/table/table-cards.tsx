import { useState } from 'react';
import { toast } from 'sonner';
import type { BenchPlan } from '../../../contracts/index.ts';
import { type Round } from '../../../core/bench/index.ts';
import { deskNow } from '../../desk/derived-desk.ts';
import { useDesk } from '../../desk/desk-context.ts';
import { namesOf } from '../../../order/index.ts';
import { pencilJobs } from '../../workers/index.ts';
import { FittedCard } from './fitted-card.tsx';
import { laydownInputs } from './laydown-inputs.ts';
import { MistakeCard } from './mistake.tsx';
import { NoteCard } from './note-card.tsx';
import { OtherPencil } from './other-pencil.tsx';
import { type Card } from './table-tools.tsx';
import { type useTable } from './use-table.ts';

interface Props {
  card: Card | null;
  benchPlan: BenchPlan;
  /** The shapes that it is for. */
  steps: Round['steps'];
  /** How many layers of each thing lie now, by thing id. */
  laid: Readonly<Record<string, number>>;
  onUsed: ReturnType<typeof useTable>['markDone'];
  /** What is left was changed: it is to be put in order again. */
  onChanged(): void;
  onClose(): void;
}

/** The card that lies over the table, and what is left of a thing while it is fitted to a mistake. */
export function TableCards({ card, benchPlan, steps, laid, onUsed, onChanged, onClose }: Props) {
  const { sheet } = useDesk();
  const [fit, setFit] = useState<Pick<Parameters<typeof FittedCard>[0], 'of' | 'look'> | null>(null);
  const step = steps[0]!;
  const thingIds = [...new Set(steps.map(({ thingId }) => thingId))];
  return (
    <>
      {card === 'note' && <NoteCard onClose={onClose} />}
      {card === 'mistake' && (
        <MistakeCard
          benchPlan={benchPlan}
          step={step}
          laid={laid}
          onRepair={onChanged}
          onFit={(of, look) => setFit({ of, look })}
          onClose={onClose}
        />
      )}
      {fit && <FittedCard {...fit} teaches={false} onChanged={onChanged} onClose={() => setFit(null)} />}
      {card === 'other pencil' && (
        <OtherPencil
          pencilId={step.pencil}
          thingIds={thingIds}
          things={namesOf(steps, benchPlan.things)}
          onUsed={onUsed}
          onReplaced={() => {
            onChanged();
            const thing = benchPlan.things.find(({ id }) => id === step.thingId)?.name ?? '';
            void lookOver(sheet.id, step.thingId, thing);
          }}
          onClose={onClose}
        />
      )}
    </>
  );
}

/** Looks a thing's recipe over again once it was changed, and says what there is to say. */
async function lookOver(sheetId: string, thingId: string, thing: string): Promise<void> {
  const desk = deskNow(sheetId);
  const recipe = desk?.recipes.get(thingId);
  if (!desk || !recipe) return;
  const regions = (desk.sheet.plan.things[thingId]?.regionIds ?? []).flatMap((id) => desk.page?.regions[id - 1] ?? []);
  const on = laydownInputs(desk, thingId, recipe);
  const input = { recipe, before: null, regions, ...on, beside: {}, width: 8, height: 8 };
  const outcome = await pencilJobs.start('checkRecipe', input).outcome;
  if (outcome.kind !== 'done') return;
  const [first] = outcome.value.findings;
  toast(
    first
      ? `${thing}, looked over again: ${first.sentence}`
      : `${thing}, looked over again: nothing speaks against it.`,
  );
}
