import { eq } from 'drizzle-orm';
import { Settings, defaultSettings } from '../../contracts/index.ts';
import { type Database } from '../db/open-database.ts';
import { settings } from '../db/schema.ts';

const KEY = 'look';

/** How the desk looks; the defaults until something was chosen. */
export async function readSettings(db: Database): Promise<Settings> {
  const [row] = await db.select().from(settings).where(eq(settings.key, KEY));
  return Settings.safeParse(row?.value).data ?? defaultSettings;
}

export async function storeSettings(db: Database, value: Settings): Promise<Settings> {
  await db.insert(settings).values({ key: KEY, value }).onConflictDoUpdate({ target: settings.key, set: { value } });
  return value;
}
