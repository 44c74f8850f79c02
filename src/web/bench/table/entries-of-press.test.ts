import { expect } from 'chai';
import fc from 'fast-check';
import { LogEntries } from '../../../contracts/index.ts';
import { minutesWorked } from '../../../order/index.ts';
import { entriesOf } from './entries-of-press.ts';

const press = { planId: 'plan-one', kind: 'done' as const, began: 1_700_000_000_000, ended: 1_700_000_600_000 };
const shapes = (...minutes: number[]) => minutes.map((each, k) => ({ id: `thing${k}/base`, minutes: each }));

describe('what one press says of many shapes', () => {
  it('gives each its share of the time by what it was planned to take', () => {
    const entries = entriesOf(shapes(1, 3, 1), { ...press, workedMs: 600_000 });
    expect(entries.map((entry) => Math.round(minutesWorked(entry)))).to.deep.equal([2, 6, 2]);
    expect(LogEntries.parse(entries)).to.deep.equal(entries);
  });

  it('adds up to what was worked, one after the other, with no time below zero', () => {
    const minutes = fc.array(fc.double({ min: 0, max: 60, noNaN: true }), { minLength: 1, maxLength: 30 });
    const ms = fc.integer({ min: 0, max: 3_600_000 });
    fc.assert(
      fc.property(minutes, ms, fc.double({ min: 0, max: 1, noNaN: true }), (each, whole, worked) => {
        const ended = press.began + whole;
        const entries = entriesOf(shapes(...each), { ...press, ended, workedMs: worked * whole });
        expect(Date.parse(entries[0].startedAt)).to.equal(press.began);
        expect(Date.parse(entries.at(-1)!.finishedAt)).to.equal(ended);
        for (const [k, entry] of entries.entries()) {
          if (k > 0) expect(entry.startedAt).to.equal(entries[k - 1].finishedAt);
          expect(Date.parse(entry.finishedAt) - Date.parse(entry.startedAt)).to.be.at.least(1000 * entry.pausedSeconds);
        }
        const seconds = 60 * entries.reduce((sum, entry) => sum + minutesWorked(entry), 0);
        // Whole seconds of pause are kept, of each entry.
        expect(seconds).to.be.closeTo((worked * whole) / 1000, 1 + entries.length);
      }),
    );
  });
});
