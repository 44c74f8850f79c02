import { expect } from 'chai';
import { afterEvenings } from './index.ts';

describe('fewer evenings than a page takes', () => {
  const step = (id: string, minutes: number) => ({ id, thingId: id.split('/')[0], minutes });
  const plan = {
    steps: [step('hull/1', 10), step('hull/2', 20), step('sky/1', 15), step('sky/2', 25), step('sea/1', 30)],
    sittings: [
      { steps: ['hull/1', 'sky/1'], minutes: 27 },
      { steps: ['hull/2'], minutes: 22 },
      { steps: ['sky/2', 'sea/1'], minutes: 57 },
    ],
    things: ['hull', 'sky', 'sea'].map((id) => ({ id, name: id })),
  } as unknown as Parameters<typeof afterEvenings>[0];

  it('say what is finished by then, what is begun and what is left out', () => {
    expect(afterEvenings(plan, new Set(), 2)).to.deep.equal({
      finished: ['hull'],
      begun: ['sky'],
      untouched: ['sea'],
      minutesLeft: 55,
    });
  });

  it('are counted from what is left: a sitting that is done takes no evening', () => {
    const done = new Set(['hull/1', 'sky/1']);
    expect(afterEvenings(plan, done, 1).finished).to.deep.equal(['hull']);
    expect(afterEvenings(plan, done, 2)).to.deep.include({ begun: [], untouched: [], minutesLeft: 0 });
  });
});
