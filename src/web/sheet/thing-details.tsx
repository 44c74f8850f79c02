import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import { z } from 'zod';
import { IMPORTANCES, Name, type Thing } from '../../contracts/index.ts';
import { MATERIALS } from '../../core/light/index.ts';
import { type AboutThing, decideThing, thingsOf } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Choice, Select, Section } from '../parts/index.ts';
import { ThingMeasures } from './figures.tsx';

const IMPORTANCE_WORDS = { little: 'little', usual: 'as usual', much: 'much' } as const;
const NONE = '';
/** What a natural colour begins with when it is first kept: a middling ochre, to be changed at once. */
const FIRST_NATURAL = '#b08a4a';

/** Everything that is decided about one thing on the Sheet. */
export function ThingDetails({ thing }: { thing: Thing }) {
  const { sheet, page } = useDesk();
  const change = usePlanChange(sheet.id, 'sheet');
  const things = thingsOf(sheet.plan);
  const set = (label: string, about: AboutThing) =>
    void change(label, (plan) => decideThing(plan, thing.id, { guessed: false, ...about }));
  // One level deep: neither a part of something nor what has parts itself can be chosen as the whole of a part.
  const wholes = things.filter(({ id, within }) => id !== thing.id && within === null);
  const hasParts = things.some(({ within }) => within === thing.id);
  return (
    <Section title={thing.name} aside={thing.guessed ? 'a guess' : undefined}>
      <ThingMeasures regions={thing.regionIds.flatMap((id) => page?.regions[id - 1] ?? [])} />
      <p className="mt-1 text-sm text-soft">Click a region again to choose it alone and mend it.</p>
      <div className="mt-2 grid gap-2">
        <Rename thing={thing} onRename={(name) => set(`call ${thing.name} ${name}`, { name })} />
        <Select
          label="Made of"
          value={thing.material ?? NONE}
          options={[
            { value: NONE, label: 'made of …' },
            ...MATERIALS.map(({ id, name, says }) => ({ value: id, label: name, says })),
          ]}
          onChange={(id) => set(`${thing.name} of ${id || 'nothing said'}`, { material: id || null })}
        />
        {!hasParts && wholes.length > 0 && (
          <Select
            label="Part of"
            value={thing.within ?? NONE}
            options={[
              { value: NONE, label: 'part of nothing else' },
              ...wholes.map(({ id, name }) => ({ value: id, label: `part of ${name}` })),
            ]}
            onChange={(id) => set(`${thing.name} part of something`, { within: id || null })}
          />
        )}
        <div className="flex items-center gap-3">
          <span className="shrink-0 text-[0.95rem]">natural colour</span>
          {thing.natural ? (
            <>
              <input
                type="color"
                aria-label={`Natural colour of ${thing.name}`}
                className="h-10 w-14 border border-edge bg-leaf"
                value={thing.natural}
                onChange={(event) => set(`natural colour of ${thing.name}`, { natural: event.target.value })}
              />
              <Button look="bare" onClick={() => set(`${thing.name} free in colour`, { natural: null })}>
                Free again
              </Button>
            </>
          ) : (
            <>
              <span>free</span>
              <Button look="bare" onClick={() => set(`keep ${thing.name} natural`, { natural: FIRST_NATURAL })}>
                Keep one
              </Button>
            </>
          )}
        </div>
        <div>
          <span className="text-[0.95rem]">worth</span>
          <Choice
            label="Worth how much work"
            value={thing.importance}
            options={IMPORTANCES.map((value) => ({ value, label: IMPORTANCE_WORDS[value] }))}
            onChange={(importance) => set(`${thing.name} worth ${IMPORTANCE_WORDS[importance]}`, { importance })}
          />
        </div>
      </div>
    </Section>
  );
}

const Naming = z.object({ name: Name });

function Rename({ thing, onRename }: { thing: Thing; onRename(name: string): void }) {
  const { register, handleSubmit, formState } = useForm({
    resolver: zodResolver(Naming),
    values: { name: thing.name },
  });
  return (
    <form onSubmit={(event) => void handleSubmit(({ name }) => onRename(name))(event)} noValidate>
      <div className="flex gap-2">
        <input
          aria-label="Name of the thing"
          className="h-10 min-w-0 flex-1 border border-edge bg-leaf px-2"
          autoComplete="off"
          {...register('name')}
        />
        <Button type="submit" disabled={!formState.isDirty}>
          Rename
        </Button>
      </div>
      {formState.errors.name && (
        <p role="alert" className="mt-1 text-[0.95rem] font-semibold">
          {formState.errors.name.message}
        </p>
      )}
    </form>
  );
}
