import { GPL_HEADER, gplOf, readGpl } from '../gpl-text.ts';
import { type PaletteFormat, coloursOnly } from './palette.ts';

/** The palettes of open drawing programs. */
export const gpl: PaletteFormat = {
  id: 'GPL',
  extension: 'gpl',
  mime: 'text/plain',
  holds: 'colours and codes',
  write: ({ name, pencils }) => gplOf(name, pencils),
  recognises: (text) => text.startsWith(GPL_HEADER),
  read(text, name) {
    const { colours } = readGpl(text);
    const own = /^Name:\s*(.+)$/m.exec(text)?.[1]?.trim();
    return coloursOnly(
      own ?? name,
      colours.map((colour) => ({ ...colour, set: '' })),
    );
  },
};
