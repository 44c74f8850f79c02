import { massOf, remixed } from '../remix.ts';
import { type Tool } from './tool.ts';

/** A finger or silicone tip pulls loose pigment about, such as pastel; bound pigment stays where it is. */
export const softTip: Tool = {
  id: 'soft-tip',
  name: 'finger or soft tip',
  how: 'Pull from the pale end to the deep one, with a clean tip for each colour.',
  coloured: false,
  takes: 0.5,
  caution: 'Tap dust off, never blow or breathe it. A clean tip for every colour.',
  use(ground, amount) {
    const loose = ground.deposits.reduce((sum, deposit) => sum + deposit.mass * deposit.loose, 0);
    const share = loose > 0 ? (amount * loose) / massOf(ground.deposits) : 0;
    return share > 0 ? remixed(ground, { specks: ground.specks * (1 - 0.8 * share), share: 0.7 * share }) : ground;
  },
};
