import { keeping } from '../ground.ts';
import { type Tool } from './tool.ts';

/** Share of the area that lines side by side take when they are pressed medium; the hardest make them half as wide again. Assumption. */
const LINES = 0.14;
const MEDIUM = 0.5;

/** A blunt point pressed into the paper: pencils go over the groove, which stays as it was. */
export const indent: Tool = {
  id: 'indent',
  name: 'blunt stylus',
  how: 'Press single lines into the page before the colour that they are to stand in; they stay as the page is now.',
  coloured: false,
  comes: 'first',
  draws: true,
  unseen: true,
  takes: 0.6,
  caution:
    'A groove cannot be taken back, and solvent or water runs into it. Put card under the page; a point that is blunt.',
  use: (ground, amount) => keeping(ground, Math.min(0.5, (LINES * (MEDIUM + amount)) / (2 * MEDIUM))),
};
