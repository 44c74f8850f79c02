import { expect } from 'chai';
import type { z } from 'zod';
import { BenchState, Logged, type NewBenchPlan, RecordEntry, SheetCard } from '../contracts/index.ts';
import { stepLog } from './db/schema.ts';
import { SHEET, emptyDesk, oil as pencil, withRegions } from './test/desk.ts';
import { textsOfPdf } from './test/read-pdf.ts';

describe('the bench', () => {
  const step = (layerId: string, after: string[]) => ({
    id: `thing-a/${layerId}`,
    thingId: 'thing-a',
    layerId,
    pencil: 'pencil-K1',
    regionIds: [1],
    pressure: 'light',
    passes: 1,
    after,
    stroke: 'small circles',
    point: 'normal',
    purpose: 'Base coat.',
    minutes: 3,
    value: 60,
    halfWidthMm: 2,
    zone: { field: 'tone', from: 0, to: 1, softnessMm: 0 },
  });
  const plan = (id = 'plan-one', order = ['thing-a/base', 'thing-a/shadow']): z.input<typeof NewBenchPlan> => ({
    id,
    planRevision: 0,
    model: 'test',
    openThings: 2,
    order,
    pickUps: 1,
    minutes: 6,
    lowerBound: 1,
    steps: [step('base', []), step('shadow', ['thing-a/base'])],
    sittings: [{ steps: order, minutes: 6 }],
    pencils: [{ id: 'pencil-K1', code: 'K1', name: 'kelp', colour: '#4c5a2e' }],
    things: [{ id: 'thing-a', name: 'Roof' }],
  });
  const entry = (id: string, stepId: string, kind = 'done', planId = 'plan-one') => ({
    id,
    planId,
    stepId,
    kind,
    startedAt: '2026-05-01T19:00:00.000Z',
    finishedAt: '2026-05-01T19:04:00.000Z',
  });

  async function planned() {
    const desk = await emptyDesk();
    await withRegions(desk);
    await desk.api.post(`/api/sheets/${SHEET}/bench`).send(plan());
    const log = (...entries: object[]) => desk.api.post(`/api/sheets/${SHEET}/log`).send(entries);
    const bench = async () => BenchState.parse((await desk.api.get(`/api/sheets/${SHEET}/bench`)).body);
    return { ...desk, log, bench };
  }

  it('keeps what is done in order, once, and takes it back only by saying so', async () => {
    const { api, log, bench, db } = await planned();
    await log(entry('log-one', 'thing-a/base'));
    await log(entry('log-one', 'thing-a/base'));
    await log(entry('log-two', 'thing-a/shadow'));
    await log(entry('log-three', 'thing-a/shadow', 'not done after all'));
    expect((await bench()).done.map((each) => each.stepId)).to.deep.equal(['thing-a/base']);
    expect(await db.select().from(stepLog)).to.have.length(3);
    const [card] = (await api.get('/api/sheets')).body;
    expect(SheetCard.parse(card)).to.include({ steps: 2, stepsDone: 1, regions: 6 });
    // What was done by an earlier plan counts on when the rest is planned anew.
    await api
      .post(`/api/sheets/${SHEET}/bench`)
      .send({ ...plan(), id: 'plan-again' })
      .expect(200);
    const [later] = (await api.get('/api/sheets')).body;
    expect(SheetCard.parse(later)).to.include({ steps: 3, stepsDone: 1 });
  });

  it('answers a press with no more than what tells whether something came from elsewhere', async () => {
    const { api, log, bench } = await planned();
    const first = Logged.parse((await log(entry('log-one', 'thing-a/base'))).body);
    expect(first).to.deep.include({ planId: 'plan-one', before: 0, last: (await bench()).last });
    // Shapes of one step come together, and are taken together or not at all.
    const { body } = await log(entry('log-two', 'thing-a/shadow'), entry('log-three', 'thing-b/base'));
    expect(body.sentence).to.contain('not part of its plan');
    expect((await bench()).last).to.equal(first.last);
    await api.post(`/api/sheets/${SHEET}/bench`).send(plan('plan-two'));
    // Another device still works by the earlier order: it hears of the new one.
    expect(Logged.parse((await log(entry('log-four', 'thing-a/shadow'))).body).planId).to.equal('plan-two');
    expect((await log()).body.sentence).to.contain('nothing to write down');
  });

  it('writes finished steps down with pencil, thing and time, over all plans', async () => {
    const { api, log } = await planned();
    await log(entry('log-one', 'thing-a/base'));
    await api.post(`/api/sheets/${SHEET}/bench`).send(plan('plan-two'));
    const record = (await api.get(`/api/sheets/${SHEET}/record`)).body;
    expect(RecordEntry.parse(record[0])).to.deep.include({
      thing: 'Roof',
      pressure: 'light',
      plannedMinutes: 3,
      regions: 1,
    });
    expect(record[0].pencil.code).to.equal('K1');
    expect((await api.get(`/api/sheets/${SHEET}/bench`)).body.plan.id).to.equal('plan-two');
  });

  it('never plans anew what an earlier order finished, however often the rest is put in order again', async () => {
    const { api, log } = await planned();
    await log(entry('log-one', 'thing-a/base'));
    for (const id of ['plan-two', 'plan-three']) await api.post(`/api/sheets/${SHEET}/bench`).send(plan(id));
    const { finished, done } = BenchState.parse((await api.get(`/api/sheets/${SHEET}/bench`)).body);
    expect(done).to.deep.equal([]);
    expect(finished).to.deep.equal([{ thingId: 'thing-a', layerId: 'base', regionIds: [1] }]);
  });

  it('knows what was put off and how long was worked at what is half done', async () => {
    const { log, bench } = await planned();
    const half = { ...entry('log-one', 'thing-a/base', 'part done'), pausedSeconds: 60 };
    await log(half);
    await log(entry('log-two', 'thing-a/base', 'skipped'));
    const { begun, skipped, done } = await bench();
    expect({ skipped, done }).to.deep.equal({ skipped: ['thing-a/base'], done: [] });
    expect(begun['thing-a/base']).to.be.closeTo(3, 1e-9);
    await log(entry('log-three', 'thing-a/base'));
    expect((await bench()).skipped).to.deep.equal([]);
  });

  it('writes down the pencil that was really used, if it is one of the tray', async () => {
    const { api, log, bench } = await planned();
    await api.post('/api/trays/my-pencils/pencils').send({ pencils: [pencil('K1'), pencil('K2')] });
    const used = { ...entry('log-one', 'thing-a/base'), usedPencil: 'pencil-K2', cameOut: 'darker' };
    await log(used);
    expect((await bench()).done[0]).to.include({ usedPencil: 'pencil-K2', cameOut: 'darker' });
    const { status, body } = await log({ ...entry('log-two', 'thing-a/shadow'), usedPencil: 'pencil-none' });
    expect(status).to.equal(422);
    expect(body.sentence).to.contain('not in the tray');
    const [written] = RecordEntry.array().parse((await api.get(`/api/sheets/${SHEET}/record`)).body);
    expect(written.pencil.code).to.equal('K2');
  });

  it('learns how fast this person works once enough steps were timed, and assumes it until then', async () => {
    const { api, log } = await planned();
    const rates = async () => (await api.get(`/api/sheets/${SHEET}/rates`)).body;
    expect((await rates()).learntFrom).to.equal(0);
    const layers = Array.from({ length: 9 }, (_, k) => `layer${k}`);
    const order = layers.map((layer) => `thing-a/${layer}`);
    const steps = layers.map((layer, k) => ({ ...step(layer, k ? [order[k - 1]] : []), coveredMm2: 400 }));
    const many = { ...plan('plan-many', order), steps };
    await api.post(`/api/sheets/${SHEET}/bench`).send(many).expect(200);
    for (const [k, id] of order.entries()) await log(entry(`log-many-${k}`, id, 'done', 'plan-many')).expect(200);
    const { learntFrom, minutesPerCm2 } = await rates();
    expect(learntFrom).to.equal(9);
    // Four minutes were taken for 4 cm2 that are taken to go in less than two.
    expect(minutesPerCm2.normal).to.be.above(0.6);
  });

  it('prints its order as a book: a map, sittings to tick, zone guides; and says so where there is none yet', async () => {
    const { api } = await planned();
    const book = await api.get(`/api/sheets/${SHEET}/bench-book.pdf`);
    expect(book.status).to.equal(200);
    expect(book.headers['content-type']).to.equal('application/pdf');
    const pages = await textsOfPdf(new Uint8Array(book.body as Buffer));
    expect(pages[0]).to.contain('2 steps in 1 sittings').and.to.contain('Roof');
    expect(pages[1]).to.contain('Sitting 1').and.to.contain('kelp').and.to.contain('Base coat.');
    const desk = await emptyDesk();
    await withRegions(desk);
    const none = await desk.api.get(`/api/sheets/${SHEET}/bench-book.pdf`);
    expect(none.status).to.equal(409);
    expect(none.body.sentence).to.contain('no order yet');
  });

  it('refuses sittings that do not hold its steps in turn', async () => {
    const { api } = await planned();
    const lost = { ...plan('plan-lost'), sittings: [{ steps: ['thing-a/base'], minutes: 3 }] };
    const { status, body } = await api.post(`/api/sheets/${SHEET}/bench`).send(lost);
    expect(status).to.equal(422);
    expect(body.sentence).to.contain('each once and in turn');
  });

  it('refuses an order that breaks its own rules', async () => {
    const { api } = await planned();
    const { status, body } = await api
      .post(`/api/sheets/${SHEET}/bench`)
      .send(plan('plan-bad', ['thing-a/shadow', 'thing-a/base']));
    expect(status).to.equal(422);
    expect(body.sentence).to.contain('comes before');
  });

  it('refuses steps of other plans and times that run backwards', async () => {
    const { log } = await planned();
    expect((await log(entry('log-one', 'thing-a/base', 'done', 'plan-nine'))).status).to.equal(404);
    expect((await log(entry('log-one', 'thing-b/base'))).body.sentence).to.contain('not part of its plan');
    const backwards = { ...entry('log-one', 'thing-a/base'), finishedAt: '2026-05-01T18:00:00.000Z' };
    expect((await log(backwards)).body.sentence).to.contain('before it was begun');
  });
});
