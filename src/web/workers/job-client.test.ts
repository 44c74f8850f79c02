import { expect } from 'chai';
import { CancelledError } from '../../core/run/index.ts';
import { type Job } from './job.ts';
import { type Thread, JobClient, PRIORITY } from './job-client.ts';
import { hostOf } from './job-host.ts';

/** A promise with its ends in hand. */
function held<T>() {
  let resolve!: (value: T) => void;
  const promise = new Promise<T>((done) => (resolve = done));
  return { promise, resolve };
}

/** Jobs that wait until they are let go, and note when they begin. */
function heldJobs() {
  const begun: string[] = [];
  const gates = new Map<string, () => void>();
  const wait: Job<string, string> = {
    async run(name, run, soFar) {
      begun.push(name);
      soFar(`${name} so far`);
      run.progress(0.5, `doing ${name}`);
      const gate = held<void>();
      gates.set(name, () => gate.resolve());
      await gate.promise;
      if (run.cancelled()) throw new CancelledError();
      return `${name} done`;
    },
  };
  const fail: Job<string, never> = {
    run(sentence) {
      throw sentence.startsWith('!') ? new TypeError(sentence.slice(1)) : new RangeError(sentence);
    },
  };
  return { jobs: { wait, fail }, begun, letGo: (name: string) => gates.get(name)!() };
}

/** A client whose workers are fakes in this thread. */
function clientOf(jobs: ReturnType<typeof heldJobs>['jobs'], most = 1) {
  const threads: { ended: boolean; fail(sentence: string): void }[] = [];
  const client = new JobClient<typeof jobs>((): Thread => {
    const broken = held<string>();
    const thread = { ended: false, fail: broken.resolve };
    threads.push(thread);
    return { host: hostOf(jobs), broken: broken.promise, end: () => void (thread.ended = true) };
  }, most);
  return { client, threads };
}

const settled = () => new Promise((done) => setTimeout(done, 5));

describe('jobs for workers', () => {
  it('start a worker when the first is asked for, and none before', async () => {
    const { jobs, letGo } = heldJobs();
    const { client, threads } = clientOf(jobs);
    expect(threads).to.have.length(0);
    const job = client.start('wait', 'one');
    await settled();
    expect(threads).to.have.length(1);
    letGo('one');
    expect(await job.outcome).to.deep.equal({ kind: 'done', value: 'one done' });
  });

  it('find a worker there already that was started ahead, and start no other', async () => {
    const { jobs, letGo } = heldJobs();
    const { client, threads } = clientOf(jobs, 2);
    client.prepare();
    client.prepare();
    expect(threads).to.have.length(1);
    const job = client.start('wait', 'one');
    await settled();
    letGo('one');
    await job.outcome;
    expect(threads).to.have.length(1);
  });

  it('tell how far they are, and what they would come to', async () => {
    const { jobs, letGo } = heldJobs();
    const told: unknown[] = [];
    const job = clientOf(jobs).client.start('wait', 'one', {
      report: (share, doing) => told.push([share, doing]),
      soFar: (value) => told.push(value),
    });
    await settled();
    letGo('one');
    await job.outcome;
    expect(told).to.deep.equal(['one so far', [0.5, 'doing one']]);
  });

  it('are begun by what a hand waits for first, however late it came', async () => {
    const { jobs, begun, letGo } = heldJobs();
    const { client } = clientOf(jobs);
    for (const name of ['a', 'b']) client.start('wait', name);
    client.start('wait', 'ahead', { priority: PRIORITY.ahead });
    client.start('wait', 'usual');
    client.start('wait', 'waited for', { priority: PRIORITY.waitedFor });
    await settled();
    for (const name of ['a', 'b', 'waited for', 'usual']) {
      letGo(name);
      await settled();
    }
    expect(begun).to.deep.equal(['a', 'b', 'waited for', 'usual', 'ahead']);
  });

  it('share several workers where there may be several, the least busy first', async () => {
    const { jobs, begun } = heldJobs();
    const { client, threads } = clientOf(jobs, 2);
    for (const name of ['a', 'b', 'c', 'd', 'e']) client.start('wait', name);
    await settled();
    expect(threads).to.have.length(2);
    expect(begun).to.deep.equal(['a', 'b', 'c', 'd']);
  });

  it('that wait are taken out of the line by a cancel, and never begin', async () => {
    const { jobs, begun, letGo } = heldJobs();
    const { client } = clientOf(jobs);
    for (const name of ['a', 'b']) client.start('wait', name);
    const waits = client.start('wait', 'c');
    waits.cancel();
    expect(await waits.outcome).to.deep.equal({ kind: 'cancelled' });
    letGo('a');
    await settled();
    expect(begun).to.deep.equal(['a', 'b']);
  });

  it('under way are given up at once by a cancel, whatever they wait for themselves', async () => {
    const { jobs } = heldJobs();
    const { client } = clientOf(jobs);
    const job = client.start('wait', 'a');
    await settled();
    job.cancel();
    expect(await job.outcome).to.deep.equal({ kind: 'cancelled' });
    expect(client.isIdle).to.equal(false);
  });

  it('say nothing more once they are cancelled', async () => {
    const gate = held<void>();
    const ended = held<void>();
    const talk: Job<null, string> = {
      async run(_, run, soFar) {
        run.progress(0, 'beginning');
        await gate.promise;
        run.progress(1, 'ending');
        soFar('all of it');
        ended.resolve();
        return 'done';
      },
    };
    const host = hostOf({ talk });
    const client = new JobClient<{ talk: typeof talk }>(() => ({
      host,
      broken: new Promise(() => undefined),
      end: () => undefined,
    }));
    const told: unknown[] = [];
    const job = client.start('talk', null, {
      report: (_, doing) => told.push(doing),
      soFar: (value) => told.push(value),
    });
    await settled();
    job.cancel();
    gate.resolve();
    await ended.promise;
    expect(told).to.deep.equal(['beginning']);
  });

  it('that are refused come with their sentence, and a fault of the program with one too', async () => {
    const { jobs } = heldJobs();
    const { client } = clientOf(jobs);
    const sentence = 'Opacity runs from 0 to 1; 2 does not.';
    expect(await client.start('fail', sentence).outcome).to.deep.equal({ kind: 'refused', sentence });
    const { error } = console;
    console.error = () => undefined;
    try {
      expect(await client.start('fail', '!x is no function').outcome).to.deep.equal({
        kind: 'refused',
        sentence: 'This could not be worked out: x is no function',
      });
    } finally {
      console.error = error;
    }
  });

  it('of a worker that breaks are refused, and the next job has a new one', async () => {
    const { jobs, letGo } = heldJobs();
    const { client, threads } = clientOf(jobs);
    const lost = client.start('wait', 'a');
    await settled();
    threads[0].fail('A part of this program stopped working.');
    expect(await lost.outcome).to.deep.equal({ kind: 'refused', sentence: 'A part of this program stopped working.' });
    const next = client.start('wait', 'b');
    await settled();
    letGo('b');
    expect(await next.outcome).to.deep.equal({ kind: 'done', value: 'b done' });
    expect(threads.map(({ ended }) => ended)).to.deep.equal([true, false]);
  });

  it('rest: the workers end, and start again when they are needed', async () => {
    const { jobs, letGo } = heldJobs();
    const { client, threads } = clientOf(jobs);
    const one = client.start('wait', 'a');
    await settled();
    letGo('a');
    await one.outcome;
    client.rest();
    client.start('wait', 'b');
    await settled();
    expect(threads.map(({ ended }) => ended)).to.deep.equal([true, false]);
  });

  it('under way when their workers are put to rest end with them', async () => {
    const { jobs } = heldJobs();
    const { client } = clientOf(jobs);
    const job = client.start('wait', 'a');
    await settled();
    client.rest();
    expect(await job.outcome).to.deep.equal({ kind: 'cancelled' });
  });
});
