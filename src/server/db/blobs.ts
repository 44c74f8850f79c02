import { createHash } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { orNotFound } from '../refused.ts';
import { type Querying } from './open-database.ts';
import { blobs } from './schema.ts';

/** Stores bytes under the hash of their content and returns it; storing the same twice keeps one. */
export async function keepBlob(db: Querying, mime: string, bytes: Uint8Array): Promise<string> {
  const hash = createHash('sha256').update(bytes).digest('hex').slice(0, 40);
  await db.insert(blobs).values({ hash, mime, bytes }).onConflictDoNothing();
  return hash;
}

/** The bytes stored under a hash. */
export async function readBlob(db: Querying, hash: string): Promise<{ mime: string; bytes: Uint8Array }> {
  const [blob] = await db.select().from(blobs).where(eq(blobs.hash, hash));
  return orNotFound(blob, 'This picture is not on the desk.');
}
