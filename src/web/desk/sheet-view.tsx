import pointInPolygon from 'point-in-polygon';
import { useEffect, useMemo, useRef, useState } from 'react';
import { pageJobs, pencilJobs, useIsWorking } from '../workers/index.ts';
import { SHEET_ID } from './back-to-sheet.ts';
import { useAppSelector } from '../app/store.ts';
import { useDesk } from './desk-context.ts';
import { GatherOnSheet, type Sweep } from './gather-on-sheet.tsx';
import { HandleOnSheet } from './handle-on-sheet.tsx';
import { LineOnSheet } from './line-on-sheet.tsx';
import { Magnifier } from './magnifier.tsx';
import { type Painting, paintPointedAt, paintSheet } from './paint-sheet.ts';
import { outlineOf } from './region-paths.ts';
import { RulersOnSheet } from './rulers-on-sheet.tsx';
import { GatherButtons, ZoomButtons } from './sheet-buttons.tsx';
import { usePointing } from './use-pointing.ts';
import { type View, useViewport } from './use-viewport.ts';

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
  /** A picture that veils what of the selected regions does not matter now, under a thicker veil over all the others. */
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

/** The sheet on the desk: paper, prediction, ink and what is chosen, with pan, pinch and wheel zoom. */
export function SheetView(props: Props) {
  const { onPick, onHover, onGather, line, handles = NO_HANDLES, rulers, ring, bare, fitRegions, fitKey } = props;
  const { sheet, page } = useDesk();
  const canvas = useRef<HTMLCanvasElement>(null);
  const [sweep, setSweep] = useState<Sweep | null>(null);
  const letGo = useRef<() => void>(() => undefined);
  const viewport = useViewport(canvas, { fitRegions, fitKey, onMove: () => letGo.current() });
  const { holder, size, view, toHolder, toPage, pointUnder } = viewport;
  const pointing = usePointing({ view, pointUnder, onPick, onHover });
  const { hovered, told, enlarged, setEnlarged, onMouseMove, onMouseLeave, onClick, onKeyDown } = pointing;
  useEffect(() => void (letGo.current = () => setEnlarged(null)), [setEnlarged]);
  const painting = usePainting(canvas, props, view, size);
  const gather = (outline: readonly { x: number; y: number }[], add: boolean) => {
    setSweep(null);
    if (!page || !onGather) return;
    const ring = outline.map(({ x, y }): [number, number] => [x, y]);
    const within = page.regions.filter(({ pole }) => {
      const { x, y } = toHolder(pole);
      return pointInPolygon([x, y], ring);
    });
    onGather(
      within.map(({ id }) => id),
      add,
    );
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
        onKeyDown={onKeyDown}
        onMouseMove={onMouseMove}
        onMouseLeave={onMouseLeave}
        onClick={onClick}
      />
      <p className="sr-only" aria-live="polite">
        {told}
      </p>
      <PointedAt view={view} size={size} regionId={hovered} />
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
      {page && onGather && !line && <GatherButtons sweep={sweep} onSweep={setSweep} />}
      {!bare && <ZoomButtons scaleBy={viewport.scaleBy} refit={viewport.refit} />}
    </Holder>
  );
}

/** Paints what is shown whenever it changes, a frame at a time. @returns what is painted; null until that is known */
function usePainting(
  canvas: React.RefObject<HTMLCanvasElement | null>,
  { under = null, predicted = null, veil = null, paperTint, selected = NOTHING, lit = NOTHING }: Props,
  view: View | undefined,
  size: { width: number; height: number } | null,
): Painting | null {
  const { picture, page } = useDesk();
  const painting = useMemo((): Painting | null => {
    if (!size || !view) return null;
    const outlines = (ids: readonly number[]) => (page ? ids.map((id) => outlineOf(page, id)) : []);
    const [chosen, shown] = [outlines(selected), outlines(lit)];
    return {
      picture,
      under,
      predicted,
      veil,
      view,
      size,
      paperTint,
      chosen,
      lit: shown,
    };
  }, [picture, under, predicted, veil, view, size, paperTint, page, selected, lit]);
  useEffect(() => {
    if (!painting) return;
    const frame = requestAnimationFrame(() => canvas.current && paintSheet(canvas.current, painting));
    return () => cancelAnimationFrame(frame);
  }, [canvas, painting]);
  return painting;
}

/** The outline of the region pointed at, on a canvas of its own, so that the page stays as painted. */
function PointedAt({
  view,
  size,
  regionId,
}: {
  view: View | undefined;
  size: { width: number; height: number } | null;
  regionId: number | null;
}) {
  const { page } = useDesk();
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (!view || !size || !canvas.current) return;
    paintPointedAt(canvas.current, { view, size }, page && regionId ? outlineOf(page, regionId) : null);
  }, [view, size, page, regionId]);
  return <canvas ref={canvas} aria-hidden className="pointer-events-none absolute inset-0 h-full w-full" />;
}

/** What the sheet lies in: busy while a picture of it is being worked out. */
function Holder({ ref, children }: { ref: React.Ref<HTMLDivElement>; children: React.ReactNode }) {
  const [onPages, onPencils] = [useIsWorking(pageJobs), useIsWorking(pencilJobs)];
  const isShown = useAppSelector(({ atTheDesk: { scale } }) => scale !== null);
  return (
    <div
      ref={ref}
      aria-busy={onPages || onPencils || !isShown}
      className="relative h-full min-h-0 w-full overflow-hidden"
    >
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
