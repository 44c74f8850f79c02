import { useEffect, useState } from 'react';
import { Button } from '../parts/index.ts';

interface Point {
  x: number;
  y: number;
}

interface Props {
  /** From pixels of the holder to mm of the page and back. */
  toPage(point: Point): Point;
  toHolder(point: Point): Point;
  /** What to set points for, and what is done with them. */
  asks: string;
  does: string;
  /** So many points make the line; more when left out. A further one takes the place of the last. */
  most?: number;
  onDrawn(points: readonly Point[]): void;
  onLeave(): void;
}

/** A layer over the sheet on which a line is set point by point: Enter takes it, Backspace takes a point back. */
export function LineOnSheet({ toPage, toHolder, asks, does, most = Infinity, onDrawn, onLeave }: Props) {
  const [points, setPoints] = useState<readonly Point[]>([]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === 'Escape') onLeave();
      else if (event.key === 'Enter' && points.length > 1) onDrawn(points);
      else if (event.key === 'Backspace') setPoints(points.slice(0, -1));
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  const shown = points.map(toHolder);
  const path = shown.map(({ x, y }) => `${x},${y}`).join(' ');
  return (
    <>
      <svg
        data-testid="line"
        aria-hidden
        className="absolute inset-0 h-full w-full cursor-crosshair touch-none"
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect();
          setPoints([
            ...points.slice(0, most - 1),
            toPage({ x: event.clientX - box.left, y: event.clientY - box.top }),
          ]);
        }}
      >
        <polyline points={path} fill="none" stroke="#fff" strokeWidth={5} />
        <polyline points={path} fill="none" stroke="#000" strokeWidth={2} />
        {shown.map(({ x, y }, k) => (
          <circle key={k} cx={x} cy={y} r={4} fill="#fff" stroke="#000" strokeWidth={1.5} />
        ))}
      </svg>
      <div className="absolute bottom-16 left-1/2 flex -translate-x-1/2 items-center gap-2 border border-edge bg-leaf p-2 whitespace-nowrap">
        <span className="px-1 text-[0.95rem]">{asks}</span>
        <Button look="strong" disabled={points.length < 2} onClick={() => onDrawn(points)}>
          {does}
        </Button>
        <Button onClick={onLeave}>Leave it</Button>
      </div>
    </>
  );
}
