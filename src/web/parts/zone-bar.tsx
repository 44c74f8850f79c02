import { type Span, FIELD_ENDS } from '../../core/recipe/index.ts';

/** A zone on the way from one end of its field to the other: the bracket spans the values that are covered. */
export function ZoneBar({ zone: { field, from, to } }: { zone: Pick<Span, 'field' | 'from' | 'to'> }) {
  const [x0, x1] = [4 + 192 * from, 4 + 192 * to];
  const [low, high] = FIELD_ENDS[field];
  return (
    <svg
      viewBox="0 0 200 26"
      className="h-8 w-full"
      preserveAspectRatio="none"
      role="img"
      aria-label={`covers ${Math.round(100 * from)} to ${Math.round(100 * to)} on the way from ${low} (0) to ${high} (100)`}
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
