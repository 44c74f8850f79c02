import { keeping } from '../ground.ts';
import { type Tool } from './tool.ts';

/** Where less than this arrives of a layer a mask has ended: its edge is cut, not soft. */
const EDGE = 0.1;

/** Film or fluid over what is to stay as it is: nothing reaches it until it is taken off. */
export const mask: Tool = {
  id: 'mask',
  name: 'mask',
  how: 'Lay film or fluid over what is to stay as it is, with a clean edge; it is taken off again later.',
  coloured: false,
  comes: 'first',
  on: 'highlight',
  masks: true,
  mayShow: true,
  unseen: true,
  driesMinutes: 15,
  takes: 0.7,
  caution: 'Test on a spare page: some masks lift soft paper or stain it. Follow the label.',
  use: (ground, amount) => (amount >= EDGE ? keeping(ground, 1) : ground),
};

export const maskOff: Tool = {
  id: 'mask-off',
  name: 'mask taken off',
  how: 'Peel it off flat along the paper, slowly, when all round it is dry.',
  coloured: false,
  comes: 'last',
  unmasks: true,
  takes: 0.1,
  caution: 'Slowly, and away from the soft edge: paper tears where it is still damp.',
  use: (ground) => (ground.kept >= 1 && ground.under ? { ...ground.under, wet: ground.wet } : ground),
};
