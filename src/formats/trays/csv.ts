import Papa from 'papaparse';
import { csvOf } from '../csv-text.ts';
import { CSV_COLUMNS, readPencilRows } from './pencil-rows.ts';
import { type TrayFormat } from './tray.ts';

/** A table of pencils. What is nothing else is read as one, so it is asked last. */
export const csv: TrayFormat = {
  id: 'CSV',
  extension: 'csv',
  mime: 'text/csv',
  holds: 'code, name, set, type, colour and opacity of each pencil, and can be pasted back',
  write: ({ pencils }) =>
    csvOf(
      pencils.map((pencil) => Object.fromEntries(CSV_COLUMNS.map((column) => [column, pencil[column] ?? '']))),
      CSV_COLUMNS,
    ),
  recognises: () => true,
  read: (text) => readPencilRows(Papa.parse<string[]>(text.trim(), { skipEmptyLines: false }).data),
};
