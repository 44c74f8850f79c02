/** rules: what craft wants of the order of steps of different things; one file a rule, to add one list it here. */
import { behindFirst } from './behind-first.ts';
import { faceEarly } from './face-early.ts';
import { paleBeforeStrong } from './pale-before-strong.ts';
import { type Rule } from './rule.ts';
import { shadowFirst } from './shadow-first.ts';
import { wetFirst } from './wet-first.ts';

export { type Chains, type Pair, type Rule, type RuledPage } from './rule.ts';
/** Every rule, the one that weighs most first. The order of a thing's own layers weighs more than all but wet work. */
export const RULES: readonly Rule[] = [wetFirst, paleBeforeStrong, shadowFirst, behindFirst, faceEarly];

/**
 * The rule with this id.
 * @throws RangeError when there is none
 */
export function ruleById(id: string): Rule {
  const rule = RULES.find((each) => each.id === id);
  if (!rule) throw new RangeError(`There is no rule called "${id}".`);
  return rule;
}

/** The rules that are kept as long as nobody chooses, by id. */
export const USUAL_RULES: readonly string[] = RULES.filter(({ usual }) => usual).map(({ id }) => id);
