import type { NewPalette } from '../../contracts/index.ts';
import { type ReadableFormat } from '../file-format.ts';

/** A kept palette without its id. */
export type PaletteContent = Omit<NewPalette, 'id'>;
export type PaletteFormat = ReadableFormat<PaletteContent, PaletteContent>;

/** So many colours of a file are taken, and so much of their names. */
const MOST_COLOURS = 200;
const LONGEST = { code: 24, name: 60 };

/** A palette of colours alone. @throws RangeError when there are none */
export function coloursOnly(
  name: string,
  colours: readonly { code: string; name: string; set: string; colour: string }[],
): PaletteContent {
  if (colours.length === 0) throw new RangeError('This palette holds no colour.');
  const pencils = colours.slice(0, MOST_COLOURS).map(({ code, name: own, set, colour }) => ({
    id: null,
    code: code.slice(0, LONGEST.code),
    colour,
    name: own.slice(0, LONGEST.name),
    set: set.slice(0, LONGEST.name),
  }));
  return { name: name.slice(0, LONGEST.name) || 'A palette', wheel: null, pencils, families: [] };
}
