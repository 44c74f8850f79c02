import { type SheetPart } from './sheet-part.ts';

/** Everything that is decided. */
export const planJson: SheetPart = {
  fileName: 'plan.json',
  write: ({ sheet: { title, plan } }) => JSON.stringify({ title, plan }, null, 1),
};
