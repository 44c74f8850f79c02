import { type Pair, type Rule, touchingThings } from './rule.ts';

export const wetFirst: Rule = {
  id: 'wet-first',
  name: 'wet work first',
  says: 'What is wetted is wetted before a dry thing that touches it is begun: water and solvent run over lines.',
  costs: 'Wetted things come early and wait to dry.',
  usual: true,
  pairs(chains, page) {
    const wetOf = (id: string) =>
      chains
        .get(id)!
        .filter(({ dryMinutes }) => dryMinutes)
        .at(-1);
    return touchingThings(chains, page).flatMap(({ a, b }): Pair[] => {
      const [inFront, behind] = [wetOf(a), wetOf(b)];
      // Where both are wetted, what lies behind goes first.
      if (behind) return [[behind, chains.get(a)![0]!]];
      return inFront ? [[inFront, chains.get(b)![0]!]] : [];
    });
  },
};
