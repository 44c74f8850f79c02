import { type ColourWheel, placeOn } from '../colour/index.ts';
import { type Plot } from './problem.ts';
import { type Mood } from './wishes.ts';

/** Kinds of ground that a page may stand on where the mood leaves it free. */
const GROUNDS: readonly { says: string; lean: Partial<Mood> }[] = [
  { says: 'pale ground', lean: { light: 0.45 } },
  { says: 'deep ground', lean: { light: -0.5 } },
];
/** What a page of one hue may differ in beside. */
const CLEARNESS: readonly { says: string; lean: Partial<Mood> }[] = [
  { says: 'clear', lean: { clear: 0.3 } },
  { says: 'quiet', lean: { clear: -0.5 } },
];
/** No more than so many hands are tried as the ruling one. */
const MOST_RULERS = 3;

/**
 * The ways in which a scheme may be played on a page: each of its first three hands ruling, on pale and on deep ground;
 * what the mood has settled already is not played in two ways.
 */
export function plotsFor(hands: readonly number[], wheel: ColourWheel, mood: Mood): Plot[] {
  const free = (kinds: typeof GROUNDS, axis: keyof Mood) => (mood[axis] === null ? kinds : [{ says: '', lean: {} }]);
  const second = hands.length < 3 ? free(CLEARNESS, 'clear') : [{ says: '', lean: {} }];
  return hands.slice(0, MOST_RULERS).flatMap((angle, ruler) =>
    second.flatMap((clearness) =>
      free(GROUNDS, 'light').map((ground) => ({
        ruler,
        lean: { ...ground.lean, ...clearness.lean },
        says: [`${placeOn(wheel, angle).name} rules`, ground.says, clearness.says].filter(Boolean).join(', '),
      })),
    ),
  );
}
