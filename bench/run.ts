/**
 * Prints speed and quality tables: npm run bench [name ...], with names of the tables below. Measures and prints;
 * nothing here passes or fails.
 */
import { benchKeeping } from './keeping.ts';
import { benchColour } from './colour.ts';
import { benchCraft } from './craft.ts';
import { benchLight, benchPreview } from './light.ts';
import { benchLineart } from './lineart.ts';
import { benchLook } from './look.ts';
import { benchPalette } from './palette.ts';
import { benchSheets } from './sheets.ts';
import { benchThings } from './things.ts';
import { benchSequence } from './sequence.ts';

const tables: Record<string, () => void | Promise<void>> = {
  lineart: benchLineart,
  sheets: benchSheets,
  things: benchThings,
  colour: benchColour,
  light: benchLight,
  preview: benchPreview,
  palette: benchPalette,
  look: benchLook,
  craft: benchCraft,
  sequence: benchSequence,
  keeping: benchKeeping,
};
const wanted = process.argv.slice(2);
const unknown = wanted.filter((name) => !(name in tables));
if (unknown.length) {
  console.error(`There is no table called ${unknown.join(', ')}. There are: ${Object.keys(tables).join(', ')}.`);
  process.exit(1);
}
for (const [name, run] of Object.entries(tables)) if (wanted.length === 0 || wanted.includes(name)) await run();
