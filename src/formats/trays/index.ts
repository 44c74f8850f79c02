/** trays: the kinds of file that the pencils of a tray are taken away as and brought in from. */
import { readAs } from '../file-format.ts';
import { csv } from './csv.ts';
import { gpl } from './gpl.ts';
import { type ReadPencils } from './pencil-rows.ts';
import { type TrayFormat } from './tray.ts';

export { type PencilRow, type ReadPencils, CSV_COLUMNS, readPencilRows } from './pencil-rows.ts';
export { type TrayContent, type TrayFormat } from './tray.ts';

/** In the order in which they are tried on a text. */
export const TRAY_FORMATS: readonly TrayFormat[] = [gpl, csv];

/** Reads pencils out of a text, with a sentence for each line that cannot be read. */
export function readPencils(text: string): ReadPencils {
  return readAs(TRAY_FORMATS, text, '');
}
