import { Radio, RadioGroup } from '@headlessui/react';
import clsx from 'clsx';
import { Sun } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { Thing } from '../../contracts/index.ts';
import { FORMS, type MainLight, finishOf, formById, formSketch } from '../../core/light/index.ts';
import { USUAL_GLOW, decideThing, setGlow } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useHighlights, useLighting } from '../desk/use-light-pictures.ts';
import { useAppSelector } from '../app/store.ts';
import { useDesk } from '../desk/desk-context.ts';
import { ThingList } from '../desk/thing-list.tsx';
import { Button, PixelCanvas, Section } from '../parts/index.ts';
import { highlightWords } from './highlight-words.ts';
import { GlowCard } from './glow-card.tsx';
import { type GlowsProps } from './glows.tsx';

const SKETCH = 60;

/** One thing in the light: whether it glows, and its form, proposed by its shape and material and changed by one click. */
export function ThingInLight({ thing, glows, contrasts, onHold }: GlowsProps & { thing: Thing }) {
  const { sheet, formed } = useDesk();
  const { light } = sheet.plan;
  const change = usePlanChange(sheet.id, 'light');
  const [justLit, setJustLit] = useState(false);
  const own = formed.find(({ id }) => id === thing.id)?.form ?? 'raised';
  const place = glows.findIndex(({ id }) => id === thing.id);
  const glow = glows[place];
  return (
    <Section title={thing.name} aside={`form ${thing.form ? 'chosen' : 'proposed'}`}>
      <div className="mb-2">
        {glow ? (
          <GlowCard glow={glow} contrast={contrasts[place] ?? null} onHold={onHold} takesKeys={justLit} />
        ) : (
          <Button
            onClick={() => {
              setJustLit(true);
              void change(`${thing.name} glows`, (plan) => setGlow(plan, thing.id, USUAL_GLOW));
            }}
          >
            <Sun size={16} aria-hidden /> Let {thing.name} glow
          </Button>
        )}
      </div>
      <FormChoice
        label={`Form of ${thing.name}`}
        light={light}
        value={own}
        onChange={(form) =>
          void change(`${thing.name} ${formById(form).name}`, (plan) => decideThing(plan, thing.id, { form }))
        }
      />
      <p className="mt-2 text-[0.95rem] text-soft">{formById(own).says}</p>
      <ShineOf thing={thing} />
    </Section>
  );
}

/** How a thing shines: as metal, or with highlights of its own and how large those are. */
function ShineOf({ thing }: { thing: Thing }) {
  const own = useDesk().formed.find(({ id }) => id === thing.id);
  const highlights = useHighlights(thing.regionIds, useLighting());
  const finish = own ? finishOf(own) : null;
  const words = finish ? `Shines ${finish.name}. ${finish.says}` : highlights && highlightWords(highlights);
  return words ? <p className="mt-1 text-[0.95rem] text-soft">{words}</p> : null;
}

/** The forms of all things of the sheet. */
export function FormsOfThings() {
  const { formed } = useDesk();
  const forms = new Map(formed.map(({ id, form }) => [id, form]));
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
