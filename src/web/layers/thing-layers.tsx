import { arrayMove } from '@dnd-kit/sortable';
import { Plus, Undo2 } from 'lucide-react';
import { nanoid } from 'nanoid';
import { useMemo, useState } from 'react';
import type { Thing } from '../../contracts/index.ts';
import {
  type Layer,
  type Recipe,
  type RecipeEdits,
  type Effect,
  EFFECT_HEADS,
  choicesOf,
  SCHOOLS,
  effectById,
  layerLaidWith,
  mergedEdits,
  schoolById,
  withToolLayer,
} from '../../core/recipe/index.ts';
import { toolById } from '../../core/laydown/index.ts';
import { decideThing, type AboutThing } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Notice, Select, PixelCanvas, Reordered, Section } from '../parts/index.ts';
import { AddWithTool } from './add-with-tool.tsx';
import { Findings } from './findings.tsx';
import { LayerRow } from './layer-row.tsx';
import { useChecked } from './use-checked.ts';
import { WhatChanged } from './what-changed.tsx';

interface Props {
  thing: Thing;
  recipe: Recipe;
  /** The effect that it would have if nobody chose. */
  proposed: string;
  /** The layer that is open to be changed and shown on the sheet, by id. */
  openLayer: string | null;
  onOpenLayer(id: string | null): void;
}

/** The layers of one thing in order, all of them to be changed, moved, added and left out, with what comes of it. */
export function ThingLayers({ thing, recipe, proposed, openLayer, onOpenLayer }: Props) {
  const { sheet, page } = useDesk();
  const change = usePlanChange(sheet.id, 'layers');
  const regions = useMemo(() => thing.regionIds.flatMap((id) => page?.regions[id - 1] ?? []), [thing.regionIds, page]);
  const [before, setBefore] = useState<Recipe | null>(null);
  const { checked, fault } = useChecked(thing, recipe, before);
  const findings = checked?.findings ?? [];
  const edits = thing.edits ?? {};
  const changed = Object.keys(edits).length > 0;
  const edit = (more: RecipeEdits, label: string) => {
    setBefore(recipe);
    const merged = mergedEdits(edits, more);
    void change(`${thing.name}: ${label}`, (plan) => decideThing(plan, thing.id, { edits: merged }));
  };
  const ids = recipe.layers.map((layer) => layer.id);
  const move = (from: number, to: number) => {
    const order = arrayMove(ids, from, to);
    edit({ order }, `layer ${from + 1} as layer ${to + 1}`);
  };
  const add = (model: Layer, label: string) => {
    const id = `own-${nanoid(6)}`;
    const order = [...ids];
    order.splice(ids.indexOf(model.id) + 1, 0, id);
    edit({ added: [{ ...model, id }], order }, label);
    onOpenLayer(id);
  };
  const addTool = (tool: string) => {
    const more = withToolLayer(recipe, tool, () => `own-${nanoid(6)}`);
    edit(more, toolById(tool).name);
    onOpenLayer(more.added[0]!.id);
  };
  return (
    <Section
      title={thing.name}
      aside={`${thing.regionIds.length} regions, widest ${Math.max(...regions.map((region) => region.usableWidthMm)).toFixed(1)} mm`}
    >
      <div className="grid grid-cols-[minmax(0,1fr)] gap-2">
        <Findings
          of={findings.filter(({ about }) => about === 'layers')}
          onRemedy={({ change: remedy, remedy: words }) => edit(remedy!, words.replace(/\.$/, '').slice(0, 80))}
        />
        {fault && (
          <Notice kind="refused">
            These layers cannot be worked out, so this thing is left bare on the sheet. {fault}
          </Notice>
        )}
        <HowItIsLaid thing={thing} recipe={recipe} proposed={proposed} />
        <figure>
          <figcaption className="mb-1 flex justify-between text-sm text-soft">
            <span>shadow</span>
            <span>what comes out</span>
            <span>highlight</span>
          </figcaption>
          <div className="h-10 bg-ground p-1">
            <PixelCanvas
              pixels={checked?.ramp ?? null}
              label={`Predicted passage of ${thing.name} from shadow to highlight`}
              className="h-full w-full"
            />
          </div>
        </figure>
        {before && checked?.consequences && <WhatChanged of={checked.consequences} />}
        <Reordered ids={ids} onMove={(id, to) => move(ids.indexOf(id), ids.indexOf(to))}>
          <ol className="divide-y divide-rule border-y border-rule" aria-label={`Layers of ${thing.name}`}>
            {recipe.layers.map((layer, i) => (
              <LayerRow
                key={layer.id}
                layer={layer}
                number={i + 1}
                regions={regions}
                toothLeft={checked?.toothLeft[i] ?? null}
                open={openLayer === layer.id}
                last={i === recipe.layers.length - 1}
                onOpen={(open) => onOpenLayer(open ? layer.id : null)}
                onMove={(by) => move(i, i + by)}
                onEdit={(own, label) => edit({ layers: { [layer.id]: own } }, label)}
                onLaidWith={(tool, label) => edit(layerLaidWith(recipe, layer.id, tool), label)}
                onCopy={() => add(layer, `layer ${i + 1} once more`)}
                onLeaveOut={() => edit({ without: [layer.id] }, `without layer ${i + 1}`)}
              />
            ))}
          </ol>
        </Reordered>
        <div className="flex flex-wrap gap-2">
          {recipe.layers.length > 0 && (
            <Button onClick={() => add(newLayer(recipe.layers.at(-1)!), 'one more layer')}>
              <Plus size={15} aria-hidden /> Add a layer
            </Button>
          )}
          {recipe.layers.length > 0 && <AddWithTool thing={thing.name} onAdd={addTool} />}
          {changed && (
            <Button
              onClick={() => {
                setBefore(recipe);
                void change(`${thing.name}: layers as worked out`, (plan) =>
                  decideThing(plan, thing.id, { edits: null }),
                );
              }}
            >
              <Undo2 size={15} aria-hidden /> As worked out
            </Button>
          )}
        </div>
        <Findings of={findings.filter(({ about }) => about === 'widths')} onRemedy={() => undefined} />
      </div>
    </Section>
  );
}

/** A layer to begin with: the last one's pencil, lightly over the shadow, for the person to change. */
function newLayer(model: Layer): Layer {
  const { field, overMm } = model.zone;
  return {
    ...model,
    pressure: 'light',
    passes: 1,
    fromWidthMm: 0,
    purpose: 'A layer of your own.',
    zone: { field, overMm, from: 0, to: 0.5, softnessMm: Math.round(3 * overMm) / 10 },
  };
}

/** What stands for an effect and all that nearly coincide with it. */
function headOf(effect: Effect): Effect {
  return choicesOf(effect)[0] ?? effect;
}

/** What it is made to look like, and in which order it is laid. */
function HowItIsLaid({ thing, recipe, proposed }: Pick<Props, 'thing' | 'recipe' | 'proposed'>) {
  const { sheet } = useDesk();
  const change = usePlanChange(sheet.id, 'layers');
  const effect = effectById(recipe.effect);
  const choices = choicesOf(effect);
  /** Another effect or school has other layers: what was changed in these ones goes with them. */
  const set = (part: Pick<AboutThing, 'effect' | 'school'>, label: string) =>
    void change(`${thing.name}: ${label}`, (plan) => decideThing(plan, thing.id, { ...part, edits: null }));
  return (
    <>
      <Select
        label={`Effect of ${thing.name}`}
        value={thing.effect === null ? 'material' : headOf(effect).id}
        options={[
          {
            value: 'material',
            label: `${thing.material ? `as ${thing.material} and its light ask` : 'as its light asks'}: ${effectById(proposed).name}`,
          },
          ...EFFECT_HEADS.map(({ id, name, says, choice }) => ({ value: id, label: choice?.of ?? name, says })),
        ]}
        onChange={(id) =>
          set({ effect: id === 'material' ? null : id }, id === 'material' ? 'the usual effect' : effectById(id).name)
        }
      />
      {choices.length > 0 && (
        <Select
          label={`Which ${effect.choice!.of} of ${thing.name}`}
          value={effect.id}
          options={choices.map(({ id, choice, says }) => ({ value: id, label: choice!.called, says }))}
          onChange={(id) => set({ effect: id }, effectById(id).name)}
        />
      )}
      {!effect.bySchool && <p className="text-[0.95rem] text-soft">{effect.says} It has an order of its own.</p>}
      {recipe.notes.map((note) => (
        <p key={note} className="text-[0.95rem] text-soft">
          {note}
        </p>
      ))}
      {effect.bySchool && (
        <Select
          label={`School of ${thing.name}`}
          value={thing.school ?? 'sheet'}
          options={[
            { value: 'sheet', label: `as the sheet: ${schoolById(sheet.plan.school).name}` },
            ...SCHOOLS.map(({ id, name, costs }) => ({ value: id, label: name, says: costs })),
          ]}
          onChange={(id) =>
            set({ school: id === 'sheet' ? null : id }, id === 'sheet' ? 'the sheet’s school' : schoolById(id).name)
          }
        />
      )}
    </>
  );
}
