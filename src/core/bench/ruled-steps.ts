import { type Rule, type RuledPage, ruleById } from './rules/index.ts';
import type { LeftOut, Step } from './schemas.ts';

export interface RuledSteps {
  /** The same steps in the same order, each also after what the rules ask for. */
  steps: Step[];
  leftOut: LeftOut[];
}

/**
 * Adds to each step what rules want done before it. A wish that would close a circle, so that steps wait for each other,
 * is left out; rules that come first have their wishes taken first, so it is always one of the weakest in the circle.
 * @param steps chained within each thing
 * @param rules ids of those that are kept, the one that weighs most first
 * @param wholeThings whether each thing is finished before the next: then things, and not only steps, must not wait for
 * each other in a circle
 * @throws RangeError when there is no such rule
 */
export function ruledSteps(
  steps: readonly Step[],
  page: RuledPage,
  rules: readonly string[],
  wholeThings: boolean,
): RuledSteps {
  const chains = new Map<string, Step[]>();
  for (const step of steps) chains.set(step.thingId, [...(chains.get(step.thingId) ?? []), step]);
  const nameOf = new Map(page.things.map(({ id, name }) => [id, name]));
  const nodeOf = ({ id, thingId }: Step) => (wholeThings ? thingId : id);
  /** What follows each step or thing. */
  const followers = new Map<string, Set<string>>();
  const put = (before: string, after: string) => {
    if (before !== after) followers.set(before, (followers.get(before) ?? new Set()).add(after));
  };
  const stepOf = new Map(steps.map((step) => [step.id, step]));
  for (const step of steps) for (const id of step.after) put(nodeOf(stepOf.get(id)!), nodeOf(step));
  const added = new Map<string, string[]>();
  const leftOut: LeftOut[] = [];
  for (const rule of rules.map(ruleById)) {
    for (const [before, after] of rule.pairs(chains, page)) {
      const within = before.thingId === after.thingId;
      const closes = within
        ? chains.get(before.thingId)!.indexOf(before) > chains.get(before.thingId)!.indexOf(after)
        : leadsTo(followers, nodeOf(after), nodeOf(before));
      if (closes) {
        leftOut.push({ ruleId: rule.id, sentence: sentenceOf(rule, nameOf, before, after, within) });
        continue;
      }
      put(nodeOf(before), nodeOf(after));
      if (!within) added.set(after.id, [...(added.get(after.id) ?? []), before.id]);
    }
  }
  return {
    steps: steps.map((step) => ({ ...step, after: [...new Set([...step.after, ...(added.get(step.id) ?? [])])] })),
    leftOut,
  };
}

/** Whether one follows from another, over any number in between. */
function leadsTo(followers: ReadonlyMap<string, ReadonlySet<string>>, from: string, to: string): boolean {
  const seen = new Set([from]);
  const waiting = [from];
  for (let at = waiting.pop(); at !== undefined; at = waiting.pop()) {
    if (at === to) return true;
    for (const next of followers.get(at) ?? []) {
      if (!seen.has(next)) waiting.push(next);
      seen.add(next);
    }
  }
  return false;
}

function sentenceOf(
  { name }: Rule,
  nameOf: ReadonlyMap<string, string>,
  before: Step,
  after: Step,
  within: boolean,
): string {
  const [one, other] = [nameOf.get(before.thingId) ?? before.thingId, nameOf.get(after.thingId) ?? after.thingId];
  return within
    ? `“${name}” is left out for ${one}: its own layers stand in another order.`
    : `“${name}” is left out between ${one} and ${other}: what weighs more wants ${other} before ${one}.`;
}
