import { expect } from 'chai';
import fc from 'fast-check';
import { CancelledError, quietRun } from '../run/index.ts';
import { compileRecipe, familyOf } from '../recipe/index.ts';
import { cutSittings } from './cut-sittings.ts';
import { step } from './test/made-up.ts';
import {
  type Step,
  makeSteps,
  minutesFor,
  priceOfOpen,
  sequence,
  sequenceAsWished,
  validateSequence,
} from './index.ts';

/** A page of things, each a chain of layers with pencils from a small set. */
const page = fc
  .array(fc.array(fc.integer({ min: 0, max: 4 }), { minLength: 1, maxLength: 5 }), { minLength: 1, maxLength: 7 })
  .map((things) =>
    things.flatMap((pencils, t) =>
      pencils.map((pencil, l) =>
        step(`thing${t}`, `layer${l}`, `p${pencil}`, l > 0 ? [`thing${t}/layer${l - 1}`] : [], {
          minutes: 1 + ((t * 7 + l * 3) % 9),
        }),
      ),
    ),
  );

/** Such pages on which steps also need steps of things before theirs. */
const waiting = fc.tuple(page, fc.array(fc.nat(), { maxLength: 4 })).map(([steps, picks]) =>
  steps.map((each, i) => {
    const before = picks.flatMap((pick, k) => (pick % 7 === k && i > 0 ? [steps[(pick * 31) % i]] : []));
    const others = before.filter(({ thingId }) => thingId !== each.thingId);
    return { ...each, after: [...each.after, ...others.map(({ id }) => id)] };
  }),
);

/** The fewest pick-ups of all orders, by looking at every state of the page. */
function fewestPickUps(steps: readonly Step[]): number {
  const things = [...new Set(steps.map(({ thingId }) => thingId))];
  const chains = things.map((thing) => steps.filter(({ thingId }) => thingId === thing).map(({ pencil }) => pencil));
  let states = new Map([['' + chains.map(() => 0), chains.map(() => 0)]]);
  for (let runs = 0; ; runs++) {
    if ([...states.values()].some((done) => done.every((n, t) => n === chains[t].length))) return runs;
    const next = new Map<string, number[]>();
    for (const done of states.values()) {
      for (const pencil of new Set(done.flatMap((n, t) => chains[t][n] ?? []))) {
        const after = done.map((n, t) => {
          let k = n;
          while (chains[t][k] === pencil) k++;
          return k;
        });
        next.set('' + after, after);
      }
    }
    states = next;
  }
}

const region = (id: number, usableWidthMm: number, areaMm2: number) => ({
  id,
  usableWidthMm,
  areaMm2,
  pole: { x: 0, y: 0 },
  centroid: { x: 0, y: 0 },
  axisDegrees: 0,
  breadthMm: 2,
  holes: 0,
  shape: 'irregular' as const,
  lengthMm: 1,
  box: { left: 0, top: 0, right: 1, bottom: 1 },
});

describe('steps', () => {
  const recipe = compileRecipe('blend', 'base-coat-first', familyOf(['d', 'm', 'l']), {
    regions: [region(1, 1, 4), region(2, 8, 60)],
  });

  it('are one for each layer that some region has room for, each after the one before it', () => {
    const steps = makeSteps([{ id: 'bell', regions: [region(1, 1, 4), region(2, 8, 60)], recipe }], {
      valueOf: () => 50,
    });
    expect(steps).to.have.length(recipe.layers.length);
    expect(steps[0].regionIds).to.deep.equal([1, 2]);
    expect(steps[1].regionIds).to.deep.equal([2]);
    expect(steps[2].after).to.deep.equal([steps[1].id]);
  });

  it('leave out layers that no region has room for', () => {
    const steps = makeSteps([{ id: 'rope', regions: [region(1, 0.8, 3)], recipe }], { valueOf: () => 50 });
    expect(steps.map((each) => each.layerId)).to.deep.equal(['base', 'middle']);
    expect(steps[1].after).to.deep.equal([steps[0].id]);
  });

  it('take longer for more area, more passes, a sharper point and more regions', () => {
    const base = { passes: 1, point: 'normal' as const, regions: 1 };
    expect(minutesFor(200, base)).to.be.above(minutesFor(100, base));
    expect(minutesFor(100, { ...base, passes: 2 })).to.be.above(minutesFor(100, base));
    expect(minutesFor(100, { ...base, point: 'sharp' })).to.be.above(minutesFor(100, base));
    expect(minutesFor(100, { ...base, regions: 9 })).to.be.above(minutesFor(100, base));
  });
});

describe('the order of steps', () => {
  it('is valid for every page and every number of open things', async () => {
    await fc.assert(
      fc.asyncProperty(page, fc.integer({ min: 1, max: 6 }), async (steps, openThings) => {
        const { order, alike } = await sequence(steps, { openThings, maxIterations: 8 });
        expect(validateSequence(steps, order, openThings, alike)).to.deep.equal([]);
      }),
    );
  });

  it('counts its own pick-ups truly, never fewer than the bound says are needed', async () => {
    await fc.assert(
      fc.asyncProperty(page, async (steps) => {
        const { order, pickUps, lowerBound } = await sequence(steps, { maxIterations: 8 });
        const pencilOf = new Map(steps.map((each) => [each.id, each.pencil]));
        const counted = order.filter((id, i) => i === 0 || pencilOf.get(order[i - 1]) !== pencilOf.get(id)).length;
        expect(pickUps).to.equal(counted);
        expect(lowerBound).to.be.at.most(pickUps);
      }),
    );
  });

  it('has a bound that is the fewest pick-ups of all orders, where the page has few pencils', async () => {
    await fc.assert(
      fc.asyncProperty(page, async (steps) => {
        const { lowerBound } = await sequence(steps, { maxIterations: 0 });
        expect(lowerBound).to.equal(fewestPickUps(steps));
      }),
    );
  });

  it('is never worse with more tries', async () => {
    await fc.assert(
      fc.asyncProperty(page, async (steps) => {
        const [few, many] = [await sequence(steps, { maxIterations: 3 }), await sequence(steps, { maxIterations: 40 })];
        expect(many.pickUps).to.be.at.most(few.pickUps);
      }),
      { numRuns: 30 },
    );
  });

  it('is never worse with more things open', async () => {
    await fc.assert(
      fc.asyncProperty(page, fc.integer({ min: 1, max: 8 }), fc.integer({ min: 1, max: 8 }), async (steps, a, b) => {
        const [few, many] = [Math.min(a, b), Math.max(a, b)];
        const orders = [few, many].map((openThings) => sequence(steps, { openThings, maxIterations: 4 }));
        const [first, second] = await Promise.all(orders);
        expect(second.pickUps).to.be.at.most(first.pickUps);
      }),
      { numRuns: 1000 },
    );
  });

  it('is the best there is on small pages, and the bound mostly says so', async () => {
    let [best, tight] = [0, 0];
    const pages = fc.sample(page, { seed: 11, numRuns: 120 });
    for (const steps of pages) {
      const { pickUps, lowerBound } = await sequence(steps, { openThings: 50 });
      const fewest = fewestPickUps(steps);
      expect(lowerBound).to.be.at.most(fewest);
      if (pickUps === fewest) best++;
      if (lowerBound === fewest) tight++;
    }
    expect(best / pages.length).to.be.at.least(0.95);
    expect(tight / pages.length).to.be.at.least(0.95);
  });

  it('keeps to what steps need of other things, and opens more than wished only where all that are open wait', async () => {
    await fc.assert(
      fc.asyncProperty(waiting, fc.integer({ min: 1, max: 8 }), async (steps, openThings) => {
        const { order, alike, beyondLimit } = await sequence(steps, { openThings, maxIterations: 4 });
        const faults = validateSequence(steps, order, openThings, alike);
        expect(faults.filter((fault) => !fault.includes('things are open'))).to.deep.equal([]);
        if (beyondLimit === 0) expect(faults).to.deep.equal([]);
      }),
      { numRuns: 1000 },
    );
    const [a, b] = [step('a', '2', 'q', ['a/1', 'b/1']), step('b', '2', 'q', ['b/1'])];
    const { beyondLimit, order } = await sequence([step('a', '1', 'p'), a, step('b', '1', 'p', ['a/1']), b], {
      openThings: 1,
    });
    expect(beyondLimit).to.equal(1);
    expect(order).to.have.length(4);
  });

  it('is taken as it stands when its time is up, and comes at once', async () => {
    let clock = 0;
    const run = { cancelled: () => false, progress: () => undefined, now: () => (clock += 1) };
    const steps = fc.sample(page, { seed: 5, numRuns: 40 }).reduce((a, b) => (b.length > a.length ? b : a));
    const { order, alike } = await sequence(steps, { openThings: 2, deadlineMs: 0 }, run);
    expect(validateSequence(steps, order, 2, alike)).to.deep.equal([]);
  });

  it('ends as soon as it is cancelled, wherever it is', async () => {
    const steps = fc.sample(page, { seed: 5, numRuns: 40 }).reduce((a, b) => (b.length > a.length ? b : a));
    for (const after of [0, 1, 3, 20]) {
      let asked = 0;
      // A clock on which every look is a turn in which a cancel is heard.
      const run = { cancelled: () => asked++ >= after, progress: () => undefined, now: () => 20 * asked };
      const fault = await sequence(steps, { openThings: 2 }, run).catch((error: Error) => error);
      expect(fault).to.be.instanceOf(CancelledError);
      expect(asked).to.equal(after + 1);
    }
  });

  it('picks one pencil up once when three things want the same two', async () => {
    const steps = ['a', 'b', 'c'].flatMap((thing) => [
      step(thing, 'base', 'light'),
      step(thing, 'shadow', 'dark', [`${thing}/base`]),
    ]);
    for (const openThings of [1, 4]) {
      const { pickUps, mostOpen, alike } = await sequence(steps, { openThings });
      expect([pickUps, mostOpen]).to.deep.equal([2, 1]);
      expect(alike).to.deep.equal([['a', 'b', 'c']]);
    }
  });

  it('is as good where one thing has hundreds of steps: a sky that is laid place by place', async () => {
    const sky = Array.from({ length: 600 }, (_, i) => step('sky', `l${i}`, 'blue', i > 0 ? [`sky/l${i - 1}`] : []));
    const sea = [step('sea', 'under', 'green'), step('sea', 'over', 'blue', ['sea/under'])];
    const { order, alike, pickUps, lowerBound } = await sequence([...sky, ...sea], { maxIterations: 2 });
    expect(validateSequence([...sky, ...sea], order, 4, alike)).to.deep.equal([]);
    expect([pickUps, lowerBound]).to.deep.equal([2, 2]);
  });

  it('is the same again with the same seed', async () => {
    const steps = fc.sample(page, { seed: 3, numRuns: 1 })[0];
    expect(await sequence(steps, { seed: 9 })).to.deep.equal(await sequence(steps, { seed: 9 }));
  });

  it('falls into sittings that hold every step once, and tells what each takes with the waiting in it', async () => {
    await fc.assert(
      fc.asyncProperty(page, async (steps) => {
        const { order, sittings } = await sequence(steps, { sittingMinutes: 10, maxIterations: 4 });
        expect(sittings.flatMap((sitting) => sitting.steps)).to.deep.equal(order);
        const laid = steps.reduce((sum, { minutes }) => sum + minutes, 0);
        expect(sittings.reduce((sum, { minutes }) => sum + minutes, 0)).to.be.at.least(laid);
      }),
    );
  });

  it('waits for what dries within a sitting, not over a break, and cuts gladly where the pencil changes', () => {
    const wash = step('sky', 'wash', 'blue', [], { minutes: 4, dryMinutes: 20 });
    const over = step('sky', 'over', 'blue', ['sky/wash'], { minutes: 4 });
    // Two minutes to lay out, a pick-up, four of washing, twenty of drying, four more.
    expect(cutSittings([wash, over], 60)[0].minutes).to.be.closeTo(30.2, 0.01);
    expect(cutSittings([wash, over], 5).map(({ minutes }) => Math.round(minutes))).to.deep.equal([6, 6]);
    const long = [1, 2, 3, 4].map((k) => step('hull', `l${k}`, k < 3 ? 'red' : 'brown', [], { minutes: 5 }));
    expect(cutSittings(long, 13).map(({ steps }) => steps.length)).to.deep.equal([2, 2]);
    // What would take a whole evening with one pencil is parted all the same.
    const panes = Array.from({ length: 12 }, (_, k) => step(`pane${k}`, 'l', 'grey', [], { minutes: 8 }));
    for (const { minutes } of cutSittings(panes, 32)) expect(minutes).to.be.within(24, 40);
  });

  it('rest the hand for two minutes in every 25 of work, and count waiting as rest', () => {
    const long = [1, 2, 3].map((k) => step('sky', `l${k}`, 'blue', [], { minutes: 20 }));
    expect(cutSittings(long, 90)[0].minutes).to.be.closeTo(2 + 0.2 + 60 + 2 * 2, 0.01);
    const wash = step('sea', 'wash', 'blue', [], { minutes: 20, dryMinutes: 15 });
    const over = step('sea', 'over', 'blue', ['sea/wash'], { minutes: 20 });
    expect(cutSittings([wash, over], 90)[0].minutes).to.be.closeTo(2 + 0.2 + 20 + 15 + 20, 0.01);
  });

  it('keep to the wish within a fifth, but the last, where no step is long', () => {
    const short = fc.array(fc.tuple(fc.nat(5), fc.double({ min: 0.2, max: 8, noNaN: true })), { maxLength: 60 });
    fc.assert(
      fc.property(short, (each) => {
        const steps = each.map(([pencil, minutes], k) => step(`thing${k}`, '1', `p${pencil}`, [], { minutes }));
        for (const { minutes } of cutSittings(steps, 40).slice(0, -1)) expect(minutes).to.be.within(32, 48);
      }),
    );
  });

  it('lay other work while a wash dries', async () => {
    const wet = ['sky', 'sea'].flatMap((thing) => [
      step(thing, 'wash', 'blue', [], { minutes: 4, dryMinutes: 20 }),
      step(thing, 'over', 'blue', [`${thing}/wash`], { minutes: 4 }),
    ]);
    const hull = step('hull', '1', 'red', [], { minutes: 30 });
    expect((await sequence([...wet, hull], { sittingMinutes: 60 })).waitMinutes).to.equal(0);
    // With nothing else to do, one wash dries while the other is laid.
    const { waitMinutes, sittings } = await sequence(wet, { sittingMinutes: 60 });
    expect(waitMinutes).to.be.closeTo(16, 0.01);
    expect(sittings[0].minutes).to.be.at.least(16 + 16);
  });

  it('falls into sittings near the wished length: no other cuts come nearer with as little left half done', () => {
    const minutesOf = (steps: readonly Step[]) => {
      const laid = steps.reduce((sum, { minutes }) => sum + minutes, 0);
      const pickUps = steps.filter(({ pencil }, i) => steps[i - 1]?.pencil !== pencil).length;
      return 2 + laid + 0.2 * pickUps + 2 * Math.floor(laid / 25);
    };
    const halfDone = (steps: readonly Step[], after: number) =>
      new Set(
        steps
          .slice(0, after)
          .flatMap(({ thingId }) => (steps.slice(after).some((s) => s.thingId === thingId) ? [thingId] : [])),
      ).size;
    fc.assert(
      fc.property(page, (whole) => {
        const steps = whole.slice(0, 9);
        const cuts = steps.flatMap((_, i) => (i > 0 ? [i] : []));
        const goesOn = (at: number) => steps[at - 1].pencil === steps[at].pencil;
        const costOf = (at: readonly number[]) => {
          const ends = [...at, steps.length];
          return ends.reduce((sum, end, k) => {
            const own = steps.slice(k > 0 ? ends[k - 1] : 0, end);
            const off = minutesOf(own) - 10;
            // Nobody sits on for twice the wish: only a long step leads beyond.
            if (minutesOf(own.slice(0, -1)) > 20) return Infinity;
            const last = k === ends.length - 1;
            return (
              sum +
              (last && off < 0 ? 0 : off ** 2 / 10 + (Math.abs(off) > 2 ? 50 : 0)) +
              (last ? 0 : 0.7 * halfDone(steps, end) + (goesOn(end) ? 2.5 : 0))
            );
          }, 0);
        };
        const sittings = cutSittings(steps, 10);
        let end = 0;
        const own = costOf(sittings.slice(0, -1).map((sitting) => (end += sitting.steps.length)));
        for (let set = 0; set < 2 ** cuts.length; set++) {
          expect(own).to.be.at.most(costOf(cuts.filter((_, k) => set & (1 << k))) + 1e-6);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('is empty for an empty page, and refuses steps that wait for each other', async () => {
    expect(await sequence([])).to.include({ pickUps: 0, minutes: 0, lowerBound: 0 });
    const fault = (promise: Promise<unknown>) =>
      promise.then(
        () => null,
        (error: Error) => error,
      );
    const circle = [step('a', 'x', 'p', ['b/y']), step('b', 'y', 'p', ['a/x'])];
    expect((await fault(sequence(circle)))!.message).to.contain('wait for each other');
    expect((await fault(sequence([], { openThings: 0 })))!.message).to.contain('At least one thing');
    expect(
      await fault(sequence(circle.slice(0, 0).concat(step('a', 'x', 'p')), {}, { ...quietRun, cancelled: () => true })),
    ).to.be.instanceOf(CancelledError);
  });
});

describe('the price of few open things', () => {
  it('falls as more may be open, and tells the minutes that pick-ups take', async () => {
    await fc.assert(
      fc.asyncProperty(page, async (steps) => {
        const prices = await priceOfOpen(steps, [1, 2, 4, 50], { maxIterations: 2 });
        expect(prices.map(({ openThings }) => openThings)).to.deep.equal([1, 2, 4, 50]);
        const pickUps = prices.map((price) => price.pickUps);
        expect(pickUps).to.deep.equal([...pickUps].sort((a, b) => b - a));
        for (const { pickUps: count, overheadMinutes, minutes } of prices) {
          expect(overheadMinutes).to.be.closeTo(count / 5, 1e-9);
          expect(minutes - overheadMinutes).to.be.closeTo(
            steps.reduce((sum, each) => sum + each.minutes, 0),
            1e-9,
          );
        }
      }),
    );
  });

  it('is told as it goes, from none of it to all', async () => {
    const shares: number[] = [];
    const run = { cancelled: () => false, now: () => 0, progress: (share: number) => void shares.push(share) };
    await priceOfOpen(fc.sample(page, { seed: 4, numRuns: 1 })[0], [1, 2, 50], { maxIterations: 3 }, run);
    expect(shares).to.deep.equal([...shares].sort((a, b) => a - b));
    expect(shares.at(-1)).to.be.at.most(1);
  });
});

describe('the validator', () => {
  const steps = [step('a', '1', 'p'), step('a', '2', 'q', ['a/1']), step('b', '1', 'p')];
  for (const [what, order, openThings, fault] of [
    ['a step that comes too early', ['a/2', 'a/1', 'b/1'], 9, 'before a/1'],
    ['a missing step', ['a/1', 'a/2'], 9, 'b/1 is missing'],
    ['a step that stands twice', ['a/1', 'a/1', 'a/2', 'b/1'], 9, 'twice'],
    ['a step of another page', ['a/1', 'a/2', 'b/1', 'c/1'], 9, 'not on this page'],
  ] as const) {
    it(`finds ${what}`, () => expect(validateSequence(steps, order, openThings).join(' ')).to.contain(fault));
  }

  it('finds too many open things', () => {
    const two = [...steps, step('b', '2', 'q', ['b/1'])];
    expect(validateSequence(two, ['a/1', 'b/1', 'a/2', 'b/2'], 1).join(' ')).to.contain('2 things are open');
  });
});

describe('how many things are open, where the page chooses', () => {
  it('is as few as save nearly all that can be saved, and what was tried is told', async () => {
    await fc.assert(
      fc.asyncProperty(page, async (steps) => {
        const { openThings, openTried, order, alike, pickUps } = await sequenceAsWished(steps, 'by the page', {
          maxIterations: 10,
        });
        const tried = openTried.map((each) => each.pickUps);
        expect(tried).to.deep.equal([...tried].sort((a, b) => b - a));
        const at = openTried.findIndex(({ isChosen }) => isChosen);
        expect(openTried[at].openThings).to.equal(openThings);
        expect(openTried.filter(({ isChosen }) => isChosen)).to.have.length(1);
        // No larger number saves a fortieth for each further open thing, and it saved that itself.
        const limits = openTried.map((each) => each.openThings);
        const prices = await priceOfOpen(steps, limits, { maxIterations: 4 });
        const saves = (from: number, to: number) => {
          const further = prices[to].mostOpen - prices[from].mostOpen;
          return tried[from] > tried[to] && tried[from] - tried[to] >= 0.025 * tried[from] * further;
        };
        for (let more = at + 1; more < tried.length; more++) expect(saves(at, more)).to.equal(false);
        if (at > 0) expect(tried.slice(0, at).some((_, fewer) => saves(fewer, at))).to.equal(true);
        expect(pickUps).to.be.at.most(tried[at]);
        expect(validateSequence(steps, order, openThings, alike)).to.deep.equal([]);
      }),
      { numRuns: 40 },
    );
  });

  it('is what is wished where a number is, and any is a value of its own', async () => {
    const steps = fc.sample(page, { seed: 6, numRuns: 1 })[0];
    expect(await sequenceAsWished(steps, 3, { maxIterations: 2 })).to.deep.include({ openThings: 3, openTried: [] });
    expect((await sequenceAsWished(steps, 'any', { maxIterations: 2 })).openThings).to.equal(Infinity);
  });
});

describe('an order that is begun from another', () => {
  it('never comes out worse, and an order that leaves steps out is passed over', async () => {
    await fc.assert(
      fc.asyncProperty(page, async (steps) => {
        const first = await sequence(steps, { openThings: 2, maxIterations: 6 });
        const again = await sequence(steps, { openThings: 4, maxIterations: 0, from: first.order });
        expect(again.pickUps).to.be.at.most(first.pickUps);
        const part = await sequence(steps, { openThings: 4, maxIterations: 1, from: first.order.slice(1) });
        expect(part.order).to.have.members(steps.map(({ id }) => id));
      }),
      { numRuns: 60 },
    );
  });
});
