import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { zodResolver } from '@hookform/resolvers/zod';
import { ChevronRight } from 'lucide-react';
import { useForm } from 'react-hook-form';
import { PaperFacts as Facts } from '../../contracts/index.ts';
import { decide } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Select } from '../parts/index.ts';
import { PaperTint } from './paper-tint.tsx';

type YesNo = 'yes' | 'no' | 'unknown';

const QUESTIONS: readonly {
  id: 'bound' | 'printedOnBothSides' | 'waterSafe' | 'inkRuns' | 'paleOutlines';
  asks: string;
  yes: string;
  no: string;
}[] = [
  { id: 'bound', asks: 'Bound', yes: 'bound in its book', no: 'a loose sheet' },
  { id: 'printedOnBothSides', asks: 'Back', yes: 'printed on both sides', no: 'nothing on its back' },
  { id: 'waterSafe', asks: 'Water', yes: 'takes water', no: 'warps with water' },
  { id: 'inkRuns', asks: 'Ink', yes: 'the line ink runs', no: 'the line ink holds' },
  { id: 'paleOutlines', asks: 'Outlines', yes: 'pale outlines', no: 'black outlines' },
];

/** What else is known of the paper: its weight, how it is bound, what water and the ink do, and the note of a test. */
export function PaperFacts() {
  const { sheet } = useDesk();
  const change = usePlanChange(sheet.id, 'sheet');
  const { paperFacts } = sheet.plan;
  const { register, handleSubmit, formState } = useForm({
    resolver: zodResolver(Facts),
    values: paperFacts,
  });
  const known = QUESTIONS.filter(({ id }) => paperFacts[id] !== null).length + Number(paperFacts.weightGsm !== null);
  const fault = formState.errors.weightGsm?.message ?? formState.errors.testNote?.message;
  return (
    <Disclosure>
      <DisclosureButton className="group flex min-h-10 w-full items-center gap-1 text-left text-[0.95rem]">
        <ChevronRight size={16} aria-hidden className="group-data-open:rotate-90" />
        More about the paper
        <span className="ml-auto text-sm text-soft">{known === 0 ? 'nothing said' : `${known} of 6 said`}</span>
      </DisclosureButton>
      <DisclosurePanel className="grid gap-2 pb-2">
        <PaperTint />
        {QUESTIONS.map(({ id, asks, yes, no }) => (
          <Select<YesNo>
            key={id}
            label={asks}
            value={paperFacts[id] === null ? 'unknown' : paperFacts[id] ? 'yes' : 'no'}
            options={[
              { value: 'unknown', label: `${asks.toLowerCase()}: not known` },
              { value: 'yes', label: yes },
              { value: 'no', label: no },
            ]}
            onChange={(value) =>
              void change(
                `paper ${value === 'yes' ? yes : value === 'no' ? no : `${asks.toLowerCase()} not known`}`,
                (plan) =>
                  decide(plan, { paperFacts: { ...paperFacts, [id]: value === 'unknown' ? null : value === 'yes' } }),
              )
            }
          />
        ))}
        <form
          noValidate
          className="grid gap-2"
          onSubmit={(event) =>
            void handleSubmit((facts) =>
              change('what is known of the paper', (plan) => decide(plan, { paperFacts: { ...paperFacts, ...facts } })),
            )(event)
          }
        >
          <label className="flex items-center gap-2">
            <span className="w-16 shrink-0 text-[0.95rem]">weight</span>
            <input
              inputMode="numeric"
              aria-label="Weight in grams per square metre"
              className="h-10 w-20 border border-edge bg-leaf px-2 font-figure"
              {...register('weightGsm', {
                setValueAs: (value) => (value === '' || value === null ? null : Number(value)),
              })}
            />
            <span className="text-soft">g/m²</span>
          </label>
          <label className="text-[0.95rem]">
            what a test showed
            <textarea className="mt-1 h-16 w-full border border-edge bg-leaf px-2 py-1" {...register('testNote')} />
          </label>
          {fault && (
            <p role="alert" className="text-[0.95rem] font-semibold">
              {fault}
            </p>
          )}
          <Button type="submit" disabled={!formState.isDirty}>
            Keep
          </Button>
          {paperFacts.waterSafe !== true && (
            <p className="text-sm text-soft">
              Before water or alcohol: test on a spare page, put a sheet under it, and let it dry.
            </p>
          )}
        </form>
      </DisclosurePanel>
    </Disclosure>
  );
}
