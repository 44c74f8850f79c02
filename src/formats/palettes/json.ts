import { PaletteFile } from '../../contracts/index.ts';
import { jsonOf } from '../json-text.ts';
import { type PaletteFormat } from './palette.ts';

/** A palette with all that is kept of it. */
export const json: PaletteFormat = {
  id: 'JSON',
  extension: 'json',
  mime: 'application/json',
  holds: 'everything',
  write({ name, wheel, pencils, families }) {
    const file: PaletteFile = { kind: 'harmonie palette', version: 1, name, wheel, pencils, families };
    return JSON.stringify(file, null, 2);
  },
  recognises: (text) => text.startsWith('{'),
  read(text) {
    const file = PaletteFile.safeParse(jsonOf(text));
    if (!file.success) throw new RangeError(`This JSON file is no palette: ${file.error.issues[0]?.message}`);
    const { name, wheel, pencils, families } = file.data;
    return { name, wheel, pencils, families };
  },
};
