import { zodResolver } from '@hookform/resolvers/zod';
import { nanoid } from 'nanoid';
import { useEffect, useRef } from 'react';
import { useForm } from 'react-hook-form';
import { toast } from 'sonner';
import { z } from 'zod';
import { Name } from '../../contracts/index.ts';
import { useNameFromKeyMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useAppDispatch } from '../app/store.ts';
import { chooseRegions, chooseThing } from '../desk/at-the-desk.ts';
import { backToSheet } from '../desk/back-to-sheet.ts';
import { useDesk } from '../desk/desk-context.ts';
import { useChosen } from '../desk/use-chosen.ts';
import { Button, Section } from '../parts/index.ts';
import { ThingList } from './thing-list.tsx';
import { gatherRegions, keepGuesses, removeGuesses, thingsOf } from '../../plan/index.ts';

/** The things of the page: gathering regions into one, naming them all by the page's key, and the list of them. */
export function Things({ onGuess }: { onGuess(): void }) {
  const { sheet, page } = useDesk();
  const dispatch = useAppDispatch();
  const { regionIds, thingId } = useChosen();
  const things = thingsOf(sheet.plan);
  const named = new Set(things.flatMap((thing) => thing.regionIds));
  const rest = (page?.regions ?? []).flatMap(({ id }) => (named.has(id) ? [] : [id]));
  return (
    <Section filling title="Things" aside={things.length > 0 && things.length}>
      {things.length === 0 && regionIds.length === 0 && (
        <p className="mb-2 text-soft">A thing is a set of regions that belong together: a lantern, a roof, the sky.</p>
      )}
      {regionIds.length > 0 && !thingId && <Gather regionIds={regionIds} />}
      {sheet.hasKey && rest.length > 0 && <NameFromKey />}
      {regionIds.length === 0 && rest.length > 0 && (
        <div className="-mx-3 flex flex-wrap">
          <Button look="bare" onClick={onGuess}>
            Guess what belongs together
          </Button>
          <Button look="bare" onClick={() => dispatch(chooseRegions(rest))}>
            Choose the {rest.length} regions in no thing
          </Button>
        </div>
      )}
      <Guesses />
      <ThingList />
    </Section>
  );
}

/** What is still a guess among the things: kept as it is, or taken away again. */
function Guesses() {
  const { sheet } = useDesk();
  const dispatch = useAppDispatch();
  const change = usePlanChange(sheet.id, 'sheet');
  const things = thingsOf(sheet.plan);
  const guesses = things.filter(({ guessed }) => guessed);
  if (guesses.length === 0) return null;
  const takeAway = () => {
    dispatch(chooseThing(null));
    void change(`take ${guesses.length} guesses away`, removeGuesses);
  };
  return (
    <div className="-mx-3 flex flex-wrap items-baseline" role="group" aria-label="Guesses">
      <span className="px-3 text-soft">
        {guesses.length} {guesses.length === 1 ? 'is a guess' : 'are guesses'}
      </span>
      <Button look="bare" onClick={() => void change(`keep ${guesses.length} guesses`, keepGuesses)}>
        Keep them all
      </Button>
      <Button look="bare" onClick={takeAway}>
        Take them away
      </Button>
    </div>
  );
}

function NameFromKey() {
  const { sheet } = useDesk();
  const [nameFromKey, { isLoading }] = useNameFromKeyMutation();
  return (
    <div className="mb-2 bg-leaf p-3">
      <p className="text-[0.95rem]">This page came with a key that names its things.</p>
      <Button
        look="strong"
        className="mt-2 w-full"
        disabled={isLoading}
        onClick={() =>
          void nameFromKey({ sheetId: sheet.id, id: nanoid() }).then(({ error }) => {
            if (error) toast.error(sentenceOf(error));
          })
        }
      >
        Name things from the key
      </Button>
    </div>
  );
}

const Naming = z.object({ name: Name });

/** Gathers the chosen regions into a new thing, or adds them to one of the same name. */
function Gather({ regionIds }: { regionIds: readonly number[] }) {
  const { sheet } = useDesk();
  const dispatch = useAppDispatch();
  const change = usePlanChange(sheet.id, 'sheet');
  const form = useRef<HTMLFormElement>(null);
  const { register, handleSubmit, formState } = useForm({
    resolver: zodResolver(Naming),
    defaultValues: { name: '' },
  });
  // The name can be typed at once; what was measured stays in view above it.
  useEffect(() => form.current?.querySelector('input')?.focus({ preventScroll: true }), []);
  const submit = handleSubmit(({ name }) => {
    const newId = nanoid(12);
    void change(`name ${name}`, (plan) => void gatherRegions(plan, regionIds, name, newId));
    const same = thingsOf(sheet.plan).find((thing) => thing.name.toLowerCase() === name.toLowerCase());
    dispatch(chooseThing({ id: same?.id ?? newId, regionIds: [...(same?.regionIds ?? []), ...regionIds] }));
    backToSheet();
  });
  const count = regionIds.length === 1 ? 'this region' : `${regionIds.length} regions`;
  return (
    <form ref={form} onSubmit={(event) => void submit(event)} className="mb-2 bg-leaf p-3" noValidate>
      <label className="text-[0.95rem]">
        Gather {count} into a thing called
        <span className="mt-1 flex gap-2">
          <input
            className="h-10 min-w-0 flex-1 border border-edge bg-card px-2"
            autoComplete="off"
            {...register('name')}
          />
          <Button type="submit" look="strong">
            Gather
          </Button>
        </span>
      </label>
      {formState.errors.name && (
        <p role="alert" className="mt-1 text-[0.95rem] font-semibold">
          {formState.errors.name.message}
        </p>
      )}
    </form>
  );
}
