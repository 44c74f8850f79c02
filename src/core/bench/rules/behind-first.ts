import { type Pair, type Rule, touchingThings } from './rule.ts';

export const behindFirst: Rule = {
  id: 'behind-first',
  name: 'behind before in front',
  says: 'What lies behind is begun before what lies in front of it, so that edges in front are drawn over it clean.',
  costs: 'Many more changes of pencil where few things may be open.',
  usual: false,
  pairs: (chains, page) =>
    touchingThings(chains, page).map(({ a, b }): Pair => [chains.get(b)![0]!, chains.get(a)![0]!]),
};
