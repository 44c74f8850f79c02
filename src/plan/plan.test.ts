import { expect } from 'chai';
import fc from 'fast-check';
import { Plan, emptyPlan, newThing } from '../contracts/index.ts';
import { type Proposal } from '../core/things/index.ts';
import { familyOf } from '../core/recipe/index.ts';
import {
  type PlanEdit,
  PatchError,
  addGuesses,
  addLamp,
  addMends,
  addRepairs,
  addThing,
  conflictsOf,
  decide,
  decideThing,
  difference,
  edited,
  familiesOf,
  forgetAside,
  frontToBack,
  gatherRegions,
  glowsOf,
  keepGuesses,
  moveThing,
  overlap,
  patched,
  placeAside,
  removeGuesses,
  removeThings,
  replacePencil,
  resizeSheet,
  sayOfRegions,
  setGlow,
  thingsOf,
} from './index.ts';

const NAMES = ['roof', 'wall', 'bell', 'sky'];
const IDS = NAMES.map((name) => `thing-${name}`);
const begun: Plan = {
  ...emptyPlan({ widthMm: 100, heightMm: 150, paper: 'white-book' }),
  things: frontToBack(
    NAMES.map((name, i) =>
      newThing({
        id: `thing-${name}`,
        name,
        regionIds: [2 * i + 1, 2 * i + 2],
        family: familyOf(['pencil-1', 'pencil-2']),
      }),
    ),
  ),
};
const after = (plan: Plan, ...edits: PlanEdit[]) => edits.reduce((made, edit) => edited(made, edit).plan, plan);
const named = (plan: Plan) => thingsOf(plan).map(({ name }) => name);

const thingId = fc.constantFrom(...IDS);
const region = fc.integer({ min: 1, max: 12 });
/** An edit of any kind, of things and regions that may be gone. */
const anyEdit: fc.Arbitrary<PlanEdit> = fc.oneof(
  fc.tuple(thingId, fc.constantFrom('dome', 'flat', null)).map(([id, form]): PlanEdit => (plan) => {
    if (plan.things[id]) decideThing(plan, id, { form });
  }),
  fc.tuple(thingId, thingId).map(
    ([id, onto]): PlanEdit =>
      (plan) =>
        moveThing(plan, id, onto),
  ),
  thingId.map(
    (id): PlanEdit =>
      (plan) =>
        removeThings(plan, [id]),
  ),
  fc.tuple(fc.uniqueArray(region, { minLength: 1, maxLength: 4 }), fc.constantFrom(...NAMES, 'moon')).map(
    ([ids, name]): PlanEdit =>
      (plan) =>
        void gatherRegions(plan, ids, name, `thing-${name}`),
  ),
  fc.tuple(region, fc.constantFrom('leave white' as const, 'not to colour' as const, undefined)).map(
    ([id, use]): PlanEdit =>
      (plan) =>
        sayOfRegions(plan, [id], { use }),
  ),
  fc.nat(359).map(
    (anchor): PlanEdit =>
      (plan) =>
        void (plan.wheel.anchor = anchor),
  ),
  fc.record({ x: fc.nat(100), y: fc.nat(150) }).map(
    (at): PlanEdit =>
      (plan) =>
        addLamp(plan, at),
  ),
  thingId.map((id): PlanEdit => (plan) => {
    if (plan.things[id]) setGlow(plan, id, { reachMm: 12, strength: 0.5, pencil: null });
  }),
  fc.tuple(fc.integer({ min: 50, max: 300 }), fc.integer({ min: 50, max: 300 })).map(
    ([w, h]): PlanEdit =>
      (plan) =>
        resizeSheet(plan, w, h),
  ),
  fc.constant<PlanEdit>((plan) => replacePencil(plan, 'pencil-1', 'pencil-3', null)),
  fc.constant<PlanEdit>((plan) => addMends(plan, [{ kind: 'drop', at: { x: 4, y: 5 } }])),
);
const edits = fc.array(anyEdit, { minLength: 1, maxLength: 12 });

describe('changes to a plan', () => {
  it('are taken back by their inverse to precisely what stood before, and made again by their patches', () => {
    fc.assert(
      fc.property(edits, (all) => {
        const states = [begun];
        const log = all.map((edit) => {
          const { plan, ...change } = edited(states.at(-1)!, edit);
          states.push(plan);
          return JSON.parse(JSON.stringify(change)) as typeof change;
        });
        let plan = states.at(-1)!;
        for (let i = log.length - 1; i >= 0; i--) {
          plan = patched(plan, log[i].inverse);
          expect(plan).to.deep.equal(states[i]);
        }
        for (const [i, { patches }] of log.entries()) {
          plan = patched(plan, patches);
          expect(plan).to.deep.equal(states[i + 1]);
        }
      }),
    );
  });

  it('leave a plan that can be stored, whatever was done in whatever order', () => {
    fc.assert(
      fc.property(edits, (all) => {
        const plan = after(begun, ...all);
        expect(Plan.parse(JSON.parse(JSON.stringify(plan)))).to.deep.equal(plan);
      }),
    );
  });

  it('keep whatever they do not touch the same object', () => {
    const { plan } = edited(begun, (draft) => decideThing(draft, 'thing-bell', { form: 'dome' }));
    expect(plan.things['thing-roof']).to.equal(begun.things['thing-roof']);
    expect(plan.wheel).to.equal(begun.wheel);
    expect(thingsOf(plan)).to.equal(thingsOf(plan));
    expect(familiesOf({ things: begun.things })).to.equal(familyOfBegun());
  });

  it('of two devices that are in different places can be made in either order', () => {
    fc.assert(
      fc.property(anyEdit, anyEdit, (here, there) => {
        const [one, other] = [edited(begun, here), edited(begun, there)];
        fc.pre(!overlap(one.patches, other.patches));
        expect(conflictsOf(other.plan, one)).to.deep.equal([]);
        expect(patched(other.plan, one.patches)).to.deep.equal(patched(one.plan, other.patches));
      }),
    );
  });

  it('are in conflict where the same place was changed, and not where both say the same', () => {
    const form = (value: string) => edited(begun, (plan) => decideThing(plan, 'thing-bell', { form: value }));
    expect(conflictsOf(form('dome').plan, form('flat'))).to.deep.equal([
      { path: ['things', 'thing-bell', 'form'], value: 'flat' },
    ]);
    expect(conflictsOf(form('dome').plan, form('dome'))).to.deep.equal([]);
    const without = after(begun, (plan) => removeThings(plan, ['thing-bell']));
    expect(conflictsOf(without, form('flat'))).to.have.length(1);
  });

  it('set lists whole, and say nothing where nothing changed', () => {
    const { patches } = edited(begun, (plan) => plan.things['thing-bell'].regionIds.push(9));
    expect(patches).to.deep.equal([{ path: ['things', 'thing-bell', 'regionIds'], value: [5, 6, 9] }]);
    expect(difference(begun, JSON.parse(JSON.stringify(begun)) as Plan).patches).to.deep.equal([]);
  });

  it('that speak of what is not there, or of a prototype, are refused', () => {
    expect(() => patched(begun, [{ path: ['things', 'thing-gone', 'form'], value: 'dome' }])).to.throw(PatchError);
    expect(() => patched(begun, [{ path: ['constructor', 'name'], value: 'dome' }])).to.throw(PatchError);
    expect(() => patched(begun, [{ path: ['__proto__'], value: {} }])).to.throw(PatchError);
    expect(() => edited(begun, (plan) => decideThing(plan, 'thing-gone', { form: 'dome' }))).to.throw(PatchError);
  });
});

function familyOfBegun() {
  return familiesOf(begun);
}

describe('things of a plan', () => {
  it('are moved to the place of another, in front or behind, as often as one likes', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(3), fc.nat(3)), { maxLength: 150 }), (moves) => {
        let plan = begun;
        const order = [...NAMES];
        for (const [from, to] of moves) {
          const list = thingsOf(plan);
          plan = after(plan, (draft) => moveThing(draft, list[from].id, list[to].id));
          order.splice(to, 0, ...order.splice(from, 1));
          expect(named(plan)).to.deep.equal(order);
        }
      }),
      { numRuns: 30 },
    );
  });

  it('stay in order when one is put in the same gap a thousand times over', () => {
    let plan = begun;
    for (let k = 0; k < 1000; k++) {
      const [, second, third] = thingsOf(plan);
      plan = after(plan, (draft) => moveThing(draft, third.id, second.id));
      expect(thingsOf(plan)[1].id).to.equal(third.id);
    }
  });

  it('gather regions from others, which are gone once they have none', () => {
    const plan = after(begun, (draft) => void gatherRegions(draft, [1, 2, 3], 'Bell', 'thing-new'));
    expect(named(plan)).to.deep.equal(['wall', 'bell', 'sky']);
    expect(plan.things['thing-bell'].regionIds).to.deep.equal([5, 6, 1, 2, 3]);
    const fresh = after(begun, (draft) => void gatherRegions(draft, [9], 'Moon', 'thing-new'));
    expect(named(fresh)).to.deep.equal([...NAMES, 'Moon']);
  });

  it('go with everything that was decided for them, and leave their parts to stand for themselves', () => {
    const plan = after(
      begun,
      (draft) => decideThing(draft, 'thing-wall', { within: 'thing-roof' }),
      (draft) => setGlow(draft, 'thing-roof', { reachMm: 10, strength: 1, pencil: null }),
      (draft) => addLamp(draft, { x: 5, y: 5 }),
      (draft) => removeThings(draft, ['thing-roof', 'thing-gone']),
    );
    expect(named(plan)).to.deep.equal(['wall', 'bell', 'sky']);
    expect(plan.things['thing-wall'].within).to.equal(null);
    expect(glowsOf(plan).map(({ thingId: of }) => of)).to.deep.equal([null]);
  });

  it('that are guessed stand among the others by what lies in front, with what was said of them', () => {
    const guess = (name: string, ...regionIds: number[]) => ({ name, regionIds, areaMm2: 10 });
    // In front first: the second guess, the roof, the first guess, the rest.
    const proposal: Proposal = {
      guesses: [guess('Bars', 11), guess('Ring', 12)],
      frontToBack: [5, 0, 4, 1, 2, 3],
      questions: [],
    };
    let made = 0;
    const guessed = after(begun, (draft) =>
      addGuesses(
        draft,
        proposal,
        () => `guess-${++made}`,
        ({ regionIds }) => (regionIds[0] === 12 ? 'gold' : null),
      ),
    );
    expect(thingsOf(guessed).map((thing) => [thing.name, thing.guessed, thing.material])).to.deep.equal([
      ['Ring', true, 'gold'],
      ['roof', false, null],
      ['Bars', true, null],
      ['wall', false, null],
      ['bell', false, null],
      ['sky', false, null],
    ]);
    expect(named(after(guessed, removeGuesses))).to.deep.equal(NAMES);
    expect(thingsOf(after(guessed, keepGuesses)).some((thing) => thing.guessed)).to.equal(false);
  });

  it('are put behind all others when they are added', () => {
    const plan = after(begun, (draft) => addThing(draft, newThing({ id: 'thing-moon', name: 'moon', regionIds: [9] })));
    expect(named(plan).at(-1)).to.equal('moon');
  });
});

describe('what glows', () => {
  it('is listed from front to behind, then points as they were lit, and is changed and put out by its id', () => {
    const light = { reachMm: 10, strength: 1, pencil: null };
    const plan = after(
      begun,
      (draft) => addLamp(draft, { x: 1, y: 2 }),
      (draft) => addLamp(draft, { x: 3, y: 4 }),
      (draft) => setGlow(draft, 'thing-bell', light),
      (draft) => setGlow(draft, 'thing-roof', light),
    );
    expect(glowsOf(plan).map(({ id }) => id)).to.deep.equal(['thing-roof', 'thing-bell', 'lamp-0001', 'lamp-0002']);
    const moved = after(plan, (draft) => setGlow(draft, 'lamp-0001', { ...light, reachMm: 33, at: { x: 9, y: 9 } }));
    expect(moved.lamps['lamp-0001']).to.deep.equal({ id: 'lamp-0001', at: { x: 9, y: 9 }, ...light, reachMm: 33 });
    const out = after(
      moved,
      (draft) => setGlow(draft, 'lamp-0001', null),
      (draft) => setGlow(draft, 'thing-bell', null),
    );
    expect(glowsOf(out).map(({ id }) => id)).to.deep.equal(['thing-roof', 'lamp-0002']);
  });
});

describe('another real size', () => {
  const plan = after(
    begun,
    (draft) =>
      addMends(draft, [
        {
          kind: 'cut',
          points: [
            { x: 10, y: 15 },
            { x: 20, y: 30 },
          ],
        },
        { kind: 'join', a: { x: 50, y: 75 }, b: { x: 60, y: 75 } },
        { kind: 'drop', at: { x: 100, y: 150 } },
      ]),
    (draft) => addLamp(draft, { x: 50, y: 75 }),
    (draft) => decide(draft, { horizon: { waterLineMm: 30, rippled: false, vanishing: { x: 10, y: 20 } } }),
  );

  it('leaves mends, lamps and the horizon at the places on the page where they were set', () => {
    const { page, finding, lamps, horizon } = after(plan, (draft) => resizeSheet(draft, 200, 300));
    expect(page).to.include({ widthMm: 200, heightMm: 300, paper: 'white-book' });
    expect(finding.mends).to.deep.equal([
      {
        kind: 'cut',
        points: [
          { x: 20, y: 30 },
          { x: 40, y: 60 },
        ],
      },
      { kind: 'join', a: { x: 100, y: 150 }, b: { x: 120, y: 150 } },
      { kind: 'drop', at: { x: 200, y: 300 } },
    ]);
    expect(lamps['lamp-0001'].at).to.deep.equal({ x: 100, y: 150 });
    expect(horizon).to.deep.equal({ waterLineMm: 60, rippled: false, vanishing: { x: 20, y: 40 } });
  });

  it('changes nothing else where nothing was set', () => {
    const { patches } = edited(begun, (draft) => resizeSheet(draft, 200, 300));
    expect(patches.map(({ path }) => path.join(' '))).to.deep.equal(['page widthMm', 'page heightMm']);
  });
});

describe('shapes kept aside', () => {
  const about = { use: 'leave white' as const };
  const shape = { at: { x: 5, y: 5 }, areaMm2: 9, thingId: 'thing-moon', about, repairs: ['repair-a'] };
  const moon = newThing({ id: 'thing-moon', name: 'moon', regionIds: [] });
  const repair = { id: 'repair-a', pencil: 'pencil-1', pressure: 'light', passes: 1, areaMm2: 4 } as const;
  const lost: Plan = {
    ...begun,
    aside: {
      shapes: [shape, { ...shape, at: { x: 8, y: 8 }, about: null, repairs: [] }],
      things: {
        'thing-moon': {
          ...moon,
          repairs: [{ ...repair, regionIds: [], when: 'next', purpose: 'Go over it.' }],
        },
      },
    },
  };

  it('bring their thing back with all that was decided, to the region that they are given', () => {
    const plan = after(lost, (draft) => placeAside(draft, 0, 1));
    expect(plan.things['thing-moon'].regionIds).to.deep.equal([1]);
    expect(plan.things['thing-moon'].repairs[0].regionIds).to.deep.equal([1]);
    expect(plan.things['thing-roof'].regionIds).to.deep.equal([2]);
    expect(plan.regions).to.deep.equal({ 1: about });
    expect(plan.aside.shapes).to.have.length(1);
    expect(plan.aside.things).to.deep.equal({});
  });

  it('are let go for good, with a thing that has no other left', () => {
    expect(after(lost, (draft) => forgetAside(draft, [0])).aside.things).to.have.property('thing-moon');
    const plan = after(lost, (draft) => forgetAside(draft, [0, 1]));
    expect(plan.aside).to.deep.equal({ shapes: [], things: {} });
  });

  it('take part when a thing is taken out, and when the page gets another size', () => {
    expect(after(lost, (draft) => removeThings(draft, ['thing-moon'])).aside.shapes).to.deep.equal([
      { ...shape, thingId: null, repairs: [] },
    ]);
    const wide = after(lost, (draft) => resizeSheet(draft, 200, 300));
    expect(wide.aside.shapes[0]).to.deep.include({ at: { x: 10, y: 10 }, areaMm2: 36 });
  });
});

describe('repairs', () => {
  it('lie on their thing, in the order in which they were decided', () => {
    const repair = (id: string) =>
      ({
        id,
        thingId: 'thing-bell',
        regionIds: [5],
        pencil: 'pencil-1',
        pressure: 'light',
        passes: 1,
        areaMm2: 3,
        when: 'next',
        purpose: 'Go over it.',
      }) as const;
    const plan = after(begun, (draft) => addRepairs(draft, [repair('repair-a'), repair('repair-b')]));
    expect(plan.things['thing-bell'].repairs.map(({ id }) => id)).to.deep.equal(['repair-a', 'repair-b']);
    expect(Plan.safeParse(plan).success).to.equal(true);
  });
});
