interface Point {
  x: number;
  y: number;
}

interface Props {
  page: { widthMm: number; heightMm: number };
  toHolder(point: Point): Point;
}

/** Least room between marks, CSS pixels, and the distances that marks may stand for, mm. */
const LEAST_PX = 7;
const EVERY_MM = [1, 2, 5, 10, 20, 50];
/** Marks with a number stand this many CSS pixels apart at least. */
const NUMBER_PX = 42;
const BAND = 20;

/** Rulers in mm along the upper and the left side of what is shown of the page. */
export function RulersOnSheet({ page, toHolder }: Props) {
  const origin = toHolder({ x: 0, y: 0 });
  const perMm = toHolder({ x: 1, y: 0 }).x - origin.x;
  const every = EVERY_MM.find((mm) => mm * perMm >= LEAST_PX) ?? 100;
  const numbered = EVERY_MM.find((mm) => mm >= every && mm * perMm >= NUMBER_PX && mm % every === 0) ?? 100;
  const marks = (length: number) => Array.from({ length: Math.floor(length / every) + 1 }, (_, k) => k * every);
  return (
    <svg
      className="pointer-events-none absolute inset-0 h-full w-full"
      role="img"
      aria-label={`Rulers: a mark every ${every} mm`}
      data-testid="rulers"
    >
      <rect width="100%" height={BAND} fill="var(--leaf)" fillOpacity="0.92" />
      <rect width={BAND} height="100%" fill="var(--leaf)" fillOpacity="0.92" />
      {marks(page.widthMm).map((mm) => {
        const x = origin.x + mm * perMm;
        return (
          <g key={`x${mm}`}>
            <path d={`M${x} ${BAND}v${mm % numbered === 0 ? -9 : -5}`} stroke="var(--ink)" />
            {mm % numbered === 0 && (
              <text x={x + 2} y={10} fontSize="10" fill="var(--ink)">
                {mm}
              </text>
            )}
          </g>
        );
      })}
      {marks(page.heightMm).map((mm) => {
        const y = origin.y + mm * perMm;
        return (
          <g key={`y${mm}`}>
            <path d={`M${BAND} ${y}h${mm % numbered === 0 ? -9 : -5}`} stroke="var(--ink)" />
            {mm % numbered === 0 && (
              <text x={1} y={y - 2} fontSize="10" fill="var(--ink)">
                {mm}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
