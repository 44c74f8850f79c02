import { and, asc, desc, eq, sql } from 'drizzle-orm';
import { nanoid } from 'nanoid';
import {
  type Command,
  Plan,
  type PlanChange,
  type SheetCard,
  type SheetEdit,
  type SheetState,
  emptyPlan,
} from '../../contracts/index.ts';
import { keepBlob } from '../db/blobs.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { commands, references, regionMaps, sheets } from '../db/schema.ts';
import { Refused, found } from '../refused.ts';
import { howFar } from './bench.ts';
import { kindOfOriginal, takeIn } from './intake.ts';
import { MY_PENCILS } from './trays.ts';

const NO_SHEET = 'This sheet is not on the desk.';

/** The shelf: every sheet with how far it is, the newest work first. */
export async function listSheets(db: Database): Promise<SheetCard[]> {
  const rows = await db
    .select({
      id: sheets.id,
      title: sheets.title,
      origin: sheets.origin,
      plan: sheets.plan,
      place: sheets.place,
      pictureHash: sheets.pictureHash,
      updatedAt: sheets.updatedAt,
      regions: sql<number>`coalesce(jsonb_array_length(${regionMaps.meta} -> 'regions'), 0)::int`,
    })
    .from(sheets)
    .leftJoin(regionMaps, eq(regionMaps.sheetId, sheets.id))
    .orderBy(desc(sheets.updatedAt), asc(sheets.id));
  const cards: SheetCard[] = [];
  for (const { plan, updatedAt, ...row } of rows) {
    cards.push({
      ...row,
      widthMm: plan.page.widthMm,
      heightMm: plan.page.heightMm,
      paper: plan.page.paper,
      things: plan.things.length,
      ...(await howFar(db, row.id)),
      updatedAt: updatedAt.toISOString(),
    });
  }
  return cards;
}

/**
 * Brings a page in as a sheet of one's own, planned with "My pencils".
 * @param id made by the client; a second try with the same id returns the first sheet
 * @param from the real size where it is known, and the file that the picture was taken out of, to be kept
 */
export async function createSheet(
  db: Database,
  id: string,
  title: string,
  file: Uint8Array,
  from: { size?: { widthMm: number; heightMm: number }; original?: Uint8Array } = {},
): Promise<SheetState> {
  const [there] = await db.select({ id: sheets.id }).from(sheets).where(eq(sheets.id, id));
  if (there) return sheetState(db, id);
  const { mime, picture, colours, scannedWidth, ...found } = await takeIn(file);
  const { widthMm, heightMm } = from.size ?? found;
  await db.transaction(async (tx) => {
    const originalHash = from.original
      ? await keepBlob(tx, kindOfOriginal(from.original), from.original)
      : await keepBlob(tx, mime, file);
    const pictureHash = await keepBlob(tx, 'image/png', picture.png);
    const coloursHash = colours && (await keepBlob(tx, 'image/jpeg', colours));
    await tx.insert(sheets).values({
      id,
      title,
      origin: 'own',
      trayId: MY_PENCILS,
      originalHash,
      pictureHash,
      coloursHash,
      scannedWidth: from.original ? null : scannedWidth,
      pictureWidth: picture.width,
      pictureHeight: picture.height,
      plan: emptyPlan({ widthMm, heightMm, paper: 'white-book' }),
    });
  });
  return sheetState(db, id);
}

/** A sheet as its stages work on it. */
export async function sheetState(db: Querying, id: string): Promise<SheetState> {
  const [sheet] = await db.select().from(sheets).where(eq(sheets.id, id));
  found(sheet, NO_SHEET);
  const [regions] = await db.select({ meta: regionMaps.meta }).from(regionMaps).where(eq(regionMaps.sheetId, id));
  const [last] = await lastDone(db, id);
  const [next] = await firstUndone(db, id);
  return {
    id,
    title: sheet.title,
    origin: sheet.origin,
    trayId: sheet.trayId,
    picture: { width: sheet.pictureWidth, height: sheet.pictureHeight, hash: sheet.pictureHash },
    scannedWidth: sheet.scannedWidth,
    coloursHash: sheet.coloursHash,
    hasKey: sheet.keyHash !== null,
    revision: sheet.revision,
    plan: Plan.parse(sheet.plan),
    undo: last?.label ?? null,
    redo: next?.label ?? null,
    regionsFrom: regions?.meta.from ?? null,
  };
}

/** Renames a sheet, gives it another tray or puts it in another place. Only its work counts as working on it. */
export async function editSheet(db: Database, id: string, edit: SheetEdit): Promise<SheetState> {
  const worked = edit.title !== undefined || edit.trayId !== undefined;
  if (Object.keys(edit).length > 0)
    await db
      .update(sheets)
      .set({ ...edit, ...(worked && { updatedAt: new Date() }) })
      .where(eq(sheets.id, id));
  return sheetState(db, id);
}

/**
 * Makes a sheet of one's own out of another: its page, its regions, its pinned pictures and everything decided, with
 * nothing done yet.
 * @param id made by the client; a second try with the same id returns the first copy
 */
export async function copySheet(db: Database, from: string, id: string, title: string): Promise<SheetState> {
  await db.transaction(async (tx) => {
    const sheet = await sheetForUpdate(tx, from);
    const added = await tx
      .insert(sheets)
      .values({ ...sheet, id, title, origin: 'own', place: 'shelf', createdAt: new Date(), updatedAt: new Date() })
      .onConflictDoNothing()
      .returning({ id: sheets.id });
    if (added.length === 0) return;
    const [regions] = await tx.select().from(regionMaps).where(eq(regionMaps.sheetId, from));
    if (regions) await tx.insert(regionMaps).values({ ...regions, sheetId: id });
    const pinned = and(eq(references.sheetId, from), eq(references.pinned, true));
    for (const reference of await tx.select().from(references).where(pinned))
      await tx.insert(references).values({ ...reference, id: nanoid(), sheetId: id });
  });
  return sheetState(db, id);
}

/**
 * Applies one change to a sheet's plan and logs it with what stood before.
 * @throws Refused (409, with the newer revision) when the change was made against an older plan
 */
export async function applyCommand(db: Database, sheetId: string, command: Command): Promise<SheetState> {
  return db.transaction(async (tx) => {
    const sheet = await sheetForUpdate(tx, sheetId);
    const [known] = await tx.select({ id: commands.id }).from(commands).where(eq(commands.id, command.id));
    if (known) return sheetState(tx, sheetId);
    refuseStale(sheet.revision, command.baseRevision);
    const before = Object.fromEntries(
      Object.keys(command.change).map((section) => [section, sheet.plan[section as keyof Plan]]),
    ) as PlanChange;
    await tx.delete(commands).where(and(eq(commands.sheetId, sheetId), eq(commands.undone, true)));
    const { id, stage, label, change } = command;
    await tx.insert(commands).values({ id, sheetId, stage, label, before, after: change });
    await storePlan(tx, sheetId, { ...sheet.plan, ...change }, sheet.revision + 1);
    return sheetState(tx, sheetId);
  });
}

/** Takes the last change back; with nothing to take back, nothing happens. */
export function undo(db: Database, sheetId: string, baseRevision: number): Promise<SheetState> {
  return step(db, sheetId, baseRevision, lastDone, (command) => command.before, true);
}

/** Does again what was taken back last; with nothing taken back, nothing happens. */
export function redo(db: Database, sheetId: string, baseRevision: number): Promise<SheetState> {
  return step(db, sheetId, baseRevision, firstUndone, (command) => command.after, false);
}

type LoggedCommand = typeof commands.$inferSelect;

async function step(
  db: Database,
  sheetId: string,
  baseRevision: number,
  which: (db: Querying, sheetId: string) => Promise<LoggedCommand[]>,
  change: (command: LoggedCommand) => PlanChange,
  undone: boolean,
): Promise<SheetState> {
  return db.transaction(async (tx) => {
    const sheet = await sheetForUpdate(tx, sheetId);
    refuseStale(sheet.revision, baseRevision);
    const [command] = await which(tx, sheetId);
    if (!command) return sheetState(tx, sheetId);
    await tx.update(commands).set({ undone }).where(eq(commands.id, command.id));
    await storePlan(tx, sheetId, { ...sheet.plan, ...change(command) }, sheet.revision + 1);
    return sheetState(tx, sheetId);
  });
}

async function sheetForUpdate(tx: Querying, id: string) {
  const [sheet] = await tx.select().from(sheets).where(eq(sheets.id, id)).for('update');
  return found(sheet, NO_SHEET);
}

function refuseStale(revision: number, baseRevision: number): void {
  if (revision === baseRevision) return;
  throw new Refused(409, 'This sheet was changed elsewhere meanwhile; the newer state is shown now.', revision);
}

/** Writes a plan that is whole and valid, or nothing. */
export async function storePlan(tx: Querying, id: string, plan: Plan, revision: number): Promise<void> {
  await tx
    .update(sheets)
    .set({ plan: Plan.parse(plan), revision, updatedAt: new Date() })
    .where(eq(sheets.id, id));
}

function lastDone(db: Querying, sheetId: string): Promise<LoggedCommand[]> {
  const which = and(eq(commands.sheetId, sheetId), eq(commands.undone, false));
  return db.select().from(commands).where(which).orderBy(desc(commands.seq)).limit(1);
}

function firstUndone(db: Querying, sheetId: string): Promise<LoggedCommand[]> {
  const which = and(eq(commands.sheetId, sheetId), eq(commands.undone, true));
  return db.select().from(commands).where(which).orderBy(asc(commands.seq)).limit(1);
}
