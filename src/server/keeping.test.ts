import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import type { SheetState } from '../contracts/index.ts';
import { decide, patched } from '../plan/index.ts';
import { keepBlob, readBlob } from './db/blobs.ts';
import { openDatabase } from './db/open-database.ts';
import { blobs, commands, sheets } from './db/schema.ts';
import { startOver } from './fresh.ts';
import { lockFolder } from './lock.ts';
import { ensureDesk } from './services/desk.ts';
import { createSheet, sheetState } from './services/sheets.ts';
import { commandOn, emptyDesk, gridPng } from './test/desk.ts';

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
  const turned = (sheet: SheetState, id: string, azimuthDegrees: number) => ({
    ...commandOn(sheet, (plan) => decide(plan, { light: { kind: 'direction', azimuthDegrees, heightDegrees: 45 } })),
    id,
  });

  it('one change is taken, the other is refused with the newer state, and nothing is half written', async () => {
    const { api, db } = await emptyDesk();
    const seen = await createSheet(db, SHEET, 'A grid', await gridPng(2, 2));
    const send = (body: object) => api.post(`/api/sheets/${SHEET}/commands`).send(body);
    const answers = await Promise.all([send(turned(seen, 'from-tab-1', 30)), send(turned(seen, 'from-tab-2', 60))]);
    expect(answers.map((answer) => answer.status).sort()).to.deep.equal([200, 409]);
    const logged = await db.select().from(commands).where(eq(commands.sheetId, SHEET));
    const [sheet] = await db.select().from(sheets);
    expect(logged).to.have.length(1);
    expect(patched(seen.plan, logged[0].patches)).to.deep.equal(sheet.plan);
    expect(sheet.revision).to.equal(1);
  });

  it('ten changes sent at once with one id are one', async () => {
    const { api, db } = await emptyDesk();
    const command = turned(await createSheet(db, SHEET, 'A grid', await gridPng(2, 2)), 'same-again', 30);
    const answers = await Promise.all(
      Array.from({ length: 10 }, () => api.post(`/api/sheets/${SHEET}/commands`).send(command)),
    );
    expect(answers.every((answer) => answer.status === 200)).to.equal(true);
    expect(answers.every((answer) => answer.body.revision === 1)).to.equal(true);
    expect(await db.select().from(commands)).to.have.length(1);
  });
});

describe('undo without end', () => {
  it('goes back through every change in turn and forward again to where it was', async () => {
    const { api, db } = await emptyDesk();
    let sheet = await createSheet(db, SHEET, 'A grid', await gridPng(2, 2));
    const send = async (path: string, body: object) => {
      const request = api.post(`/api/sheets/${SHEET}/${path}`).send({ ...body, baseRevision: sheet.revision });
      return (sheet = (await request.expect(200)).body);
    };
    const anchors = [10, 20, 30, 40, 50];
    for (const anchor of anchors) {
      const command = commandOn(sheet, (plan) => (plan.wheel.anchor = anchor), `turn-to-${anchor}`);
      await send('commands', { ...command, label: `turn to ${anchor}` });
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
