import { toolById } from '../../laydown/index.ts';
import type { Layer } from '../schemas.ts';
import { type Check, startOf } from './check.ts';

/** A mask that nobody takes off stays on the page. */
export const maskStays: Check = {
  id: 'mask-stays',
  title: 'The mask is never taken off.',
  find({ recipe: { layers } }) {
    const masked = layers.find(
      ({ tool }, i) =>
        tool &&
        toolById(tool).masks &&
        !layers.slice(i + 1).some((later) => later.tool && toolById(later.tool).unmasks),
    );
    if (!masked) return null;
    const off: Layer = {
      ...masked,
      id: `${masked.id}-off`.slice(0, 40),
      tool: 'mask-off',
      dryMinutes: undefined,
      purpose: toolById('mask-off').how,
    };
    const last = layers.findLastIndex(({ tool }) => !tool || toolById(tool).comes !== 'last');
    const ids = layers.map(({ id }) => id);
    return {
      sentence: `${startOf(layers, masked)} masks it, and no layer takes that off.`,
      remedy: 'Take it off when the rest is laid.',
      change: { added: [off], order: [...ids.slice(0, last + 1), off.id, ...ids.slice(last + 1)] },
    };
  },
};
