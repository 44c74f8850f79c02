import { PENCIL_TYPES } from '../../core/laydown/index.ts';

/** A pencil as a CSV row gives it. */
export interface PencilRow {
  code: string;
  name: string;
  set: string;
  /** Id of a pencil type. */
  type: string;
  /** Masstone as `#rrggbb`. */
  colour: string;
  /** 0 (translucent) to 1 (covering), or null when the type's own is to be used. */
  opacity: number | null;
}

export interface ReadPencils {
  pencils: PencilRow[];
  /** What could not be read: line number in the file (the header is line 1) and a sentence. */
  faults: { line: number; sentence: string }[];
}

/** The columns that a tray is written with, in order; each is read back by the same name. */
export const CSV_COLUMNS = ['code', 'name', 'set', 'type', 'colour', 'opacity'] as const;

/** What each column may be called, in small letters. */
const COLUMNS: Record<keyof PencilRow, readonly string[]> = {
  code: ['code', 'number', 'no', 'nr', 'id'],
  name: ['name', 'title'],
  set: ['set', 'box', 'range', 'brand'],
  type: ['type', 'kind', 'core'],
  colour: ['colour', 'color', 'hex', 'masstone'],
  opacity: ['opacity', 'cover'],
};

/**
 * Reads pencils from the rows of a CSV file: a header and one pencil a row. Columns code and colour are needed; name,
 * set, type and opacity may be there, in any order. Rows that cannot be read are listed and the rest are kept.
 * @param rows cells as text, the header first
 */
export function readPencilRows(rows: readonly (readonly string[])[]): ReadPencils {
  const header = (rows[0] ?? []).map((cell) => cell.trim().toLowerCase());
  const columnOf = (key: keyof PencilRow) => header.findIndex((cell) => COLUMNS[key].includes(cell));
  if (columnOf('code') < 0 || columnOf('colour') < 0) {
    const sentence =
      'The first line must name the columns, at least "code" and "colour", such as: code,name,colour,type.';
    return { pencils: [], faults: [{ line: 1, sentence }] };
  }
  const result: ReadPencils = { pencils: [], faults: [] };
  const at = new Map(CSV_COLUMNS.map((key) => [key, columnOf(key)]));
  const seen = new Set<string>();
  rows.slice(1).forEach((row, i) => {
    const line = i + 2;
    const cell = (key: keyof PencilRow) => (row[at.get(key) ?? -1] ?? '').trim();
    if (row.every((value) => value.trim() === '')) return;
    const read = readRow(cell);
    if (typeof read === 'string') result.faults.push({ line, sentence: read });
    else if (seen.has(keyOf(read)))
      result.faults.push({ line, sentence: `Code ${read.code} stands twice; the first was kept.` });
    else {
      seen.add(keyOf(read));
      result.pencils.push(read);
    }
  });
  return result;
}

/** Codes are told apart within their set. */
function keyOf({ set, code }: PencilRow): string {
  return `${set}\n${code}`;
}

function readRow(cell: (key: keyof PencilRow) => string): PencilRow | string {
  const code = cell('code');
  if (!code) return 'There is no code.';
  if (code.length > 24) return `Code ${code.slice(0, 24)}… is longer than 24 letters.`;
  const colour = /^#?([0-9a-f]{6}|[0-9a-f]{3})$/i.exec(cell('colour'))?.[1];
  if (!colour) return `The colour of ${code} is "${cell('colour')}"; write it as # and six digits, such as #c8202f.`;
  const type = cell('type') ? typeFrom(cell('type')) : 'wax';
  if (!type) return `The type of ${code} is "${cell('type')}"; it can be ${PENCIL_TYPES.map((t) => t.id).join(', ')}.`;
  const opacity = cell('opacity') === '' ? null : Number(cell('opacity').replace(',', '.'));
  if (opacity !== null && !(opacity >= 0 && opacity <= 1)) return `The opacity of ${code} must lie between 0 and 1.`;
  const six = colour.length === 3 ? [...colour].map((d) => d + d).join('') : colour;
  return {
    code,
    name: cell('name').slice(0, 60),
    set: cell('set').slice(0, 60),
    type,
    colour: `#${six.toLowerCase()}`,
    opacity,
  };
}

function typeFrom(word: string): string | undefined {
  const w = word.toLowerCase();
  return PENCIL_TYPES.find((t) => t.id === w || t.name.toLowerCase().includes(w))?.id;
}
