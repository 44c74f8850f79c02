import { z } from 'zod';

/** How the desk looks to this person. */
export const Settings = z.object({
  mode: z.enum(['day', 'evening']),
  /** Text size in percent. */
  text: z.union([z.literal(100), z.literal(125), z.literal(150)]),
  /** What swatches and previews lie on. */
  ground: z.enum(['light', 'mid grey', 'paper']),
});
export type Settings = z.infer<typeof Settings>;
/** What is changed of it; the rest stays as it is. */
export const SettingsEdit = Settings.partial();
export type SettingsEdit = z.infer<typeof SettingsEdit>;
export const defaultSettings: Settings = { mode: 'day', text: 100, ground: 'mid grey' };

/** Undo remembers so much of a sheet, bytes; the oldest changes beyond that are forgotten. */
export const MOST_UNDO_BYTES = 10 * 1024 * 1024;
