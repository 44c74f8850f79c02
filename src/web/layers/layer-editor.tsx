import { Copy, Minus, Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { hexOfLab, labOfHex } from '../../core/colour/index.ts';
import { PRESSURES, TOOLS, toolById } from '../../core/laydown/index.ts';
import {
  DIRECTIONS,
  type Layer,
  type LayerEdit,
  POINTS,
  STROKES,
  FIELD_ENDS,
  zoneMm,
} from '../../core/recipe/index.ts';
import { useToolsQuery } from '../api/desk-api.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Select } from '../parts/index.ts';

const PENCIL_ITSELF = 'pencil';
const AS_THE_SHAPE = 'shape';
const WHITE = [100, 0, 0] as const;

export interface LayerEditorProps {
  layer: Layer;
  number: number;
  onEdit(edit: LayerEdit, label: string): void;
  /** Lays it with a tool, or with its pencil again. */
  onLaidWith(tool: string | null, label: string): void;
  onCopy(): void;
  onLeaveOut(): void;
}

/** Everything of one layer that can be changed by hand. */
export function LayerEditor(props: LayerEditorProps) {
  const { number, onCopy, onLeaveOut } = props;
  const name = `layer ${number}`;
  return (
    <div className="mt-1 grid gap-2 border-l-2 border-rule pl-3">
      <HowItIsLaid {...props} name={name} />
      <WhereItIsLaid {...props} name={name} />
      <div className="flex gap-2">
        <Button onClick={onCopy} aria-label={`Lay ${name} once more`}>
          <Copy size={15} aria-hidden /> Once more
        </Button>
        <Button onClick={onLeaveOut} aria-label={`Leave ${name} out`}>
          <Trash2 size={15} aria-hidden /> Leave out
        </Button>
      </div>
    </div>
  );
}

type PartProps = Pick<LayerEditorProps, 'layer' | 'onEdit' | 'onLaidWith'> & { name: string };

/** With what a layer is laid, how hard, how often and with which strokes. */
function HowItIsLaid({ layer, onEdit, onLaidWith, name }: PartProps) {
  const { pencils } = useDesk();
  const own = pencils.find(({ id }) => id === layer.pencil);
  const others = pencils.filter(({ whereabouts }) => whereabouts !== 'missing');
  const tools = TOOLS.filter(({ waits }) => !waits);
  const tool = layer.tool === undefined ? null : toolById(layer.tool);
  return (
    <div className="grid grid-cols-[4.5rem_minmax(0,1fr)] items-center gap-x-2 gap-y-1.5 text-[0.95rem]">
      <Term>pencil</Term>
      <Select
        label={`Pencil of ${name}`}
        value={layer.pencil}
        options={others.map(({ id, code, name: words, ownName }) => ({
          value: id,
          label: `${code} ${ownName || words}`,
        }))}
        onChange={(pencil) => onEdit({ pencil }, `${name} ${others.find(({ id }) => id === pencil)?.code ?? ''}`)}
      />
      <Term>laid with</Term>
      <Select
        label={`Tool of ${name}`}
        value={layer.tool ?? PENCIL_ITSELF}
        options={[
          { value: PENCIL_ITSELF, label: `the pencil ${own?.code ?? ''}` },
          ...tools.map(({ id, name: words, caution }) => ({ value: id, label: words, says: caution })),
        ]}
        onChange={(id) =>
          id === PENCIL_ITSELF
            ? onLaidWith(null, `${name} with its pencil`)
            : onLaidWith(id, `${name} with ${toolById(id).name}`)
        }
      />
      {tool?.coloured && (
        <>
          <Term>colour</Term>
          <ToolColour
            colour={hexOfLab(layer.colour ?? tool.usualColour ?? WHITE)}
            name={name}
            onSet={(hex) => onEdit({ colour: labOfHex(hex) }, `${name} ${hex}`)}
          />
        </>
      )}
      <Term>pressure</Term>
      <Select
        label={`Pressure of ${name}`}
        value={layer.pressure}
        options={PRESSURES.map((pressure) => ({ value: pressure, label: pressure }))}
        onChange={(pressure) => onEdit({ pressure }, `${name} ${pressure}`)}
      />
      <Term>passes</Term>
      <Stepper value={layer.passes} onChange={(passes) => onEdit({ passes }, `${name} ${passes} times`)} label={name} />
      <Term>strokes</Term>
      <Select
        label={`Stroke of ${name}`}
        value={layer.stroke}
        options={STROKES.map((stroke) => ({ value: stroke, label: stroke }))}
        onChange={(stroke) => onEdit({ stroke }, `${name} ${stroke}`)}
      />
      <Term>running</Term>
      <Select
        label={`Direction of ${name}`}
        value={layer.direction ?? AS_THE_SHAPE}
        options={[
          { value: AS_THE_SHAPE as string, label: 'as the shape goes' },
          ...DIRECTIONS.map((direction) => ({ value: direction as string, label: direction })),
        ]}
        onChange={(chosen) => {
          const direction = DIRECTIONS.find((each) => each === chosen) ?? null;
          onEdit({ direction }, `${name} ${direction ?? 'as the shape goes'}`);
        }}
      />
      <Term>point</Term>
      <Select
        label={`Point of ${name}`}
        value={layer.point}
        options={POINTS.map((point) => ({ value: point, label: point }))}
        onChange={(point) => onEdit({ point }, `${name} with a ${point} point`)}
      />
      {layer.tool && <Term>dries</Term>}
      {layer.tool && (
        <NumberField
          label={`Minutes that ${name} dries`}
          unit="min to dry"
          value={layer.dryMinutes ?? 0}
          most={600}
          onSet={(dryMinutes) => onEdit({ dryMinutes }, `${name} dries ${dryMinutes} min`)}
        />
      )}
    </div>
  );
}

/** Where a layer goes: from which value to which, and how softly it ends. */
function WhereItIsLaid({ layer: { zone }, onEdit, name }: Omit<PartProps, 'onLaidWith'>) {
  const [low, high] = FIELD_ENDS[zone.field];
  return (
    <>
      <Ends
        key={`${zone.from} ${zone.to}`}
        label={name}
        low={low}
        high={high}
        from={zone.from}
        to={zone.to}
        onSet={(from, to) => onEdit({ from, to }, `${name} from ${Math.round(100 * from)} to ${Math.round(100 * to)}`)}
      />
      <p className="text-sm text-soft">{zoneMm(zone)} on these shapes.</p>
      <div className="flex items-center gap-3">
        <NumberField
          label={`Softness of ${name}`}
          unit="mm soft"
          value={zone.softnessMm}
          most={400}
          onSet={(softnessMm) => onEdit({ softnessMm }, `${name} ${softnessMm} mm soft`)}
        />
        <label className="flex min-h-9 items-center gap-2 text-[0.95rem]">
          <input
            type="checkbox"
            className="h-5 w-5 accent-neutral-700"
            checked={zone.hardTo ?? false}
            onChange={(event) =>
              onEdit(
                { hardTo: event.target.checked },
                `${name} ${event.target.checked ? 'with a hard' : 'with a soft'} end`,
              )
            }
          />
          hard towards “{high}”
        </label>
      </div>
    </>
  );
}

/** The colour of a pen, marker or wash: one of those that lie beside the pencils, or another. */
function ToolColour({ colour, name, onSet }: { colour: string; name: string; onSet(hex: string): void }) {
  const { sheet } = useDesk();
  const { data: owned = [] } = useToolsQuery(sheet.trayId);
  const pens = owned.flatMap((pen) => (pen.kind === 'pen' && pen.colour ? [{ ...pen, colour: pen.colour }] : []));
  return (
    <span className="flex items-center gap-2">
      <input
        key={colour}
        type="color"
        defaultValue={colour}
        aria-label={`Colour of ${name}`}
        className="h-9 w-12 border border-edge bg-leaf"
        onBlur={(event) => event.target.value !== colour && onSet(event.target.value)}
      />
      {pens.map((pen) => (
        <button
          key={pen.id}
          type="button"
          title={pen.name}
          aria-label={`${pen.name} for ${name}`}
          className="h-8 w-8 border border-edge"
          style={{ background: pen.colour }}
          onClick={() => onSet(pen.colour)}
        />
      ))}
    </span>
  );
}

/** What a field beside it holds; the field itself has its own name. */
function Term({ children }: { children: string }) {
  return (
    <span className="text-soft" aria-hidden>
      {children}
    </span>
  );
}

/** Where a zone begins and ends, in hundredths of its field; kept when let go. */
function Ends(props: {
  label: string;
  low: string;
  high: string;
  from: number;
  to: number;
  onSet(from: number, to: number): void;
}) {
  const { label, low, high, onSet } = props;
  const [held, hold] = useState({ from: Math.round(100 * props.from), to: Math.round(100 * props.to) });
  const keep = () => {
    if (held.from / 100 !== props.from || held.to / 100 !== props.to) onSet(held.from / 100, held.to / 100);
  };
  const slider = (end: 'from' | 'to', words: string) => (
    <label className="flex items-center gap-2 text-[0.95rem]">
      <span className="w-12 text-soft">{words}</span>
      <input
        type="range"
        min={0}
        max={100}
        step={1}
        value={held[end]}
        aria-label={`Where ${label} ${end === 'from' ? 'begins' : 'ends'}`}
        aria-valuetext={`${held[end]} on the way from ${low} to ${high}`}
        className="h-8 min-w-0 flex-1 accent-neutral-700"
        onChange={(event) => {
          const value = Number(event.target.value);
          hold(
            end === 'from'
              ? { from: Math.min(value, held.to - 1), to: held.to }
              : { from: held.from, to: Math.max(value, held.from + 1) },
          );
        }}
        onPointerUp={keep}
        onKeyUp={keep}
      />
      <span className="w-8 text-right font-figure">{held[end]}</span>
    </label>
  );
  return (
    <div>
      <p className="flex justify-between text-sm text-soft">
        <span>0 {low}</span>
        <span>{high} 100</span>
      </p>
      {slider('from', 'from')}
      {slider('to', 'to')}
    </div>
  );
}

/** A number with its unit, kept when the field is left. */
function NumberField(props: { label: string; unit: string; value: number; most: number; onSet(value: number): void }) {
  const { label, unit, value, most, onSet } = props;
  return (
    <label className="flex items-center gap-2 text-[0.95rem]">
      <input
        key={value}
        type="number"
        min={0}
        max={most}
        step={0.1}
        defaultValue={value}
        aria-label={label}
        className="h-9 w-20 border border-edge bg-leaf px-2 font-figure"
        onBlur={(event) => {
          const next = event.target.valueAsNumber;
          if (next >= 0 && next <= most && next !== value) onSet(Math.round(10 * next) / 10);
        }}
      />
      <span className="text-soft">{unit}</span>
    </label>
  );
}

function Stepper({ value, onChange, label }: { value: number; onChange(value: number): void; label: string }) {
  const button = 'flex h-10 w-9 items-center justify-center border border-edge bg-leaf disabled:opacity-40';
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
      <span className="flex-1 text-center text-[0.95rem]">{value === 1 ? 'once' : `${value} times`}</span>
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
