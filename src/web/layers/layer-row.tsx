import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import clsx from 'clsx';
import { ChevronDown, ChevronUp, GripVertical, PencilLine } from 'lucide-react';
import { useMemo } from 'react';
import { hexOfLab } from '../../core/colour/index.ts';
import { pencilOptics, toolById } from '../../core/laydown/index.ts';
import { type Region } from '../../core/lineart/index.ts';
import { cautionsOf, zoneWords } from '../../core/recipe/index.ts';
import { costOfLayer } from '../../order/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { BeliefMark, Laydown, PointMark, PressureMark, StrokeMark, ToothGauge } from '../parts/index.ts';
import { LayerEditor, type LayerEditorProps } from './layer-editor.tsx';

interface Props extends LayerEditorProps {
  regions: readonly Region[];
  toothLeft: number | null;
  /** Whether it is open to be changed, and shown on the sheet. */
  open: boolean;
  last: boolean;
  onOpen(open: boolean): void;
  onMove(by: -1 | 1): void;
}

/** One layer: what is laid, how, where and why; opened, all of it can be changed. */
export function LayerRow({ regions, toothLeft, open, last, onOpen, onMove, ...editor }: Props) {
  const { layer, number } = editor;
  const { pencilById, paperModel } = useDesk();
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: layer.id,
  });
  const pencil = pencilById.get(layer.pencil);
  const tool = layer.tool === undefined ? null : toolById(layer.tool);
  const cost = useMemo(
    () =>
      pencil &&
      costOfLayer(
        layer,
        regions,
        pencilOptics(paperModel.trayPencil(pencil)),
        paperModel.paper,
        pencil.hardness ?? undefined,
      ),
    [layer, regions, pencil, paperModel],
  );
  const cautions = cautionsOf(layer, pencil?.type ?? '');
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={clsx('py-1.5', isDragging && 'relative z-10 bg-leaf shadow-lg')}
    >
      <div className="flex items-center gap-1.5">
        <button
          type="button"
          ref={setActivatorNodeRef}
          className="flex h-9 w-5 shrink-0 cursor-grab touch-none items-center justify-center text-soft"
          {...attributes}
          {...listeners}
          aria-label={`Move layer ${number} earlier or later`}
        >
          <GripVertical size={15} aria-hidden />
        </button>
        <span className="w-4 font-figure text-sm text-soft">{number}</span>
        {tool ? (
          <span className="flex w-[7.4rem] items-center gap-1.5 font-semibold leading-tight">
            {tool.coloured && (
              <span
                aria-hidden
                className="h-6 w-6 shrink-0 border border-edge"
                style={{ background: hexOfLab(layer.colour ?? tool.usualColour ?? [100, 0, 0]) }}
              />
            )}
            {tool.name}
          </span>
        ) : (
          <>
            {pencil && <Laydown pencil={pencil} paperModel={paperModel} width={44} height={26} />}
            <span className="w-18 font-figure font-bold whitespace-nowrap">
              {pencil?.code} {pencil && <BeliefMark belief={paperModel.beliefIn(pencil)} />}
            </span>
          </>
        )}
        <PressureMark pressure={layer.pressure} size={34} />
        <StrokeMark stroke={layer.stroke} size={32} />
        {!tool && <PointMark point={layer.point} size={32} />}
        <span className="ml-auto">{toothLeft !== null && <ToothGauge left={toothLeft} />}</span>
      </div>
      <div className="mt-1 flex items-start gap-2 pl-7">
        <p className="min-w-0 flex-1 text-[0.95rem] leading-snug">
          {layer.purpose}{' '}
          <span className="text-soft">
            {zoneWords(layer.zone)}, {layer.passes === 1 ? '' : `${layer.passes} times, `}
            {layer.pressure}
            {layer.dryMinutes ? `, dries ${layer.dryMinutes} min` : ''}
            {layer.direction && `, ${layer.direction}`}
            {layer.pull && `, pulled from ${layer.pull}`}
            {cost && cost.regions > 0 && `; ${minutesWords(cost.minutes)}${leadWords(cost.wear.laidMm)}`}.
          </span>
        </p>
        <button
          type="button"
          aria-expanded={open}
          aria-label={`Change layer ${number}`}
          title="Change this layer, and show where it lies"
          className="flex h-9 w-9 shrink-0 items-center justify-center hover:bg-leaf"
          onClick={() => onOpen(!open)}
        >
          <PencilLine size={16} />
        </button>
      </div>
      {cautions.map((caution) => (
        <p key={caution} className="mt-1 ml-7 border-l-2 border-rule pl-2 text-sm">
          {caution}
        </p>
      ))}
      {open && (
        <div className="pl-7">
          <div className="flex gap-1">
            <MoveButton label={`Lay layer ${number} earlier`} disabled={number === 1} onClick={() => onMove(-1)}>
              <ChevronUp size={16} aria-hidden /> earlier
            </MoveButton>
            <MoveButton label={`Lay layer ${number} later`} disabled={last} onClick={() => onMove(1)}>
              <ChevronDown size={16} aria-hidden /> later
            </MoveButton>
          </div>
          <LayerEditor {...editor} />
        </div>
      )}
    </li>
  );
}

function MoveButton(props: { label: string; disabled: boolean; onClick(): void; children: React.ReactNode }) {
  const { label, children, ...rest } = props;
  return (
    <button
      type="button"
      aria-label={label}
      className="flex h-9 items-center gap-1 px-2 text-[0.95rem] hover:bg-leaf disabled:opacity-40"
      {...rest}
    >
      {children}
    </button>
  );
}

function minutesWords(minutes: number): string {
  return minutes < 1 ? 'under a minute' : `about ${Math.round(minutes)} min`;
}

function leadWords(mm: number): string {
  return mm < 0.05 ? '' : `, ${mm.toFixed(1)} mm of lead`;
}
