import type { Draft } from 'immer';
import { type Plan, type Thing, newThing } from '../../contracts/index.ts';
import { type GuessedThing, type Proposal } from '../../core/things/index.ts';
import { PatchError } from '../patches.ts';
import { thingsOf } from '../select.ts';

/** What is decided about a thing by itself, apart from which regions it has and where it lies. */
export type AboutThing = Partial<Omit<Thing, 'id' | 'regionIds' | 'depth' | 'repairs'>>;

/** Decides something about a thing. @throws PatchError when it is not on the sheet */
export function decideThing(plan: Draft<Plan>, id: string, about: AboutThing): void {
  Object.assign(thingIn(plan, id), about);
}

/** The thing of an id. @throws PatchError when it is not on the sheet */
export function thingIn(plan: Draft<Plan>, id: string): Draft<Thing> {
  const thing = Object.hasOwn(plan.things, id) ? plan.things[id] : undefined;
  if (!thing) throw new PatchError('This thing is no longer on the sheet.');
  return thing;
}

/** Puts a thing behind all others. */
export function addThing(plan: Draft<Plan>, thing: Thing): void {
  const depths = Object.values(plan.things).map(({ depth }) => depth);
  plan.things[thing.id] = { ...thing, depth: Math.max(-1, ...depths) + 1 } as Draft<Thing>;
}

/**
 * Gathers regions into one thing: that of the same name, or a new one behind all others. Things that had them before
 * lose them, and are gone where nothing is left of them.
 * @param newId the id of the thing where it is a new one
 * @returns the id of the thing that has them now
 */
export function gatherRegions(plan: Draft<Plan>, regionIds: readonly number[], name: string, newId: string): string {
  const same = Object.values(plan.things).find((thing) => thing.name.toLowerCase() === name.toLowerCase());
  const gathered = new Set(regionIds);
  for (const thing of Object.values(plan.things)) {
    const left = thing.regionIds.filter((id) => !gathered.has(id));
    if (left.length < thing.regionIds.length) thing.regionIds = left;
  }
  if (same) same.regionIds.push(...regionIds);
  else addThing(plan, newThing({ id: newId, name, regionIds: [...regionIds] }));
  const empty = Object.values(plan.things).filter((thing) => thing.regionIds.length === 0);
  removeThings(
    plan,
    empty.map(({ id }) => id),
  );
  return same?.id ?? newId;
}

/** Takes things out of a plan with everything that was decided for them; their parts stand for themselves. */
export function removeThings(plan: Draft<Plan>, ids: readonly string[]): void {
  const gone = new Set(ids);
  for (const id of gone) {
    delete plan.things[id];
    delete plan.aside.things[id];
  }
  for (const thing of [...Object.values(plan.things), ...Object.values(plan.aside.things)]) {
    if (thing.within !== null && gone.has(thing.within)) thing.within = null;
  }
  for (const shape of plan.aside.shapes) {
    if (shape.thingId === null || !gone.has(shape.thingId)) continue;
    shape.thingId = null;
    shape.repairs = [];
  }
  plan.aside.shapes = plan.aside.shapes.filter(({ thingId, about }) => thingId !== null || about !== null);
}

/** Takes out what is still a guess. */
export function removeGuesses(plan: Draft<Plan>): void {
  const guesses = Object.values(plan.things).filter(({ guessed }) => guessed);
  removeThings(
    plan,
    guesses.map(({ id }) => id),
  );
}

/** Counts every guess as looked at. */
export function keepGuesses(plan: Draft<Plan>): void {
  for (const thing of Object.values(plan.things)) thing.guessed = false;
}

/** Moves a thing to the place of another, which moves on by one: further in front or further behind. */
export function moveThing(plan: Draft<Plan>, id: string, onto: string): void {
  const things = thingsOf(plan as Plan);
  const from = things.findIndex((thing) => thing.id === id);
  const to = things.findIndex((thing) => thing.id === onto);
  const [moved, near] = [things[from], things[to]];
  if (!moved || !near || moved === near) return;
  // Between the one whose place it takes and that one's neighbour on the far side.
  const far = things[to < from ? to - 1 : to + 1];
  const depth = far ? (near.depth + far.depth) / 2 : near.depth + (to < from ? -1 : 1);
  thingIn(plan, id).depth = depth;
  // Halved too often, two depths are one number: then all are counted anew.
  if (far && (depth === near.depth || depth === far.depth)) {
    const order = things.filter((thing) => thing.id !== id);
    order.splice(to, 0, moved);
    order.forEach((thing, place) => (thingIn(plan, thing.id).depth = place));
  }
}

/**
 * Puts guesses among the things of a plan, from front to back; each is marked as one.
 * @param newId makes an id that no other thing has
 * @param materialOf what a person said that a guess is made of
 */
export function addGuesses(
  plan: Draft<Plan>,
  { guesses, frontToBack }: Proposal,
  newId: () => string,
  materialOf: (guess: GuessedThing) => string | null,
): void {
  const things = thingsOf(plan as Plan);
  frontToBack.forEach((k, depth) => {
    const there = things[k];
    if (there) {
      thingIn(plan, there.id).depth = depth;
      return;
    }
    const guess = guesses[k - things.length]!;
    const { name, regionIds } = guess;
    const id = newId();
    plan.things[id] = newThing({
      id,
      name,
      regionIds: [...regionIds],
      depth,
      material: materialOf(guess),
      guessed: true,
    }) as Draft<Thing>;
  });
}
