import { useRef } from 'react';

interface Point {
  x: number;
  y: number;
}

interface Props {
  label: string;
  /** What it stands for. Default a glow. */
  look?: keyof typeof LOOKS;
  /** Where it lies, mm of the page. */
  at: Point;
  toPage(point: Point): Point;
  toHolder(point: Point): Point;
  /** While it is dragged, and when it is let go or moved by a key. */
  onHold(at: Point): void;
  onSet(at: Point): void;
}

const LOOKS = {
  glow: (
    <>
      <circle r="6" fill="#fff" stroke="#000" strokeWidth="2" />
      {[0, 60, 120, 180, 240, 300].map((angle) => (
        <line key={angle} x1="8.5" x2="11.5" stroke="#000" strokeWidth="2" transform={`rotate(${angle})`} />
      ))}
    </>
  ),
  water: (
    <>
      <circle r="9" fill="#fff" stroke="#000" strokeWidth="2" />
      <path d="M-6 -1.500q3 -3 6 0t6 0M-6 3q3 -3 6 0t6 0" fill="none" stroke="#000" strokeWidth="1.800" />
    </>
  ),
  vanishing: (
    <>
      <circle r="9" fill="#fff" stroke="#000" strokeWidth="2" />
      <path d="M-7 -5L0 0L-7 5M7 -5L0 0L7 5" fill="none" stroke="#000" strokeWidth="1.600" />
    </>
  ),
};

const KEYS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** A point of the page that is moved by dragging it, or by arrow keys: a millimetre, or ten with shift. */
export function HandleOnSheet({ label, look = 'glow', at, toPage, toHolder, onHold, onSet }: Props) {
  const dragged = useRef<{ to: Point; moved: boolean } | null>(null);
  const { x, y } = toHolder(at);
  const under = (event: React.PointerEvent) => {
    const box = event.currentTarget.parentElement!.getBoundingClientRect();
    return toPage({ x: event.clientX - box.left, y: event.clientY - box.top });
  };
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      className="absolute flex h-10 w-10 -translate-x-1/2 -translate-y-1/2 cursor-move touch-none items-center justify-center"
      style={{ left: x, top: y }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        dragged.current = { to: at, moved: false };
      }}
      onPointerMove={(event) => {
        if (!dragged.current) return;
        dragged.current = { to: under(event), moved: true };
        onHold(dragged.current.to);
      }}
      onPointerUp={() => {
        if (dragged.current?.moved) onSet(dragged.current.to);
        dragged.current = null;
      }}
      onKeyDown={(event) => {
        const by = KEYS[event.key];
        if (!by) return;
        event.preventDefault();
        const far = event.shiftKey ? 10 : 1;
        onSet({ x: at.x + far * by[0], y: at.y + far * by[1] });
      }}
    >
      <svg viewBox="-12 -12 24 24" className="h-7 w-7" aria-hidden>
        {LOOKS[look]}
      </svg>
    </button>
  );
}
