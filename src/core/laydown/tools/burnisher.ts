import { type Relief } from '../pass.ts';
import { remixed } from '../remix.ts';
import { type Tool } from './tool.ts';

/** What the hardest rub does: specks that it closes, pigment that it stirs, tooth that it presses flat. Assumptions. */
const CLOSES = 0.55;
const STIRS = 0.15;
const FLATTENS = 0.8;

/** A smooth hard tip presses what lies there flat: it shines, and takes hardly anything more. */
export const burnisher: Tool = {
  id: 'burnisher',
  name: 'burnisher',
  how: 'Rub with the smooth tip in small circles, one way at the edges; over a slip of thin paper where colour smears.',
  coloured: false,
  wantsFilled: true,
  on: 'all but the highlight',
  takes: 0.6,
  caution: 'It ends the work: hardly any pencil takes over it. Keep the grip light and rest the hand.',
  use(ground, amount) {
    const { specks, filled } = flat(ground, amount);
    return { ...remixed(ground, { specks, share: STIRS * amount }), filled };
  },
  relief: (relief, amount) => (relief.mass > 0 ? { ...relief, ...flat(relief, amount) } : relief),
};

function flat({ specks, filled }: Pick<Relief, 'specks' | 'filled'>, amount: number) {
  return { specks: specks * (1 - CLOSES * amount), filled: filled + FLATTENS * amount * (1 - filled) };
}
