import { deltaE2000 } from '../colour/index.ts';
import { layPasses } from '../laydown/index.ts';
import { type Remedy } from './remedy.ts';

/** Dabs of an eraser that are worth trying. */
const DABS = 3;
const DAB = { tool: 'eraser', pressure: 'firm' } as const;

export const lift: Remedy = {
  id: 'lift',
  name: 'Lift it',
  advise({ now, wanted, kind, pencil }) {
    if (!kind.lifts) return null;
    const dabbed = layPasses(now, new Array<typeof DAB>(DABS).fill(DAB));
    return {
      says: 'Dab it with a kneaded eraser, three times with a clean place of it; do not rub. Burnished pigment stays.',
      apart: deltaE2000(dabbed.lab, wanted),
      does: [{ thingId: null, pencil, ...DAB, passes: DABS, when: 'next' }],
    };
  },
};
