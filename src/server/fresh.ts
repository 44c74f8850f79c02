import { existsSync, mkdirSync, renameSync } from 'node:fs';
import { join } from 'node:path';

/**
 * Moves the present desk into the backups folder beside it, so that the next start begins with an empty one.
 * @param folder the data folder
 * @returns where the old desk is kept, or null when there was none
 */
export function startOver(folder: string, now = new Date()): string | null {
  const desk = join(folder, 'database');
  if (!existsSync(desk)) return null;
  const backups = join(folder, 'backups');
  mkdirSync(backups, { recursive: true });
  const stamp = now.toISOString().replace(/[:.]/g, '-');
  const kept = join(backups, `desk-${stamp}`);
  renameSync(desk, kept);
  return kept;
}
