import { useMemo } from 'react';
import { paperById } from '../../core/laydown/index.ts';
import { SCHOOLS, schoolById } from '../../core/recipe/index.ts';
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
import { useIsClose, usePreview } from '../desk/use-preview.ts';
import { Notice, Pick, Section } from '../parts/index.ts';
import { ThingLayers } from './thing-layers.tsx';

/** The Layers stage: how each thing is built from its family, layer by layer, and what will come out. */
export function LayersStage() {
  const desk = useDesk();
  const { sheet, recipes } = desk;
  const { things, layers, page } = sheet.plan;
  const change = usePlanChange(sheet.id, 'layers');
  const dispatch = useAppDispatch();
  const { regionIds, thingId } = useChosen();
  const upToLayer = useAppSelector((state) => state.atTheDesk.upToLayer);
  const lit = useLitRegions();
  const most = Math.max(0, ...[...recipes.values()].map((recipe) => recipe.layers.length));
  const shown = Math.min(upToLayer ?? most, most);
  const upTo = useMemo(
    () => (shown >= most ? {} : Object.fromEntries([...recipes.keys()].map((id) => [id, shown]))),
    [shown, most, recipes],
  );
  const preview = usePreview(upTo, useIsClose());
  const pick = usePickThing();
  const recipe = thingId ? recipes.get(thingId) : undefined;
  const thing = things.find((each) => each.id === thingId);
  return (
    <Frame
      title="Layers"
      topOn={thingId}
      centre={
        <div className="flex h-full flex-col">
          <div className="min-h-0 flex-1">
            <SheetView
              under={preview}
              selected={regionIds}
              lit={lit}
              onPick={pick}
              paperTint={paperById(page.paper).tint}
            />
          </div>
          {most > 0 && <Scrubber shown={shown} most={most} onShow={(layer) => dispatch(showUpTo(layer))} />}
        </div>
      }
      side={
        <>
          <Section title="School of this sheet">
            <Pick
              label="School of this sheet"
              value={layers.school}
              options={SCHOOLS.map(({ id, name, says, costs }) => ({
                value: id,
                label: name,
                says: `${says} ${costs}`,
              }))}
              onChange={(school) =>
                void change(`school: ${schoolById(school).name}`, { layers: { ...layers, school } })
              }
            />
            {!thing && <p className="mt-1.5 text-[0.95rem] text-soft">{schoolById(layers.school).says}</p>}
          </Section>
          {recipes.size === 0 && <Notice>No thing has a family of pencils yet. Choose a palette at the Wheel.</Notice>}
          {thing && recipe && <ThingLayers key={thing.id} thing={thing} recipe={recipe} />}
          {thing && !recipe && recipes.size > 0 && (
            <Notice>{thing.name} has no family of pencils in this tray yet. Give it one at the Wheel.</Notice>
          )}
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

/** Shows the page as it stands after any number of layers of each thing. */
function Scrubber({ shown, most, onShow }: { shown: number; most: number; onShow(layer: number): void }) {
  return (
    <label className="flex h-12 shrink-0 items-center gap-3 border-t border-rule bg-desk px-4">
      <span className="w-44 text-[0.95rem]">
        {shown === 0 ? 'bare paper' : shown === most ? 'all layers laid' : `after layer ${shown} of ${most}`}
      </span>
      <input
        type="range"
        min={0}
        max={most}
        step={1}
        value={shown}
        aria-label="Layers laid"
        aria-valuetext={`${shown} of ${most} layers`}
        className="h-8 flex-1 accent-neutral-700"
        onChange={(event) => onShow(Number(event.target.value))}
      />
    </label>
  );
}
