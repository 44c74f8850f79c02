import { expect } from 'chai';
import fc from 'fast-check';
import { ASSUMED_RATES, minutesFor } from '../bench/index.ts';
import { type TimedStep, ENOUGH_STEPS, learnRates } from './index.ts';

const timed = (
  pace: number,
  point: TimedStep['point'] = 'normal',
  coveredMm2 = 400,
  pickUpSeconds: number | null = null,
): TimedStep => {
  const laying = { coveredMm2, point, passes: 2, regions: 3, picksUp: pickUpSeconds !== null };
  return { ...laying, actualMinutes: pace * minutesFor(coveredMm2, laying) + (pickUpSeconds ?? 0) / 60 };
};
const many = (count: number, pace: number, point?: TimedStep['point']) =>
  Array.from({ length: count }, () => timed(pace, point));

describe('rates learnt from finished steps', () => {
  it('are the assumed ones until there are enough', () => {
    expect(learnRates(many(ENOUGH_STEPS - 1, 2))).to.deep.equal(ASSUMED_RATES);
    expect(learnRates(many(ENOUGH_STEPS, 2)).learntFrom).to.equal(ENOUGH_STEPS);
  });

  it('come to the pace of the person the more steps there are, and never beyond it', () => {
    const at = (count: number) =>
      learnRates(many(count, 1.5)).minutesPerCm2.normal / ASSUMED_RATES.minutesPerCm2.normal;
    expect(at(10)).to.be.within(1.2, 1.5);
    expect(at(100)).to.be.within(1.45, 1.5);
  });

  it('tell a point that goes slowly from one that goes fast', () => {
    const { minutesPerCm2 } = learnRates([...many(30, 0.8), ...many(30, 1.6, 'sharp')]);
    expect(minutesPerCm2.sharp / ASSUMED_RATES.minutesPerCm2.sharp).to.be.above(1.4);
    expect(minutesPerCm2.normal / ASSUMED_RATES.minutesPerCm2.normal).to.be.below(0.9);
  });

  it('are not led astray by a step that was left open over dinner', () => {
    expect(learnRates([...many(20, 1), timed(40)]).minutesPerCm2.normal).to.be.closeTo(
      ASSUMED_RATES.minutesPerCm2.normal,
      1e-9,
    );
  });

  it('of a person who works as assumed are what is assumed', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 10, max: 3000 }), { minLength: ENOUGH_STEPS, maxLength: 40 }), (areas) => {
        const picksUp = (i: number) => (i % 2 ? ASSUMED_RATES.pickUpSeconds : null);
        const { minutesPerCm2, pickUpSeconds } = learnRates(areas.map((mm2, i) => timed(1, 'sharp', mm2, picksUp(i))));
        expect(minutesPerCm2.sharp).to.be.closeTo(ASSUMED_RATES.minutesPerCm2.sharp, 1e-9);
        expect(pickUpSeconds).to.be.closeTo(ASSUMED_RATES.pickUpSeconds, 1e-9);
      }),
    );
  });

  it('tell who takes long to find a pencil from who colours slowly', () => {
    const seeks = [...many(40, 1), ...Array.from({ length: 40 }, () => timed(1, 'normal', 400, 40))];
    expect(learnRates(seeks).pickUpSeconds).to.be.within(35, 40);
    expect(learnRates(seeks).minutesPerCm2.normal / ASSUMED_RATES.minutesPerCm2.normal).to.be.within(0.98, 1.05);
    const slow = [...many(40, 1.5), ...Array.from({ length: 40 }, () => timed(1.5, 'normal', 400, 12))];
    expect(learnRates(slow).pickUpSeconds).to.be.within(11, 17);
    expect(learnRates(slow).minutesPerCm2.normal / ASSUMED_RATES.minutesPerCm2.normal).to.be.within(1.4, 1.5);
    // Nothing to compare with: a pick-up stays what is assumed.
    const always = Array.from({ length: 40 }, () => timed(1, 'normal', 400, 40));
    expect(learnRates(always).pickUpSeconds).to.equal(ASSUMED_RATES.pickUpSeconds);
  });
});
