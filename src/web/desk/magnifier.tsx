import { X } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useDesk } from './desk-context.ts';
import { type Painting, paintPointedAt, paintSheet } from './paint-sheet.ts';
import { regionAt } from './region-at.ts';
import { outlineOf } from './region-paths.ts';

const SIDE = 232;
const SQUARE = { width: SIDE, height: SIDE };
/** How much larger it shows the page than the sheet around it. */
const TIMES = 5;

interface Props {
  /** The point that it enlarges, pixels of the picture. */
  at: { x: number; y: number };
  /** As the sheet around is painted. */
  painting: Painting;
  onPick(regionId: number, add: boolean): void;
  onLeave(): void;
}

/** A piece of the page enlarged where several tiny regions lie close to a click: the next click chooses among them. */
export function Magnifier({ at, painting, onPick, onLeave }: Props) {
  const { page } = useDesk();
  const canvas = useRef<HTMLCanvasElement>(null);
  const pointed = useRef<HTMLCanvasElement>(null);
  const [hovered, setHovered] = useState<number | null>(null);
  const { view, size } = painting;
  const k = TIMES * view.k;
  const own = useMemo(() => ({ k, x: SIDE / 2 - k * at.x, y: SIDE / 2 - k * at.y }), [k, at]);
  useEffect(() => {
    if (!canvas.current || !page) return;
    paintSheet(canvas.current, { ...painting, view: own, size: SQUARE });
  }, [painting, own, page]);
  useEffect(() => {
    if (!pointed.current || !page) return;
    paintPointedAt(pointed.current, { view: own, size: SQUARE }, hovered ? outlineOf(page, hovered) : null);
  }, [own, hovered, page]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => event.key === 'Escape' && onLeave();
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [onLeave]);
  const regionUnder = (event: React.MouseEvent) => {
    if (!page) return null;
    const box = canvas.current!.getBoundingClientRect();
    return regionAt(page, (event.clientX - box.left - own.x) / k, (event.clientY - box.top - own.y) / k, 6 / k);
  };
  const within = (value: number, most: number) => Math.max(4, Math.min(most - SIDE - 8, value - SIDE / 2));
  return (
    <div
      role="dialog"
      aria-label="Enlarged: which region is meant?"
      className="absolute border border-ink bg-leaf shadow-lg"
      style={{
        left: within(view.x + view.k * at.x, size.width),
        top: within(view.y + view.k * at.y, size.height),
        width: SIDE + 2,
      }}
    >
      <canvas
        ref={canvas}
        data-testid="magnifier"
        className="block cursor-pointer"
        style={{ width: SIDE, height: SIDE }}
        onMouseMove={(event) => setHovered(regionUnder(event))}
        onMouseLeave={() => setHovered(null)}
        onClick={(event) => {
          const id = regionUnder(event);
          if (id) onPick(id, event.shiftKey || event.ctrlKey || event.metaKey);
          else onLeave();
        }}
      />
      <canvas
        ref={pointed}
        aria-hidden
        className="pointer-events-none absolute inset-0"
        style={{ width: SIDE, height: SIDE }}
      />
      <button
        type="button"
        aria-label="Put the magnifier away"
        className="absolute top-0 right-0 flex h-8 w-8 items-center justify-center bg-leaf hover:bg-card"
        onClick={onLeave}
      >
        <X size={16} aria-hidden />
      </button>
    </div>
  );
}
