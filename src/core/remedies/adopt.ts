import { deltaE2000 } from '../colour/index.ts';
import { layPasses } from '../laydown/index.ts';
import { type Remedy } from './remedy.ts';

/** A colour looks meant once it comes back in so many other places. */
const PLACES = 2;

export const adopt: Remedy = {
  id: 'adopt',
  name: 'Let it look meant',
  advise({ now, wanted, kind, pencil, pencils, elsewhere }) {
    if (!kind.strays || elsewhere.length < PLACES) return null;
    const places = elsewhere.slice(0, PLACES);
    const code = pencils.find(({ id }) => id === pencil)?.code ?? 'it';
    const purpose = `A little of ${code}, in one spot: it comes back here, so that it looks meant where it ran astray.`;
    return {
      says: `Leave it, and lay a little of ${code} in ${places.map(({ name }) => name).join(' and ')} too: a colour that comes back looks meant.`,
      apart: deltaE2000(layPasses(now, []).lab, wanted),
      does: places.map(({ id }) => ({ thingId: id, pencil, pressure: 'light', passes: 1, when: 'last', purpose })),
    };
  },
};
