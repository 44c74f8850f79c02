import { type SheetPart } from './sheet-part.ts';

/** What was done, and what was written down of it. */
export const recordJson: SheetPart = {
  fileName: 'record.json',
  write: ({ steps, notebook }) => JSON.stringify({ steps, notebook }, null, 1),
};
