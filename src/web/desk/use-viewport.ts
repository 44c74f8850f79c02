import { select } from 'd3-selection';
import { type D3ZoomEvent, type ZoomBehavior, zoom, zoomIdentity, zoomTransform } from 'd3-zoom';
import { type RefObject, useEffect, useMemo, useRef, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { showAt, zoomTo } from './at-the-desk.ts';
import { useDesk } from './desk-context.ts';

/** Scale and offset of the sheet on the screen: CSS pixels per pixel of the picture, and CSS pixels. */
export interface View {
  k: number;
  x: number;
  y: number;
}

interface Point {
  x: number;
  y: number;
}

interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** Bare desk round a page that is fitted, CSS pixels. */
const MARGIN = 18;
/** The same round regions, as a share of the smaller side; and how small they may be to be filled with, mm. */
const ROUND_REGIONS = 0.16;
const LEAST_REGION_MM = 14;
/** How far in and out a sheet may be zoomed, CSS pixels per pixel, or as a share of what fits. */
const SCALES = { least: 0.2, ofFit: 0.6, most: 12 };

/**
 * Where the sheet lies on the screen: pan, pinch and wheel zoom, buttons and what fits.
 * @param fitRegions zooms to these each time `fitKey` changes, instead of keeping the sheet's own place
 * @param onMove called when it begins to be moved
 */
export function useViewport(
  canvas: RefObject<HTMLCanvasElement | null>,
  { fitRegions, fitKey, onMove }: { fitRegions?: readonly number[]; fitKey?: string; onMove(): void },
) {
  const { sheet, picture, page, pixelsPerMm } = useDesk();
  const dispatch = useAppDispatch();
  const holder = useRef<HTMLDivElement>(null);
  const behaviour = useRef<ZoomBehavior<HTMLCanvasElement, unknown> | null>(null);
  const moved = useRef(false);
  const size = useSize(holder);
  const stored = useAppSelector((state) => state.atTheDesk.views[sheet.id]);
  const own = fitKey !== undefined;
  const [view, setView] = useState<View | undefined>(own ? undefined : stored);
  const begun = useRef(onMove);
  useEffect(() => void (begun.current = onMove), [onMove]);

  const fit = useMemo(() => {
    if (!size) return null;
    const regions = fitRegions?.length && page ? page.regions.filter(({ id }) => fitRegions.includes(id)) : [];
    if (regions.length === 0 || !page) {
      return fitBox(size, { left: 0, top: 0, right: picture.width, bottom: picture.height }, MARGIN);
    }
    const px = page.pixelsPerMm;
    const box = {
      left: Math.min(...regions.map((region) => region.box.left)) * px,
      top: Math.min(...regions.map((region) => region.box.top)) * px,
      right: Math.max(...regions.map((region) => region.box.right)) * px,
      bottom: Math.max(...regions.map((region) => region.box.bottom)) * px,
    };
    return fitBox(size, box, Math.min(size.width, size.height) * ROUND_REGIONS, LEAST_REGION_MM * px);
  }, [size, picture, fitRegions, page]);

  useEffect(() => {
    if (!fit || !canvas.current) return;
    behaviour.current = zoom<HTMLCanvasElement, unknown>()
      .scaleExtent([Math.min(fit.k * SCALES.ofFit, SCALES.least), SCALES.most])
      .clickDistance(5)
      .on('start', () => begun.current())
      .on('zoom', ({ sourceEvent, transform: { k, x, y } }: D3ZoomEvent<HTMLCanvasElement, unknown>) => {
        moved.current = Boolean(sourceEvent);
        setView({ k, x, y });
      })
      .on('end', ({ transform: { k, x, y } }: D3ZoomEvent<HTMLCanvasElement, unknown>) => {
        dispatch(showAt(k));
        // A click ends a gesture too; only one that moved the sheet is kept as the user's own place.
        if (!own && moved.current) dispatch(zoomTo({ sheetId: sheet.id, view: { k, x, y } }));
        moved.current = false;
      });
    const target = select(canvas.current);
    target.call(behaviour.current).on('dblclick.zoom', null);
    const start = (!own && stored) || fit;
    target.call(behaviour.current.transform, zoomIdentity.translate(start.x, start.y).scale(start.k));
    // The stored place is read once, when the sheet is laid down or the desk changes size.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [fit?.k, fit?.x, fit?.y, sheet.id, fitKey]);

  useEffect(() => () => void dispatch(showAt(null)), [dispatch]);

  const scaleBy = (factor: number) => {
    if (!canvas.current || !behaviour.current) return;
    select(canvas.current).call(behaviour.current.scaleBy, factor);
    const { k, x, y } = zoomTransform(canvas.current);
    if (!own) dispatch(zoomTo({ sheetId: sheet.id, view: { k, x, y } }));
  };
  const refit = () => {
    if (!canvas.current || !behaviour.current || !fit) return;
    select(canvas.current).call(behaviour.current.transform, zoomIdentity.translate(fit.x, fit.y).scale(fit.k));
    if (!own) dispatch(zoomTo({ sheetId: sheet.id, view: null }));
  };
  const { k, x, y } = view ?? { k: 1, x: 0, y: 0 };
  return {
    holder,
    size,
    view,
    scaleBy,
    refit,
    /** Where a point of the page, mm, lies in the holder. */
    toHolder: (point: Point): Point => ({ x: x + k * pixelsPerMm * point.x, y: y + k * pixelsPerMm * point.y }),
    /** The point of the page, mm, at a place in the holder. */
    toPage: (point: Point): Point => ({ x: (point.x - x) / k / pixelsPerMm, y: (point.y - y) / k / pixelsPerMm }),
    /** The point of the picture under the pointer, pixels. */
    pointUnder(event: React.MouseEvent): Point {
      const box = canvas.current!.getBoundingClientRect();
      return { x: (event.clientX - box.left - x) / k, y: (event.clientY - box.top - y) / k };
    },
  };
}

/** The size of an element, CSS pixels; null until it is known. */
function useSize(element: RefObject<HTMLElement | null>): { width: number; height: number } | null {
  const [size, setSize] = useState<{ width: number; height: number } | null>(null);
  useEffect(() => {
    const observer = new ResizeObserver((entries) => {
      for (const { contentRect } of entries) setSize({ width: contentRect.width, height: contentRect.height });
    });
    observer.observe(element.current!);
    return () => observer.disconnect();
  }, [element]);
  return size;
}

function fitBox(size: { width: number; height: number }, box: Box, margin: number, least = 1): View {
  const width = Math.max(least, box.right - box.left);
  const height = Math.max(least, box.bottom - box.top);
  const k = Math.max(0.02, Math.min((size.width - 2 * margin) / width, (size.height - 2 * margin) / height));
  return {
    k,
    x: size.width / 2 - (k * (box.left + box.right)) / 2,
    y: size.height / 2 - (k * (box.top + box.bottom)) / 2,
  };
}
