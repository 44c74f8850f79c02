import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import pino from 'pino';
import sharp from 'sharp';
import supertest from 'supertest';
import { gzipSync } from 'node:zlib';
import { sql } from 'drizzle-orm';
import type { Command, RegionsMeta, SheetState } from '../../contracts/index.ts';
import { type FindOptions, findRegions } from '../../core/lineart/index.ts';
import { type PlanEdit, edited } from '../../plan/index.ts';
import { createApp } from '../app.ts';
import { type Database, openDatabase } from '../db/open-database.ts';
import { ensureDesk } from '../services/desk.ts';
import { putHalfSheets } from './half-sheets.ts';

/** One database in memory for all server tests; each test begins with an empty desk. */
let opened: Promise<Awaited<ReturnType<typeof openDatabase>>> | null = null;

const sheets = mkdtempSync(join(tmpdir(), 'harmonie-sheets-'));
process.once('exit', () => rmSync(sheets, { recursive: true, force: true }));
await putHalfSheets(sheets);
/** Where the demo's sheets lie. */
export const DEMO_SHEETS = pathToFileURL(sheets + '/');

export async function emptyDesk(): Promise<{ db: Database; api: ReturnType<typeof supertest> }> {
  opened ??= openDatabase(null);
  const { db } = await opened;
  await db.execute(
    sql`truncate blobs, trays, pencils, sheets, region_maps, reference_pictures, commands, bench_plans, step_log, practice, palettes, recipe_cards, settings restart identity cascade`,
  );
  await ensureDesk(db);
  const app = createApp({ db, log: pino({ level: 'silent' }), demoSheets: DEMO_SHEETS, web: null });
  const server = supertest.agent(app);
  server.set('Host', 'localhost');
  return { db, api: server };
}

/** A page of `across` x `down` cells as a PNG. */
export function gridPng(across: number, down: number): Promise<Buffer> {
  const [width, height] = [across * 60 + 84, down * 60 + 84];
  const lines: string[] = [];
  for (let i = 0; i <= across; i++) lines.push(`<rect x="${40 + i * 60}" y="40" width="4" height="${down * 60 + 4}"/>`);
  for (let i = 0; i <= down; i++) lines.push(`<rect x="40" y="${40 + i * 60}" width="${across * 60 + 4}" height="4"/>`);
  const drawing = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><rect width="100%" height="100%" fill="#fff"/>${lines.join('')}</svg>`;
  return sharp(Buffer.from(drawing)).png().toBuffer();
}

/** Regions as the browser would find and pack them. */
export interface Found {
  meta: RegionsMeta;
  packed: Buffer;
}

/** The regions of a picture. @param wishes how they are found; default as usual */
export async function foundIn(
  png: Buffer,
  pixelsPerMm: number,
  from = `test@${pixelsPerMm}`,
  wishes: Omit<FindOptions, 'pixelsPerMm'> = {},
): Promise<Found> {
  const { data, info } = await sharp(png).greyscale().raw().toBuffer({ resolveWithObject: true });
  const grey = { width: info.width, height: info.height, data: new Uint8Array(data) };
  const index = await findRegions(grey, { pixelsPerMm, ...wishes });
  const { width, height, regions, neighbours, alike, doubts } = index;
  const meta = { from, seen: null, width, height, pixelsPerMm, regions, neighbours, alike, doubts };
  return { meta, packed: gzipSync(new Uint8Array(index.data)) };
}

/** Sends regions as the browser does. */
export function sendRegions({ api }: Pick<Desk, 'api'>, { meta, packed }: Found, id = SHEET) {
  return api.put(`/api/sheets/${id}/regions`).field('from', meta.from).attach('index', packed, 'index.gz');
}

export type Desk = Awaited<ReturnType<typeof emptyDesk>>;

/** The id of the sheet that tests bring in. */
export const SHEET = 'sheet-one';

export async function bringIn({ api }: Desk, file: Buffer, id = SHEET) {
  return api.post('/api/sheets').field('id', id).field('title', 'A grid').attach('file', file, 'page.png');
}

/** Brings a grid of cells in, with its regions found; six cells if nothing else is said. */
export async function withRegions(desk: Desk, { columns = 3, rows = 2, id = SHEET } = {}) {
  const png = await gridPng(columns, rows);
  await bringIn(desk, png, id);
  const found = await foundIn(png, 10);
  await sendRegions(desk, found, id).expect(200);
  return { ...found, png };
}

/** An oil pencil as it is added to a tray. */
export function oil(code: string) {
  return { id: `pencil-${code}`, code, name: 'kelp', set: 'Tide', type: 'oil', colour: '#4c5a2e', opacity: null };
}

let made = 0;

/** A change to a sheet as the browser makes it of what it shows. */
export function commandOn({ plan }: SheetState, edit: PlanEdit, id = `command-${++made}`): Command {
  const { patches, inverse } = edited(plan, edit);
  return { id, stage: 'sheet', label: 'a change', patches, inverse, regionsFrom: plan.regionsFrom };
}

/** The sheet as it stands. */
export async function sheetNow({ api }: Desk, id = SHEET): Promise<SheetState> {
  return (await api.get(`/api/sheets/${id}`).expect(200)).body;
}

/** Sends a change of the sheet as it stands. */
export async function change(desk: Desk, edit: PlanEdit, id?: string) {
  const command = commandOn(await sheetNow(desk), edit, id);
  return desk.api.post(`/api/sheets/${SHEET}/commands`).send(command);
}

/** Takes the last change back, or does it again. */
export async function stepBack(desk: Desk, which: 'undo' | 'redo'): Promise<SheetState> {
  const { revision: baseRevision } = await sheetNow(desk);
  return (await desk.api.post(`/api/sheets/${SHEET}/${which}`).send({ baseRevision }).expect(200)).body;
}
