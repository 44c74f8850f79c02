import { type Relief } from '../pass.ts';
import { remixed } from '../remix.ts';
import { type Tool } from './tool.ts';

/** A pencil of binder without pigment presses what lies there into the valleys and stirs the upper layers. */
export const colourlessBlender: Tool = {
  id: 'colourless-blender',
  name: 'colourless blender',
  how: 'Small circles from the palest part to the darkest; wipe its point on scrap before going back to the pale.',
  coloured: false,
  wantsFilled: true,
  on: 'all but the highlight',
  caution: 'It uses tooth: lay all colour first.',
  use(ground, amount) {
    const { specks, filled } = closed(ground, amount);
    return { ...remixed(ground, { specks, share: 0.5 * Math.sqrt(amount) }), filled };
  },
  relief: (relief, amount) => (relief.mass > 0 ? { ...relief, ...closed(relief, amount) } : relief),
};

function closed({ specks, filled }: Pick<Relief, 'specks' | 'filled'>, amount: number) {
  return {
    specks: specks * (1 - 0.45 * Math.sqrt(amount)),
    filled: filled + 0.03 * (1 - filled) * (1 + amount),
  };
}
