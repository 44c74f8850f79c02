import { Radio, RadioGroup } from '@headlessui/react';
import clsx from 'clsx';
import { useMemo } from 'react';
import { FORMS, type MainLight, formById, formSketch } from '../../core/light/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useAppSelector } from '../app/store.ts';
import { useDesk } from '../desk/desk-context.ts';
import { ThingList } from '../desk/thing-list.tsx';
import { PixelCanvas, Section } from '../parts/index.ts';

const SKETCH = 60;

/** The form of each thing, proposed from its shape and what it is made of, and changed by one click. */
export function FormOfThing() {
  const { sheet, forms } = useDesk();
  const { things, light } = sheet.plan;
  const change = usePlanChange(sheet.id, 'light');
  const thingId = useAppSelector((state) => state.atTheDesk.thingId);
  const thing = things.find((each) => each.id === thingId);
  const own = thing ? (forms.get(thing.id) ?? 'raised') : 'raised';
  return (
    <>
      {thing && (
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
      )}
      <Section title="Forms" aside={thing ? undefined : 'choose a thing to change its form'}>
        <ThingList label="Forms of things">
          {({ id }) => (
            <span className="shrink-0 text-sm font-normal text-soft">{formById(forms.get(id) ?? 'raised').name}</span>
          )}
        </ThingList>
      </Section>
    </>
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
