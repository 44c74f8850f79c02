import { useRef } from 'react';
import { type MainLight } from '../../core/light/index.ts';

type Directed = Extract<MainLight, { kind: 'direction' }>;

interface Props {
  light: Directed;
  /** While it is being moved. */
  onHold(light: Directed): void;
  onSet(light: Directed): void;
}

const RIM = 74;
const SIDES = [
  'the right',
  'the lower right',
  'below',
  'the lower left',
  'the left',
  'the upper left',
  'above',
  'the upper right',
];
const TURN_KEYS: Record<string, [around: number, up: number]> = {
  ArrowLeft: [-5, 0],
  ArrowRight: [5, 0],
  ArrowUp: [0, 5],
  ArrowDown: [0, -5],
};

/** Where the light comes from, in words. */
export function compassWords(azimuthDegrees: number): string {
  return SIDES[Math.round(azimuthDegrees / 45) % 8]!;
}

/** The light as a lamp over the page: its place says the side, its distance from the rim says how high it stands. */
export function LightDial({ light, onHold, onSet }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const holding = useRef(false);
  const a = (light.azimuthDegrees * Math.PI) / 180;
  const reach = RIM * Math.cos((light.heightDegrees * Math.PI) / 180);
  const lightAt = (event: React.PointerEvent): Directed => {
    const box = svg.current!.getBoundingClientRect();
    const dx = (event.clientX - box.left - box.width / 2) * (200 / box.width);
    const dy = (event.clientY - box.top - box.height / 2) * (200 / box.height);
    const height = (Math.acos(Math.min(0.996, Math.hypot(dx, dy) / RIM)) * 180) / Math.PI;
    return {
      kind: 'direction',
      azimuthDegrees: (Math.round((Math.atan2(dy, dx) * 180) / Math.PI) + 360) % 360,
      heightDegrees: Math.max(5, Math.round(height)),
    };
  };
  return (
    <div className="mt-3 flex items-center gap-4">
      <svg
        ref={svg}
        viewBox="-100 -100 200 200"
        className="h-40 w-40 shrink-0 cursor-pointer touch-none"
        onPointerDown={(event) => {
          holding.current = true;
          event.currentTarget.setPointerCapture(event.pointerId);
          onHold(lightAt(event));
        }}
        onPointerMove={(event) => holding.current && onHold(lightAt(event))}
        onPointerUp={(event) => {
          holding.current = false;
          onSet(lightAt(event));
        }}
      >
        <circle r={RIM} fill="var(--leaf)" stroke="var(--edge)" />
        <rect x="-26" y="-34" width="52" height="68" fill="#fff" stroke="var(--ink)" />
        <ellipse rx="13" ry="17" fill="none" stroke="#222" strokeWidth="1.5" />
        <line x2={reach * Math.cos(a) * 0.8} y2={reach * Math.sin(a) * 0.8} stroke="var(--ink)" strokeDasharray="3 4" />
        <g
          role="slider"
          tabIndex={0}
          aria-label="Place of the light"
          aria-valuemin={0}
          aria-valuemax={359}
          aria-valuenow={light.azimuthDegrees}
          aria-valuetext={`from ${compassWords(light.azimuthDegrees)}, ${light.heightDegrees} degrees high`}
          transform={`translate(${reach * Math.cos(a)} ${reach * Math.sin(a)})`}
          onKeyDown={(event) => {
            const by = TURN_KEYS[event.key];
            if (!by) return;
            event.preventDefault();
            onSet({
              kind: 'direction',
              azimuthDegrees: (light.azimuthDegrees + by[0] + 360) % 360,
              heightDegrees: Math.min(90, Math.max(5, light.heightDegrees + by[1])),
            });
          }}
        >
          <circle r="11" fill="var(--strong)" />
          {[0, 45, 90, 135, 180, 225, 270, 315].map((angle) => (
            <line key={angle} x1="14" x2="19" stroke="var(--ink)" strokeWidth="2" transform={`rotate(${angle})`} />
          ))}
        </g>
      </svg>
      <p className="text-[0.95rem]">
        from <strong>{compassWords(light.azimuthDegrees)}</strong>,{' '}
        <span className="font-figure">{light.heightDegrees}°</span> above the page
      </p>
    </div>
  );
}
