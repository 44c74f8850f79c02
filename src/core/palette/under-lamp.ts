import { type Lab, deltaE2000 } from '../colour/index.ts';
import { PARTED } from './measures.ts';

/** What changes less, CIEDE2000, is not told: nobody would see it. */
const TOLD = 1;

/** A pencil's finished colour by daylight and under a lamp. */
export interface SeenTwice {
  id: string;
  day: Lab;
  lamp: Lab;
}

/** Two pencils that part by day and no longer do under a lamp. */
export interface LookAlikes {
  a: string;
  b: string;
  /** CIEDE2000 by day and under the lamp. */
  day: number;
  lamp: number;
  /** Names of things in these two that touch, one after the other; null where none do. */
  meet: readonly [string, string] | null;
}

/**
 * Pairs of a palette's pencils that stop parting under a lamp, those that meet on the page first.
 * @param things of the page with the pencil that gives each its colour
 * @param borders between things, by id
 */
export function lookAlikesUnder(
  pencils: readonly SeenTwice[],
  things: readonly { id: string; name: string; pencil: string }[],
  borders: readonly { a: string; b: string }[],
): LookAlikes[] {
  const byId = new Map(things.map((thing) => [thing.id, thing]));
  const meeting = new Map<string, readonly [string, string]>();
  for (const border of borders) {
    const [p, q] = [byId.get(border.a), byId.get(border.b)];
    if (p && q) meeting.set(keyOf(p.pencil, q.pencil), [p.name, q.name]);
  }
  return pencils
    .flatMap((one, i) =>
      pencils.slice(i + 1).flatMap((other): LookAlikes[] => {
        const [day, lamp] = [deltaE2000(one.day, other.day), deltaE2000(one.lamp, other.lamp)];
        if (day < PARTED || lamp >= PARTED || day - lamp < TOLD) return [];
        return [{ a: one.id, b: other.id, day, lamp, meet: meeting.get(keyOf(one.id, other.id)) ?? null }];
      }),
    )
    .sort((p, q) => Number(q.meet !== null) - Number(p.meet !== null) || p.lamp - q.lamp);
}

function keyOf(a: string, b: string): string {
  return [a, b].sort().join(' ');
}
