import type { Step } from '../schemas.ts';
import { type Pair, type Rule, touchingThings } from './rule.ts';

/** L* from which a laydown counts as pale, to which as strong, and how far the two have to lie apart. */
const PALE = 70;
const STRONG = 50;
const APART = 25;

export const paleBeforeStrong: Rule = {
  id: 'pale-before-strong',
  name: 'pale before strong',
  says: 'Where two things touch, the pale one has its first layer before the strong one gets its dark: dark pigment is dragged into pale, hardly ever the other way.',
  costs: 'A few more changes of pencil.',
  usual: true,
  pairs(chains, page) {
    return touchingThings(chains, page).flatMap(({ a, b, regionsOfA, regionsOfB }): Pair[] => {
      const at = (id: string, regions: ReadonlySet<number>) =>
        chains.get(id)!.filter((step) => !step.tool && step.regionIds.some((region) => regions.has(region)));
      const [one, other] = [at(a, regionsOfA), at(b, regionsOfB)];
      if (one.length === 0 || other.length === 0) return [];
      // The thing whose strongest layer is paler counts as the pale one, so that rules of one pair never cross.
      const [pale, strong] = darkest(one) >= darkest(other) ? [one, other] : [other, one];
      // What is pale and comes later, as the white of highlights, goes over what lies there anyway.
      const first = pale[0]!;
      const dark = strong.find(({ value }) => value <= STRONG && value <= first.value - APART);
      return first.value >= PALE && dark ? [[first, dark]] : [];
    });
  },
};

function darkest(steps: readonly Step[]): number {
  return Math.min(...steps.map(({ value }) => value));
}
