import { useRef, useState } from 'react';

/** How a sweep over the sheet gathers regions. */
export type Sweep = 'box' | 'lasso';

interface Point {
  x: number;
  y: number;
}

interface Props {
  sweep: Sweep;
  /** Called with the outline that was swept, in pixels of the holder. */
  onSwept(outline: readonly Point[], add: boolean): void;
}

/** A layer over the sheet on which a box is drawn up or a loop drawn round regions. */
export function GatherOnSheet({ sweep, onSwept }: Props) {
  const [swept, setSwept] = useState<readonly Point[]>([]);
  const from = useRef<Point | null>(null);
  const at = (event: React.PointerEvent): Point => {
    const box = event.currentTarget.getBoundingClientRect();
    return { x: event.clientX - box.left, y: event.clientY - box.top };
  };
  const [first, last] = [swept[0], swept.at(-1)];
  const outline = sweep === 'box' && first && last && first !== last ? corners(first, last) : swept;
  return (
    <svg
      data-testid="gather"
      className="absolute inset-0 h-full w-full cursor-crosshair touch-none"
      aria-hidden
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = at(event);
        setSwept([from.current]);
      }}
      onPointerMove={(event) => {
        if (from.current) setSwept([...swept, at(event)]);
      }}
      onPointerUp={(event) => {
        if (!from.current) return;
        from.current = null;
        setSwept([]);
        if (outline.length > 2) onSwept(outline, event.shiftKey);
      }}
    >
      {outline.length > 1 && (
        <>
          <polygon points={asPoints(outline)} fill="none" stroke="#fff" strokeWidth={4} />
          <polygon points={asPoints(outline)} fill="none" stroke="#000" strokeWidth={1.6} strokeDasharray="6 4" />
        </>
      )}
    </svg>
  );
}

function corners(a: Point, b: Point): Point[] {
  return [a, { x: b.x, y: a.y }, b, { x: a.x, y: b.y }];
}

function asPoints(outline: readonly Point[]): string {
  return outline.map(({ x, y }) => `${x},${y}`).join(' ');
}
