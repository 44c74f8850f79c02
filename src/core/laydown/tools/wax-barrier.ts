import { BANDS } from '../../colour/index.ts';
import { filmConstants } from '../kubelka-munk.ts';
import { groundAfter, passGeometry } from '../pass.ts';
import { pencilTypeById } from '../pencil-types/index.ts';
import { type Tool } from './tool.ts';

/** Clear wax hardly absorbs and hardly scatters. */
const k = new Float64Array(BANDS).fill(2e-4);
const s = new Float64Array(BANDS).fill(0.004);
const CLEAR = { k, s, ...filmConstants(k, s) };

/** A candle or clear wax pencil pressed in first: it takes up the tooth, so that later colour hardly takes. */
export const waxBarrier: Tool = {
  id: 'wax-barrier',
  name: 'wax barrier',
  how: 'Press it in where later colour is not to take, before all colour, with a point that is blunt.',
  coloured: false,
  comes: 'first',
  on: 'highlight',
  mayShow: true,
  unseen: true,
  caution: 'It cannot be taken off again. One pass: two keep out nearly everything.',
  use(ground, amount) {
    const type = pencilTypeById('wax');
    return groundAfter(ground, passGeometry(ground, type, amount), { type, ...CLEAR });
  },
  relief: (relief, amount) => {
    const { specks, filled, mass } = passGeometry(relief, pencilTypeById('wax'), amount);
    return { ...relief, specks, filled, mass };
  },
};
