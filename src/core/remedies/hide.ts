import { deltaE2000 } from '../colour/index.ts';
import { layPasses } from '../laydown/index.ts';
import { type Advice, type Remedy } from './remedy.ts';

export const hide: Remedy = {
  id: 'hide',
  name: 'Hide it with a pen',
  advise({ now, wanted, pens }) {
    let best: Advice | null = null;
    for (const { id, name, lab } of pens) {
      const { lab: seen } = layPasses(now, [{ tool: 'opaque-pen', pressure: 'firm', colour: lab }]);
      const apart = deltaE2000(seen, wanted);
      if (!best || apart < best.apart) {
        best = {
          says: `Hide it with the ${name}, last of all; let it dry, for it takes no pencil afterwards.`,
          apart,
          takes: [id],
        };
      }
    }
    return best;
  },
};
