import { useMemo, useState } from 'react';
import { paperById } from '../../core/laydown/index.ts';
import { SCHOOLS, schoolById } from '../../core/recipe/index.ts';
import { decide, thingsOf } from '../../plan/index.ts';
import { laidLayers, roundsOfPlan } from '../../order/index.ts';
import { proposedEffects } from '../../plan/derive/index.ts';
import { useBenchQuery } from '../api/desk-api.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { showUpTo } from '../desk/at-the-desk.ts';
import { bodyColour } from '../desk/body-colour.ts';
import { useDesk } from '../desk/desk-context.ts';
import { useChosen } from '../desk/use-chosen.ts';
import { Frame } from '../desk/frame.tsx';
import { SheetView } from '../desk/sheet-view.tsx';
import { ThingList } from '../desk/thing-list.tsx';
import { useLitRegions } from '../desk/use-lit.ts';
import { usePickThing } from '../desk/use-pick-thing.ts';
import { useIsClose } from '../desk/looked-at.ts';
import { useZoneVeil } from '../desk/use-light-pictures.ts';
import { usePreview } from '../desk/use-preview.ts';
import { Notice, Select, Section } from '../parts/index.ts';
import { CloseUp } from './close-up.tsx';
import { RecipeSheet } from './recipe-sheet.tsx';
import { PagePicture } from './page-picture.tsx';
import { RecipeCards } from './recipe-cards.tsx';
import { Scrubber, type ScrubBy } from './scrubber.tsx';
import { ThingLayers } from './thing-layers.tsx';
import { ZoneGuide } from './zone-guide.tsx';

/** Nothing is laid on a thing that is not named here otherwise. */
const ALL: Readonly<Record<string, number>> = {};

/** The Layers stage: how each thing is built from its family, layer by layer, and what will come out. */
export function LayersStage() {
  const desk = useDesk();
  const { sheet, recipes, page, pencilById } = desk;
  const things = thingsOf(sheet.plan);
  const change = usePlanChange(sheet.id, 'layers');
  const { regionIds, thingId } = useChosen();
  const lit = useLitRegions();
  const [open, setOpen] = useState<{ thingId: string; layerId: string } | null>(null);
  const [isBefore, setBefore] = useState(false);
  const [isClose, setClose] = useState(false);
  const scrub = useScrub();
  const nothing = useMemo(() => Object.fromEntries([...recipes.keys()].map((id) => [id, 0])), [recipes]);
  const upTo = isBefore ? nothing : scrub.upTo;
  const preview = usePreview(upTo, useIsClose());
  const pick = usePickThing();
  const recipe = thingId ? recipes.get(thingId) : undefined;
  const thing = things.find((each) => each.id === thingId);
  const openLayer = open && open.thingId === thingId ? recipe?.layers.find(({ id }) => id === open.layerId) : undefined;
  const veil = useZoneVeil(
    useMemo(() => (openLayer ? [{ regionIds, zone: openLayer.zone }] : []), [openLayer, regionIds]),
  );
  const effects = useMemo(
    () => proposedEffects(sheet.plan, page ?? { regions: [], neighbours: [] }, pencilById),
    [sheet.plan, page, pencilById],
  );
  // A loupe lies on what is chosen, or on the middle of the page.
  const { widthMm, heightMm } = sheet.plan.page;
  const at = page?.regions[(regionIds[0] ?? 0) - 1]?.pole ?? { x: widthMm / 2, y: heightMm / 2 };
  return (
    <Frame
      title="Layers"
      topOn={thingId}
      centre={
        <div className="flex h-full flex-col">
          <div className="relative min-h-0 flex-1">
            <SheetView
              predicted={preview}
              veil={openLayer ? veil : null}
              rulers={openLayer !== undefined}
              {...(openLayer && { fitRegions: regionIds, fitKey: `layers of ${thingId}` })}
              selected={regionIds}
              lit={lit}
              onPick={pick}
              paperTint={paperById(sheet.plan.page.paper).tint}
            />
            {isClose && <CloseUp at={at} upTo={upTo} onClose={() => setClose(false)} />}
          </div>
          {recipes.size > 0 && (
            <Scrubber {...scrub} isBefore={isBefore} onBefore={setBefore} isClose={isClose} onClose={setClose} />
          )}
        </div>
      }
      side={
        <>
          <Section title="School of this sheet">
            <Select
              label="School of this sheet"
              value={sheet.plan.school}
              options={SCHOOLS.map(({ id, name, says, costs }) => ({
                value: id,
                label: name,
                says: `${says} ${costs}`,
              }))}
              onChange={(school) =>
                void change(`school: ${schoolById(school).name}`, (plan) => decide(plan, { school }))
              }
            />
            {!thing && <p className="mt-1.5 text-[0.95rem] text-soft">{schoolById(sheet.plan.school).says}</p>}
          </Section>
          {recipes.size === 0 && <Notice>No thing has a family of pencils yet. Choose a palette at the Wheel.</Notice>}
          {thing && recipe && (
            <>
              <ThingLayers
                key={thing.id}
                thing={thing}
                recipe={recipe}
                proposed={effects.get(thing.id) ?? 'blend'}
                openLayer={openLayer?.id ?? null}
                onOpenLayer={(layerId) => setOpen(layerId ? { thingId: thing.id, layerId } : null)}
              />
              {openLayer ? (
                <ZoneGuide thing={thing} layer={openLayer} number={recipe.layers.indexOf(openLayer) + 1} />
              ) : (
                <RecipeSheet thing={thing} recipe={recipe} />
              )}
              <RecipeCards thing={thing} recipe={recipe} />
            </>
          )}
          {thing && !recipe && recipes.size > 0 && (
            <Notice>{thing.name} has no family of pencils in this tray yet. Give it one at the Wheel.</Notice>
          )}
          {recipes.size > 0 && !thing && <PagePicture upTo={upTo} />}
          {recipes.size > 0 && (
            <Section title="Things" aside={thing ? undefined : 'choose one to see its layers'}>
              <ThingList label="Things and their layers">
                {({ id }) => (
                  <>
                    <span className="flex gap-px" aria-hidden>
                      {recipes.get(id)?.layers.map((layer) => (
                        <span
                          key={layer.id}
                          className="h-4 w-3"
                          style={{ background: bodyColour(desk, layer.pencil) }}
                        />
                      ))}
                    </span>
                    <span className="w-16 shrink-0 text-right text-sm font-normal text-soft">
                      {recipes.has(id) ? `${recipes.get(id)!.layers.length} layers` : 'none'}
                    </span>
                  </>
                )}
              </ThingList>
            </Section>
          )}
        </>
      }
    />
  );
}

/** How far the page is laid as it is shown: by so many layers of each thing, or by so many steps of the bench's order. */
function useScrub() {
  const { sheet, recipes } = useDesk();
  const dispatch = useAppDispatch();
  const { data: bench } = useBenchQuery(sheet.id);
  const plan = bench?.plan ?? null;
  const [by, setBy] = useState<ScrubBy>('layers');
  const [steps, setSteps] = useState<number | null>(null);
  const upToLayer = useAppSelector((state) => state.atTheDesk.upToLayer);
  const byStep = by === 'steps' && plan !== null;
  const rounds = useMemo(() => (plan ? roundsOfPlan(plan).flat() : []), [plan]);
  const most = byStep ? rounds.length : Math.max(0, ...[...recipes.values()].map((recipe) => recipe.layers.length));
  const shown = Math.min((byStep ? steps : upToLayer) ?? most, most);
  const upTo = useMemo(() => {
    if (shown >= most && !byStep) return ALL;
    if (!byStep) return Object.fromEntries([...recipes.keys()].map((id) => [id, shown]));
    const done = new Set(rounds.slice(0, shown).flatMap((round) => round.steps.map(({ id }) => id)));
    return Object.fromEntries([...recipes].map(([id, own]) => [id, laidLayers(id, own.layers, done, plan.steps)]));
  }, [shown, most, byStep, recipes, plan, rounds]);
  return {
    shown,
    most,
    upTo,
    by: byStep ? ('steps' as const) : ('layers' as const),
    hasSteps: plan !== null,
    onBy: setBy,
    onShow: (to: number) => (byStep ? setSteps(to) : dispatch(showUpTo(to))),
  };
}
