import type { Draft } from 'immer';
import type { Plan } from '../../contracts/index.ts';

/** Gives a page another real size; everything that was set on it keeps to its place. */
export function resizeSheet(plan: Draft<Plan>, widthMm: number, heightMm: number): void {
  const [across, down] = [widthMm / plan.page.widthMm, heightMm / plan.page.heightMm];
  const move = (point: { x: number; y: number }) => {
    point.x *= across;
    point.y *= down;
  };
  for (const mend of plan.finding.mends) {
    if (mend.kind === 'cut') mend.points.forEach(move);
    else if (mend.kind === 'join') [mend.a, mend.b].forEach(move);
    else move(mend.at);
  }
  for (const shape of plan.aside.shapes) {
    move(shape.at);
    shape.areaMm2 *= across * down;
  }
  for (const lamp of Object.values(plan.lamps)) move(lamp.at);
  const { horizon } = plan;
  if (horizon.waterLineMm !== null) horizon.waterLineMm *= down;
  if (horizon.vanishing) move(horizon.vanishing);
  Object.assign(plan.page, { widthMm, heightMm });
}

/** What is decided about a sheet as a whole. */
export type AboutSheet = Partial<
  Pick<
    Plan,
    'page' | 'paperFacts' | 'finding' | 'wheel' | 'wishes' | 'hours' | 'light' | 'horizon' | 'school' | 'bench'
  >
>;

/** Decides something about the sheet as a whole. */
export function decide(plan: Draft<Plan>, about: AboutSheet): void {
  Object.assign(plan, about);
}
