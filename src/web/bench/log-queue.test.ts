import { expect } from 'chai';
import fc from 'fast-check';
import type { LogEntry } from '../../contracts/index.ts';
import { type QueueDoors, type Waiting, LogQueue } from './log-queue.ts';

const entry = (name: string): LogEntry => ({
  id: `entry-${name}`,
  planId: 'plan-one',
  stepId: `bell/${name}`,
  kind: 'done',
  startedAt: '2026-11-20T18:57:00.000Z',
  finishedAt: '2026-11-20T19:00:00.000Z',
  pausedSeconds: 0,
  usedPencil: null,
  cameOut: null,
});

/** A server and a browser to try a queue with. */
function outside(kept: unknown = undefined) {
  const there = {
    away: false,
    keepsNothing: false,
    kept,
    took: [] as string[],
    said: [] as string[],
    sent: 0,
    told: 0,
  };
  const refuses = new Set<string>();
  const doors: QueueDoors = {
    async send(_sheetId, entries) {
      const ids = entries.map(({ id }) => id.slice('entry-'.length));
      await Promise.resolve();
      if (there.away) return 'away';
      const refused = ids.find((id) => refuses.has(id));
      if (refused) return { refused: `The desk will not have ${refused}.` };
      there.took.push(...ids);
      there.sent++;
      return 'taken';
    },
    read: () => Promise.resolve(there.kept),
    change(change) {
      if (there.keepsNothing) return Promise.reject(new Error('There is no room.'));
      there.kept = change(there.kept);
      return Promise.resolve();
    },
    say: (sentence) => there.said.push(sentence),
    tell: () => there.told++,
  };
  const ids = () => (there.kept as Waiting[]).map(({ entry: { id } }) => id.slice('entry-'.length));
  return { there, doors, refuses, keptIds: ids };
}

const soon = (ms = 3) => new Promise((done) => setTimeout(done, ms));

describe('the log of the table', () => {
  it('is sent in the order in which things were done, and nothing is kept of what was taken', async () => {
    const { there, doors, keptIds } = outside();
    const queue = new LogQueue(doors);
    queue.add('sheet-one', [entry('a'), entry('b')]);
    queue.add('sheet-one', [entry('c')]);
    expect(queue.state.waiting).to.have.length(3);
    await queue.send();
    await soon();
    expect(there.took).to.deep.equal(['a', 'b', 'c']);
    expect(keptIds()).to.deep.equal([]);
    // What is of one plan goes together.
    expect(there).to.include({ sent: 1, told: 1 });
    const other = { ...entry('e'), planId: 'plan-two' };
    queue.add('sheet-one', [entry('d'), other]);
    await queue.send();
    expect(there).to.include({ sent: 3, told: 3 });
  });

  it('waits where the server is away, is kept meanwhile, and goes by itself once it is back', async () => {
    const { there, doors, keptIds } = outside();
    there.away = true;
    const queue = new LogQueue(doors, 5);
    queue.add('sheet-one', [entry('a')]);
    queue.add('sheet-one', [entry('b')]);
    await queue.send();
    await soon();
    expect(queue.state).to.deep.include({ isAway: true, isKept: true });
    expect(keptIds()).to.deep.equal(['a', 'b']);
    there.away = false;
    await soon(30);
    expect(there.took).to.deep.equal(['a', 'b']);
    expect(queue.state).to.deep.include({ isAway: false, waiting: [] });
  });

  it('takes up what a closed tab left, before what is done now, and passes over what is no entry', async () => {
    const { there, doors } = outside([{ sheetId: 'sheet-one', entry: entry('left') }, { nonsense: true }, 7]);
    const queue = new LogQueue(doors);
    queue.add('sheet-one', [entry('now')]);
    await queue.send();
    expect(there.took).to.deep.equal(['left', 'now']);
  });

  it('says of an entry that the desk will not have why, and takes the others that were sent with it', async () => {
    const { there, doors, refuses } = outside();
    refuses.add('b');
    const queue = new LogQueue(doors);
    queue.add(
      'sheet-one',
      ['a', 'b', 'c'].map((id) => entry(id)),
    );
    await queue.send();
    expect(there.took).to.deep.equal(['a', 'c']);
    expect(there.said).to.deep.equal(['The desk will not have b.']);
  });

  it('does not claim to be kept where the browser keeps nothing', async () => {
    const { there, doors } = outside();
    Object.assign(there, { away: true, keepsNothing: true });
    const queue = new LogQueue(doors, 10_000);
    queue.add('sheet-one', [entry('a')]);
    await soon();
    expect(queue.state).to.deep.include({ isKept: false, isAway: true });
    expect(queue.state.waiting).to.have.length(1);
    there.away = false;
    await queue.send();
    expect(there.took).to.deep.equal(['a']);
  });

  it('loses nothing and sends nothing twice, however the server comes and goes', () =>
    fc.assert(
      fc.asyncProperty(fc.array(fc.constantFrom('add', 'away', 'back', 'send'), { maxLength: 24 }), async (moves) => {
        const { there, doors } = outside();
        const queue = new LogQueue(doors, 10_000);
        const added: string[] = [];
        for (const move of moves) {
          if (move === 'add') {
            added.push(`${added.length}`);
            queue.add('sheet-one', [entry(added.at(-1)!)]);
          } else if (move === 'send') await queue.send();
          else there.away = move === 'away';
        }
        there.away = false;
        await queue.send();
        await queue.send();
        expect(there.took).to.deep.equal(added);
      }),
    ));
});
