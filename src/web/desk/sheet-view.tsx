import clsx from 'clsx';
import { select } from 'd3-selection';
import { type D3ZoomEvent, type ZoomBehavior, zoom, zoomIdentity, zoomTransform } from 'd3-zoom';
import { Lasso, Maximize, Minus, MousePointer2, Plus, SquareDashed } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { zoomTo } from './at-the-desk.ts';
import { useDesk } from './desk-context.ts';
import { GatherOnSheet, type Sweep } from './gather-on-sheet.tsx';
import { isWithin } from './within.ts';
import { SHEET_ID } from './back-to-sheet.ts';
import { HandleOnSheet } from './handle-on-sheet.tsx';
import { LineOnSheet } from './line-on-sheet.tsx';
import { type Painting, paintPointedAt, paintSheet } from './paint-sheet.ts';
import { Magnifier } from './magnifier.tsx';
import { RulersOnSheet } from './rulers-on-sheet.tsx';
import { regionAt, tinyRegionsAround } from './region-at.ts';
import { outlineOf } from './region-paths.ts';
import { pageJobs, pencilJobs, useIsWorking } from '../workers/index.ts';
import { thingsOf } from '../../plan/index.ts';

interface Props {
  /** What lies below the printed lines, such as the light; the bare paper when left out. */
  under?: CanvasImageSource | null;
  /** The page as it will come out, printed lines and all, in place of print and paper. */
  predicted?: HTMLCanvasElement | null;
  selected?: readonly number[];
  /** Regions lit without being chosen, as the places of a pencil. */
  lit?: readonly number[];
  /** Called with the region clicked, or null beside all; with shift or ctrl to add to the choice. */
  onPick?(regionId: number | null, add: boolean): void;
  /** Called with the region pointed at, by mouse or by the arrow keys, or null. */
  onHover?(regionId: number | null): void;
  paperTint: string;
  /** A picture laid over the page that veils what does not matter now, instead of veiling all that is not selected. */
  veil?: CanvasImageSource | null;
  /** Called with the regions that a box or a loop was drawn round; offers both where given. */
  onGather?(regionIds: readonly number[], add: boolean): void;
  /** Sets a line point by point instead of picking; called with its points in mm. */
  line?: Omit<Parameters<typeof LineOnSheet>[0], 'toPage' | 'toHolder'> | null;
  /** Points of the page that are moved on it. */
  handles?: readonly (Omit<Parameters<typeof HandleOnSheet>[0], 'toPage' | 'toHolder'> & { id: string })[];
  /** Whether rulers in mm lie along it. */
  rulers?: boolean;
  /** A place of the page, mm, to draw the eye to. */
  ring?: { x: number; y: number } | null;
  /** Without the zoom buttons, where the sheet is only shown. */
  bare?: boolean;
  /** Zooms to these regions each time `fitKey` changes, instead of keeping the sheet's own place. */
  fitRegions?: readonly number[];
  fitKey?: string;
}

/** One list for all that is left out, so that nothing is painted anew for it. */
const NOTHING: readonly number[] = [];
const NO_HANDLES: NonNullable<Props['handles']> = [];
const MARGIN = 18;
/** A click or the pointer means what lies within so many CSS pixels of it. */
const REACH_PX = 6;

/** The sheet on the desk: paper, prediction, ink and what is chosen, with pan, pinch and wheel zoom. */
export function SheetView({
  under,
  predicted,
  selected = NOTHING,
  lit = NOTHING,
  onPick,
  onHover,
  onGather,
  line,
  handles = NO_HANDLES,
  rulers,
  ring,
  paperTint,
  veil,
  bare,
  fitRegions,
  fitKey,
}: Props) {
  const { sheet, picture, page, pixelsPerMm } = useDesk();
  const dispatch = useAppDispatch();
  const holder = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const pointed = useRef<HTMLCanvasElement>(null);
  const behaviour = useRef<ZoomBehavior<HTMLCanvasElement, unknown> | null>(null);
  const moved = useRef(false);
  const [size, setSize] = useState<{ width: number; height: number } | null>(null);
  const stored = useAppSelector((state) => state.atTheDesk.views[sheet.id]);
  const own = fitKey !== undefined;
  const [view, setView] = useState(own ? undefined : stored);
  const [hovered, setHovered] = useState<number | null>(null);
  /** The region that keys came to, as it is read out. */
  const [told, setTold] = useState('');
  const [sweep, setSweep] = useState<Sweep | null>(null);
  const [enlarged, setEnlarged] = useState<{ x: number; y: number } | null>(null);

  useEffect(() => {
    const element = holder.current!;
    const observer = new ResizeObserver(([entry]) =>
      setSize({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);

  const fit = useMemo(() => {
    if (!size) return null;
    const boxes = fitRegions?.length && page ? page.regions.filter((region) => fitRegions.includes(region.id)) : [];
    if (boxes.length === 0 || !page)
      return fitBox(size, { left: 0, top: 0, right: picture.width, bottom: picture.height }, MARGIN);
    const px = page.pixelsPerMm;
    const box = {
      left: Math.min(...boxes.map((region) => region.box.left)) * px,
      top: Math.min(...boxes.map((region) => region.box.top)) * px,
      right: Math.max(...boxes.map((region) => region.box.right)) * px,
      bottom: Math.max(...boxes.map((region) => region.box.bottom)) * px,
    };
    return fitBox(size, box, Math.min(size.width, size.height) * 0.16, 14 * px);
  }, [size, picture, fitRegions, page]);

  useEffect(() => {
    if (!fit || !canvas.current) return;
    const least = Math.min(fit.k * 0.6, 0.2);
    behaviour.current = zoom<HTMLCanvasElement, unknown>()
      .scaleExtent([least, 12])
      .clickDistance(5)
      .on('start', () => setEnlarged(null))
      .on('zoom', ({ sourceEvent, transform: { k, x, y } }: D3ZoomEvent<HTMLCanvasElement, unknown>) => {
        moved.current = Boolean(sourceEvent);
        setView({ k, x, y });
      })
      .on('end', ({ transform: { k, x, y } }: D3ZoomEvent<HTMLCanvasElement, unknown>) => {
        // A click ends a gesture too; only one that moved the sheet is kept as the user's own place.
        if (!own && moved.current) dispatch(zoomTo({ sheetId: sheet.id, view: { k, x, y } }));
        moved.current = false;
      });
    const target = select(canvas.current);
    target.call(behaviour.current).on('dblclick.zoom', null);
    const start = (!own && stored) || fit;
    target.call(behaviour.current.transform, zoomIdentity.translate(start.x, start.y).scale(start.k));
    // The stored place is read once, when the sheet is laid down or the desk changes size.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [fit?.k, fit?.x, fit?.y, sheet.id, fitKey]);

  const painting = useMemo((): Painting | null => {
    if (!size || !view) return null;
    return {
      picture,
      under: under ?? null,
      predicted: predicted ?? null,
      veil: veil ?? null,
      view,
      size,
      paperTint,
      chosen: page ? selected.map((id) => outlineOf(page, id)) : [],
      lit: page ? lit.map((id) => outlineOf(page, id)) : [],
    };
  }, [picture, under, predicted, veil, view, size, paperTint, page, selected, lit]);
  useEffect(() => {
    if (!painting) return;
    const frame = requestAnimationFrame(() => canvas.current && paintSheet(canvas.current, painting));
    return () => cancelAnimationFrame(frame);
  }, [painting]);
  useEffect(() => {
    if (!view || !size || !pointed.current) return;
    paintPointedAt(pointed.current, { view, size }, page && hovered ? outlineOf(page, hovered) : null);
  }, [view, size, page, hovered]);

  const gather = (outline: readonly { x: number; y: number }[], add: boolean) => {
    setSweep(null);
    if (!page || !view || !onGather) return;
    const px = page.pixelsPerMm;
    const within = page.regions.filter(({ pole }) =>
      isWithin(outline, { x: view.x + view.k * pole.x * px, y: view.y + view.k * pole.y * px }),
    );
    onGather(
      within.map(({ id }) => id),
      add,
    );
  };
  /** The point of the picture under the pointer, pixels. */
  const pointUnder = (event: React.MouseEvent) => {
    const box = canvas.current!.getBoundingClientRect();
    const { k, x, y } = view ?? { k: 1, x: 0, y: 0 };
    return { x: (event.clientX - box.left - x) / k, y: (event.clientY - box.top - y) / k };
  };
  const regionUnder = (event: React.MouseEvent) => {
    if (!page || !view) return null;
    const { x, y } = pointUnder(event);
    return regionAt(page, x, y, REACH_PX / view.k);
  };
  const pickAt = (event: React.MouseEvent) => {
    if (!onPick) return;
    const at = pointUnder(event);
    const several = page && view && tinyRegionsAround(page, at.x, at.y, REACH_PX / view.k, view.k).length > 0;
    setEnlarged(several ? at : null);
    if (!several) onPick(regionUnder(event), event.shiftKey || event.ctrlKey || event.metaKey);
  };
  const hover = (id: number | null) => {
    if (id === hovered) return;
    setHovered(id);
    onHover?.(id);
  };
  const scaleBy = (factor: number) => {
    if (!canvas.current || !behaviour.current) return;
    select(canvas.current).call(behaviour.current.scaleBy, factor);
    const { k, x, y } = zoomTransform(canvas.current);
    if (!own) dispatch(zoomTo({ sheetId: sheet.id, view: { k, x, y } }));
  };
  /** Arrow keys step through the regions in reading order, Enter chooses, Space adds to the choice, Escape lets go. */
  const onKey = (event: React.KeyboardEvent) => {
    if (!page || !onPick) return;
    const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    if (by) {
      const id = (((hovered ?? (by > 0 ? 0 : 1)) - 1 + by + page.regions.length) % page.regions.length) + 1;
      hover(id);
      const thing = thingsOf(sheet.plan).find(({ regionIds }) => regionIds.includes(id));
      setTold(`Region ${id}${thing ? `, ${thing.name}` : ''}`);
    } else if (event.key === 'Enter' || event.key === ' ') onPick(hovered, event.key === ' ');
    else if (event.key === 'Escape') onPick(null, false);
    else return;
    event.preventDefault();
  };
  const refit = () => {
    if (canvas.current && behaviour.current && fit) {
      select(canvas.current).call(behaviour.current.transform, zoomIdentity.translate(fit.x, fit.y).scale(fit.k));
      if (!own) dispatch(zoomTo({ sheetId: sheet.id, view: null }));
    }
  };

  /** Where a point of the page, mm, lies in the holder. */
  const toHolder = (point: { x: number; y: number }) => {
    const { k, x, y } = view ?? { k: 1, x: 0, y: 0 };
    return { x: x + k * pixelsPerMm * point.x, y: y + k * pixelsPerMm * point.y };
  };
  const toPage = (point: { x: number; y: number }) => {
    const { k, x, y } = view ?? { k: 1, x: 0, y: 0 };
    return { x: (point.x - x) / k / pixelsPerMm, y: (point.y - y) / k / pixelsPerMm };
  };

  return (
    <Holder ref={holder}>
      <canvas
        ref={canvas}
        id={bare ? undefined : SHEET_ID}
        data-testid="sheet"
        aria-label={`The page ${sheet.title}. Its things and regions are listed beside it.`}
        role="img"
        className="absolute inset-0 h-full w-full touch-none"
        style={{ cursor: hovered && onPick ? 'pointer' : 'grab' }}
        tabIndex={onPick ? 0 : undefined}
        onKeyDown={onKey}
        onMouseMove={(event) => hover(regionUnder(event))}
        onMouseLeave={() => hover(null)}
        onClick={pickAt}
      />
      <p className="sr-only" aria-live="polite">
        {told}
      </p>
      <canvas ref={pointed} aria-hidden className="pointer-events-none absolute inset-0 h-full w-full" />
      {rulers && view && <RulersOnSheet page={sheet.plan.page} toHolder={toHolder} />}
      {ring && view && <Ring at={toHolder(ring)} />}
      {view &&
        handles.map(({ id, ...handle }) => <HandleOnSheet key={id} {...handle} toHolder={toHolder} toPage={toPage} />)}
      {enlarged && painting && onPick && (
        <Magnifier
          at={enlarged}
          painting={painting}
          onPick={(id, add) => {
            setEnlarged(null);
            onPick(id, add);
          }}
          onLeave={() => setEnlarged(null)}
        />
      )}
      {sweep && onGather && <GatherOnSheet sweep={sweep} onSwept={gather} />}
      {line && view && <LineOnSheet {...line} toPage={toPage} toHolder={toHolder} />}
      {page && onGather && !line && (
        <div
          className="absolute right-3 bottom-3 flex border border-edge bg-leaf"
          role="group"
          aria-label="Choose regions"
        >
          <ToolButton
            label="Choose one by one"
            icon={<MousePointer2 size={17} />}
            on={!sweep}
            onClick={() => setSweep(null)}
          />
          <ToolButton
            label="Draw a box"
            icon={<SquareDashed size={17} />}
            on={sweep === 'box'}
            onClick={() => setSweep('box')}
          />
          <ToolButton
            label="Draw a loop"
            icon={<Lasso size={17} />}
            on={sweep === 'lasso'}
            onClick={() => setSweep('lasso')}
          />
        </div>
      )}
      {!bare && (
        <div className="absolute bottom-3 left-3 flex border border-edge bg-leaf">
          <ZoomButton label="Zoom out" onClick={() => scaleBy(1 / 1.5)} icon={<Minus size={17} />} />
          <ZoomButton label="Zoom in" onClick={() => scaleBy(1.5)} icon={<Plus size={17} />} />
          <ZoomButton label="Fit the page" onClick={refit} icon={<Maximize size={16} />} />
        </div>
      )}
    </Holder>
  );
}

/** What the sheet lies in: busy while a picture of it is being worked out. */
function Holder({ ref, children }: { ref: React.Ref<HTMLDivElement>; children: React.ReactNode }) {
  const [onPages, onPencils] = [useIsWorking(pageJobs), useIsWorking(pencilJobs)];
  return (
    <div ref={ref} aria-busy={onPages || onPencils} className="relative h-full min-h-0 w-full overflow-hidden">
      {children}
    </div>
  );
}

function Ring({ at }: { at: { x: number; y: number } }) {
  return (
    <svg data-testid="ring" aria-hidden className="pointer-events-none absolute inset-0 h-full w-full">
      <circle cx={at.x} cy={at.y} r={16} fill="none" stroke="#fff" strokeWidth={5} />
      <circle cx={at.x} cy={at.y} r={16} fill="none" stroke="#000" strokeWidth={2} />
    </svg>
  );
}

function ToolButton({
  label,
  icon,
  on,
  onClick,
}: {
  label: string;
  icon: React.ReactNode;
  on: boolean;
  onClick(): void;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      aria-pressed={on}
      onClick={onClick}
      className={clsx('flex h-10 w-10 items-center justify-center', on ? 'bg-strong text-on-strong' : 'hover:bg-card')}
    >
      {icon}
    </button>
  );
}

function ZoomButton({ label, icon, onClick }: { label: string; icon: React.ReactNode; onClick(): void }) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      onClick={onClick}
      className="flex h-10 w-10 items-center justify-center hover:bg-card"
    >
      {icon}
    </button>
  );
}

function fitBox(
  size: { width: number; height: number },
  box: { left: number; top: number; right: number; bottom: number },
  margin: number,
  least = 1,
) {
  const width = Math.max(least, box.right - box.left);
  const height = Math.max(least, box.bottom - box.top);
  const k = Math.max(0.02, Math.min((size.width - 2 * margin) / width, (size.height - 2 * margin) / height));
  return {
    k,
    x: size.width / 2 - (k * (box.left + box.right)) / 2,
    y: size.height / 2 - (k * (box.top + box.bottom)) / 2,
  };
}
