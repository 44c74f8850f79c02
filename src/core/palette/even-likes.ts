import { likeParts } from './like-parts.ts';
import { Objective } from './objective.ts';
import { type Problem } from './problem.ts';
import { type Answer } from './search.ts';

/**
 * The same answer with one family for all like parts: of those that they have, the one with which the page comes out
 * best. What is decided, or lies on the paper already, stays.
 */
export function evenLikes(problem: Problem, answer: Answer): Answer {
  const { options } = problem;
  const now = new Objective(problem, answer.chosen);
  const optionOf = (thing: number) => options[thing]![now.chosen[thing]!]!;
  for (const parts of likeParts(problem.things)) {
    const models = parts.map((thing) => JSON.stringify(optionOf(thing).family));
    const ways = [...new Set(models)].map((family) => {
      const chosen = now.chosen.slice();
      for (const thing of parts) {
        const same = options[thing]!.findIndex((option) => JSON.stringify(option.family) === family);
        if (same >= 0) chosen[thing] = same;
      }
      return { chosen, value: new Objective(problem, chosen).value };
    });
    now.setAll(ways.reduce((a, b) => (b.value < a.value ? b : a)).chosen);
  }
  return { chosen: now.chosen.slice(), objective: now.value };
}
