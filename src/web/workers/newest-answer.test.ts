import { expect } from 'chai';
import fc from 'fast-check';
import { type Outcome } from './job.ts';
import { type Ask, NewestAnswer } from './newest-answer.ts';

/** A fake worker: what is asked of it is answered one by one, when it is told to. */
function fakeWorker() {
  const asked: { name: string; answer(outcome: Outcome<string>): void; cancelled: boolean }[] = [];
  const ask =
    (name: string): Ask<string> =>
    () => {
      let answer!: (outcome: Outcome<string>) => void;
      const outcome = new Promise<Outcome<string>>((resolve) => (answer = resolve));
      const job = { name, answer, cancelled: false };
      asked.push(job);
      return {
        outcome,
        cancel() {
          job.cancelled = true;
          answer({ kind: 'cancelled' });
        },
      };
    };
  const answer = async (outcome: Outcome<string> = { kind: 'done', value: asked.at(-1)!.name }) => {
    asked.at(-1)!.answer(outcome);
    await Promise.resolve();
    await Promise.resolve();
  };
  return { asked, ask, answer, names: () => asked.map(({ name }) => name) };
}

function newest(abandons = false) {
  const worker = fakeWorker();
  const shown: [string, unknown][] = [];
  const answers = new NewestAnswer<string, unknown>(
    (outcome, of) => shown.push([outcome.kind === 'done' ? outcome.value : outcome.sentence, of]),
    abandons,
  );
  return { ...worker, shown, answers };
}

describe('the newest answer', () => {
  it('shows a quick look, then a finer one', async () => {
    const { answers, ask, answer, shown } = newest();
    answers.ask([ask('quick'), ask('fine')], 1);
    await answer();
    await answer();
    expect(shown).to.deep.equal([
      ['quick', 1],
      ['fine', 1],
    ]);
  });

  it('keeps only the latest of what is asked while one is under way, and leaves its finer look out', async () => {
    const { answers, ask, answer, shown, names } = newest();
    answers.ask([ask('a'), ask('a, finer')], 1);
    answers.ask([ask('b')], 2);
    answers.ask([ask('c')], 3);
    await answer();
    await answer();
    expect(names()).to.deep.equal(['a', 'c']);
    expect(shown).to.deep.equal([
      ['a', 1],
      ['c', 3],
    ]);
  });

  it('asks nothing anew for the same, however it is told', async () => {
    const { answers, ask, answer, names } = newest();
    answers.ask([ask('a')], { things: [{ id: 'bell' }], laid: new Map([['bell', 2]]) });
    await answer();
    answers.ask([ask('b')], { things: [{ id: 'bell' }], laid: new Map([['bell', 2]]) });
    expect(names()).to.deep.equal(['a']);
    answers.ask([ask('b')], { things: [{ id: 'bell' }], laid: new Map([['bell', 3]]) });
    expect(names()).to.deep.equal(['a', 'b']);
  });

  it('goes on after one that was refused, and says its sentence', async () => {
    const { answers, ask, answer, shown } = newest();
    answers.ask([ask('a'), ask('a, finer')], 1);
    await answer({ kind: 'refused', sentence: 'There is no such lamp.' });
    answers.ask([ask('b')], 2);
    await answer();
    expect(shown).to.deep.equal([
      ['There is no such lamp.', 1],
      ['b', 2],
    ]);
  });

  it('stops what takes long as soon as something else is asked', async () => {
    const { answers, ask, answer, asked, shown } = newest(true);
    answers.ask([ask('a')], 1);
    answers.ask([ask('b')], 2);
    expect(asked[0].cancelled).to.equal(true);
    await Promise.resolve();
    await Promise.resolve();
    await answer();
    expect(shown).to.deep.equal([['b', 2]]);
  });

  it('asks again for what was left in between', async () => {
    const { answers, ask, answer, names } = newest();
    answers.ask([ask('a')], 1);
    await answer();
    answers.leave();
    answers.ask([ask('a again')], 1);
    expect(names()).to.deep.equal(['a', 'a again']);
  });

  it('shows nothing once it was stopped', async () => {
    const { answers, ask, asked, shown } = newest();
    answers.ask([ask('a')], 1);
    answers.stop();
    await Promise.resolve();
    expect(asked[0].cancelled).to.equal(true);
    expect(shown).to.deep.equal([]);
  });

  it('ends with the last that was asked, whatever was asked before and however it was answered', () =>
    fc.assert(
      fc.asyncProperty(fc.array(fc.constantFrom('ask', 'answer', 'refuse'), { maxLength: 30 }), async (moves) => {
        const { answers, ask, answer, asked, shown } = newest();
        let last = 0;
        let answered = 0;
        for (const move of moves) {
          if (move === 'ask') answers.ask([ask(`${++last}`)], last);
          else if (asked.length > answered) {
            answered++;
            await answer(move === 'refuse' ? { kind: 'refused', sentence: 'no' } : undefined);
          }
        }
        while (asked.length > answered) {
          answered++;
          await answer();
        }
        if (last > 0) expect(shown.at(-1)![1]).to.equal(last);
      }),
    ));
});
