import { type Check, onGround } from './check.ts';

/** L* by which polished metal jumps somewhere between neighbouring values. */
const JUMPS = 14;

/** Polished metal is black next to white: a smooth passage reads as plastic. */
export const smoothMetal: Check = {
  id: 'smooth-metal',
  title: 'The metal is too smooth.',
  find({ recipe: { layers }, effect, groundValue, places, row, thickOf }) {
    // A metal from one pencil parts by pressure alone.
    const pencils = new Set(layers.flatMap(({ pencil, role }) => (role === 'white' ? [] : [pencil])));
    if (!effect.jumps || pencils.size === 1) return null;
    let most = 0;
    for (let i = 1; i < places.length; i++) {
      if (i % row !== 0) most = Math.max(most, Math.abs(places[i]!.lab[0] - places[i - 1]!.lab[0]));
    }
    // A pale metal jumps as far as its darkest lets it.
    const range = groundValue - Math.min(...layers.map(({ pencil }) => thickOf(pencil)[0]));
    if (most >= Math.min(onGround(JUMPS, groundValue), range / 4)) return null;
    return {
      sentence: `Its value nowhere jumps by more than ${most.toFixed(0)} L*: polished metal has dark right beside light.`,
      remedy: 'Draw the edges of its layers hard, with a sharp point.',
      change: {
        layers: Object.fromEntries(layers.map(({ id }) => [id, { softnessMm: 0.1, point: 'sharp' as const }])),
      },
    };
  },
};
