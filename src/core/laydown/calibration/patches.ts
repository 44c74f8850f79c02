import { MASSTONE_PASSES } from '../pencil-optics.ts';
import { type Pressure } from '../pressure.ts';

/** How a patch of a swatch card is laid. */
export const PATCH_PASSES = {
  light: ['light'],
  medium: ['medium'],
  firm: ['firm'],
  full: MASSTONE_PASSES,
  'light-twice': ['light', 'light'],
  'light-four': ['light', 'light', 'light', 'light'],
  'light-eight': ['light', 'light', 'light', 'light', 'light', 'light', 'light', 'light'],
} as const satisfies Record<string, readonly Pressure[]>;
export type Patch = keyof typeof PATCH_PASSES;
/** Patches of each pencil on every card. */
export const SINGLE_PATCHES = ['light', 'medium', 'firm', 'full'] as const satisfies readonly Patch[];
/** Patches of one light pass laid over itself, on a few pencils of a card: what tells how paper fills. */
export const LADDER_PATCHES = ['light-twice', 'light-four', 'light-eight'] as const satisfies readonly Patch[];
