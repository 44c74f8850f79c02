import { useEffect, useRef, useState } from 'react';
import { WHEEL_PLACES, hexOfLab, placeAt, turn } from '../../core/colour/index.ts';
import { type Paper } from '../../core/laydown/index.ts';
import { HUB, RIM_CHROMA } from '../../core/preview/index.ts';
import type { Pencil } from '../../contracts/index.ts';
import { PixelCanvas } from '../parts/index.ts';
import { type LaidPencil, pencilWorker } from '../workers/index.ts';

/** Side of the disc in computed pixels. */
const DISC = 900;
/** Units of the drawing over it: the disc has radius 100. */
const RIM = 100;
const STEP_KEYS: Record<string, number> = {
  ArrowLeft: -5,
  ArrowDown: -5,
  ArrowRight: 5,
  ArrowUp: 5,
  PageDown: -30,
  PageUp: 30,
};

interface Props {
  paper: Paper;
  anchor: number;
  /** Degrees of each hand from the anchor. */
  hands: readonly number[];
  pencils: readonly Pencil[];
  laid: ReadonlyMap<string, LaidPencil>;
  /** Pencils of the palette, drawn larger. */
  inPlay: ReadonlySet<string>;
  onTurn(anchor: number): void;
  onPencil(pencil: LaidPencil): void;
  /** Called with the pencil pointed at, or null. */
  onPoint(pencilId: string | null): void;
}

/** The painter's wheel as laydowns, the tray's pencils where they really fall, and the scheme's hands, which turn together. */
export function Wheel({ paper, anchor, hands, pencils, laid, inPlay, onTurn, onPencil, onPoint }: Props) {
  const disc = useDisc(paper);
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<number | null>(null);
  const at = held ?? anchor;
  const angleAt = (event: React.PointerEvent) => {
    const box = svg.current!.getBoundingClientRect();
    const dx = event.clientX - box.left - box.width / 2;
    const dy = event.clientY - box.top - box.height / 2;
    return Math.round(turn((Math.atan2(dx, -dy) * 180) / Math.PI));
  };
  return (
    <div className="relative h-[min(100cqw,100cqh)] w-[min(100cqw,100cqh)]">
      <div className="absolute inset-[5.5%]">
        <PixelCanvas pixels={disc} className="h-full w-full" />
      </div>
      <svg
        ref={svg}
        viewBox="-112.4 -112.4 224.8 224.8"
        className="absolute inset-0 h-full w-full"
        role="group"
        aria-label="Painter's wheel"
      >
        {WHEEL_PLACES.map(({ name, angle }) => {
          const [x, y] = polar(angle, RIM + 6.2);
          return (
            <text
              key={name}
              x={x}
              y={y}
              fontSize="5.6"
              textAnchor="middle"
              dominantBaseline="middle"
              fill="var(--ink)"
              transform={`rotate(${angle > 90 && angle < 270 ? angle + 180 : angle} ${x} ${y})`}
            >
              {name}
            </text>
          );
        })}
        {pencils.map((pencil) => {
          const on = laid.get(pencil.id);
          if (!on) return null;
          const [x, y] = polar(on.wheelAngle, radiusOf(on.chroma));
          const playing = inPlay.has(pencil.id);
          return (
            <g
              key={pencil.id}
              onClick={() => onPencil(on)}
              className="cursor-pointer"
              onMouseEnter={() => onPoint(pencil.id)}
              onMouseLeave={() => onPoint(null)}
              data-pencil={pencil.code}
            >
              <title>{`${pencil.code} ${pencil.ownName || pencil.name}`}</title>
              <circle cx={x} cy={y} r={playing ? 3.4 : 2.1} fill={hexOfLab(on.body)} stroke="#fff" strokeWidth="1.5" />
              <circle cx={x} cy={y} r={playing ? 4.1 : 2.8} fill="none" stroke="#000" strokeWidth={playing ? 1 : 0.5} />
            </g>
          );
        })}
        {hands.map((offset, i) => (
          <Hand key={offset} angle={at + offset} first={i === 0} />
        ))}
        <g
          role="slider"
          tabIndex={0}
          aria-label="Anchor hue"
          aria-valuemin={0}
          aria-valuemax={359}
          aria-valuenow={Math.round(turn(at))}
          aria-valuetext={placeAt(at).name}
          style={{ cursor: held === null ? 'grab' : 'grabbing', touchAction: 'none' }}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            setHeld(angleAt(event));
          }}
          onPointerMove={(event) => held !== null && setHeld(angleAt(event))}
          onPointerUp={() => {
            if (held !== null) onTurn(held);
            setHeld(null);
          }}
          onKeyDown={(event) => {
            const by = STEP_KEYS[event.key];
            if (by === undefined) return;
            event.preventDefault();
            onTurn(turn(Math.round(anchor) + by));
          }}
        >
          <HandHead angle={at} />
        </g>
      </svg>
    </div>
  );
}

function Hand({ angle, first }: { angle: number; first: boolean }) {
  const [x0, y0] = polar(angle, RIM * HUB * 0.6);
  const [x1, y1] = polar(angle, RIM + 2);
  return (
    <g strokeLinecap="round" pointerEvents="none">
      <line x1={x0} y1={y0} x2={x1} y2={y1} stroke="#fff" strokeWidth={first ? 3.4 : 2.6} />
      <line
        x1={x0}
        y1={y0}
        x2={x1}
        y2={y1}
        stroke="#000"
        strokeWidth={first ? 1.7 : 1.1}
        strokeDasharray={first ? undefined : '4 2.6'}
      />
    </g>
  );
}

function HandHead({ angle }: { angle: number }) {
  const [x, y] = polar(angle, RIM - 4);
  return (
    <>
      <circle cx={x} cy={y} r="6.4" fill="#fff" stroke="#000" strokeWidth="1.3" />
      <circle cx={x} cy={y} r="2.2" fill="#000" />
    </>
  );
}

/** A place on the wheel: 0 degrees at the top, clockwise. */
function polar(angle: number, radius: number): [number, number] {
  const a = (angle * Math.PI) / 180;
  return [radius * Math.sin(a), -radius * Math.cos(a)];
}

function radiusOf(chroma: number): number {
  return RIM * (HUB + (1 - HUB) * Math.min(0.98, chroma / RIM_CHROMA));
}

function useDisc(paper: Paper) {
  const [disc, setDisc] = useState<Awaited<ReturnType<typeof pencilWorker.wheel>> | null>(null);
  useEffect(() => {
    let wanted = true;
    void pencilWorker.wheel(paper, DISC).then((pixels) => wanted && setDisc(pixels));
    return () => void (wanted = false);
  }, [paper]);
  return disc;
}
