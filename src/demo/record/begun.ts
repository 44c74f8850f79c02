import type { LogEntry, NewBenchPlan, Plan, RegionsMeta } from '../../contracts/index.ts';
import { type Step, inHand, sequenceAsWished } from '../../core/bench/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { proposePalettes } from '../../core/palette/index.ts';
import { familyOf } from '../../core/recipe/index.ts';
import { onPaper } from '../../core/tray/index.ts';
import { type PlanEdit, USUAL_GLOW, giveFamilies, setGlow, thingsOf } from '../../plan/index.ts';
import { benchPlanFrom, openSteps } from '../../order/index.ts';
import { asTrayPencil } from '../../pencils/index.ts';
import { type PlannedPage, deriveRecipes, summariseSheet } from '../../plan/derive/index.ts';
import { type DemoPencil } from '../pencils/index.ts';
import { EVENINGS, OWN_FAMILIES } from './evenings.ts';

/** What glows on the begun sheet, and how far, mm. */
const GLOWING: Readonly<Record<string, number>> = { 'Paper lanterns': 14, Moon: 26 };
/** Orders that are tried for the begun sheet: enough for a sensible one, few enough to lay the demo out quickly. */
const TRIES = 12;
/** Moves of the search for its palette. */
const MOVES = 6000;
/** How long steps took against what was planned, in turn. */
const PACES = [1.15, 0.9, 1.3, 1, 0.85, 1.05, 1.4];
/** ... beside the way to the next place, and taking up another pencil. */
const BETWEEN_STEPS_MINUTES = 0.1;
const PICK_UP_MINUTES = 0.3;

/** The palette and the glows of the begun sheet: proposed for a dusk in blue against orange, with some families chosen by its owner. */
export async function beginPalette(plan: Plan, meta: RegionsMeta, pencils: readonly DemoPencil[]): Promise<PlanEdit> {
  const wheel = { ...plan.wheel, anchor: 240, scheme: 'split-complementary' };
  const here = pencils.filter(
    ({ whereabouts, type }) => whereabouts !== 'missing' && (type === 'wax' || type === 'oil'),
  );
  const paper = paperById(plan.page.paper);
  const laid = onPaper(
    here.map((pencil) => asTrayPencil(pencil)),
    paper,
  );
  const [best] = await proposePalettes(summariseSheet(plan, meta), laid, paper, wheel, { count: 1, moves: MOVES });
  const idOf = new Map(pencils.map(({ code, id }) => [code, id]));
  const nameOf = new Map(thingsOf(plan).map(({ id, name }) => [id, name]));
  const families = best!.parts.flatMap(({ thingId, family }) => {
    const own = OWN_FAMILIES[nameOf.get(thingId) ?? ''];
    if (!own) return family ? [[thingId, family] as const] : [];
    return [[thingId, familyOf(own.map((code) => idOf.get(code)!))] as const];
  });
  return (draft) => {
    Object.assign(draft.wheel, wheel);
    giveFamilies(draft, Object.fromEntries(families));
    for (const { id, name } of thingsOf(plan)) {
      const reachMm = GLOWING[name];
      if (reachMm) setGlow(draft, id, { ...USUAL_GLOW, reachMm });
    }
  };
}

/** One evening's order of steps with what was logged of it; the last of the begun sheet is what is still to do, with nothing logged. */
export interface BegunBench {
  plan: NewBenchPlan;
  log: LogEntry[];
}

/** What each finished evening was worked by, and an order for the rest. */
export async function beginBench(
  sheet: { plan: Plan; revision: number },
  page: PlannedPage,
  pencils: readonly DemoPencil[],
): Promise<BegunBench[]> {
  const byId = new Map(pencils.map((pencil) => [pencil.id, pencil]));
  const laid = onPaper(
    pencils.map((pencil) => asTrayPencil(pencil)),
    paperById(sheet.plan.page.paper),
  );
  const value = new Map(laid.map(({ id, body }) => [id, body[0]]));
  const recipes = deriveRecipes(sheet.plan, page, byId);
  const hand = { pencils: byId, valueOf: (id: string) => value.get(id) ?? 50 };
  const { steps, leftOut } = openSteps(sheet.plan, page, recipes, hand, []);
  const nameOf = new Map(thingsOf(sheet.plan).map(({ id, name }) => [id, name]));
  const evening = ({ thingId }: Step) => EVENINGS.findIndex(({ things }) => things.includes(nameOf.get(thingId) ?? ''));
  const { openThings, sittingMinutes } = sheet.plan.bench;
  const benches: BegunBench[] = [];
  for (const e of [...EVENINGS.keys(), -1]) {
    const ownIds = new Set(steps.filter((step) => evening(step) === e).map(({ id }) => id));
    const own = steps
      .filter(({ id }) => ownIds.has(id))
      .map((step) => ({ ...step, after: step.after.filter((id) => ownIds.has(id)) }));
    const order = await sequenceAsWished(own, openThings, { sittingMinutes, maxIterations: TRIES });
    const plan = benchPlanFrom(
      `demo-plan-${benches.length + 1}`,
      sheet,
      { steps: own, leftOut: e < 0 ? leftOut : [] },
      order,
      byId,
    );
    benches.push({ plan, log: e < 0 ? [] : logOf(plan, EVENINGS[e]!.begun) });
  }
  return benches;
}

/** All of a plan's steps done one after the other, each in about the time planned for it, with the time to take up another pencil. */
function logOf({ id: planId, order, steps }: NewBenchPlan, begun: string): LogEntry[] {
  const stepOf = new Map(steps.map((step) => [step.id, step]));
  let clock = Date.parse(begun);
  return order.map((stepId, i) => {
    const startedAt = new Date(clock).toISOString();
    const step = stepOf.get(stepId)!;
    const before = stepOf.get(order[i - 1] ?? '');
    const takesUp = before && inHand(before) === inHand(step) ? 0 : PICK_UP_MINUTES;
    clock += (BETWEEN_STEPS_MINUTES + takesUp + step.minutes * PACES[i % PACES.length]!) * 60_000;
    const finishedAt = new Date(clock).toISOString();
    return {
      id: `${planId}-${i + 1}`,
      planId,
      stepId,
      kind: 'done',
      startedAt,
      finishedAt,
      pausedSeconds: 0,
      usedPencil: null,
      cameOut: null,
    };
  });
}
