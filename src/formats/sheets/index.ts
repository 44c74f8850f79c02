/** sheets: the files in the bundle that a sheet is taken away as, beside its pictures. */
import { planJson } from './plan-json.ts';
import { recordJson } from './record-json.ts';
import { regionsCsv } from './regions-csv.ts';
import { regionsSvg } from './regions-svg.ts';
import { type SheetPart } from './sheet-part.ts';
import { thingsCsv } from './things-csv.ts';

export { type SheetPart, type WholeSheet } from './sheet-part.ts';

export const SHEET_PARTS: readonly SheetPart[] = [planJson, recordJson, thingsCsv, regionsCsv, regionsSvg];
