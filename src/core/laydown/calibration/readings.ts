import { type Lab } from '../../colour/index.ts';
import { MASSTONE_PASSES, type PencilDeclaration } from '../pencil-optics.ts';
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
/** Patches of one light pass laid over itself. */
export const LADDER_PATCHES = ['light-twice', 'light-four', 'light-eight'] as const satisfies readonly Patch[];

/** Colour of the dark bar printed on a swatch card, `#rrggbb`: what shows through on it tells opacity. */
export const BAR = '#3b3a3a';

/** The colour of one patch as it was read. */
export interface PatchReading {
  patch: Patch;
  on: 'paper' | 'bar';
  lab: Lab;
}

/** A pencil as it is declared and as its patches were read; the full patch on paper is needed. */
export interface ReadPencil {
  declared: Pick<PencilDeclaration, 'masstone' | 'type' | 'opacity'>;
  readings: readonly PatchReading[];
}

/** A medium patch of one pencil with a medium patch of another over it, by their places among the pencils read. */
export interface OverlayReading {
  below: number;
  above: number;
  lab: Lab;
}
