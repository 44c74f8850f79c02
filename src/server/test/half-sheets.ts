import { cpSync, mkdirSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import sharp from 'sharp';

const DRAWN = fileURLToPath(new URL('../../demo/sheets/', import.meta.url));

/**
 * The demo's sheets at half of their resolution, as a book scanned at 150 dpi, put into a folder: there is a quarter as
 * much to read, keep and look through on every way. What is measured on the demo is measured on the sheets as drawn, and
 * pages of 300 dpi are brought in by tests of their own.
 */
export async function putHalfSheets(folder: string): Promise<void> {
  mkdirSync(folder, { recursive: true });
  for (const name of readdirSync(DRAWN)) {
    if (!name.endsWith('.png')) {
      cpSync(join(DRAWN, name), join(folder, name));
      continue;
    }
    const picture = sharp(join(DRAWN, name));
    const { width } = await picture.metadata();
    // The marks of a key are colours that stand for things: none may lie between two of them.
    const kernel = name.endsWith('.key.png') ? 'nearest' : 'mitchell';
    await picture
      .resize({ width: width / 2, kernel })
      .png()
      .toFile(join(folder, name));
  }
}
