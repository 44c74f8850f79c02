import type { Plan, RegionGround, RegionsMeta } from '../contracts/index.ts';
import { labOfHex } from '../core/colour/index.ts';
import { type Ground, type Paper, bareGround, stainedGround, workedGround } from '../core/laydown/index.ts';

/** What lies on each region that is not bare, by region id: what a person said, or else what was read from the page. */
export function groundsOf(
  { regions }: Pick<Plan, 'regions'>,
  seen: RegionsMeta['seen'] | undefined,
): Map<number, RegionGround> {
  const all = new Map<number, RegionGround>();
  for (const { region, kind, colour } of seen?.grounds ?? []) all.set(region, { kind, colour, toothLeft: null });
  for (const [id, { ground }] of Object.entries(regions)) {
    if (!ground) continue;
    if (ground.kind === 'bare') all.delete(Number(id));
    else all.set(Number(id), ground);
  }
  return all;
}

/** The ground that layers start from, and a key that is the same for like grounds. */
export interface KeyedGround {
  ground: Ground;
  key: string;
}

/** One text for papers that look alike and take pencil alike in the same hand. */
export function paperKey({ tint, rough, stray, tooth, spread, crush, yuleNielsen, hand }: Paper): string {
  return JSON.stringify([tint, rough, stray, tooth, spread, crush, yuleNielsen, hand]);
}

/** Looks up the ground of a region; like grounds are worked out once. */
export function groundFinder(
  paper: Paper,
  grounds: ReadonlyMap<number, RegionGround>,
): (regionId: number) => KeyedGround {
  const on = paperKey(paper);
  const bare = { ground: bareGround(paper), key: on };
  const made = new Map<string, KeyedGround>();
  return (regionId) => {
    const own = grounds.get(regionId);
    if (!own) return bare;
    const { kind, colour, toothLeft } = own;
    const key = `${on} ${kind} ${colour} ${toothLeft ?? ''}`;
    let keyed = made.get(key);
    if (!keyed) {
      const lab = labOfHex(colour);
      // Where nobody felt it, a coloured place is taken to have some tooth left.
      const ground = kind === 'coloured' ? workedGround(paper, lab, toothLeft ?? 'some') : stainedGround(paper, lab);
      made.set(key, (keyed = { ground, key }));
    }
    return keyed;
  };
}
