import { type Ground } from '../ground.ts';
import { massOf, remixed } from '../remix.ts';
import { type Tool } from './tool.ts';

/** A wet brush dissolves what is soluble and floods the valleys with it; the rest only gets wet. */
export const water: Tool = {
  id: 'water',
  name: 'water',
  how: 'A damp brush from pale to dark; rinse it before going back to the pale part.',
  coloured: false,
  driesMinutes: 20,
  on: 'all but the highlight',
  takes: 0.4,
  wets: true,
  watery: true,
  onWet: true,
  caution: 'Thin paper warps and some inks run: test on a spare page, lay a sheet under it, dry before going on.',
  use: (ground, amount) => ({ ...dissolved(ground, amount), wet: true }),
};

/** What water does to what lies there, apart from wetting it. */
export function dissolved(ground: Ground, amount: number): Ground {
  const soluble = ground.deposits.reduce((sum, deposit) => sum + deposit.mass * deposit.soluble, 0);
  const share = soluble > 0 ? (amount * soluble) / massOf(ground.deposits) : 0;
  if (share === 0) return ground;
  return remixed(ground, {
    specks: ground.specks * (1 - 0.95 * share),
    share: 0.9 * share,
    absorbs: 1 + 0.1 * share,
    scatters: 1 - 0.35 * share,
  });
}
