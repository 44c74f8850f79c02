import { expect } from 'chai';
import fc from 'fast-check';
import ICAL from 'ical.js';
import { NO_EVENINGS } from '../../contracts/index.ts';
import { daysOfSittings } from '../../order/index.ts';
import { calendarFile } from './calendar-file.ts';
import { faultInWords, sittingDays, toolNames } from './sitting-words.ts';

const eventsOf = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));

describe('sittings in a calendar', () => {
  it('are read by another program with their local time, their length in fives, and what to lay out', () => {
    const file = calendarFile('The Ferry Steps', [
      {
        id: 'ferry-1',
        day: '2026-12-03',
        at: '19:30',
        minutes: 38,
        title: 'The Ferry Steps, sitting 1',
        lines: ['Lay out QS01, F-12; “Bell”', 'Sharpen first: F-12'],
      },
    ]);
    const [event] = eventsOf(file);
    expect(event.startDate.toString()).to.equal('2026-12-03T19:30:00');
    expect(event.startDate.zone.tzid).to.equal('floating');
    expect(event.endDate.toString()).to.equal('2026-12-03T20:10:00');
    expect(event.summary).to.equal('The Ferry Steps, sitting 1');
    expect(event.description).to.equal('Lay out QS01, F-12; “Bell”\nSharpen first: F-12');
    expect(event.uid).to.equal('ferry-1');
  });

  it('keep lines within 75 bytes and end them as the format asks', () => {
    const lines = ['é'.repeat(200)];
    const file = calendarFile('x', [{ id: 'a', day: '2026-12-03', at: '08:00', minutes: 5, title: 'y', lines }]);
    for (const line of file.split('\r\n')) expect(Buffer.byteLength(line)).to.be.at.most(75);
    expect(eventsOf(file)[0].description).to.equal(lines[0]);
  });
});

describe('evenings', () => {
  it('are the days of the week that were chosen, from the day that was chosen on, never in the past', () => {
    const evenings = { ...NO_EVENINGS, weekdays: [2, 4] };
    expect(daysOfSittings(3, evenings, '2026-11-26')).to.deep.equal(['2026-11-26', '2026-12-01', '2026-12-03']);
    expect(daysOfSittings(1, { ...evenings, from: '2026-12-24' }, '2026-11-26')).to.deep.equal(['2026-12-24']);
    expect(daysOfSittings(1, { ...evenings, from: '2020-01-01' }, '2026-11-26')).to.deep.equal(['2026-11-26']);
    expect(daysOfSittings(4, NO_EVENINGS, '2026-11-26')).to.deep.equal([]);
  });

  it('rise, and there is one for each sitting', () => {
    const weekdays = fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1 });
    fc.assert(
      fc.property(weekdays, fc.integer({ min: 0, max: 60 }), (chosen, sittings) => {
        const days = daysOfSittings(sittings, { ...NO_EVENINGS, weekdays: chosen }, '2026-02-27');
        expect(days).to.have.length(sittings);
        expect(new Set(days).size).to.equal(sittings);
        expect(days).to.deep.equal([...days].sort());
      }),
    );
  });

  it('go to the sittings that are still ahead', () => {
    const sittings = [['a/1'], ['b/1'], ['c/1']].map((steps) => ({ steps, minutes: 5 }));
    const bench = { evenings: { ...NO_EVENINGS, weekdays: [0, 1, 2, 3, 4, 5, 6] } } as Parameters<
      typeof sittingDays
    >[2];
    const days = sittingDays({ sittings }, new Set(['a/1']), bench);
    expect(days[0]).to.equal(null);
    const [, second, third] = days.map((day) => day?.day ?? '');
    expect(second! < third!).to.equal(true);
  });
});

describe('tools to lay out', () => {
  it('are told as a colourist calls them', () => {
    expect(toolNames(['eraser', 'opaque-pen'])).to.deep.equal(['eraser', 'opaque pen']);
    expect(() => toolNames(['magic'])).to.throw(RangeError);
  });
});

describe('faults of an order', () => {
  it('are told by the names of pencils and things', () => {
    const plan = {
      steps: [
        { id: 't1/base', thingId: 't1', pencil: 'p1' },
        { id: 't1/shadow~2', thingId: 't1', pencil: 'p2' },
      ],
      things: [{ id: 't1', name: 'Brass bell' }],
      pencils: [
        { id: 'p1', code: 'QS04' },
        { id: 'p2', code: 'F-12' },
      ],
    } as unknown as Parameters<typeof faultInWords>[1];
    expect(faultInWords('Step t1/shadow~2 comes before t1/base, which it needs.', plan)).to.equal(
      'F-12 on Brass bell comes before QS04 on Brass bell, which it needs.',
    );
  });
});
