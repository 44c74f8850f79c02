import { expect } from 'chai';
import fc from 'fast-check';
import { type Span, sittingsOf } from './index.ts';

const minute = 60_000;
const same = (span: Span) => span;

describe('sittings of a log', () => {
  it('are cut where more than an hour and a half lies between two steps', () => {
    const step = (from: number, to: number) => ({ begun: from * minute, finished: to * minute });
    const log = [step(0, 10), step(12, 30), step(119, 125), step(216, 220)];
    expect(sittingsOf(log, same).map(({ entries }) => entries.length)).to.deep.equal([3, 1]);
  });

  it('are none where nothing was done', () => expect(sittingsOf([], same)).to.deep.equal([]));

  it('hold every step once, in order, and lie apart from each other', () => {
    const span = fc
      .tuple(fc.integer({ min: 0, max: 4000 }), fc.integer({ min: 0, max: 60 }))
      .map(([from, long]) => ({ begun: from * minute, finished: (from + long) * minute }));
    fc.assert(
      fc.property(fc.array(span, { maxLength: 40 }), (log) => {
        const sittings = sittingsOf(log, same);
        const all = sittings.flatMap(({ entries }) => entries);
        expect(all.length).to.equal(log.length);
        expect(all.map(({ finished }) => finished)).to.deep.equal(
          log.map(({ finished }) => finished).sort((p, q) => p - q),
        );
        for (const [i, { begun, entries }] of sittings.entries()) {
          if (i > 0) expect(entries[0].begun - sittings[i - 1].finished).to.be.at.least(90 * minute);
          expect(begun).to.equal(Math.min(...entries.map((entry) => entry.begun)));
        }
      }),
    );
  });
});
