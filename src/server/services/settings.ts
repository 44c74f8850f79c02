import { eq } from 'drizzle-orm';
import { type SettingsEdit, Settings, defaultSettings } from '../../contracts/index.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { settings } from '../db/schema.ts';

const KEY = 'look';

/** How the desk looks; the defaults until something was chosen. */
export async function readSettings(db: Querying): Promise<Settings> {
  const [row] = await db.select().from(settings).where(eq(settings.key, KEY));
  return Settings.safeParse(row?.value).data ?? defaultSettings;
}

/** Changes some of it, whatever else is changed at the same time. @returns all of it */
export function editSettings(db: Database, edit: SettingsEdit): Promise<Settings> {
  return db.transaction(async (tx) => {
    const value = { ...(await readSettings(tx)), ...edit };
    await tx.insert(settings).values({ key: KEY, value }).onConflictDoUpdate({ target: settings.key, set: { value } });
    return value;
  });
}
