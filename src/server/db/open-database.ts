import { mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import * as schema from './schema.ts';

export type Database = Awaited<ReturnType<typeof openDatabase>>['db'];
/** What queries run on: the database or a transaction of it. */
export type Querying = Pick<Database, 'select' | 'insert' | 'update' | 'delete'>;

// From the project's folder, where npm runs: this file is bundled for production and its own place changes.
const MIGRATIONS = resolve('src/server/db/migrations');

/**
 * Opens the embedded database and brings its tables up to date.
 * @param folder where it is kept, or null for one in memory
 */
export async function openDatabase(folder: string | null) {
  if (folder) mkdirSync(folder, { recursive: true });
  const client = await PGlite.create(folder ? join(folder, 'database') : 'memory://');
  const db = drizzle({ client, schema });
  await migrate(db, { migrationsFolder: MIGRATIONS });
  return { db, close: () => client.close() };
}
