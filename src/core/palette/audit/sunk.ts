import { PARTED } from '../measures.ts';
import { type Check, codesOf, pencilsOfValue } from './view.ts';

/** L* below which figure and ground are of one value, and how much longer a border must be to matter, as a share of all. */
const FLAT = 5;
const LEAST_SHARE = 0.03;
const MOST = 3;
/** L* by which a remedy moves the figure. */
const MOVE = 18;

/** Things that sink into what lies behind: of one value with it, and no clearer, though their hues part. */
export const sunk: Check = {
  id: 'sunk',
  name: 'things that sink into what lies behind',
  look(view) {
    const { borders } = view;
    const all = borders.reduce((sum, { lengthMm }) => sum + lengthMm, 0) || 1;
    return borders
      .filter(
        ({ front, behind, apart, lengthMm }) =>
          apart >= 0.6 * PARTED &&
          lengthMm / all >= LEAST_SHARE &&
          Math.abs(front.lab[0] - behind.lab[0]) < FLAT &&
          front.chroma < behind.chroma - 0.02,
      )
      .sort((p, q) => q.lengthMm - p.lengthMm)
      .slice(0, MOST)
      .map(({ front, behind, lengthMm }) => {
        const up = behind.lab[0] < 58;
        const wanted = behind.lab[0] + (up ? MOVE : -MOVE);
        const pencils = pencilsOfValue(view, wanted, front);
        return {
          kind: 'sunk',
          things: [front.id, behind.id],
          sentence: `${front.name} sinks into ${behind.name} behind it: both at L* ${behind.lab[0].toFixed(0)}, and ${behind.name} is the clearer.`,
          remedy: {
            sentence: `Take ${front.name} ${up ? 'up' : 'down'} to about L* ${wanted.toFixed(0)}; ${codesOf(pencils)}. Or calm ${behind.name} with a grey.`,
            angles: [],
            pencils: pencils.map(({ id }) => id),
          },
          weight: Math.min(1, 0.25 + lengthMm / all),
        };
      });
  },
};
