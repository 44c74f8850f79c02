import Papa from 'papaparse';
import { csvOf } from '../csv-text.ts';
import { type PaletteFormat, coloursOnly } from './palette.ts';

/** A table of pencils with the things that each is for. What is nothing else is read as one, so it is asked last. */
export const csv: PaletteFormat = {
  id: 'CSV',
  extension: 'csv',
  mime: 'text/csv',
  holds: 'colours, codes and what each is for',
  write({ pencils, families }) {
    const things = (code: string) => families.filter(({ codes }) => codes.includes(code)).map(({ thing }) => thing);
    return csvOf(
      pencils.map(({ code, name, set, colour }) => ({ code, name, set, colour, things: things(code).join('; ') })),
    );
  },
  recognises: () => true,
  read(text, name) {
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
    return coloursOnly(name, rows);
  },
};
