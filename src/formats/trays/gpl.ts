import { GPL_HEADER, gplOf, readGpl } from '../gpl-text.ts';
import { type TrayFormat } from './tray.ts';

/** The palettes of open drawing programs. They tell no types, so these are taken as wax, the most common. */
export const gpl: TrayFormat = {
  id: 'GPL palette',
  extension: 'gpl',
  mime: 'text/plain',
  holds: 'colours and codes only',
  write: ({ name, pencils }) => gplOf(name, pencils),
  recognises: (text) => text.startsWith(GPL_HEADER),
  read(text) {
    const { colours, faults } = readGpl(text);
    return { pencils: colours.map((colour) => ({ ...colour, set: '', type: 'wax', opacity: null })), faults };
  },
};
