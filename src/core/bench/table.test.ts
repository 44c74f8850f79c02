import { expect } from 'chai';
import fc from 'fast-check';
import { compileRecipe, familyOf } from '../recipe/index.ts';
import {
  type Step,
  LONGEST_STEP_MINUTES,
  layOutFor,
  makeSteps,
  movedTo,
  withWhatGoesAlong,
  handWords,
  remindersOf,
  sequence,
  validateSequence,
} from './index.ts';
import { stepsAhead } from './steps-ahead.ts';
import { partsByPlace } from './parts-by-place.ts';
import { placedPage, region, step } from './test/made-up.ts';

describe('steps of sensible length', () => {
  const spots = fc.array(
    fc.record({
      x: fc.integer({ min: 0, max: 200 }),
      y: fc.integer({ min: 0, max: 280 }),
      mm2: fc.integer({ min: 1, max: 900 }),
    }),
    { minLength: 1, maxLength: 60 },
  );
  const minutesOf = (own: readonly { areaMm2: number }[]) => own.reduce((sum, { areaMm2 }) => sum + areaMm2 / 200, 0);

  it('hold every region once, and take longer than ten minutes only where one region does', () => {
    fc.assert(
      fc.property(spots, (all) => {
        const regions = all.map(({ x, y, mm2 }, i) => region(i + 1, 5, mm2, { x, y }));
        const parts = partsByPlace(regions, minutesOf, 10);
        expect(
          parts
            .flat()
            .map(({ id }) => id)
            .sort((a, b) => a - b),
        ).to.deep.equal(regions.map(({ id }) => id));
        for (const part of parts) if (part.length > 1) expect(minutesOf(part)).to.be.at.most(10);
      }),
    );
  });

  it('are the same whatever order the regions come in, so that a layer that is half done goes on as it was', () => {
    fc.assert(
      fc.property(spots, (all) => {
        const regions = all.map(({ x, y, mm2 }, i) => region(i + 1, 5, mm2, { x, y }));
        const idsOf = (of: readonly { id: number }[]) =>
          partsByPlace(
            regions.filter(({ id }) => of.some((each) => each.id === id)),
            minutesOf,
            10,
          ).map((part) => part.map(({ id }) => id).sort((a, b) => a - b));
        expect(idsOf([...regions].reverse())).to.deep.equal(idsOf(regions));
      }),
      { numRuns: 50 },
    );
  });

  it('take one region alone however long it takes: a stop in it would show', () => {
    expect(partsByPlace([region(1, 90, 50_000)], minutesOf, 10)).to.have.length(1);
    expect(partsByPlace([], minutesOf, 10)).to.deep.equal([[]]);
  });

  it('keep together what lies together', () => {
    const left = [1, 2, 3].map((id) => region(id, 5, 600, { x: 5 * id, y: 100 }));
    const right = [4, 5, 6].map((id) => region(id, 5, 600, { x: 150 + 5 * id, y: 100 }));
    const parts = partsByPlace([left[0], right[0], left[1], right[1], left[2], right[2]], minutesOf, 10);
    expect(parts.map((part) => part.map(({ id }) => id))).to.deep.equal([
      [1, 2, 3],
      [4, 5, 6],
    ]);
  });

  it('make several steps of one layer, each after the one before, and go on where some regions are done', () => {
    const recipe = compileRecipe('blend', 'base-coat-first', familyOf(['d', 'm', 'l']), {
      regions: [region(1, 8, 900)],
    });
    const regions = Array.from({ length: 12 }, (_, i) => region(i + 1, 8, 900, { x: 15 * i, y: 10 }));
    const steps = makeSteps([{ id: 'sky', regions, recipe }], { valueOf: () => 50 });
    const base = steps.filter(({ layerId }) => layerId === 'base');
    expect(base.length).to.be.above(1);
    expect(base.map(({ id }) => id)).to.deep.equal(base.map((_, k) => `sky/base~${k + 1}`));
    for (const each of steps) expect(each.minutes).to.be.at.most(LONGEST_STEP_MINUTES);
    for (const [i, { after }] of steps.entries()) expect(after).to.deep.equal(i > 0 ? [steps[i - 1].id] : []);
    const isDone = (layer: string, id: number) => layer === 'base' && id <= 6;
    const left = makeSteps([{ id: 'sky', regions, recipe, isDone }], { valueOf: () => 50 });
    const still = left.filter(({ layerId }) => layerId === 'base').flatMap(({ regionIds }) => regionIds);
    expect(still.sort((a, b) => a - b)).to.deep.equal([7, 8, 9, 10, 11, 12]);
  });
});

describe('what lies on the table', () => {
  const sitting = [
    step('bell', 'base', 'gold', [], { value: 80 }),
    step('bell', 'dark', 'umber', ['bell/base'], { point: 'sharp', value: 30, wear: 1.3 }),
    step('rope', 'dark', 'umber', [], { point: 'sharp', value: 30, wear: 0.4 }),
    step('bell', 'light', 'gold', ['bell/dark'], { value: 80 }),
    step('bell', 'blend', 'gold', ['bell/light'], { tool: 'colourless-blender' }),
  ];

  it('are the pencils in the order in which they are picked up, tools apart, and what to sharpen first', () => {
    expect(layOutFor(sitting)).to.deep.equal({
      pencils: ['gold', 'umber'],
      tools: ['colourless-blender'],
      sharpen: ['umber'],
      sheetUnderHand: false,
    });
  });

  it('is a sheet for the hand where soft work is done already', () => {
    expect(layOutFor(sitting, [step('sky', '1', 'chalk', [], { soft: true })]).sheetUnderHand).to.equal(true);
  });

  it('comes with reminders: sharpen a worn point, turn a pencil in long work, wipe a pale one that went over dark', () => {
    const reminders = remindersOf(sitting);
    expect(sitting.map(({ id }) => reminders.get(id))).to.deep.equal([[], ['turn'], ['sharpen', 'turn'], ['wipe'], []]);
  });
});

describe('the hand in the words of a step', () => {
  it('holds the pencil further back the more lightly it presses, and flat for the side of the lead', () => {
    const words = (pressure: Step['pressure'], more: Partial<Step> = {}) =>
      handWords(step('bell', 'base', 'gold', [], { pressure, ...more }));
    expect(words('whisper')).to.contain('very end');
    expect(words('light')).to.contain('far back');
    expect(words('firm')).to.contain('near the point');
    expect(words('light', { point: 'side of the lead' })).to.contain('side of the lead');
    expect(words('light', { pull: 'light to dark' })).to.contain('Pull from light to dark.');
    expect(words('medium', { tool: 'solvent' })).to.equal('');
  });

  it('cleans a tool that comes from darker colour than what it goes over next, and not the other way', () => {
    const over = (thing: string, value: number) => [
      step(thing, 'base', 'p', [], { value }),
      step(thing, 'blend', 'p', [`${thing}/base`], { tool: 'colourless-blender' }),
    ];
    const reminders = (steps: Step[]) => steps.map(({ id }) => remindersOf(steps).get(id)!.includes('clean tool'));
    expect(reminders([...over('night', 20), ...over('moon', 90)])).to.deep.equal([false, false, false, true]);
    expect(reminders([...over('moon', 90), ...over('night', 20)])).to.deep.equal([false, false, false, false]);
  });
});

describe('steps ahead', () => {
  const order = [step('a', '1', 'p'), step('a', '2', 'q', ['a/1']), step('b', '1', 'p'), step('c', '1', 'q', ['b/1'])];
  const ids = (skipped: string[], ...done: string[]) => stepsAhead(order, new Set(done), skipped).map(({ id }) => id);

  it('are those of the order while nothing is put off', () => {
    expect(ids([])).to.deep.equal(['a/1', 'a/2', 'b/1', 'c/1']);
    expect(ids([], 'a/1')).to.deep.equal(['a/2', 'b/1', 'c/1']);
  });

  it('bring what was put off last, and with it what has to wait for it', () => {
    expect(ids(['a/1'])).to.deep.equal(['b/1', 'c/1', 'a/1', 'a/2']);
    expect(ids(['a/1', 'b/1'])).to.deep.equal(['a/1', 'a/2', 'b/1', 'c/1']);
  });

  it('never lose a step, never bring one before what it needs, and never bring what is done', () => {
    fc.assert(
      fc.property(placedPage, fc.array(fc.nat(40)), fc.nat(12), (steps, picks, count) => {
        const done = new Set(steps.slice(0, Math.min(count, steps.length)).map(({ id }) => id));
        const skipped = [...new Set(picks.flatMap((pick) => steps[pick]?.id ?? []))].filter((id) => !done.has(id));
        const ahead = stepsAhead(steps, done, skipped).map(({ id }) => id);
        expect(new Set([...done, ...ahead]).size).to.equal(steps.length);
        expect(ahead.length).to.equal(steps.length - done.size);
        const through = new Set(done);
        for (const id of ahead) {
          for (const before of steps.find((each) => each.id === id)!.after) expect(through.has(before)).to.equal(true);
          through.add(id);
        }
      }),
    );
  });
});

describe('steps moved to another sitting', () => {
  it('stay in order, are all still there, and come to the end of an earlier sitting or the beginning of a later one', async () => {
    await fc.assert(
      fc.asyncProperty(placedPage, fc.nat(), fc.nat(), async (steps, pick, where) => {
        const { sittings, order } = await sequence(steps, { sittingMinutes: 5, maxIterations: 1 });
        const { thingId } = steps[pick % steps.length];
        const ids = steps.filter((each) => each.thingId === thingId).map(({ id }) => id);
        const to = where % (sittings.length + 1);
        const moved = movedTo(steps, sittings, ids, to);
        const all = moved.flatMap((sitting) => sitting.steps);
        expect([...all].sort()).to.deep.equal([...order].sort());
        expect(all.filter((id) => ids.includes(id))).to.deep.equal(order.filter((id) => ids.includes(id)));
        expect(all.filter((id) => !ids.includes(id))).to.deep.equal(order.filter((id) => !ids.includes(id)));
        for (const sitting of moved) expect(sitting.minutes).to.be.above(0);
      }),
      { numRuns: 60 },
    );
  });

  it('take along what waits for them on the way to a later one, and what they wait for on the way to an earlier one', async () => {
    await fc.assert(
      fc.asyncProperty(placedPage, fc.nat(), fc.nat(), async (steps, pick, where) => {
        const { sittings, order, alike } = await sequence(steps, { sittingMinutes: 5, maxIterations: 1 });
        const to = where % (sittings.length + 1);
        const ids = withWhatGoesAlong(steps, sittings, [order[pick % order.length]], to);
        const moved = movedTo(steps, sittings, ids, to).flatMap((sitting) => sitting.steps);
        // Nothing comes before what it needs: at most too many things are open.
        expect(validateSequence(steps, moved, 100, alike)).to.deep.equal([]);
      }),
      { numRuns: 200 },
    );
  });

  it('may make an order that cannot be worked by, and the validator says why', () => {
    const steps = [step('a', '1', 'p'), step('a', '2', 'q', ['a/1'])];
    const sittings = [
      { steps: ['a/1'], minutes: 2 },
      { steps: ['a/2'], minutes: 2 },
    ];
    const moved = movedTo(steps, sittings, ['a/1'], 2).flatMap((sitting) => sitting.steps);
    expect(validateSequence(steps, moved, 4).join()).to.contain('a/2 comes before a/1');
    expect(() => movedTo(steps, sittings, ['a/1'], 3)).to.throw(RangeError, 'no such sitting');
  });
});
