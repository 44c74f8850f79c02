import isEqual from 'fast-deep-equal';
import { useMemo, useState } from 'react';
import type { Horizon } from '../../contracts/index.ts';
import { type MainLight } from '../../core/light/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { useChosen } from '../desk/use-chosen.ts';
import { Frame } from '../desk/frame.tsx';
import { SheetView } from '../desk/sheet-view.tsx';
import { useLitRegions } from '../desk/use-lit.ts';
import { usePickThing } from '../desk/use-pick-thing.ts';
import { useGlowContrasts, useTonePicture } from '../desk/use-light-pictures.ts';
import { Choice, Notice, Section } from '../parts/index.ts';
import { Glows } from './glows.tsx';
import { HorizonOfPage } from './horizon.tsx';
import { LightDial, compassWords } from './light-dial.tsx';
import { FormsOfThings, ThingInLight } from './thing-in-light.tsx';
import { type PlacedGlow, decide, glowsOf, thingsOf } from '../../plan/index.ts';
import { useGlowHandles, useHorizonHandles } from './light-handles.ts';

const MAIN: Record<MainLight['kind'], { name: string; says: string }> = {
  ambient: {
    name: 'Soft, all round',
    says: 'Raised parts are light in the middle and dark at the sides, whichever side. What lies behind something is darkest close to it.',
  },
  direction: {
    name: 'From a side',
    says: 'The side that faces the light is pale and the highlight moves towards it; shadows fall away from it.',
  },
  behind: {
    name: 'From behind',
    says: 'Rims are pale and middles dark: each layer is smaller than the one before it.',
  },
};

/** The Light stage: where the light comes from, what glows, and how each thing stands in it. */
export function LightStage() {
  const { sheet, page } = useDesk();
  const things = thingsOf(sheet.plan);
  const change = usePlanChange(sheet.id, 'light');
  const { regionIds, thingId } = useChosen();
  const lit = useLitRegions();
  const chosen = things.find(({ id }) => id === thingId);
  const [heldLight, holdLight] = useState<MainLight | null>(null);
  const [heldGlow, holdGlow] = useState<{ of: readonly PlacedGlow[]; glow: PlacedGlow } | null>(null);
  const light = heldLight ?? sheet.plan.light;
  // What is held counts as long as it is a change of what stands, however often the server says that again.
  const kept = useMemo(
    () => glowsOf({ things: sheet.plan.things, lamps: sheet.plan.lamps }),
    [sheet.plan.things, sheet.plan.lamps],
  );
  const held = heldGlow && isEqual(heldGlow.of, kept) ? heldGlow.glow : null;
  const glows = useMemo(() => (held ? kept.map((glow) => (glow.id === held.id ? held : glow)) : kept), [kept, held]);
  const [heldHorizon, holdHorizon] = useState<{ of: Horizon; horizon: Horizon } | null>(null);
  const horizon = heldHorizon && isEqual(heldHorizon.of, sheet.plan.horizon) ? heldHorizon.horizon : sheet.plan.horizon;
  const tone = useTonePicture({ main: light, glows }, heldLight !== null || held !== null);
  const set = (next: MainLight) => {
    holdLight(null);
    const words = next.kind === 'direction' ? `light from ${compassWords(next.azimuthDegrees)}` : MAIN[next.kind].name;
    void change(words, (plan) => decide(plan, { light: next }));
  };
  const pick = usePickThing();
  const hold = (glow: PlacedGlow) => holdGlow({ of: kept, glow });
  const contrasts = useGlowContrasts({ main: sheet.plan.light, glows: kept });
  // What is said of a glow is of how it stands, not of how it is being changed.
  const ofGlows = { glows, contrasts: held ? [] : contrasts, onHold: hold };
  const handles = [
    ...useGlowHandles(glows, hold),
    ...useHorizonHandles(horizon, (next) => holdHorizon({ of: sheet.plan.horizon, horizon: next })),
  ];
  return (
    <Frame
      title="Light"
      topOn={thingId}
      centre={
        <SheetView under={tone} selected={regionIds} lit={lit} onPick={pick} handles={handles} paperTint="#ffffff" />
      }
      side={
        <>
          {chosen && page && <ThingInLight key={chosen.id} thing={chosen} {...ofGlows} />}
          <Section title="Main light">
            <Choice
              label="Main light"
              value={light.kind}
              options={Object.entries(MAIN).map(([value, { name }]) => ({
                value: value as MainLight['kind'],
                label: name,
              }))}
              onChange={(kind) =>
                set(kind === 'direction' ? { kind, azimuthDegrees: 225, heightDegrees: 45 } : { kind })
              }
            />
            <p className="mt-2 text-[0.95rem] text-soft">{MAIN[light.kind].says}</p>
            {light.kind === 'direction' && <LightDial light={light} onHold={holdLight} onSet={set} />}
          </Section>
          {!page && <Notice>Find the regions of this page first, at the Sheet.</Notice>}
          {page && things.length === 0 && (
            <Notice>No thing is named yet, so every region is taken as raised. Name things at the Sheet.</Notice>
          )}
          {page && <Glows {...ofGlows} chosen={thingId} />}
          {page && <HorizonOfPage horizon={horizon} />}
          {things.length > 0 && <FormsOfThings />}
        </>
      }
    />
  );
}
