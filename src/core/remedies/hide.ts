import { deltaE2000 } from '../colour/index.ts';
import { layPasses } from '../laydown/index.ts';
import { type Advice, type Remedy } from './remedy.ts';

const PEN = { tool: 'opaque-pen', pressure: 'firm' } as const;

export const hide: Remedy = {
  id: 'hide',
  name: 'Hide it with a pen',
  advise({ now, wanted, pens, pencil }) {
    let best: Advice | null = null;
    for (const { name, lab } of pens) {
      const { lab: seen } = layPasses(now, [{ ...PEN, colour: lab }]);
      const apart = deltaE2000(seen, wanted);
      if (!best || apart < best.apart) {
        best = {
          says: `Hide it with the ${name}, last of all; let it dry, for it takes no pencil afterwards.`,
          apart,
          does: [{ thingId: null, pencil, ...PEN, passes: 1, when: 'last' }],
        };
      }
    }
    return best;
  },
};
