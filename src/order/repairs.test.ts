import { expect } from 'chai';
import fc from 'fast-check';
import {
  type BenchPlan,
  type Pencil,
  type Plan,
  NewBenchPlan,
  Plan as StoredPlan,
  emptyPlan,
  newThing,
} from '../contracts/index.ts';
import { type Repair, isRepair, sequence, validateSequence, whereOf } from '../core/bench/index.ts';
import { type Region } from '../core/lineart/index.ts';
import { familyOf } from '../core/recipe/index.ts';
import { addRepairs, edited, frontToBack, replacePencil } from '../plan/index.ts';
import { benchPlanFrom, isOutOfDate, openSteps, repairsFor, thingBeside } from './index.ts';
import { deriveRecipes } from '../plan/derive/index.ts';

const region = (id: number, x: number, areaMm2: number): Region => ({
  id,
  usableWidthMm: 9,
  areaMm2,
  axisDegrees: 0,
  lengthMm: 12,
  breadthMm: 10,
  holes: 0,
  shape: 'irregular',
  pole: { x, y: 20 },
  centroid: { x, y: 20 },
  box: { left: x - 5, top: 15, right: x + 5, bottom: 25 },
});
/** Two lanterns of two panes each, and a rope beside the second. */
const page = {
  regions: [region(1, 10, 200), region(2, 20, 90), region(3, 40, 150), region(4, 50, 40), region(5, 60, 300)],
  neighbours: [
    { a: 1, b: 2, lengthMm: 20 },
    { a: 2, b: 3, lengthMm: 6 },
    { a: 4, b: 5, lengthMm: 9 },
  ],
};
const pencils = new Map(
  Object.entries({ 'umber-1': '#5e3a26', 'ochre-1': '#c6913a', 'lemon-1': '#f2e28d', 'night-1': '#22315f' }).map(
    ([id, colour]) => [
      id,
      {
        id,
        code: id.toUpperCase(),
        colour,
        ownName: '',
        name: id,
        type: 'wax',
        opacity: null,
        hardness: 0.2,
      } as Pencil,
    ],
  ),
);
const family = familyOf(['umber-1', 'ochre-1', 'lemon-1']);
const plan: Plan = {
  ...emptyPlan({ widthMm: 80, heightMm: 40, paper: 'white-book' }),
  things: frontToBack([
    newThing({ id: 'lantern-1', name: 'First lantern', regionIds: [1, 2], family }),
    newThing({ id: 'lantern-2', name: 'Second lantern', regionIds: [3, 4], family }),
    newThing({ id: 'rope-1', name: 'Rope', regionIds: [5], family }),
  ]),
};
const recipes = deriveRecipes(plan, page, pencils);
const atHand = { pencils, valueOf: (id: string) => (id === 'lemon-1' ? 90 : 40) };
const withMade = (repairs: readonly Repair[]): Plan => edited(plan, (draft) => addRepairs(draft, repairs)).plan;
const stepsOf = (of: Plan, finished: Parameters<typeof openSteps>[4] = []) =>
  openSteps(of, page, recipes, atHand, finished).steps;
const base = stepsOf(plan).find(({ thingId }) => thingId === 'lantern-1')!;
const deed = (rest: Partial<Parameters<typeof repairsFor>[0]['does'][number]> = {}) =>
  ({ thingId: null, pencil: 'ochre-1', pressure: 'light', passes: 1, when: 'next', ...rest }) as const;
let made = 0;
const repair = (kind: 'over the line' | 'too dark', thingId: string, rest: Partial<ReturnType<typeof deed>> = {}) =>
  repairsFor({ does: [deed(rest)], says: 'Go over it.' }, { kind, thingId, step: base }, plan, page, () => `${made++}`);

describe('repairs of mistakes', () => {
  it('lie in a spot of the nearest region where something ran over the line, and all over what a layer was laid on', () => {
    const [spot] = repair('over the line', 'lantern-2');
    expect(spot).to.include({ thingId: 'lantern-2', areaMm2: 60, purpose: 'Over the line. Go over it.' });
    expect(spot.regionIds).to.deep.equal([3]);
    const [all] = repair('too dark', 'lantern-1');
    expect(all.regionIds).to.deep.equal(base.regionIds);
    expect(all.areaMm2).to.be.closeTo(base.coveredMm2!, 1e-9);
    const [other] = repair('too dark', 'lantern-2');
    expect(other.regionIds).to.deep.equal([3, 4]);
  });

  it('bring a colour back in the largest region of other things, once those are done', () => {
    const does = ['lantern-2', 'rope-1'].map((thingId) => deed({ thingId, when: 'last' }));
    const slip = { kind: 'dragged colour', thingId: 'lantern-1', step: base } as const;
    const all = repairsFor({ does, says: 'Leave it.' }, slip, plan, page, () => `${made++}`);
    expect(all.map(({ thingId, regionIds }) => [thingId, ...regionIds])).to.deep.equal([
      ['lantern-2', 3],
      ['rope-1', 5],
    ]);
  });

  it('are steps: what comes next before all that is left, what comes last after the rest of its thing', async () => {
    const repairs = [
      ...repair('too dark', 'lantern-1'),
      ...repair('over the line', 'rope-1', { tool: 'opaque-pen', when: 'last' }),
    ];
    const steps = stepsOf(withMade([...repairs, ...repair('over the line', 'lantern-2')]));
    const { order, alike, mostOpen } = await sequence(steps, { maxIterations: 3 });
    expect(validateSequence(steps, order, Math.max(4, mostOpen), alike)).to.deep.equal([]);
    expect(order[0]).to.equal(`lantern-1/${repairs[0].id}`);
    expect(order[1]).to.match(/^lantern-2\/repair-/);
    const rope = order.filter((id) => id.startsWith('rope-1/'));
    expect(rope.at(-1)).to.equal(`rope-1/${repairs[1].id}`);
    for (const step of steps.filter(isRepair)) {
      expect(step.minutes).to.be.within(0.05, 10);
      expect(whereOf(step)).to.match(/^a repair/);
    }
  });

  it('leave the order once they are done, and with the regions that they lie on', () => {
    const [one] = repair('too dark', 'lantern-1');
    const layer = { thingId: 'lantern-1', layerId: one.id, regionIds: [...one.regionIds] };
    expect(stepsOf(withMade([one])).filter(isRepair)).to.have.length(1);
    expect(stepsOf(withMade([one]), [layer]).filter(isRepair)).to.deep.equal([]);
    const white = {
      ...withMade([one]),
      regions: { 1: { use: 'leave white' as const }, 2: { use: 'leave white' as const } },
    };
    expect(stepsOf(white).filter(isRepair)).to.deep.equal([]);
  });

  it('ask for the rest to be put in order anew, and are stored with the plan', async () => {
    const found = await sequence(stepsOf(plan), { maxIterations: 2 });
    const before = NewBenchPlan.parse(
      benchPlanFrom('plan-one', { plan, revision: 3 }, openSteps(plan, page, recipes, atHand, []), found, pencils),
    );
    const order: BenchPlan = { ...before, madeAt: '2026-11-26T19:00:00.000Z' };
    const repaired = StoredPlan.parse(JSON.parse(JSON.stringify(withMade(repair('over the line', 'rope-1')))));
    const isStale = (of: Plan) =>
      isOutOfDate(order, { plan: of, revision: 4 }, page, recipes, [], (id) => pencils.has(id));
    expect(isStale(plan)).to.equal(false);
    expect(isStale(repaired)).to.equal(true);
  });

  it('take what comes in a lost pencil’s place', () => {
    const lost = withMade([...repair('over the line', 'rope-1'), ...repair('over the line', 'lantern-2')]);
    const { things } = edited(lost, (draft) => replacePencil(draft, 'ochre-1', 'night-1', 'rope-1')).plan;
    expect(things['rope-1'].repairs[0].pencil).to.equal('night-1');
    expect(things['lantern-2'].repairs[0].pencil).to.equal('ochre-1');
  });

  it('whatever was decided, every order stays one that can be worked by', () => {
    const kinds = fc.constantFrom('over the line' as const, 'too dark' as const);
    const things = fc.constantFrom('lantern-1', 'lantern-2', 'rope-1');
    const whens = fc.constantFrom('next' as const, 'last' as const);
    return fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(kinds, things, whens), { maxLength: 6 }),
        fc.integer({ min: 1, max: 3 }),
        async (all, openThings) => {
          const repairs = all.flatMap(([kind, thingId, when]) => repair(kind, thingId, { when }));
          const steps = stepsOf(withMade(repairs));
          const { order, alike, mostOpen } = await sequence(steps, { openThings, maxIterations: 1 });
          expect(validateSequence(steps, order, Math.max(openThings, mostOpen), alike)).to.deep.equal([]);
          const next = repairs.filter(({ when }) => when === 'next').map(({ thingId, id }) => `${thingId}/${id}`);
          const first = order.slice(0, next.length);
          // Before all that is left, thing by thing, on each as they were decided.
          expect(first).to.have.members(next);
          for (const on of ['lantern-1/', 'lantern-2/', 'rope-1/']) {
            const own = (ids: readonly string[]) => ids.filter((id) => id.startsWith(on));
            expect(own(first)).to.deep.equal(own(next));
          }
        },
      ),
      { numRuns: 40 },
    );
  });

  it('are thought to lie where the border with another thing is longest', () => {
    expect(thingBeside([1, 2], plan, page)).to.equal('lantern-2');
    expect(thingBeside([4], plan, page)).to.equal('rope-1');
    expect(thingBeside([1], plan, { ...page, neighbours: [] })).to.equal(null);
  });
});
