import { useState } from 'react';
import { type Light, FORMS, formById } from '../../core/light/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useAppSelector } from '../app/store.ts';
import { useDesk } from '../desk/desk-context.ts';
import { useChosen } from '../desk/use-chosen.ts';
import { Frame } from '../desk/frame.tsx';
import { SheetView } from '../desk/sheet-view.tsx';
import { ThingList } from '../desk/thing-list.tsx';
import { useLitRegions } from '../desk/use-lit.ts';
import { usePickThing } from '../desk/use-pick-thing.ts';
import { useTonePicture } from '../desk/use-preview.ts';
import { Choice, Notice, Section } from '../parts/index.ts';
import { LightDial, compassWords } from './light-dial.tsx';

/** The Light stage: where the light comes from, and how each thing stands in it. */
export function LightStage() {
  const { sheet, page } = useDesk();
  const { things } = sheet.plan;
  const change = usePlanChange(sheet.id, 'light');
  const { regionIds, thingId } = useChosen();
  const lit = useLitRegions();
  const [held, setHeld] = useState<Light | null>(null);
  const light = held ?? sheet.plan.light;
  const tone = useTonePicture(light);
  const set = (next: Light) => {
    setHeld(null);
    void change(next.kind === 'ambient' ? 'soft light all round' : `light from ${compassWords(next.azimuthDegrees)}`, {
      light: next,
    });
  };
  const pick = usePickThing();
  return (
    <Frame
      title="Light"
      topOn={thingId}
      centre={<SheetView under={tone} selected={regionIds} lit={lit} onPick={pick} paperTint="#ffffff" />}
      side={
        <>
          <Section title="Main light">
            <Choice
              label="Main light"
              value={light.kind}
              options={[
                { value: 'ambient', label: 'Soft, all round' },
                { value: 'direction', label: 'From a side' },
              ]}
              onChange={(kind) => set(kind === 'ambient' ? { kind } : { kind, azimuthDegrees: 225, heightDegrees: 45 })}
            />
            <p className="mt-2 text-[0.95rem] text-soft">
              {light.kind === 'ambient'
                ? 'Raised parts are light in the middle and dark at the sides, whichever side.'
                : 'The side that faces the light is pale; the highlight moves towards it.'}
            </p>
            {light.kind === 'direction' && <LightDial light={light} onHold={setHeld} onSet={set} />}
          </Section>
          {!page && <Notice>Find the regions of this page first, at the Sheet.</Notice>}
          {page && things.length === 0 && (
            <Notice>No thing is named yet, so every region is taken as raised. Name things at the Sheet.</Notice>
          )}
          {things.length > 0 && <FormOfThing key={thingId} />}
        </>
      }
    />
  );
}

/** The form of each thing, proposed from where it lies and changed by one click. */
function FormOfThing() {
  const { sheet, forms } = useDesk();
  const { things } = sheet.plan;
  const change = usePlanChange(sheet.id, 'light');
  const thingId = useAppSelector((state) => state.atTheDesk.thingId);
  const thing = things.find((each) => each.id === thingId);
  return (
    <>
      {thing && (
        <Section title={thing.name} aside={sheet.plan.forms[thing.id] ? 'form chosen' : 'form proposed'}>
          <Choice
            stacked
            label={`Form of ${thing.name}`}
            value={forms.get(thing.id) ?? 'raised'}
            options={FORMS.map(({ id, name, says }) => ({ value: id, label: name, says }))}
            onChange={(form) =>
              void change(`${thing.name} ${formById(form).name}`, { forms: { ...sheet.plan.forms, [thing.id]: form } })
            }
          />
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
