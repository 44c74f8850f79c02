import type { Pencil, Swatch } from '../../contracts/index.ts';
import { type Lab, labOfHex } from '../../core/colour/index.ts';
import {
  MASSTONE_PASSES,
  type Pressure,
  bareGround,
  layPasses,
  paperById,
  pencilOptics,
} from '../../core/laydown/index.ts';

/** The black bar printed on a swatch card. */
const BAR = '#3b3a3a';
const PASSES: Readonly<Record<Swatch['patch'], readonly Pressure[]>> = {
  light: ['light'],
  medium: ['medium'],
  firm: ['firm'],
  full: MASSTONE_PASSES,
};

/** What the layer model says a patch of this pencil looks like. */
export function predictedPatch(
  { colour, type, opacity }: Pick<Pencil, 'colour' | 'type' | 'opacity'>,
  { paper, patch, ground }: Pick<Swatch, 'paper' | 'patch' | 'ground'>,
): Lab {
  const pencil = pencilOptics({ masstone: labOfHex(colour), type, opacity: opacity ?? undefined });
  const sheet = paperById(paper);
  const under = bareGround(ground === 'bar' ? { ...sheet, tint: BAR } : sheet);
  return layPasses(
    under,
    PASSES[patch].map((pressure) => ({ pencil, pressure })),
  ).lab;
}
