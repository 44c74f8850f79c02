import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { keepBlob, readBlob } from './db/blobs.ts';
import { openDatabase } from './db/open-database.ts';
import { blobs, commands, sheets } from './db/schema.ts';
import { startOver } from './fresh.ts';
import { lockFolder } from './lock.ts';
import { ensureDesk } from './services/desk.ts';
import { createSheet, sheetState } from './services/sheets.ts';
import { emptyDesk, gridPng } from './test/desk.ts';

const SHEET = 'sheet-one';

describe('keeping', () => {
  let folder: string;
  beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'harmonie-keep-'))));
  afterEach(() => rmSync(folder, { recursive: true, force: true }));

  it('what was stored is there after the database was closed and opened again', async () => {
    const first = await openDatabase(folder);
    await ensureDesk(first.db);
    const before = await createSheet(first.db, SHEET, 'A grid', await gridPng(2, 2));
    await first.close();
    const second = await openDatabase(folder);
    expect(await sheetState(second.db, SHEET)).to.deep.equal(before);
    await second.close();
  }).timeout(60_000);

  it('starting over keeps the old desk beside the new one, each under its time', () => {
    expect(startOver(folder)).to.equal(null);
  });

  it('a folder can be taken once', async () => {
    await lockFolder(folder);
    const fault = await lockFolder(folder).then(
      () => null,
      (error: Error) => error.message,
    );
    expect(fault).to.contain('already running');
  });
});

describe('pictures by their content', () => {
  it('are stored once however often they come', async () => {
    const { db } = await emptyDesk();
    const bytes = new TextEncoder().encode('ink on paper');
    const [one, two] = [await keepBlob(db, 'image/png', bytes), await keepBlob(db, 'image/png', bytes)];
    expect(one).to.equal(two);
    expect(await db.select().from(blobs)).to.have.length(1);
    expect(new TextDecoder().decode((await readBlob(db, one)).bytes)).to.equal('ink on paper');
  });
});

describe('two tabs at once', () => {
  const change = (id: string, label: string) => ({
    id,
    label,
    stage: 'light',
    baseRevision: 0,
    change: { light: { kind: 'direction', azimuthDegrees: label.length, heightDegrees: 45 } },
  });

  it('one change is taken, the other is refused with the newer state, and nothing is half written', async () => {
    const { api, db } = await emptyDesk();
    await createSheet(db, SHEET, 'A grid', await gridPng(2, 2));
    const send = (body: object) => api.post(`/api/sheets/${SHEET}/commands`).send(body);
    const answers = await Promise.all([send(change('from-tab-1', 'one')), send(change('from-tab-2', 'the other'))]);
    expect(answers.map((answer) => answer.status).sort()).to.deep.equal([200, 409]);
    const logged = await db.select().from(commands).where(eq(commands.sheetId, SHEET));
    const [sheet] = await db.select().from(sheets);
    expect(logged).to.have.length(1);
    expect(sheet.plan.light).to.deep.equal(logged[0].after.light);
    expect(sheet.revision).to.equal(1);
  });

  it('ten changes sent at once with one id are one', async () => {
    const { api, db } = await emptyDesk();
    await createSheet(db, SHEET, 'A grid', await gridPng(2, 2));
    const answers = await Promise.all(
      Array.from({ length: 10 }, () => api.post(`/api/sheets/${SHEET}/commands`).send(change('same-again', 'one'))),
    );
    expect(answers.every((answer) => answer.status === 200)).to.equal(true);
    expect(answers.every((answer) => answer.body.revision === 1)).to.equal(true);
    expect(await db.select().from(commands)).to.have.length(1);
  });
});

describe('undo without end', () => {
  it('goes back through every change in turn and forward again to where it was', async () => {
    const { api, db } = await emptyDesk();
    await createSheet(db, SHEET, 'A grid', await gridPng(2, 2));
    let revision = 0;
    const send = async (path: string, body: object) => {
      const answer = await api.post(`/api/sheets/${SHEET}/${path}`).send({ ...body, baseRevision: revision });
      revision = answer.body.revision;
      return answer.body;
    };
    const anchors = [10, 20, 30, 40, 50];
    for (const anchor of anchors) {
      const wheel = { anchor, scheme: 'triad' };
      await send('commands', {
        id: `turn-to-${anchor}`,
        stage: 'wheel',
        label: `turn to ${anchor}`,
        change: { wheel },
      });
    }
    for (const anchor of [40, 30, 20, 10, 60]) expect((await send('undo', {})).plan.wheel.anchor).to.equal(anchor);
    const bottom = await send('undo', {});
    expect(bottom).to.include({ undo: null, redo: 'turn to 10' });
    for (const anchor of anchors) expect((await send('redo', {})).plan.wheel.anchor).to.equal(anchor);
    expect((await send('redo', {})).redo).to.equal(null);
  });
});

describe('the head of an answer', () => {
  it('lets the page run its own scripts only, and tells nothing of the server', async () => {
    const { api } = await emptyDesk();
    const { headers } = await api.get('/api/health');
    expect(headers['content-security-policy']).to.contain("script-src 'self'");
    expect(headers['content-security-policy']).to.not.contain('upgrade-insecure-requests');
    expect(headers).to.not.have.property('x-powered-by');
    expect(headers).to.not.have.property('strict-transport-security');
  });

  it('lets a working picture be kept for good, since its address names its content', async () => {
    const { api, db } = await emptyDesk();
    const { picture } = await createSheet(db, SHEET, 'A grid', await gridPng(2, 2));
    const answer = await api.get(`/api/sheets/${SHEET}/picture/${picture.hash}`);
    expect(answer.headers['cache-control']).to.contain('immutable');
    expect((await api.get(`/api/sheets/${SHEET}/picture/another`)).status).to.equal(404);
  });
});
