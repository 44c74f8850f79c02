import type { AboutRegion, Lamp, Plan, Thing } from '../contracts/index.ts';
import { type Glow, type Lighting } from '../core/light/index.ts';
import { type Family } from '../core/recipe/index.ts';

/** What a function makes of the things of a plan, made once for each state of them: the same object as long as they are the same. */
function ofThings<T>(make: (things: Plan['things']) => T): (plan: Pick<Plan, 'things'>) => T {
  const made = new WeakMap<Plan['things'], T>();
  return ({ things }) => {
    if (!made.has(things)) made.set(things, make(things));
    return made.get(things)!;
  };
}

/** The things of a plan, from what lies in front to what lies behind. */
export const thingsOf = ofThings((things): readonly Thing[] =>
  Object.values(things).sort((p, q) => p.depth - q.depth || (p.id < q.id ? -1 : 1)),
);

/** The families of those things that have one, by thing id, from front to behind. */
export const familiesOf = ofThings((things): Readonly<Record<string, Family>> =>
  Object.fromEntries(thingsOf({ things }).flatMap(({ id, family }) => (family ? [[id, family]] : []))),
);

/** Things from what lies in front to what lies behind, as a plan keeps them. */
export function frontToBack(things: readonly Thing[]): Plan['things'] {
  return Object.fromEntries(things.map((thing, depth) => [thing.id, { ...thing, depth }]));
}

/** The thing that a region belongs to. */
export function thingAt(plan: Pick<Plan, 'things'>, regionId: number): Thing | undefined {
  return thingsOf(plan).find(({ regionIds }) => regionIds.includes(regionId));
}

/** Glow of a thing or of a point of the page; its id is the thing's or the point's. */
export interface PlacedGlow extends Glow {
  id: string;
  /** A pencil of the colour of its light; null: the colour of what glows. */
  pencil: string | null;
}

/** All that glows on a page: things from front to behind, then points in the order in which they were lit. */
export function glowsOf({ things, lamps }: Pick<Plan, 'things' | 'lamps'>): PlacedGlow[] {
  const ofThings = thingsOf({ things }).flatMap(({ id, glow }) =>
    glow ? [{ ...glow, id, thingId: id, at: null }] : [],
  );
  return [...ofThings, ...lampsOf({ lamps }).map((lamp) => ({ ...lamp, thingId: null }))];
}

/** The points that glow, in the order in which they were lit. */
export function lampsOf({ lamps }: Pick<Plan, 'lamps'>): Lamp[] {
  return Object.values(lamps).sort((p, q) => (p.id < q.id ? -1 : 1));
}

/** All lights of a plan, and its water line. */
export function lightingOf(plan: Pick<Plan, 'light' | 'things' | 'lamps' | 'horizon'>): Lighting {
  const { waterLineMm, rippled } = plan.horizon;
  return { main: plan.light, glows: glowsOf(plan), waterLineMm, rippled };
}

const NOTHING_SAID: AboutRegion = {};

/** What a person said of a region. */
export function aboutRegion({ regions }: Pick<Plan, 'regions'>, regionId: number): AboutRegion {
  return regions[regionId] ?? NOTHING_SAID;
}
