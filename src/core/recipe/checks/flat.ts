import { PRESSURES } from '../../laydown/index.ts';
import { usualWidth } from '../effects/index.ts';
import { type Check, nameOf, onGround } from './check.ts';

/** Dark and light closer than this in L* do not read as shadow and light. */
const VALUE_STEP = 12;

/** Narrower shapes, mm, have no room for a form to turn in. */
const TURNS_MM = 2.4;
/** What is not of the family. */
const FROM_ELSEWHERE = new Set(['white', 'reflected', 'glow']);

export const flatForm: Check = {
  id: 'no-value-step',
  title: 'It may look flat.',
  find({ recipe: { layers }, effect, context, groundValue, places, labOf, thickOf }) {
    // A single pencil parts by pressure alone, and pale things are pale.
    if (
      effect.pale ||
      new Set(layers.flatMap(({ pencil, role }) => (FROM_ELSEWHERE.has(role) ? [] : [pencil]))).size === 1
    )
      return null;
    const values = places.map(({ lab }) => lab[0]);
    const step = Math.max(...values) - Math.min(...values);
    // A pale family turns a form by as much as its darkest lets it.
    const range = groundValue - Math.min(...layers.map(({ pencil }) => thickOf(pencil)[0]));
    if (usualWidth(context) < TURNS_MM) return null;
    if (step >= Math.min(onGround(VALUE_STEP, groundValue), range / 4)) return null;
    const dark = layers.reduce((a, b) => (labOf(b.pencil)[0] < labOf(a.pencil)[0] ? b : a));
    const firmer = PRESSURES[Math.min(PRESSURES.indexOf('firm'), PRESSURES.indexOf(dark.pressure) + 1)];
    const more = firmer === dark.pressure;
    return {
      sentence: `Its darkest and its lightest differ by only ${step.toFixed(0)} L*, so the form will look flat.`,
      remedy: more
        ? `Go over ${nameOf(layers, dark)} once more, or choose a darker dark or a paler light.`
        : `Lay ${nameOf(layers, dark)} ${firmer}, or choose a darker dark or a paler light.`,
      change: { layers: { [dark.id]: more ? { passes: Math.min(6, dark.passes + 1) } : { pressure: firmer } } },
    };
  },
};
