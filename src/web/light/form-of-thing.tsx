import { Radio, RadioGroup } from '@headlessui/react';
import clsx from 'clsx';
import { useMemo } from 'react';
import type { Thing } from '../../contracts/index.ts';
import { FORMS, type MainLight, formById, formSketch } from '../../core/light/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useAppSelector } from '../app/store.ts';
import { useDesk } from '../desk/desk-context.ts';
import { ThingList } from '../desk/thing-list.tsx';
import { PixelCanvas, Section } from '../parts/index.ts';

const SKETCH = 60;

/** The form of one thing, proposed from its shape and what it is made of, and changed by one click. */
export function FormOfThing({ thing }: { thing: Thing }) {
  const { sheet, forms } = useDesk();
  const { light } = sheet.plan;
  const change = usePlanChange(sheet.id, 'light');
  const own = forms.get(thing.id) ?? 'raised';
  return (
    <Section title={`Form of ${thing.name}`} aside={sheet.plan.forms[thing.id] ? 'chosen' : 'proposed'}>
      <FormChoice
        label={`Form of ${thing.name}`}
        light={light}
        value={own}
        onChange={(form) =>
          void change(`${thing.name} ${formById(form).name}`, { forms: { ...sheet.plan.forms, [thing.id]: form } })
        }
      />
      <p className="mt-2 text-[0.95rem] text-soft">{formById(own).says}</p>
    </Section>
  );
}

/** The forms of all things of the sheet. */
export function FormsOfThings() {
  const { forms } = useDesk();
  const none = useAppSelector((state) => state.atTheDesk.thingId === null);
  return (
    <Section title="Forms" aside={none ? 'choose a thing to change its form' : undefined}>
      <ThingList label="Forms of things">
        {({ id }) => (
          <span className="shrink-0 text-sm font-normal text-soft">{formById(forms.get(id) ?? 'raised').name}</span>
        )}
      </ThingList>
    </Section>
  );
}

interface ChoiceProps {
  label: string;
  light: MainLight;
  value: string;
  onChange(form: string): void;
}

/** All forms as sketches under the light of the page. */
function FormChoice({ label, light, value, onChange }: ChoiceProps) {
  const sketches = useMemo(() => new Map(FORMS.map((form) => [form.id, formSketch(form, light, SKETCH)])), [light]);
  return (
    <RadioGroup value={value} onChange={onChange} aria-label={label} className="grid grid-cols-4 gap-1.5">
      {FORMS.map(({ id, name }) => (
        <Radio
          key={id}
          value={id}
          className={({ checked }) =>
            clsx(
              'flex cursor-pointer flex-col items-center border px-1 pt-2 pb-1.5 text-center text-sm leading-tight',
              checked ? 'border-strong bg-strong font-semibold text-on-strong' : 'border-edge bg-leaf hover:bg-card',
            )
          }
        >
          <PixelCanvas pixels={sketches.get(id)!} className="mb-1 h-11 w-11" />
          {name}
        </Radio>
      ))}
    </RadioGroup>
  );
}
