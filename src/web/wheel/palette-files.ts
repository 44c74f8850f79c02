import Papa from 'papaparse';
import { type NewPalette, PaletteFile } from '../../contracts/index.ts';
import { gplOf, readGpl } from '../../core/formats/index.ts';

export const PALETTE_FORMATS = ['GPL', 'CSV', 'JSON'] as const;
export type PaletteFormat = (typeof PALETTE_FORMATS)[number];
type Content = Omit<NewPalette, 'id'>;

/** A palette as the text of a file, its name and its kind. GPL holds the colours, CSV the families too, JSON everything. */
export function fileOf(palette: Content, format: PaletteFormat): { name: string; text: string; mime: string } {
  const base = palette.name.replace(/[\\/:*?"<>|]/g, ' ');
  if (format === 'GPL') return { name: `${base}.gpl`, text: gplOf(palette.name, palette.pencils), mime: 'text/plain' };
  if (format === 'JSON') {
    const { name, wheel, pencils, families } = palette;
    const file: PaletteFile = { kind: 'harmonie palette', version: 1, name, wheel, pencils, families };
    return { name: `${base}.json`, text: JSON.stringify(file, null, 2), mime: 'application/json' };
  }
  const things = (code: string) =>
    palette.families.filter(({ codes }) => codes.includes(code)).map(({ thing }) => thing);
  const rows = palette.pencils.map(({ code, name, set, colour }) => ({
    code,
    name,
    set,
    colour,
    things: things(code).join('; '),
  }));
  return { name: `${base}.csv`, text: Papa.unparse(rows, { escapeFormulae: true }), mime: 'text/csv' };
}

/**
 * Reads a palette out of a file: GPL, CSV with a code and a colour column, or JSON.
 * @param fileName tells the palette's name where the file does not
 * @throws RangeError with a sentence for a file that holds no palette
 */
export function readPaletteFile(text: string, fileName: string): Content {
  const name =
    fileName
      .replace(/\.[^.]*$/, '')
      .slice(0, 60)
      .trim() || 'A palette';
  const start = text.replace(/^\uFEFF/, '').trimStart();
  if (start.startsWith('{')) return fromJson(start);
  if (start.startsWith('GIMP Palette')) {
    const { colours } = readGpl(start);
    const own = /^Name:\s*(.+)$/m.exec(start)?.[1].trim().slice(0, 60);
    return whole(
      own ?? name,
      colours.map((colour) => ({ ...colour, set: '' })),
    );
  }
  return fromCsv(start, name);
}

function fromJson(text: string): Content {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    throw new RangeError('This JSON file is broken off or damaged.');
  }
  const file = PaletteFile.safeParse(json);
  if (!file.success) throw new RangeError(`This JSON file is no palette: ${file.error.issues[0].message}`);
  const { name, wheel, pencils, families } = file.data;
  return { name, wheel, pencils, families };
}

function fromCsv(text: string, name: string): Content {
  const { data } = Papa.parse<Record<string, string | undefined>>(text, {
    header: true,
    skipEmptyLines: true,
    transformHeader: (header) => header.trim().toLowerCase(),
  });
  const rows = data.flatMap((row) => {
    const colour = (row.colour ?? row.color ?? '').trim().toLowerCase();
    const code = (row.code ?? '').trim();
    return code && /^#[0-9a-f]{6}$/.test(colour) ? [{ code, name: row.name ?? '', set: row.set ?? '', colour }] : [];
  });
  if (rows.length === 0) {
    throw new RangeError(
      'This file holds no palette: a CSV needs the columns code and colour, a colour as # and six digits.',
    );
  }
  return whole(name, rows);
}

function whole(name: string, colours: readonly { code: string; name: string; set: string; colour: string }[]): Content {
  if (colours.length === 0) throw new RangeError('This palette holds no colour.');
  const pencils = colours.slice(0, 200).map(({ code, name: own, set, colour }) => ({
    id: null,
    code: code.slice(0, 24),
    colour,
    name: own.slice(0, 60),
    set: set.slice(0, 60),
  }));
  return { name, wheel: null, pencils, families: [] };
}
