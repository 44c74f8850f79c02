import { expect } from 'chai';
import fc from 'fast-check';
import {
  type BenchPlan,
  type BenchState,
  type LogEntry,
  type Pencil,
  type Plan,
  NewBenchPlan,
  emptyPlan,
  newThing,
} from '../contracts/index.ts';
import { sequence, validateSequence } from '../core/bench/index.ts';
import { type Region } from '../core/lineart/index.ts';
import { familyOf, pencilsOf } from '../core/recipe/index.ts';
import {
  decideThing,
  edited,
  familiesOf,
  frontToBack,
  giveFamilies,
  replacePencil,
  sayOfRegions,
  type PlanEdit,
} from '../plan/index.ts';
import {
  benchPlanFrom,
  isOutOfDate,
  minutesWorked,
  openSteps,
  benchPlanWithSittings,
  stepsFinished,
  withEntry,
} from './index.ts';
import { deriveRecipes } from '../plan/derive/index.ts';

const region = (id: number, x: number): Region => ({
  id,
  usableWidthMm: 9,
  areaMm2: 120,
  axisDegrees: 0,
  lengthMm: 12,
  breadthMm: 10,
  holes: 0,
  shape: 'irregular',
  pole: { x, y: 20 },
  centroid: { x, y: 20 },
  box: { left: x - 5, top: 15, right: x + 5, bottom: 25 },
});
const regions = [1, 2, 3].map((id) => region(id, 20 * id));
const page = { regions, neighbours: [{ a: 1, b: 2, lengthMm: 8 }] };
const pencil = (id: string, colour: string) =>
  ({
    id,
    code: id.toUpperCase(),
    colour,
    ownName: '',
    name: id,
    type: 'wax',
    opacity: null,
    hardness: 0.2,
  }) as Pencil;
const pencils = new Map(
  [
    pencil('umber-1', '#5e3a26'),
    pencil('ochre-1', '#c6913a'),
    pencil('lemon-1', '#f2e28d'),
    pencil('night-1', '#22315f'),
  ].map((each) => [each.id, each]),
);
const plan: Plan = {
  ...emptyPlan({ widthMm: 80, heightMm: 40, paper: 'white-book' }),
  things: frontToBack(
    [1, 2, 3].map((id) =>
      newThing({
        id: `thing-${id}`,
        name: `Lantern ${id}`,
        regionIds: [id],
        family: familyOf(['umber-1', 'ochre-1', 'lemon-1']),
      }),
    ),
  ),
};
const valueOf = (id: string) => ({ 'umber-1': 30, 'ochre-1': 62, 'lemon-1': 90, 'night-1': 25 })[id] ?? 50;
const recipesOf = (of: Plan) => deriveRecipes(of, page, pencils);
const ruled = openSteps(plan, page, recipesOf(plan), { pencils, valueOf }, []);

async function ordered(): Promise<BenchPlan> {
  const found = await sequence(ruled.steps, { sittingMinutes: 5, maxIterations: 3 });
  const stored = NewBenchPlan.parse(benchPlanFrom('plan-one', { plan, revision: 3 }, ruled, found, pencils));
  return { ...stored, madeAt: '2026-11-26T19:00:00.000Z' };
}

describe('steps as the table needs them', () => {
  it('know where they lie, how far they wear a point, and whether they smear', () => {
    for (const { box, wear, soft, coveredMm2 } of ruled.steps) {
      expect(box!.right).to.be.above(box!.left);
      expect(wear).to.be.above(0);
      expect(coveredMm2).to.be.within(0.1, 120);
      // A soft lead that is not burnished.
      expect(soft).to.equal(true);
    }
  });
});

describe('an order that was agreed', () => {
  it('is out of date once layers, rules or the number of open things change, and not for anything else', async () => {
    const order = await ordered();
    const at = (edit: PlanEdit, revision = 4) => {
      const now = edited(plan, edit).plan;
      return isOutOfDate(order, { plan: now, revision }, page, recipesOf(now), [], (id) => pencils.has(id));
    };
    expect(at(() => undefined, 3)).to.equal(false);
    expect(at((draft) => (draft.bench.evenings = { weekdays: [4], at: '20:00', from: null }))).to.equal(false);
    expect(at((draft) => decideThing(draft, 'thing-1', { pinned: true }))).to.equal(false);
    expect(at((draft) => (draft.bench.openThings = 1))).to.equal(true);
    expect(at((draft) => (draft.bench.rules = []))).to.equal(true);
    expect(at((draft) => giveFamilies(draft, { 'thing-1': familyOf(['umber-1', 'night-1', 'lemon-1']) }))).to.equal(
      true,
    );
    expect(at((draft) => sayOfRegions(draft, [1], { use: 'leave white' }))).to.equal(true);
  });

  it('rearranged holds what is left in the sittings that were chosen, and can be worked by', async () => {
    const order = await ordered();
    fc.assert(
      fc.property(fc.nat(order.order.length - 1), (count) => {
        const done = new Set(order.order.slice(0, count));
        const again = NewBenchPlan.parse(benchPlanWithSittings('plan-two', order, order.sittings, done));
        expect(again.order).to.deep.equal(order.order.slice(count));
        expect(again.sittings.flatMap(({ steps }) => steps)).to.deep.equal(again.order);
        expect(validateSequence(again.steps, again.order, again.openThings, again.alike)).to.deep.equal([]);
      }),
    );
  });

  it('leaves out what was done by an older order meanwhile, and nothing that is done only in part', async () => {
    const order = await ordered();
    const [first, ...others] = order.steps;
    const by = ({ thingId, layerId, regionIds }: typeof first) => ({ thingId, layerId, regionIds });
    expect([...stepsFinished(order.steps, [by(first)])]).to.deep.equal([first.id]);
    const wider = { ...first, regionIds: [...first.regionIds, 9] };
    expect([...stepsFinished([wider, ...others], [by(first)])]).to.deep.equal([]);
    expect(stepsFinished(order.steps, order.steps.map(by)).size).to.equal(order.steps.length);
  });
});

describe('a pencil that takes another’s place', () => {
  const replaced = (of: Plan, gone: string, instead: string, thingId: string | null) =>
    edited(of, (draft) => replacePencil(draft, gone, instead, thingId)).plan;

  it('stands in every family and change by hand where the other did, or in one thing alone', () => {
    const edits = { layers: { base: { pencil: 'ochre-1' } } };
    const before = edited(plan, (draft) => decideThing(draft, 'thing-2', { edits })).plan;
    const everywhere = replaced(before, 'ochre-1', 'night-1', null);
    for (const family of Object.values(familiesOf(everywhere))) expect(pencilsOf(family)).to.not.include('ochre-1');
    expect(everywhere.things['thing-2'].edits!.layers!.base.pencil).to.equal('night-1');
    const once = replaced(before, 'ochre-1', 'night-1', 'thing-1');
    expect(pencilsOf(familiesOf(once)['thing-1'])).to.include('night-1');
    expect(once.things['thing-2']).to.equal(before.things['thing-2']);
  });

  it('can be put back by changing the two about again, where the other was not there before', () => {
    const there = replaced(plan, 'ochre-1', 'night-1', null);
    expect(replaced(there, 'night-1', 'ochre-1', null)).to.deep.equal(plan);
  });

  it('never stands in a family twice', () => {
    const { things } = replaced(plan, 'ochre-1', 'lemon-1', null);
    expect(things['thing-1'].family!.pencils).to.deep.equal(['umber-1', 'lemon-1']);
  });
});

/** As much of a bench as the log needs. */
const asBench = (bench: unknown) => bench as BenchState;

describe('the log of the table', () => {
  const entry = (stepId: string, kind: LogEntry['kind'], minutes = 3): LogEntry => ({
    id: `${stepId} ${kind}`,
    planId: 'plan-one',
    stepId,
    kind,
    usedPencil: null,
    cameOut: null,
    startedAt: '2026-11-26T19:00:00.000Z',
    finishedAt: new Date(Date.UTC(2026, 10, 26, 19, minutes)).toISOString(),
    pausedSeconds: 30,
  });

  it('counts the last word on each step, and the time that was worked', () => {
    const kinds = fc.constantFrom<LogEntry['kind']>('done', 'part done', 'skipped', 'not done after all');
    const log = fc.array(fc.tuple(fc.constantFrom('a/1', 'a/2', 'b/1'), kinds), { maxLength: 20 });
    fc.assert(
      fc.property(log, (entries) => {
        const steps = ['a/1', 'a/2', 'b/1'].map((id, k) => ({
          id,
          thingId: id[0],
          layerId: id[2],
          regionIds: [k + 1],
        }));
        const before = { thingId: 'c', layerId: '1', regionIds: [9] };
        const bare = { plan: { steps }, done: [], skipped: [], begun: {}, finished: [before], last: 0 };
        const table = entries.reduce((state, [id, kind]) => withEntry(state, entry(id, kind)), asBench(bare));
        const last = new Map(entries);
        for (const [id, kind] of last) {
          expect(table.done.some(({ stepId }) => stepId === id)).to.equal(kind === 'done');
          expect(table.skipped.includes(id)).to.equal(kind === 'skipped');
          if (kind === 'not done after all') expect(table.begun).to.not.have.property(id);
        }
        expect(new Set(table.done.map(({ stepId }) => stepId)).size).to.equal(table.done.length);
        // What is finished follows what is done, and what earlier orders finished stays.
        const finished = table.finished.map(({ thingId, layerId }) => `${thingId}/${layerId}`);
        expect(finished).to.have.members(['c/1', ...table.done.map(({ stepId }) => stepId)]);
      }),
    );
    expect(minutesWorked(entry('a/1', 'done'))).to.equal(2.5);
    expect(minutesWorked({ ...entry('a/1', 'done'), pausedSeconds: 9999 })).to.equal(0);
  });
});
