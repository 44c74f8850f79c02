import { PRESSURES, type Pressure } from '../../core/laydown/index.ts';
import { type Point, type Stroke } from '../../core/recipe/index.ts';

const WAVE = 'M4 15c4-8 7-8 9-2s5 6 9-1 8-6 9-1 5 5 9-3';

/** Pressure as the weight of a hand-drawn wave: the harder, the thicker. */
export function PressureMark({ pressure, size = 44 }: { pressure: Pressure; size?: number }) {
  const weight = [1, 1.8, 3, 4.6, 6.6][PRESSURES.indexOf(pressure)];
  return (
    <svg viewBox="0 0 44 24" width={size} height={(size * 24) / 44} role="img" aria-label={`pressure: ${pressure}`}>
      <path d={WAVE} fill="none" stroke="currentColor" strokeWidth={weight} strokeLinecap="round" />
    </svg>
  );
}

const STROKE_PATHS: Record<Stroke, string> = {
  'small circles': 'M8 15a5 5 0 1 1 6 4a5 5 0 1 1 7-5a5 5 0 1 1 5 5a5 5 0 1 1 7-5',
  'one direction': 'M6 21 16 6M13 21 23 6M20 21 30 6M27 21 37 6',
  hatching: 'M6 20 18 7M12 20 24 7M18 20 30 7M24 20 36 7M8 7l28 13',
  'cross-hatching': 'M7 20 19 8M14 21 26 9M21 21 33 9M9 9l12 12M17 8l13 13M26 8l8 8',
  stippling: 'M8 18v.1M13 11v.1M16 20v.1M20 14v.1M24 8v.1M25 20v.1M29 14v.1M33 19v.1M35 9v.1M11 22v.1M21 22v.1',
  scumbling: 'M6 18c4-9 8-9 7-3s6 7 8 0 8-7 6 0-2 7 4 3 6-8 8-3M9 11c4-3 9-4 13-2s10 1 13-2',
  'fine lines': 'M6 20C14 18 18 12 20 5M18 21C24 19 30 14 37 12M9 10 14 13M27 8 31 11',
  flicks: 'M6 21Q9 11 15 7M15 22Q18 12 24 8M24 21Q27 11 33 7M32 22Q34 14 39 10',
  'following the contour': 'M6 20C8 8 34 8 38 20M11 21c3-7 19-7 22 0M16 22c2-4 10-4 12 0',
};

/** How the pencil moves. */
export function StrokeMark({ stroke, size = 44 }: { stroke: Stroke; size?: number }) {
  return (
    <svg viewBox="0 0 44 28" width={size} height={(size * 28) / 44} role="img" aria-label={`stroke: ${stroke}`}>
      <path
        d={STROKE_PATHS[stroke]}
        fill="none"
        stroke="currentColor"
        strokeWidth="1.8"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </svg>
  );
}

const TIPS: Record<Point, string> = {
  sharp: 'M14 3h16v8l-8 15-8-15z M14 11h16 M20.500 23l1.500 3 1.500-3z',
  normal: 'M14 3h16v8l-5.500 12h-5L14 11z M14 11h16 M19.500 23h5',
  'side of the lead': 'M9 5l11-3 8 7-2 12-15-8z M20 2l-9 11 M26 21l6-1 3-9-7-2',
};

/** The state of the point. */
export function PointMark({ point, size = 44 }: { point: Point; size?: number }) {
  return (
    <svg viewBox="0 0 44 28" width={size} height={(size * 28) / 44} role="img" aria-label={`point: ${point}`}>
      <path
        d={TIPS[point]}
        fill="none"
        stroke="currentColor"
        strokeWidth="1.6"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
    </svg>
  );
}

/** What tooth the paper has left, as a hatched gauge. */
export function ToothGauge({ left }: { left: number }) {
  const percent = Math.round(100 * left);
  return (
    <span
      role="img"
      aria-label={`${percent}% of the tooth left`}
      title={`${percent}% of the tooth left`}
      className="relative inline-block h-7 w-3 border border-ink bg-leaf"
    >
      <span className="hatch-fill absolute inset-x-0 bottom-0" style={{ height: `${percent}%` }} />
    </span>
  );
}
