import { expect } from 'chai';
import { summarise } from './index.ts';

const done = (pencil: string, thingId: string, actualMinutes: number, plannedMinutes = 5) => ({
  pencil,
  thingId,
  actualMinutes,
  plannedMinutes,
});

describe('the record', () => {
  it('adds up time and things by pencil, most used first', () => {
    const { pencils, pace, steps } = summarise([
      done('a', 'sky', 4),
      done('b', 'hut', 9),
      done('a', 'water', 3),
      done('a', 'sky', 1),
    ]);
    expect(pencils).to.deep.equal([
      { pencil: 'b', steps: 1, minutes: 9, things: 1 },
      { pencil: 'a', steps: 3, minutes: 8, things: 2 },
    ]);
    expect(steps).to.equal(4);
    expect(pace).to.equal(17 / 20);
  });

  it('counts a step that was left open as an hour at most', () => {
    expect(summarise([done('a', 'sky', 600)]).actualMinutes).to.equal(60);
  });

  it('knows no pace before anything is finished', () => expect(summarise([]).pace).to.equal(null));
});
