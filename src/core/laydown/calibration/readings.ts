import { type Lab } from '../../colour/index.ts';
import { type PencilDeclaration } from '../pencil-optics.ts';
import type { PatchReading } from '../schemas.ts';

/** Colour of the dark bar printed on a swatch card, `#rrggbb`: what shows through on it tells opacity. */
export const BAR = '#3b3a3a';

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
