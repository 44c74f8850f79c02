import { deltaE2000 } from '../colour/index.ts';
import { type Pressure, layPasses } from '../laydown/index.ts';
import { type Advice, type Remedy } from './remedy.ts';

/** Ways of going over it, the gentlest first. */
const WAYS: readonly { pressure: Pressure; passes: number; says: string }[] = [
  { pressure: 'light', passes: 1, says: 'once, lightly' },
  { pressure: 'medium', passes: 1, says: 'once at medium pressure' },
  { pressure: 'medium', passes: 2, says: 'twice at medium pressure' },
  { pressure: 'firm', passes: 2, says: 'twice, firmly' },
];
/** A place with less tooth than this takes nothing more. */
const FULL = 0.06;

export const layerOver: Remedy = {
  id: 'layer-over',
  name: 'Layer over it',
  advise({ now, wanted, pencils, pencil: culprit }) {
    if (layPasses(now, []).toothLeft < FULL) return null;
    let best: Advice | null = null;
    for (const { id, code, optics } of pencils) {
      if (id === culprit) continue;
      for (const { pressure, passes, says } of WAYS) {
        const { lab } = layPasses(
          now,
          new Array<{ pencil: typeof optics; pressure: Pressure }>(passes).fill({ pencil: optics, pressure }),
        );
        const apart = deltaE2000(lab, wanted);
        if (best && best.apart <= apart) continue;
        const does = [{ thingId: null, pencil: id, pressure, passes, when: 'next' as const }];
        best = { says: `Go over it with ${code}, ${says}.`, apart, does };
      }
    }
    return best;
  },
};
