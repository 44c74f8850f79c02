import { expect } from 'chai';
import { seededRandom } from '../random/index.ts';
import { CancelledError, checkpoints, quietRun } from './index.ts';

describe('a long computation', () => {
  it('lets others speak once it has held its thread for 8 ms', async () => {
    let clock = 0;
    let others = 0;
    const checkpoint = checkpoints({ ...quietRun, now: () => clock });
    const speak = setInterval(() => others++, 0);
    await checkpoint(0.1, 'not yet');
    expect(others).to.equal(0);
    // A timer of another waits a millisecond at least: many quick turns may go by before it is heard.
    for (let i = 0; i < 100_000 && others === 0; i++) {
      clock += 20;
      await checkpoint(0.2, 'now');
    }
    clearInterval(speak);
    expect(others).to.be.above(0);
  });

  it('hears a cancel that comes while it lets others speak', async () => {
    let clock = 0;
    let cancelled = false;
    const checkpoint = checkpoints({ ...quietRun, now: () => (clock += 20), cancelled: () => cancelled });
    setTimeout(() => (cancelled = true), 0);
    const fault = await (async () => {
      for (let i = 0; i < 50; i++) await checkpoint(i / 50, 'working');
    })().then(
      () => null,
      (error: Error) => error,
    );
    expect(fault).to.be.instanceOf(CancelledError);
  });

  it('reports each piece with what it is doing', async () => {
    const heard: [number, string][] = [];
    const checkpoint = checkpoints({ ...quietRun, progress: (share, doing) => heard.push([share, doing]) });
    await checkpoint(0.25, 'measuring');
    await checkpoint(0.5, 'ordering');
    expect(heard).to.deep.equal([
      [0.25, 'measuring'],
      [0.5, 'ordering'],
    ]);
  });
});

describe('repeatable chance', () => {
  it('gives the same numbers for the same seed, others for another, evenly between 0 and 1', () => {
    const take = (seed: number) => Array.from({ length: 4000 }, seededRandom(seed));
    expect(take(7)).to.deep.equal(take(7));
    expect(take(7)).to.not.deep.equal(take(8));
    const numbers = take(3);
    expect(Math.min(...numbers)).to.be.at.least(0);
    expect(Math.max(...numbers)).to.be.below(1);
    expect(numbers.reduce((a, b) => a + b, 0) / numbers.length).to.be.closeTo(0.5, 0.03);
  });
});
