import { type Pair, type Rule, touchingThings } from './rule.ts';

/** Words in the name of a thing that say that it is a detail of a face. */
const DETAILS = ['eye', 'eyes', 'pupil', 'pupils', 'iris', 'mouth', 'lips', 'nose', 'snout', 'beak', 'brow', 'brows'];

export const faceEarly: Rule = {
  id: 'face-early',
  name: 'details of a face early',
  says: 'Eyes, nose and mouth are finished before what lies round them: a face that looks back says how the rest is to be.',
  costs: 'Sharp work first, and edges to keep clean afterwards.',
  usual: false,
  pairs(chains, page) {
    const nameOf = new Map(page.things.map(({ id, name }) => [id, name]));
    const isDetail = (id: string) =>
      (nameOf.get(id) ?? '')
        .toLowerCase()
        .split(/[^a-z]+/)
        .some((word) => DETAILS.includes(word));
    return touchingThings(chains, page).flatMap(({ a, b }): Pair[] => {
      if (isDetail(a) === isDetail(b)) return [];
      const [detail, round] = isDetail(a) ? [a, b] : [b, a];
      return [[chains.get(detail)!.at(-1)!, chains.get(round)!.at(-1)!]];
    });
  },
};
