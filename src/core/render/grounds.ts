import { labOfHex } from '../colour/index.ts';
import { type Ground, type Paper, bareGround } from '../laydown/index.ts';
import { GROUND_OF } from './ground-kinds.ts';
import type { RegionGround } from './schemas.ts';

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
      made.set(key, (keyed = { ground: GROUND_OF[kind](paper, labOfHex(colour), toothLeft), key }));
    }
    return keyed;
  };
}
