import { labOfHex } from '../../colour/index.ts';
import { type PencilOptics, pencilOptics } from '../../laydown/index.ts';
import { familyOf } from '../index.ts';

/** Three blues and a russet, an ochre and a lemon, from dark to pale. */
const HEX = {
  night: '#22315f',
  blue: '#4f6bb0',
  sky: '#b5d4ea',
  russet: '#7a4a2a',
  ochre: '#c6913a',
  lemon: '#f2d24a',
};
export const BLUES = familyOf(['night', 'blue', 'sky']);
export const BROWNS = familyOf(['russet', 'ochre', 'lemon']);

/** Their optics, all of one type. */
export function opticsOf(type: string): ReadonlyMap<string, PencilOptics> {
  return new Map(Object.entries(HEX).map(([id, hex]) => [id, pencilOptics({ masstone: labOfHex(hex), type })]));
}
