import { expect } from 'chai';
import fc from 'fast-check';
import { type Step, inHand, roundsOf, sequence } from './index.ts';
import { roundsAhead } from './steps-ahead.ts';
import { placedPage, step } from './test/made-up.ts';

const ids = (rounds: readonly { steps: readonly Step[] }[]) => rounds.map(({ steps }) => steps.map(({ id }) => id));

describe('steps as they are done: one pencil, one press, one stroke, one point, in many shapes', () => {
  it('take all strands that want the same in one go', () => {
    const strands = Array.from({ length: 12 }, (_, k) => step(`strand${k}`, 'base', 'gold', [], { minutes: 0.5 }));
    const [round, ...others] = roundsOf(strands);
    expect(others).to.deep.equal([]);
    expect(round).to.include({ id: 'strand0/base', minutes: 6 });
    expect(round.steps).to.have.length(12);
  });

  it('end where another pencil, press, stroke or point is wanted, and where one would go over another', () => {
    const base = step('a', '1', 'gold');
    for (const other of [
      step('b', '1', 'rust'),
      step('b', '1', 'gold', [], { pressure: 'firm' }),
      step('b', '1', 'gold', [], { stroke: 'one direction' }),
      step('b', '1', 'gold', [], { point: 'sharp' }),
      step('b', '1', 'gold', [], { tool: 'colourless-blender' }),
      step('a', '2', 'gold', ['a/1']),
    ]) {
      expect(roundsOf([base, other])).to.have.length(2);
    }
    // How often each is gone over may differ: that is told of each.
    expect(roundsOf([base, step('b', '1', 'gold', [], { passes: 3 })])).to.have.length(1);
  });

  it('are parted along the way into about ten minutes, but a shape never is', () => {
    const panes = Array.from({ length: 23 }, (_, k) => step(`pane${k}`, 'base', 'grey', [], { minutes: 2 }));
    for (const { minutes } of roundsOf(panes)) expect(minutes).to.be.within(8, 12);
    expect(roundsOf([step('sky', 'base', 'blue', [], { minutes: 62 })])).to.have.length(1);
    const beside = [panes[0], step('sky', 'base', 'grey', [], { minutes: 62 }), panes[1]];
    expect(ids(roundsOf(beside)).flat()).to.deep.equal(['pane0/base', 'sky/base', 'pane1/base']);
  });

  it('hold every step once in its turn, with its area and minutes', async () => {
    await fc.assert(
      fc.asyncProperty(placedPage, async (steps) => {
        const { order } = await sequence(steps, { maxIterations: 1 });
        const stepOf = new Map(steps.map((each) => [each.id, each]));
        const rounds = roundsOf(order.map((id) => stepOf.get(id)!));
        expect(ids(rounds).flat()).to.deep.equal(order);
        for (const { steps: own, minutes } of rounds) {
          expect(minutes).to.be.closeTo(
            own.reduce((sum, each) => sum + each.minutes, 0),
            1e-9,
          );
          for (const each of own) {
            expect(inHand(each)).to.equal(inHand(own[0]));
            expect(own.some(({ id }) => each.after.includes(id))).to.equal(false);
          }
        }
      }),
    );
  });
});

describe('what is left of steps', () => {
  const shapes = ['a', 'b', 'c'].map((thing) => step(thing, '1', 'gold'));
  const over = shapes.map(({ thingId }) => step(thingId, '2', 'rust', [`${thingId}/1`]));
  const rounds = roundsOf([...shapes, ...over]);

  it('is what is not done of each, in turn', () => {
    expect(ids(roundsAhead(rounds, new Set(['b/1']), []))).to.deep.equal([
      ['a/1', 'c/1'],
      ['a/2', 'b/2', 'c/2'],
    ]);
  });

  it('leaves the others up where one shape is put off, and brings that one and what waits for it last', () => {
    const ahead = roundsAhead(rounds, new Set(), ['b/1']);
    expect(ids(ahead)).to.deep.equal([['a/1', 'c/1'], ['a/2', 'c/2'], ['b/1'], ['b/2']]);
    expect(ahead.map(({ minutes }) => minutes)).to.deep.equal([4, 4, 2, 2]);
    expect(ahead[2].id).to.equal(rounds[0].id);
  });
});
