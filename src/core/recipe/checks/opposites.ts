import { oklchOfLab, turnBetween } from '../../colour/index.ts';
import type { Layer } from '../schemas.ts';
import { type Check, nameOf, startOf } from './check.ts';

/** Colours clearer than this, OKLCH chroma, that lie so many degrees apart go neutral when they are layered. */
const CLEAR = 0.07;
const OPPOSITE = 140;
/** Darker than this, L*, a pencil is there for the shadow, and an opposite there is a school of its own. */
const SHADOW = 34;
/** Places where that happens, as a share of all, before it is worth a word. */
const SHARE = 0.15;
/** Roles that are there to calm or to shade: opposites are on purpose. */
const ON_PURPOSE = new Set(['neutral', 'depth', 'accent', 'reflected', 'glow']);

/** Opposites in one stack go grey: useful for shadow, ugly by accident. */
export const opposites: Check = {
  id: 'opposites',
  title: 'Opposites go grey.',
  find({ recipe: { layers }, effect, places, thickOf }) {
    if (effect.goesNeutral) return null;
    const hues = layers.map(({ pencil, role, tool }) => {
      const own = thickOf(pencil);
      const { c, h } = oklchOfLab(own);
      return tool || ON_PURPOSE.has(role) || own[0] < SHADOW || c < CLEAR ? null : h;
    });
    const met = new Map<string, number>();
    for (const { layers: there } of places) {
      for (const [k, i] of there.entries()) {
        for (const j of there.slice(k + 1)) {
          const [p = null, q = null] = [hues[i], hues[j]];
          if (p === null || q === null || Math.abs(turnBetween(p, q)) < OPPOSITE) continue;
          met.set(`${i} ${j}`, (met.get(`${i} ${j}`) ?? 0) + 1);
        }
      }
    }
    const [pair, times] = [...met].reduce((a, b) => (b[1] > a[1] ? b : a), ['', 0]);
    if (times < SHARE * places.length) return null;
    const [under, over] = pair.split(' ').map((i) => layers[Number(i)]!) as [Layer, Layer];
    return {
      sentence: `${startOf(layers, under)} and ${nameOf(layers, over)} are near opposites and share ${Math.round((100 * times) / places.length)}% of its values: they go grey together.`,
      remedy: `Leave ${nameOf(layers, over)} out, or give it a neighbour on the wheel.`,
      change: { without: [over.id] },
    };
  },
};
