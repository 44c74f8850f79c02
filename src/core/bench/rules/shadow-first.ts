import type { Step } from '../schemas.ts';
import { type Pair, type Rule } from './rule.ts';

export const shadowFirst: Rule = {
  id: 'shadow-first',
  name: 'cast shadows first',
  says: 'A shadow that falls on a thing is laid before the shades of its own form.',
  costs: 'Nothing, where recipes lay it first anyway.',
  usual: true,
  pairs(chains) {
    const isCast = ({ zone }: Step) => zone.field === 'shadow' || zone.and?.field === 'shadow';
    return [...chains.values()].flatMap((steps): Pair[] => {
      // Over a base coat is early enough.
      const form = steps.find((step, i) => i > 0 && !step.tool && step.zone.field === 'tone' && !isCast(step));
      return form ? steps.filter(isCast).map((cast) => [cast, form] as const) : [];
    });
  },
};
