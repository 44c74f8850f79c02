import { type SQL, and, asc, desc, eq, sql } from 'drizzle-orm';
import { nanoid } from 'nanoid';
import {
  type Command,
  type Patch,
  Plan,
  type SheetCard,
  type SheetEdit,
  type SheetState,
  emptyPlan,
} from '../../contracts/index.ts';
import { type PlanEdit, PatchError, conflictsOf, edited, overlap, patched, readPlan } from '../../plan/index.ts';
import { keepBlob } from '../db/blobs.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { commands, references, regionMaps, sheets } from '../db/schema.ts';
import { NO_SHEET, Refused, orNotFound, refuseMissing } from '../refused.ts';
import { progressOfSheets } from './bench.ts';
import { kindOfOriginal, takeIn } from './intake.ts';
import { MY_PENCILS } from './trays.ts';

/** The shelf: every sheet with how far it is, the newest work first. */
export async function listSheets(db: Database): Promise<SheetCard[]> {
  const rows = await db
    .select({
      id: sheets.id,
      title: sheets.title,
      origin: sheets.origin,
      widthMm: sheets.widthMm,
      heightMm: sheets.heightMm,
      paper: sheets.paper,
      things: sheets.thingCount,
      place: sheets.place,
      pictureHash: sheets.pictureHash,
      updatedAt: sheets.updatedAt,
      regions: regionMaps.count,
    })
    .from(sheets)
    .leftJoin(regionMaps, and(eq(regionMaps.sheetId, sheets.id), eq(regionMaps.from, sheets.regionsFrom)))
    .orderBy(desc(sheets.updatedAt), asc(sheets.id));
  const far = await progressOfSheets(db);
  return rows.map(({ regions, updatedAt, ...row }) => {
    const { steps, stepsDone } = far.get(row.id) ?? { steps: 0, stepsDone: 0 };
    return { ...row, regions: regions ?? 0, steps, stepsDone, updatedAt: updatedAt.toISOString() };
  });
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
      ...planColumns(emptyPlan({ widthMm, heightMm, paper: 'white-book' })),
    });
  });
  return sheetState(db, id);
}

/** A sheet as its stages work on it. */
export async function sheetState(db: Querying, id: string): Promise<SheetState> {
  const [sheet] = await db.select().from(sheets).where(eq(sheets.id, id));
  refuseMissing(sheet, NO_SHEET);
  const [last] = await db.select({ label: commands.label }).from(commands).where(lastDone(id));
  const [next] = await db.select({ label: commands.label }).from(commands).where(firstUndone(id));
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
    plan: readPlan(sheet.plan),
    undo: last?.label ?? null,
    redo: next?.label ?? null,
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
    const present = and(eq(regionMaps.sheetId, from), eq(regionMaps.from, sheet.regionsFrom ?? ''));
    const [regions] = await tx.select().from(regionMaps).where(present);
    if (regions) await tx.insert(regionMaps).values({ ...regions, sheetId: id });
    const pinned = and(eq(references.sheetId, from), eq(references.pinned, true));
    for (const reference of await tx.select().from(references).where(pinned))
      await tx.insert(references).values({ ...reference, id: nanoid(), sheetId: id });
  });
  return sheetState(db, id);
}

/**
 * Makes one change to a sheet's plan and logs it. It may have been made against an older plan, as long as every place
 * that it changes still holds what the person who changed it saw there.
 * @throws Refused (409, with what was done there meanwhile) where it does not
 */
export async function applyCommand(db: Database, sheetId: string, command: Command): Promise<SheetState> {
  const { id, stage, label, patches, inverse, regionsFrom } = command;
  return db.transaction(async (tx) => {
    const sheet = await sheetForUpdate(tx, sheetId);
    const [known] = await tx.select({ id: commands.id }).from(commands).where(eq(commands.id, id));
    if (known) return sheetState(tx, sheetId);
    const plan = readPlan(sheet.plan);
    const [conflict] = conflictsOf(plan, { patches: [...patches], inverse: [...inverse] });
    if (conflict) throw changedElsewhere(label, await lastChangeOf(tx, sheetId, conflict), sheet.revision);
    if (regionsFrom !== plan.regionsFrom && speaksOfRegions(patches))
      throw changedElsewhere(label, 'the regions found anew', sheet.revision);
    await logChange(tx, sheet, { id, stage, label }, (draft) => Object.assign(draft, patchedOrRefused(plan, patches)));
    return sheetState(tx, sheetId);
  });
}

/** Makes a change to a sheet's plan that the server works out itself. @param id a second try with the same changes nothing */
export async function editPlan(
  db: Database,
  sheetId: string,
  change: Pick<Command, 'id' | 'stage' | 'label'>,
  edit: PlanEdit,
): Promise<SheetState> {
  return db.transaction(async (tx) => {
    const sheet = await sheetForUpdate(tx, sheetId);
    const [known] = await tx.select({ id: commands.id }).from(commands).where(eq(commands.id, change.id));
    if (!known) await logChange(tx, sheet, change, edit);
    return sheetState(tx, sheetId);
  });
}

type SheetRow = typeof sheets.$inferSelect;

async function logChange(
  tx: Querying,
  sheet: SheetRow,
  change: Pick<Command, 'id' | 'stage' | 'label'>,
  edit: PlanEdit,
): Promise<void> {
  const { plan, patches, inverse } = edited(readPlan(sheet.plan), edit);
  if (patches.length === 0) return;
  await tx.delete(commands).where(and(eq(commands.sheetId, sheet.id), eq(commands.undone, true)));
  await tx.insert(commands).values({ ...change, sheetId: sheet.id, patches, inverse });
  await storePlan(tx, sheet.id, plan, sheet.revision + 1);
}

/** The label of the last change that touched the place of a patch. */
async function lastChangeOf(tx: Querying, sheetId: string, patch: Patch): Promise<string> {
  const log = await tx
    .select({ label: commands.label, patches: commands.patches })
    .from(commands)
    .where(and(eq(commands.sheetId, sheetId), eq(commands.undone, false)))
    .orderBy(desc(commands.seq))
    .limit(50);
  return log.find(({ patches }) => overlap(patches, [patch]))?.label ?? 'a change taken back';
}

function changedElsewhere(here: string, there: string, revision: number): Refused {
  return new Refused(409, 'The same was changed elsewhere meanwhile.', { revision, conflict: { here, there } });
}

function patchedOrRefused(plan: Plan, patches: readonly Patch[]): Plan {
  try {
    return patched(plan, patches);
  } catch (error) {
    if (error instanceof PatchError) throw new Refused(422, error.message);
    throw error;
  }
}

/** Whether patches name regions by their ids, which mean something only as long as regions are not found anew. */
function speaksOfRegions(patches: readonly Patch[]): boolean {
  return patches.some(({ path, value }) => {
    const [section, , part] = path;
    return (
      section === 'regions' ||
      (section === 'things' &&
        (part === 'regionIds' || part === 'repairs' || (path.length === 2 && value !== undefined)))
    );
  });
}

/** Takes the last change back; with nothing to take back, nothing happens. */
export function undo(db: Database, sheetId: string, baseRevision: number): Promise<SheetState> {
  return step(db, sheetId, baseRevision, lastDone(sheetId), 'inverse');
}

/** Does again what was taken back last; with nothing taken back, nothing happens. */
export function redo(db: Database, sheetId: string, baseRevision: number): Promise<SheetState> {
  return step(db, sheetId, baseRevision, firstUndone(sheetId), 'patches');
}

async function step(
  db: Database,
  sheetId: string,
  baseRevision: number,
  which: SQL,
  by: 'patches' | 'inverse',
): Promise<SheetState> {
  return db.transaction(async (tx) => {
    const sheet = await sheetForUpdate(tx, sheetId);
    refuseStale(sheet.revision, baseRevision);
    const [change] = await tx.select({ id: commands.id, patches: commands[by] }).from(commands).where(which);
    if (!change) return sheetState(tx, sheetId);
    await tx
      .update(commands)
      .set({ undone: by === 'inverse' })
      .where(eq(commands.id, change.id));
    await storePlan(tx, sheetId, patchedOrRefused(readPlan(sheet.plan), change.patches), sheet.revision + 1);
    return sheetState(tx, sheetId);
  });
}

/** The row of a sheet, kept from others until this transaction ends. @throws Refused (404) where it is not there */
export async function sheetForUpdate(tx: Querying, id: string): Promise<SheetRow> {
  const [sheet] = await tx.select().from(sheets).where(eq(sheets.id, id)).for('update');
  return orNotFound(sheet, NO_SHEET);
}

function refuseStale(revision: number, baseRevision: number): void {
  if (revision === baseRevision) return;
  throw new Refused(409, 'This sheet was changed elsewhere meanwhile; the newer state is shown now.', { revision });
}

/** Writes a plan that is whole and valid, or nothing. */
export async function storePlan(tx: Querying, id: string, plan: Plan, revision: number): Promise<void> {
  await tx
    .update(sheets)
    .set({ ...planColumns(Plan.parse(plan)), revision, updatedAt: new Date() })
    .where(eq(sheets.id, id));
}

/** A plan as a sheet's row holds it, with what the shelf shows of it. */
export function planColumns(plan: Plan) {
  const { widthMm, heightMm, paper } = plan.page;
  const thingCount = Object.keys(plan.things).length;
  return { plan, widthMm, heightMm, paper, thingCount, regionsFrom: plan.regionsFrom };
}

/** Of a sheet's changes the last that stands. */
export function lastDone(sheetId: string): SQL {
  return sql`${commands.seq} = (select max(seq) from ${commands} where sheet_id = ${sheetId} and not undone)`;
}

/** Of a sheet's changes the first that was taken back. */
function firstUndone(sheetId: string): SQL {
  return sql`${commands.seq} = (select min(seq) from ${commands} where sheet_id = ${sheetId} and undone)`;
}
