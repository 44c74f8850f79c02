/** palettes: the kinds of file that a palette is taken away as and brought in from. */
import { readAs } from '../file-format.ts';
import { csv } from './csv.ts';
import { gpl } from './gpl.ts';
import { json } from './json.ts';
import { type PaletteContent, type PaletteFormat } from './palette.ts';

export { type PaletteContent, type PaletteFormat } from './palette.ts';

/** In the order in which they are tried on a file. */
export const PALETTE_FORMATS: readonly PaletteFormat[] = [gpl, json, csv];

/**
 * Reads a palette out of a file.
 * @param fileName tells the palette's name where the file does not
 * @throws RangeError with a sentence for a file that holds no palette
 */
export function readPalette(text: string, fileName: string): PaletteContent {
  return readAs(PALETTE_FORMATS, text, fileName);
}
