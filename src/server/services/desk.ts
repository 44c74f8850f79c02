import { type Database } from '../db/open-database.ts';
import { trays } from '../db/schema.ts';
import { MY_PENCILS } from './trays.ts';
import { upgradePlans } from './upgrade-plans.ts';

/** What every desk has from the start: an empty tray for the pencils of its owner, and plans that are up to date. */
export async function ensureDesk(db: Database): Promise<void> {
  await upgradePlans(db);
  await db.insert(trays).values({ id: MY_PENCILS, name: 'My pencils', origin: 'own' }).onConflictDoNothing();
}
