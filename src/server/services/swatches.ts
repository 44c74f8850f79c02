import { and, asc, eq } from 'drizzle-orm';
import type { z } from 'zod';
import {
  type AddPencils,
  type AddReadings,
  type CopyResult,
  type NewSwatch,
  NewTrayFit,
  type ReadOn,
  type Swatch,
  type Tool,
  type TrayFit,
} from '../../contracts/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { pencils, swatches, tools, trayFits } from '../db/schema.ts';
import { Refused, orNotFound } from '../refused.ts';
import { listPencils, putPencils } from './trays.ts';

/** Every patch of a pencil that an instrument has read, in the order in which they were read. */
export async function listSwatches(db: Querying, trayId: string, pencilId: string): Promise<Swatch[]> {
  await pencilOf(db, trayId, pencilId);
  const rows = await db
    .select()
    .from(swatches)
    .where(eq(swatches.pencilId, pencilId))
    .orderBy(asc(swatches.at), asc(swatches.id));
  return rows.map(({ at, ...row }) => ({ ...row, at: at.toISOString() }));
}

/** Every patch of a tray's pencils that was read on one paper. */
export async function listSwatchesOn(db: Querying, trayId: string, paper: string): Promise<Swatch[]> {
  const rows = await db
    .select({ swatch: swatches })
    .from(swatches)
    .innerJoin(pencils, eq(pencils.id, swatches.pencilId))
    .where(and(eq(pencils.trayId, trayId), eq(swatches.paper, paper)))
    .orderBy(asc(pencils.place), asc(swatches.at), asc(swatches.id));
  return rows.map(({ swatch: { at, ...row } }) => ({ ...row, at: at.toISOString() }));
}

/** On which papers each pencil of a tray was read. */
export async function listReadOn(db: Querying, trayId: string): Promise<ReadOn> {
  const rows = await db
    .select({ pencilId: swatches.pencilId, paper: swatches.paper })
    .from(swatches)
    .innerJoin(pencils, eq(pencils.id, swatches.pencilId))
    .where(eq(pencils.trayId, trayId))
    .groupBy(swatches.pencilId, swatches.paper)
    .orderBy(asc(swatches.pencilId), asc(swatches.paper));
  const readOn: ReadOn = {};
  for (const { pencilId, paper } of rows) (readOn[pencilId] ??= []).push(paper);
  return readOn;
}

/** What the swatches of a tray come to, one for each paper that was fitted. */
export async function listFits(db: Querying, trayId: string): Promise<TrayFit[]> {
  const rows = await db.select().from(trayFits).where(eq(trayFits.trayId, trayId)).orderBy(asc(trayFits.paper));
  return rows.map(({ paper, content, at }) => ({
    // Those of earlier editions lack what was not sought then.
    ...NewTrayFit.parse(content),
    paper,
    at: at.toISOString(),
  }));
}

/** Keeps what the swatches of a tray on one paper come to, in place of what was kept before. */
export async function storeFit(db: Database, trayId: string, paper: string, content: NewTrayFit): Promise<TrayFit[]> {
  return db.transaction(async (tx) => {
    knownPaper(paper);
    const own = new Set((await listPencils(tx, trayId)).map(({ id }) => id));
    if (content.pencils.some(({ pencilId }) => !own.has(pencilId))) {
      throw new Refused(422, 'These swatches belong to pencils that are not in this tray.');
    }
    const at = new Date();
    await tx
      .insert(trayFits)
      .values({ trayId, paper, content, at })
      .onConflictDoUpdate({ target: [trayFits.trayId, trayFits.paper], set: { content, at } });
    return listFits(tx, trayId);
  });
}

/** Keeps the reading of a patch. The same reading sent twice stands once. */
export async function addSwatch(db: Database, trayId: string, pencilId: string, swatch: NewSwatch): Promise<Swatch[]> {
  return db.transaction(async (tx) => {
    await pencilOf(tx, trayId, pencilId);
    knownPaper(swatch.paper);
    if (swatch.over) await pencilOf(tx, trayId, swatch.over);
    await tx
      .insert(swatches)
      .values({ ...swatch, pencilId, origin: 'own' })
      .onConflictDoNothing();
    return listSwatches(tx, trayId, pencilId);
  });
}

/** Keeps patches of several pencils as they were read: all of them or none; those sent before stand once. */
export async function addReadings(
  db: Database,
  trayId: string,
  { readings }: z.output<typeof AddReadings>,
): Promise<{ kept: number }> {
  return db.transaction(async (tx) => {
    const own = new Set((await listPencils(tx, trayId)).map(({ id }) => id));
    for (const { paper } of readings) knownPaper(paper);
    if (readings.some(({ pencilId, over }) => !own.has(pencilId) || (over && !own.has(over)))) {
      throw new Refused(422, 'One of these patches belongs to a pencil that is not in this tray.');
    }
    let kept = 0;
    for (let from = 0; from < readings.length; from += 500) {
      const rows = readings.slice(from, from + 500).map((reading) => ({ ...reading, origin: 'own' as const }));
      kept += (await tx.insert(swatches).values(rows).onConflictDoNothing().returning({ id: swatches.id })).length;
    }
    return { kept };
  });
}

/** @throws Refused for a paper that is not known */
export function knownPaper(id: string): void {
  try {
    paperById(id);
  } catch {
    throw new Refused(422, 'The paper of this swatch is not one that is known here.');
  }
}

/**
 * Puts new pencils into a tray, with what was read of them. With readings, all of them come in or none.
 * @returns how many went in and how many were there already
 */
export async function addPencils(db: Database, trayId: string, wish: z.output<typeof AddPencils>): Promise<CopyResult> {
  const { pencils: added, readings } = wish;
  return db.transaction(async (tx) => {
    const result = await putPencils(tx, trayId, added);
    if (readings.length === 0) return result;
    if (result.there > 0) {
      throw new Refused(
        409,
        `${result.there} of these codes lie in this tray already. Name the set to tell them apart.`,
      );
    }
    const ids = new Set(added.map(({ id }) => id));
    if (readings.some(({ pencilId }) => !ids.has(pencilId))) {
      throw new Refused(422, 'One of these readings belongs to none of these pencils.');
    }
    for (const { paper } of readings) knownPaper(paper);
    await tx.insert(swatches).values(readings.map((reading) => ({ ...reading, origin: 'own' as const })));
    return result;
  });
}

async function pencilOf(db: Querying, trayId: string, pencilId: string) {
  const [pencil] = await db
    .select()
    .from(pencils)
    .where(and(eq(pencils.id, pencilId), eq(pencils.trayId, trayId)));
  return orNotFound(pencil, 'This pencil is not in the tray.');
}

/** Pens and tools beside the pencils of a tray. */
export async function listTools(db: Querying, trayId: string): Promise<Tool[]> {
  const rows = await db.select().from(tools).where(eq(tools.trayId, trayId)).orderBy(asc(tools.place));
  return rows.map(({ content, origin }) => ({ ...content, origin }));
}
