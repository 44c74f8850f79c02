import { PRESSURES } from '../../laydown/index.ts';
import { type Check, nameOf, onGround } from './check.ts';

/** L* that the core of a glow stands above what surrounds it. */
const STANDS_OUT = 35;

/** A glow is only as bright as its surroundings are dark. */
export const weakGlow: Check = {
  id: 'weak-glow',
  title: 'The glow is weak for its ground.',
  find({ recipe: { layers }, effect, groundValue, places, labOf }) {
    if (!effect.glows) return null;
    const at = (wanted: number) => places.filter(({ place }) => place.glow?.value === wanted).map(({ lab }) => lab[0]);
    const [far, near] = [Math.min(...at(0)), Math.max(...at(1))];
    const needed = onGround(STANDS_OUT, groundValue);
    if (near - far >= needed) return null;
    const dark = layers.filter(({ tool }) => !tool).reduce((a, b) => (labOf(b.pencil)[0] < labOf(a.pencil)[0] ? b : a));
    const pressure = PRESSURES[Math.min(PRESSURES.length - 2, PRESSURES.indexOf(dark.pressure) + 1)];
    const more = pressure === dark.pressure;
    return {
      sentence: `Its core is only ${Math.max(0, near - far).toFixed(0)} L* above its ground; ${needed.toFixed(0)} read as a glow.`,
      remedy: more
        ? `Go over ${nameOf(layers, dark)} once more, or give the ground a darker pencil.`
        : `Lay ${nameOf(layers, dark)} ${pressure}, or give the ground a darker pencil.`,
      change: { layers: { [dark.id]: more ? { passes: Math.min(6, dark.passes + 1) } : { pressure } } },
    };
  },
};
