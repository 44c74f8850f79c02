import { type Interval } from './zone-words.ts';

/** A zone on the way from shadow to highlight: the bracket spans the values that are covered. */
export function ZoneBar({ zone: { from, to } }: { zone: Interval }) {
  const [x0, x1] = [4 + 192 * from, 4 + 192 * to];
  return (
    <svg
      viewBox="0 0 200 26"
      className="h-8 w-full"
      preserveAspectRatio="none"
      role="img"
      aria-label={`covers ${Math.round(100 * from)} to ${Math.round(100 * to)} on the way from shadow (0) to highlight (100)`}
    >
      {Array.from({ length: 24 }, (_, i) => (
        <rect key={i} x={4 + 8 * i} y={2} width={8.2} height={11} fill={`oklch(${0.25 + (0.73 * i) / 23} 0 0)`} />
      ))}
      <rect
        x={4}
        y={2}
        width={192}
        height={11}
        fill="none"
        stroke="var(--edge)"
        strokeWidth="0.6"
        vectorEffect="non-scaling-stroke"
      />
      <path
        d={`M${x0} 17v6H${x1}v-6`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="2.4"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}
