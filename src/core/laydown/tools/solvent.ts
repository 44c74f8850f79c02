import { remixed } from '../remix.ts';
import { type Tool } from './tool.ts';

/**
 * Odourless mineral spirits dissolve the binder: pigment runs into the valleys and the layers become more of one film.
 *
 * A full flow (6% of the specks left, 85% of the pigment set free) makes a painted area of three light layers, which is
 * more than brushing over a page does: a brush leaves tracks, and most pigment keeps to the fibres it was pressed into.
 * With half set free, what fills the valleys is thin: the same layers gain a sixth to a quarter of their
 * chroma, and specks still close to under 8%.
 */
const SPECKS_LEFT = 0.15;
const SET_FREE = 0.5;
/** Pigment that lies closer scatters less. */
const SCATTERS = 0.97;
/** Binder that was washed off the fibres gives some tooth back. */
const TOOTH_BACK = 0.15;

export const solvent: Tool = {
  id: 'solvent',
  name: 'solvent',
  coloured: false,
  works: true,
  wets: true,
  caution:
    'Open window, cap on, no flame, away from children and pets; gloves if your skin reacts. Follow the label. Let it dry before the next pencil.',
  use(ground, amount) {
    const stirred = remixed(ground, {
      specks: ground.specks * (1 - (1 - SPECKS_LEFT) * amount),
      share: SET_FREE * amount,
      scatters: 1 - (1 - SCATTERS) * amount,
    });
    return { ...stirred, filled: ground.filled * (1 - TOOTH_BACK * amount), wet: true };
  },
};
