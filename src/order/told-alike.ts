import { type Round, type Step, whereOf } from '../core/bench/index.ts';

/** Shapes of a step for which the same is told: where it goes, how often, and what it is for. */
export interface ToldAlike {
  where: string;
  passes: number;
  purpose: string;
  dryMinutes?: number;
  steps: readonly Step[];
}

/** The shapes of a step by what is told of them, in the order in which they are laid. */
export function toldAlike({ steps }: Pick<Round, 'steps'>): ToldAlike[] {
  const groups = new Map<string, Step[]>();
  for (const step of steps) {
    const key = [whereOf(step), step.passes, step.purpose, step.dryMinutes ?? 0].join('\n');
    groups.set(key, [...(groups.get(key) ?? []), step]);
  }
  return [...groups.values()].map((own) => {
    const { passes, purpose, dryMinutes } = own[0]!;
    return { where: whereOf(own[0]!), passes, purpose, dryMinutes, steps: own };
  });
}

export function timesInWords(passes: number): string {
  return passes === 1 ? 'once' : `${passes} times`;
}

/** How many shapes steps are laid on, in words. */
export function shapesInWords(steps: readonly Pick<Step, 'regionIds'>[]): string {
  const count = steps.reduce((sum, { regionIds }) => sum + regionIds.length, 0);
  return count === 1 ? '1 shape' : `${count} shapes`;
}
