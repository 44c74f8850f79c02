import type { Plan, PlanChange } from '../../contracts/index.ts';

/** The change that takes a thing out of a plan, with everything decided for it. */
export function without(plan: Plan, thingId: string): PlanChange {
  const drop = <T>(byThing: Record<string, T>) =>
    Object.fromEntries(Object.entries(byThing).filter(([id]) => id !== thingId));
  return {
    things: plan.things.filter((thing) => thing.id !== thingId),
    families: drop(plan.families),
    forms: drop(plan.forms),
    glows: plan.glows.filter((glow) => glow.thingId !== thingId),
    layers: {
      ...plan.layers,
      schools: drop(plan.layers.schools),
      effects: drop(plan.layers.effects),
      edits: drop(plan.layers.edits),
    },
  };
}
