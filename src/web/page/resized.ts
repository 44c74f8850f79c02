import type { Mend, Plan, PlanChange } from '../../contracts/index.ts';

/** The change that gives a page another real size; mends and glows keep to the places on it that they were made at. */
export function resized({ page, finding, glows, horizon }: Plan, widthMm: number, heightMm: number): PlanChange {
  const moved = ({ x, y }: { x: number; y: number }) => ({
    x: (x * widthMm) / page.widthMm,
    y: (y * heightMm) / page.heightMm,
  });
  const mends = finding.mends.map((mend): Mend => {
    if (mend.kind === 'cut') return { ...mend, points: mend.points.map(moved) };
    if (mend.kind === 'join') return { ...mend, a: moved(mend.a), b: moved(mend.b) };
    return { ...mend, at: moved(mend.at) };
  });
  return {
    page: { ...page, widthMm, heightMm },
    ...(mends.length > 0 && { finding: { ...finding, mends } }),
    ...((horizon.waterLineMm !== null || horizon.vanishing) && {
      horizon: {
        ...horizon,
        waterLineMm: horizon.waterLineMm && moved({ x: 0, y: horizon.waterLineMm }).y,
        vanishing: horizon.vanishing && moved(horizon.vanishing),
      },
    }),
    ...(glows.length > 0 && { glows: glows.map((glow) => ({ ...glow, at: glow.at && moved(glow.at) })) }),
  };
}

/** Millimetres to a tenth, as sizes are kept. */
export function tenths(mm: number): number {
  return Math.round(10 * mm) / 10;
}
