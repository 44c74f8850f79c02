import { remixed } from '../remix.ts';
import { type Tool } from './tool.ts';

/** A pencil of binder without pigment presses what lies there into the valleys and stirs the upper layers. */
export const colourlessBlender: Tool = {
  id: 'colourless-blender',
  name: 'colourless blender',
  coloured: false,
  works: true,
  wantsFilled: true,
  caution: 'It uses tooth: lay all colour first.',
  use(ground, amount) {
    const root = Math.sqrt(amount);
    const filled = ground.filled + 0.03 * (1 - ground.filled) * (1 + amount);
    return { ...remixed(ground, { specks: ground.specks * (1 - 0.45 * root), share: 0.5 * root }), filled };
  },
};
