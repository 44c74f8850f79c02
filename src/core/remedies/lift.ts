import { deltaE2000 } from '../colour/index.ts';
import { layPasses } from '../laydown/index.ts';
import { type Remedy } from './remedy.ts';

/** Dabs of an eraser that are worth trying. */
const DABS = 3;

export const lift: Remedy = {
  id: 'lift',
  name: 'Lift it',
  advise({ now, wanted, kind }) {
    if (kind === 'patchy') return null;
    const dabbed = layPasses(
      now,
      new Array<{ tool: string; pressure: 'firm' }>(DABS).fill({ tool: 'eraser', pressure: 'firm' }),
    );
    return {
      says: 'Dab it with a kneaded eraser, three times with a clean place of it; do not rub. Burnished pigment stays.',
      ...{ apart: deltaE2000(dabbed.lab, wanted), takes: [] },
    };
  },
};
