import { type Check, codesOf } from './view.ts';
import { valueSpread } from './facts.ts';

/** L* between dark and light below which a page is all of one value. */
const LEAST = 22;

/** A page all of one value. */
export const sameness: Check = {
  id: 'sameness',
  name: 'all of one value',
  look({ seen, tray }) {
    const { dark, light } = valueSpread(seen);
    if (seen.length < 3 || light - dark >= LEAST) return [];
    const deeper = (dark + light) / 2 > 45;
    const free = seen.filter(({ natural, laid }) => natural === null && laid === null);
    const change = [...(free.length > 0 ? free : seen)].sort((p, q) => q.share - p.share)[0];
    const wanted = deeper ? light - 40 : dark + 40;
    const pencils = [...tray]
      .map((pencil) => ({
        pencil,
        off:
          Math.abs(pencil.body[0] - wanted) +
          0.6 * Math.hypot(pencil.body[1] - change.lab[1], pencil.body[2] - change.lab[2]),
      }))
      .sort((p, q) => p.off - q.off)
      .slice(0, 3)
      .map(({ pencil }) => pencil);
    return [
      {
        kind: 'sameness',
        things: seen.map(({ id }) => id),
        sentence: `Nearly everything lies between L* ${dark.toFixed(0)} and ${light.toFixed(0)}: squinted at, the page is one grey.`,
        remedy: {
          sentence: `Take ${change.name} ${deeper ? 'down' : 'up'} to about L* ${Math.max(15, Math.min(95, wanted)).toFixed(0)}; ${codesOf(pencils)}.`,
          angles: [],
          pencils: pencils.map(({ id }) => id),
        },
        weight: 0.7,
      },
    ];
  },
};
