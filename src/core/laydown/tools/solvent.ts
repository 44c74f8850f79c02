import { type Relief } from '../pass.ts';
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
  how: 'Barely damp, pulled from pale to dark, and back to the pale with a clean end: a brush where it is tight, a bud where it is wide.',
  coloured: false,
  wets: true,
  driesMinutes: 20,
  on: 'all but the highlight',
  takes: 0.5,
  caution:
    'Open window, cap on, no flame, away from children and pets; gloves if your skin reacts. Follow the label. Let it dry before the next pencil.',
  use(ground, amount) {
    const { specks, filled } = flowed(ground, amount);
    const stirred = remixed(ground, { specks, share: SET_FREE * amount, scatters: 1 - (1 - SCATTERS) * amount });
    return { ...stirred, filled, wet: true };
  },
  relief: (relief, amount) => (relief.mass > 0 ? { ...relief, ...flowed(relief, amount) } : relief),
};

function flowed({ specks, filled }: Pick<Relief, 'specks' | 'filled'>, amount: number) {
  return { specks: specks * (1 - (1 - SPECKS_LEFT) * amount), filled: filled * (1 - TOOTH_BACK * amount) };
}
