import { expect } from 'chai';
import fc from 'fast-check';
import { USUAL_COSTS, overheadOf, sequence, validateSequence } from './index.ts';
import { placedPage, step } from './test/made-up.ts';

const at = (x: number, y: number) => ({ left: x, top: y, right: x + 10, bottom: y + 10 });

describe('what an order costs beside the colouring', () => {
  it('is 12 s a pick-up, 20 s a sharpening, 0.6 s for 100 mm, and the waiting', () => {
    const steps = [
      step('a', '1', 'p', [], { box: at(0, 0), wear: 1.4 }),
      step('b', '1', 'p', [], { box: at(100, 0), point: 'sharp' }),
      step('c', '1', 'q', [], { box: at(100, 0) }),
    ];
    const { pickUps, sharpenings, travelMm, seconds } = overheadOf(steps);
    expect({ pickUps, sharpenings, travelMm }).to.deep.equal({ pickUps: 2, sharpenings: 1, travelMm: 100 });
    expect(seconds).to.be.closeTo(2 * 12 + 20 + 0.6, 1e-9);
  });

  it('takes other prices where those are known', () => {
    const steps = [step('a', '1', 'p'), step('b', '1', 'q'), step('c', '1', 'p')];
    const costs = { ...USUAL_COSTS, pickUpSeconds: 5 };
    expect(overheadOf(steps, costs).seconds).to.equal(15);
    expect(overheadOf(steps).seconds).to.equal(36);
  });

  it('knows a tool from the pencil that it works', () => {
    const steps = [step('a', '1', 'p'), step('a', '2', 'p', ['a/1'], { tool: 'eraser' }), step('b', '1', 'p')];
    expect(overheadOf(steps).pickUps).to.equal(3);
  });

  it('counts what has to dry only as long as nothing else is done meanwhile', () => {
    const wet = step('a', 'wet', 'p', [], { dryMinutes: 10 });
    const dry = step('a', 'dry', 'p', ['a/wet']);
    const other = step('b', '1', 'p', [], { minutes: 7 });
    expect(overheadOf([wet, dry]).waitMinutes).to.be.closeTo(10, 1e-9);
    expect(overheadOf([wet, other, dry]).waitMinutes).to.be.closeTo(3, 1e-9);
  });

  it('tells of soft work under the hand: right and below for a right hand, left for a left one', () => {
    const soft = step('a', '1', 'p', [], { box: at(100, 100), soft: true, coveredMm2: 100 });
    const leftOfIt = step('b', '1', 'p', [], { box: at(50, 90) });
    const farRight = step('c', '1', 'p', [], { box: at(150, 90) });
    expect(overheadOf([soft, leftOfIt]).smearCm2).to.be.above(0.05);
    expect(overheadOf([soft, leftOfIt], undefined, 'left').smearCm2).to.equal(0);
    expect(overheadOf([soft, farRight]).smearCm2).to.equal(0);
    expect(overheadOf([soft, farRight], undefined, 'left').smearCm2).to.be.above(0.05);
    expect(overheadOf([leftOfIt, soft]).smearCm2).to.equal(0);
  });

  it('is counted by covered area and by time: what is done in many steps smears no more than in one', () => {
    const parts = [0, 1, 2, 3].map((k) =>
      step('a', `${k}`, 'p', [], { box: at(100, 100), soft: true, coveredMm2: 25 }),
    );
    const whole = step('a', '1', 'p', [], { box: at(100, 100), soft: true, coveredMm2: 100 });
    const after = step('b', '1', 'p', [], { box: at(50, 90) });
    expect(overheadOf([...parts, after]).smearCm2 - overheadOf(parts).smearCm2).to.be.closeTo(
      overheadOf([whole, after]).smearCm2,
      1e-9,
    );
    const long = { ...after, minutes: 10 };
    const halves = ['1', '2'].map((k) => step('b', k, 'p', [], { box: at(50, 90), minutes: 5 }));
    expect(overheadOf([whole, ...halves]).smearCm2).to.be.closeTo(overheadOf([whole, long]).smearCm2, 1e-9);
  });
});

describe('orders that mind all of it', () => {
  it('are valid, told truly, and cost no more with more rounds or with more things open', async () => {
    await fc.assert(
      fc.asyncProperty(placedPage, fc.integer({ min: 1, max: 5 }), async (steps, openThings) => {
        const [few, many, wider] = await Promise.all([
          sequence(steps, { openThings, maxIterations: 2 }),
          sequence(steps, { openThings, maxIterations: 12 }),
          sequence(steps, { openThings: openThings + 2, maxIterations: 2 }),
        ]);
        const stepOf = new Map(steps.map((each) => [each.id, each]));
        for (const { order, cost } of [few, many, wider]) {
          expect(overheadOf(order.map((id) => stepOf.get(id)!)).cost).to.be.closeTo(cost, 1e-6);
        }
        expect(validateSequence(steps, many.order, openThings, many.alike)).to.deep.equal([]);
        expect(many.cost).to.be.at.most(few.cost + 1e-9);
        expect(wider.cost).to.be.at.most(few.cost + 1e-9);
      }),
      { numRuns: 300 },
    );
  });

  it('go over the page from place to place instead of to and fro', async () => {
    const steps = [0, 150, 20, 130, 40, 110, 60].map((x, i) => step(`t${i}`, '1', 'p', [], { box: at(x, 0) }));
    expect((await sequence(steps, { openThings: 50 })).travelMm).to.be.at.most(150);
    expect(overheadOf(steps).travelMm).to.be.above(500);
  });

  it('do sharp work before a point is worn', async () => {
    const steps = [
      step('wide', '1', 'p', [], { wear: 2, box: at(0, 0) }),
      step('fine', '1', 'p', [], { point: 'sharp', wear: 0.2, box: at(10, 0) }),
    ];
    const { order, sharpenings } = await sequence(steps);
    expect(order).to.deep.equal(['fine/1', 'wide/1']);
    expect(sharpenings).to.equal(0);
  });
});
