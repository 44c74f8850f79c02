import { type Check, codesOf, pencilsOfValue } from './view.ts';
import { valueSpread } from './facts.ts';

/** L* between dark and light below which a page is all of one value. */
const LEAST = 22;

/** A page all of one value. */
export const sameness: Check = {
  id: 'sameness',
  name: 'all of one value',
  look(view) {
    const { seen } = view;
    const { dark, light } = valueSpread(seen);
    if (seen.length < 3 || light - dark >= LEAST) return [];
    const deeper = (dark + light) / 2 > 45;
    const free = seen.filter(({ natural, laid }) => natural === null && laid === null);
    const change = [...(free.length > 0 ? free : seen)].sort((p, q) => q.share - p.share)[0]!;
    const wanted = deeper ? light - 40 : dark + 40;
    const pencils = pencilsOfValue(view, wanted, change);
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
