import { Minus, PencilLine, Plus } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import type { Thing } from '../../contracts/index.ts';
import { type Pressure, PRESSURES } from '../../core/laydown/index.ts';
import { type Region } from '../../core/lineart/index.ts';
import {
  type Finding,
  type Layer,
  type LayerEdit,
  type Recipe,
  EFFECTS,
  SCHOOLS,
  effectById,
  proposeEffect,
  schoolById,
} from '../../core/recipe/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import {
  BeliefMark,
  Laydown,
  Notice,
  Pick,
  PixelCanvas,
  PointMark,
  PressureMark,
  Section,
  StrokeMark,
  ToothGauge,
  zoneWords,
} from '../parts/index.ts';
import { pencilWorker } from '../workers/index.ts';

type Checked = Extract<Awaited<ReturnType<typeof pencilWorker.check>>, { kind: 'done' }>['value'];

/** The layers of one thing in order: pencil, pressure, zone, stroke, point and purpose, with what comes out. */
export function ThingLayers({ thing, recipe }: { thing: Thing; recipe: Recipe }) {
  const { sheet, page } = useDesk();
  const { layers } = sheet.plan;
  const change = usePlanChange(sheet.id, 'layers');
  const regions = useMemo(() => thing.regionIds.flatMap((id) => page?.regions[id - 1] ?? []), [thing.regionIds, page]);
  const checked = useChecked(recipe, regions);
  const findings = checked?.findings ?? [];
  const narrow = findings.filter((finding) => finding.kind === 'narrow');
  const urgent = findings.filter((finding) => finding.kind !== 'narrow');
  const edit = (layer: Layer, own: LayerEdit, label: string) => {
    const ofThing = layers.edits[thing.id] ?? {};
    const edits = { ...layers.edits, [thing.id]: { ...ofThing, [layer.id]: { ...ofThing[layer.id], ...own } } };
    void change(`${thing.name}: ${label}`, { layers: { ...layers, edits } });
  };
  const effect = effectById(recipe.effect);
  const setEffect = (id: string) => {
    const { [thing.id]: _before, ...others } = layers.effects;
    const { [thing.id]: _edits, ...edits } = layers.edits;
    const effects = id === 'material' ? others : { ...others, [thing.id]: id };
    const label = id === 'material' ? 'the usual effect' : effectById(id).name;
    void change(`${thing.name}: ${label}`, { layers: { ...layers, effects, edits } });
  };
  const setSchool = (id: string) => {
    const { [thing.id]: _before, ...others } = layers.schools;
    const { [thing.id]: _edits, ...edits } = layers.edits;
    const schools = id === 'sheet' ? others : { ...others, [thing.id]: id };
    const label = id === 'sheet' ? 'the sheet’s school' : schoolById(id).name;
    void change(`${thing.name}: ${label}`, { layers: { ...layers, schools, edits } });
  };
  return (
    <Section
      title={thing.name}
      aside={`${thing.regionIds.length} regions, widest ${Math.max(...regions.map((region) => region.usableWidthMm)).toFixed(1)} mm`}
    >
      <div className="grid gap-2">
        <Findings of={urgent} />
        <Pick
          label={`Effect of ${thing.name}`}
          value={layers.effects[thing.id] ?? 'material'}
          options={[
            {
              value: 'material',
              label: `${thing.material ? `as ${thing.material} asks` : 'as usual'}: ${effectById(proposeEffect(thing.material)).name}`,
            },
            ...EFFECTS.map(({ id, name, says }) => ({ value: id, label: name, says })),
          ]}
          onChange={setEffect}
        />
        {!effect.bySchool && <p className="text-[0.95rem] text-soft">{effect.says} It has an order of its own.</p>}
        {recipe.notes.map((note) => (
          <p key={note} className="text-[0.95rem] text-soft">
            {note}
          </p>
        ))}
        {effect.bySchool && (
          <Pick
            label={`School of ${thing.name}`}
            value={layers.schools[thing.id] ?? 'sheet'}
            options={[
              { value: 'sheet', label: `as the sheet: ${schoolById(layers.school).name}` },
              ...SCHOOLS.map(({ id, name, costs }) => ({ value: id, label: name, says: costs })),
            ]}
            onChange={setSchool}
          />
        )}
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
        <ol className="divide-y divide-rule border-y border-rule" aria-label={`Layers of ${thing.name}`}>
          {recipe.layers.map((layer, i) => (
            <LayerRow
              key={layer.id}
              layer={layer}
              number={i + 1}
              toothLeft={checked?.toothLeft[i] ?? null}
              onEdit={(own, label) => edit(layer, own, label)}
            />
          ))}
        </ol>
        <Findings of={narrow} />
      </div>
    </Section>
  );
}

const FINDING_TITLES: Record<Finding['kind'], string> = {
  narrow: 'Some are narrow.',
  'full tooth': 'The paper fills up.',
  'no value step': 'It may look flat.',
};

function Findings({ of }: { of: readonly Finding[] }) {
  return of.map(({ kind, sentence, remedy }) => (
    <Notice key={kind} title={FINDING_TITLES[kind]}>
      {sentence} {remedy}
    </Notice>
  ));
}

interface RowProps {
  layer: Layer;
  number: number;
  toothLeft: number | null;
  onEdit(edit: LayerEdit, label: string): void;
}

function LayerRow({ layer, number, toothLeft, onEdit }: RowProps) {
  const { pencilById, use } = useDesk();
  const [open, setOpen] = useState(false);
  const pencil = pencilById.get(layer.pencil);
  return (
    <li className="py-1.5">
      <div className="flex items-center gap-2">
        <span className="w-4 font-figure text-sm text-soft">{number}</span>
        {pencil && <Laydown pencil={pencil} use={use} width={46} height={26} />}
        <span className="w-18 font-figure font-bold whitespace-nowrap">
          {pencil?.code} {pencil && <BeliefMark belief={use.beliefIn(pencil)} />}
        </span>
        <PressureMark pressure={layer.pressure} size={36} />
        <StrokeMark stroke={layer.stroke} size={34} />
        <PointMark point={layer.point} size={34} />
        <span className="ml-auto">{toothLeft !== null && <ToothGauge left={toothLeft} />}</span>
      </div>
      <div className="mt-1 flex items-start gap-2 pl-6">
        <p className="text-[0.95rem] leading-snug">
          {layer.purpose}{' '}
          <span className="text-soft">
            {zoneWords(layer.zone)}, {layer.passes === 1 ? '' : `${layer.passes} times, `}
            {layer.pressure}.
          </span>
        </p>
        <button
          type="button"
          aria-expanded={open}
          aria-label={`Change layer ${number}`}
          title="Change pressure and passes"
          className="ml-auto flex h-9 w-9 shrink-0 items-center justify-center hover:bg-leaf"
          onClick={() => setOpen(!open)}
        >
          <PencilLine size={16} />
        </button>
      </div>
      {open && (
        <div className="mt-1 flex items-center gap-2 pl-6">
          <Pick
            label={`Pressure of layer ${number}`}
            value={layer.pressure}
            className="w-32! min-h-9!"
            options={PRESSURES.map((pressure) => ({ value: pressure as Pressure, label: pressure }))}
            onChange={(pressure) => onEdit({ pressure }, `layer ${number} ${pressure}`)}
          />
          <Stepper
            value={layer.passes}
            onChange={(passes) => onEdit({ passes }, `layer ${number} ${passes} times`)}
            label={`layer ${number}`}
          />
        </div>
      )}
    </li>
  );
}

function Stepper({ value, onChange, label }: { value: number; onChange(value: number): void; label: string }) {
  const button = 'flex h-9 w-9 items-center justify-center border border-edge bg-leaf disabled:opacity-40';
  return (
    <span className="flex items-center">
      <button
        type="button"
        className={button}
        disabled={value <= 1}
        aria-label={`Fewer passes of ${label}`}
        onClick={() => onChange(value - 1)}
      >
        <Minus size={14} />
      </button>
      <span className="w-16 text-center text-[0.95rem]">{value === 1 ? 'once' : `${value} times`}</span>
      <button
        type="button"
        className={button}
        disabled={value >= 6}
        aria-label={`More passes of ${label}`}
        onClick={() => onChange(value + 1)}
      >
        <Plus size={14} />
      </button>
    </span>
  );
}

function useChecked(recipe: Recipe, regions: readonly Region[]): Checked | null {
  const { pencilById, use } = useDesk();
  const [checked, setChecked] = useState<Checked | null>(null);
  useEffect(() => {
    let wanted = true;
    const used = [...new Set(recipe.layers.map((layer) => layer.pencil))].flatMap((id) => {
      const pencil = pencilById.get(id);
      return pencil ? [use.trayPencil(pencil)] : [];
    });
    void pencilWorker.check(recipe, regions, used, use.paper, 320, 32).then((outcome) => {
      if (wanted && outcome.kind === 'done') setChecked(outcome.value);
    });
    return () => void (wanted = false);
  }, [recipe, regions, use, pencilById]);
  return checked;
}
