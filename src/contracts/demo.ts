import { z } from 'zod';

/** Whether the demo lies on the desk. */
export const DemoState = z.object({
  laidOut: z.boolean(),
  sheets: z.int(),
  pencils: z.int(),
  /** Own sheets that are planned with demo pencils; while there are any, those pencils stay. */
  ownSheetsUsingIt: z.int(),
});
export type DemoState = z.infer<typeof DemoState>;
