import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import {
  type CopyResult,
  type NewPencil,
  type Pencil,
  type PencilEdit,
  type PencilEdits,
  type Tray,
} from '../../contracts/index.ts';
import { pencilTypeById } from '../../core/laydown/index.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { pencils, trays } from '../db/schema.ts';
import { Refused, orNotFound } from '../refused.ts';

/** Id of the tray that a person's own sheets start with. */
export const MY_PENCILS = 'my-pencils';

/** Every tray with how many pencils it holds, one's own first. */
export async function listTrays(db: Database): Promise<Tray[]> {
  return db
    .select({
      id: trays.id,
      name: trays.name,
      origin: trays.origin,
      pencils: sql<number>`count(${pencils.id})::int`,
    })
    .from(trays)
    .leftJoin(pencils, eq(pencils.trayId, trays.id))
    .groupBy(trays.id)
    .orderBy(sql`${trays.origin} desc`, asc(trays.createdAt));
}

/** The pencils of a tray in their own order. */
export async function listPencils(db: Querying, trayId: string): Promise<Pencil[]> {
  await trayById(db, trayId);
  const rows = await db
    .select()
    .from(pencils)
    .where(eq(pencils.trayId, trayId))
    .orderBy(asc(pencils.place), asc(pencils.code));
  return rows.map(({ place: _place, ...pencil }) => pencil);
}

async function trayById(db: Querying, id: string) {
  const [tray] = await db.select().from(trays).where(eq(trays.id, id));
  return orNotFound(tray, 'This tray is not on the desk.');
}

/**
 * Puts new pencils into a tray, within a transaction. Those whose set and code are there already are left as they are.
 * @returns how many went in and how many were there
 */
export async function putPencils(tx: Querying, trayId: string, added: readonly NewPencil[]): Promise<CopyResult> {
  const { origin } = await trayById(tx, trayId);
  const unknown = added.find(({ type }) => !isType(type));
  if (unknown) throw new Refused(422, `The type of ${unknown.code} is not one that is known here.`);
  return insert(tx, trayId, origin, added);
}

/** Copies pencils of any tray into this one, as pencils that are here. */
export async function copyPencils(db: Database, trayId: string, pencilIds: readonly string[]): Promise<CopyResult> {
  return db.transaction(async (tx) => {
    const { origin } = await trayById(tx, trayId);
    const from = await tx
      .select()
      .from(pencils)
      .where(inArray(pencils.id, [...pencilIds]))
      .orderBy(asc(pencils.place));
    if (from.length === 0) throw new Refused(404, 'None of these pencils is on the desk.');
    return insert(
      tx,
      trayId,
      origin,
      from.map((pencil) => ({ ...pencil, id: copyId(trayId, pencil.id) })),
    );
  });
}

/** The same pencil copied twice into a tray would have the same id, so it is copied once. */
function copyId(trayId: string, pencilId: string): string {
  return `${trayId.slice(0, 10)}-${pencilId}`.slice(0, 40);
}

async function insert(
  tx: Querying,
  trayId: string,
  origin: 'demo' | 'own',
  added: readonly (NewPencil & Partial<Pick<Pencil, 'barrel' | 'hardness' | 'pointMinutes'>>)[],
): Promise<CopyResult> {
  const [placed] = await tx
    .select({ last: sql<number>`coalesce(max(${pencils.place}), 0)::int` })
    .from(pencils)
    .where(eq(pencils.trayId, trayId));
  const rows = added.map(({ id, set, code, name, type, colour, opacity, barrel, hardness, pointMinutes }, i) => ({
    id,
    set,
    code,
    name,
    type,
    colour,
    opacity,
    barrel,
    hardness,
    pointMinutes,
    trayId,
    origin,
    place: (placed?.last ?? 0) + 1 + i,
  }));
  const went = await tx.insert(pencils).values(rows).onConflictDoNothing().returning({ id: pencils.id });
  return { copied: went.length, there: added.length - went.length };
}

/** Changes what is known of a pencil. */
export async function editPencil(db: Database, trayId: string, id: string, edit: PencilEdit): Promise<Pencil> {
  refuseUnknownType(edit);
  const which = and(eq(pencils.id, id), eq(pencils.trayId, trayId));
  if (Object.keys(edit).length > 0) await db.update(pencils).set(edit).where(which);
  const [row] = await db.select().from(pencils).where(which);
  const { place: _place, ...pencil } = orNotFound(row, 'This pencil is not in the tray.');
  return pencil;
}

/** Makes the same edit to several pencils of a tray, all or none. */
export async function editPencils(db: Database, trayId: string, { pencilIds, edit }: PencilEdits): Promise<Pencil[]> {
  return db.transaction(async (tx) => {
    const ids = new Set((await listPencils(tx, trayId)).map(({ id }) => id));
    if (pencilIds.some((id) => !ids.has(id))) throw new Refused(404, 'One of these pencils is not in the tray.');
    refuseUnknownType(edit);
    if (Object.keys(edit).length > 0) await tx.update(pencils).set(edit).where(inArray(pencils.id, pencilIds));
    return listPencils(tx, trayId);
  });
}

function refuseUnknownType({ type }: PencilEdit): void {
  if (type !== undefined && !isType(type)) throw new Refused(422, 'This type of pencil is not one that is known here.');
}

function isType(id: string): boolean {
  try {
    pencilTypeById(id);
    return true;
  } catch {
    return false;
  }
}
