import { type Ground } from '../ground.ts';
import { evenFilm, massOf } from '../remix.ts';
import { type Tool } from './tool.ts';

/** Share that a firm eraser lifts of the uppermost deposit where it is bound, and where it is loose. */
const LIFTS = { bound: 0.4, loose: 0.9 };
/** Each deposit below another is reached so many times as well. */
const DEEPER = 0.55;
/** Share of the tooth under lifted pigment that comes free; the rest stays pressed down. */
const TOOTH_FREED = 0.6;

/** A kneaded or soft eraser lifts loose and late deposits most. The paper never comes quite clean. */
export const eraser: Tool = {
  id: 'eraser',
  name: 'eraser',
  how: 'Press and lift with a clean place of it, more often where more is to come off; do not rub.',
  coloured: false,
  on: 'highlight',
  takes: 0.6,
  caution: 'Dab, do not rub: rubbing roughens the paper, and then it takes colour unevenly.',
  use(ground, amount) {
    const last = ground.deposits.length - 1;
    const kept = ground.deposits.map((deposit, i) => {
      const lifts = LIFTS.bound + (LIFTS.loose - LIFTS.bound) * deposit.loose;
      return { ...deposit, mass: deposit.mass * (1 - amount * lifts * DEEPER ** (last - i)) };
    });
    const before = massOf(ground.deposits);
    return before > 0 ? lifted(ground, kept, before - massOf(kept)) : ground;
  },
};

/** The ground once `mass` of its deposits is gone: thinner, with more specks, and some tooth free again. */
function lifted(ground: Ground, kept: Ground['deposits'], mass: number): Ground {
  const left = 1 - mass / ground.mass;
  // The share that is missed falls off exponentially with mass, so it grows again as it fell.
  const specks = Math.max(ground.specks, 1e-6) ** left;
  const thicker = evenFilm(ground.deposits, ground.bare, massOf(ground.deposits) / (1 - ground.specks));
  const thinner = evenFilm(kept, ground.bare, massOf(kept) / (1 - specks));
  const covered = ground.covered.map((value, i) => Math.min(1, (value * thinner[i]!) / thicker[i]!));
  const filled = ground.filled * (1 - TOOTH_FREED * (1 - left));
  return { ...ground, covered, specks, filled, mass: ground.mass - mass, deposits: kept };
}
