import { zodResolver } from '@hookform/resolvers/zod';
import clsx from 'clsx';
import { Star, Trash2 } from 'lucide-react';
import { nanoid } from 'nanoid';
import { useEffect } from 'react';
import { useForm } from 'react-hook-form';
import { toast } from 'sonner';
import { z } from 'zod';
import { type Thing, Name } from '../../contracts/index.ts';
import { useNameFromKeyMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { chooseRegions, chooseThing } from '../desk/at-the-desk.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Section } from '../parts/index.ts';
import { without } from './without.ts';

/** The things of the page: gathering regions into one, naming them all by the page's key, and the list of them. */
export function Things() {
  const { sheet, page } = useDesk();
  const dispatch = useAppDispatch();
  const change = usePlanChange(sheet.id, 'page');
  const { regionIds, thingId } = useAppSelector((state) => state.atTheDesk);
  const { things } = sheet.plan;
  const named = new Set(things.flatMap((thing) => thing.regionIds));
  const rest = (page?.regions ?? []).flatMap(({ id }) => (named.has(id) ? [] : [id]));
  return (
    <Section filling title="Things" aside={things.length > 0 && `${things.length} named`}>
      {things.length === 0 && (
        <p className="mb-2 text-soft">A thing is a set of regions that belong together: a lantern, a roof, the sky.</p>
      )}
      {sheet.hasKey && rest.length > 0 && <NameFromKey />}
      {regionIds.length > 0 && !thingId && <Gather regionIds={regionIds} />}
      {regionIds.length === 0 && rest.length > 0 && (
        <Button look="bare" onClick={() => dispatch(chooseRegions(rest))}>
          Choose the {rest.length} regions in no thing
        </Button>
      )}
      <ul
        className="mt-2 min-h-0 flex-1 divide-y divide-rule overflow-y-auto border-y border-rule empty:hidden"
        aria-label="Things"
      >
        {things.map((thing) => (
          <li key={thing.id} className={clsx('flex items-center', thing.id === thingId && 'bg-leaf')}>
            <button
              type="button"
              aria-pressed={thing.id === thingId}
              className="flex min-h-10 min-w-0 flex-1 items-baseline gap-2 px-2 py-1.5 text-left"
              onClick={() => dispatch(chooseThing(thing.id === thingId ? null : thing))}
            >
              <span className={clsx('truncate', thing.id === thingId && 'font-bold')}>{thing.name}</span>
              <span className="ml-auto shrink-0 text-sm text-soft">
                {thing.regionIds.length} {thing.regionIds.length === 1 ? 'region' : 'regions'}
              </span>
            </button>
            <button
              type="button"
              className="flex h-10 w-9 items-center justify-center"
              aria-pressed={thing.focus}
              aria-label={`${thing.name} is the focus`}
              title="The eye should go here first"
              onClick={() =>
                void change(thing.focus ? `${thing.name} no longer the focus` : `${thing.name} as the focus`, {
                  things: things.map((each) => (each.id === thing.id ? { ...each, focus: !each.focus } : each)),
                })
              }
            >
              <Star size={16} fill={thing.focus ? 'currentColor' : 'none'} />
            </button>
            <button
              type="button"
              className="flex h-10 w-9 items-center justify-center"
              aria-label={`Take ${thing.name} apart`}
              title="Take apart: its regions go back to none"
              onClick={() => {
                dispatch(chooseThing(null));
                void change(`take ${thing.name} apart`, without(sheet.plan, thing.id));
              }}
            >
              <Trash2 size={16} />
            </button>
          </li>
        ))}
      </ul>
    </Section>
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
          void nameFromKey({ sheetId: sheet.id, id: nanoid(), baseRevision: sheet.revision }).then(({ error }) => {
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
  const change = usePlanChange(sheet.id, 'page');
  const { register, handleSubmit, formState, setFocus } = useForm({
    resolver: zodResolver(Naming),
    defaultValues: { name: '' },
  });
  useEffect(() => setFocus('name'), [setFocus]);
  const submit = handleSubmit(({ name }) => {
    const left = sheet.plan.things.flatMap((thing): Thing[] => {
      const own = thing.regionIds.filter((id) => !regionIds.includes(id));
      return own.length ? [{ ...thing, regionIds: own }] : [];
    });
    const same = left.find((thing) => thing.name.toLowerCase() === name.toLowerCase());
    const thing: Thing = same
      ? { ...same, regionIds: [...same.regionIds, ...regionIds] }
      : { id: nanoid(12), name, regionIds: [...regionIds], focus: false, natural: null };
    const things = same ? left.map((each) => (each.id === same.id ? thing : each)) : [...left, thing];
    void change(`name ${name}`, { things });
    dispatch(chooseThing(thing));
  });
  const count = regionIds.length === 1 ? 'this region' : `${regionIds.length} regions`;
  return (
    <form onSubmit={(event) => void submit(event)} className="mb-2 bg-leaf p-3" noValidate>
      <label className="text-[0.95rem]">
        Gather {count} into a thing called
        <input className="mt-1 h-10 w-full border border-edge bg-card px-2" autoComplete="off" {...register('name')} />
      </label>
      {formState.errors.name && (
        <p role="alert" className="mt-1 text-[0.95rem] font-semibold">
          {formState.errors.name.message}
        </p>
      )}
      <Button type="submit" look="strong" className="mt-2 w-full">
        Gather
      </Button>
    </form>
  );
}
