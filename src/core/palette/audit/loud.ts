import { turn } from '../../colour/index.ts';
import { CLEAR, type Check, codesOf, off } from './view.ts';

/** So much of the area is clear when a page is loud all over. */
const LOUD = 0.75;

/** Everything clear: no place where the eye rests. */
export const loud: Check = {
  id: 'loud',
  name: 'clear all over',
  look({ seen, tray, wheel }) {
    const clear = seen.filter(({ chroma }) => chroma >= CLEAR);
    const share = clear.reduce((sum, thing) => sum + thing.share, 0);
    if (seen.length < 3 || share < LOUD) return [];
    const largest = [...clear].sort((p, q) => q.share - p.share)[0]!;
    const opposite = turn(largest.angle + 180);
    const pencils = tray
      .filter(({ chroma }) => chroma < 0.06)
      .map((pencil) => {
        const turned = pencil.chroma < 0.02 ? 90 : off(wheel.angleOf(pencil.hue), opposite);
        return { pencil, off: Math.abs(pencil.body[0] - largest.lab[0]) + 0.1 * turned };
      })
      .sort((p, q) => p.off - q.off)
      .slice(0, 3)
      .map(({ pencil }) => pencil);
    return [
      {
        kind: 'loud',
        things: clear.map(({ id }) => id),
        sentence: `${Math.round(100 * share)}% of the area is clear; the eye has nowhere to rest.`,
        remedy: {
          sentence: `Calm ${largest.name}, the largest, with a grey or its opposite under the last layer; ${codesOf(pencils)}.`,
          angles: [opposite],
          pencils: pencils.map(({ id }) => id),
        },
        weight: 0.5,
      },
    ];
  },
};
