import { thingsOf } from '../../plan/index.ts';
import { csvOf } from '../csv-text.ts';
import { type SheetPart } from './sheet-part.ts';

/** Its things, one a row, from front to back. */
export const thingsCsv: SheetPart = {
  fileName: 'things.csv',
  write: ({ sheet }) =>
    csvOf(
      thingsOf(sheet.plan).map(
        ({ id, name, regionIds, material, natural, focus, importance, within, guessed }, place) => ({
          'front to back': place + 1,
          id,
          name,
          material,
          natural,
          focus,
          importance,
          'part of': within,
          guessed,
          regions: regionIds.join(' '),
        }),
      ),
    ),
};
