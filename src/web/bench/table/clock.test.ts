import { expect } from 'chai';
import fc from 'fast-check';
import {
  type Clock,
  clockFrom,
  isRestDue,
  pausedOrNot,
  rested,
  seenAgain,
  stepComesUp,
  workedAtSitting,
  workedAtStep,
} from './clock.ts';

const minute = 60_000;

describe('the clock of a sitting', () => {
  it('counts what was worked at the step and at the sitting, without pauses', () => {
    let clock = clockFrom(0, 'bell/base');
    clock = pausedOrNot(clock, 3 * minute);
    expect(workedAtStep(clock, 9 * minute)).to.equal(3 * minute);
    clock = pausedOrNot(clock, 10 * minute);
    clock = stepComesUp(clock, 12 * minute, 'bell/shadow');
    expect(workedAtStep(clock, 13 * minute)).to.equal(minute);
    expect(workedAtSitting(clock, 13 * minute)).to.equal(6 * minute);
  });

  it('goes on where it was after the tab was closed for a moment, and takes a longer absence for a pause', () => {
    const clock = { ...clockFrom(0, 'bell/base'), seenAt: 4 * minute };
    expect(workedAtStep(seenAgain(clock, 4.5 * minute), 4.5 * minute)).to.equal(4.5 * minute);
    expect(workedAtStep(seenAgain(clock, 30 * minute), 30 * minute)).to.equal(4 * minute);
  });

  it('begins another sitting after an hour and a half, with the step as far as it was', () => {
    const clock = seenAgain({ ...clockFrom(0, 'bell/base'), seenAt: 4 * minute }, 600 * minute);
    expect(workedAtSitting(clock, 600 * minute)).to.equal(0);
    expect(workedAtStep(clock, 601 * minute)).to.equal(5 * minute);
  });

  it('asks for a rest after 25 minutes of work, and again 25 minutes after it', () => {
    let clock = clockFrom(0, 'sky/base');
    expect(isRestDue(clock, 24 * minute)).to.equal(false);
    expect(isRestDue(clock, 25 * minute)).to.equal(true);
    clock = rested(clock, 26 * minute);
    expect(isRestDue(clock, 50 * minute)).to.equal(false);
    expect(isRestDue(clock, 51 * minute)).to.equal(true);
    expect(isRestDue(pausedOrNot(clock, 51 * minute), 60 * minute)).to.equal(false);
  });

  it('never counts more than has passed, nor less than nothing, whatever happens', () => {
    const move = fc.record({ after: fc.nat(200 * minute), what: fc.constantFrom('pause', 'step', 'seen', 'rest') });
    fc.assert(
      fc.property(fc.array(move, { maxLength: 20 }), (moves) => {
        let [now, clock]: [number, Clock] = [0, clockFrom(0, 'a/0')];
        for (const [i, { after, what }] of moves.entries()) {
          now += after;
          if (what === 'pause') clock = pausedOrNot(clock, now);
          else if (what === 'step') clock = stepComesUp(clock, now, `a/${i}`);
          else if (what === 'seen') clock = seenAgain(clock, now);
          else clock = rested(clock, now);
          for (const worked of [workedAtStep(clock, now), workedAtSitting(clock, now)]) {
            expect(worked).to.be.within(0, now);
          }
        }
      }),
    );
  });
});
