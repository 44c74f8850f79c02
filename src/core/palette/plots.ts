import { type ColourWheel, placeOn } from '../colour/index.ts';
import { type Plot } from './problem.ts';
import { type Mood } from './wishes.ts';

/** What a plot leans to where the mood leaves it free. */
type Lean = Pick<Plot, 'light' | 'clear' | 'says'>;

/** Kinds of ground that a page may stand on where the mood leaves it free. */
const GROUNDS: readonly Lean[] = [
  { says: 'pale ground', light: 1 },
  { says: 'deep ground', light: -1 },
];
/** What a page of one hue may differ in beside. */
const CLEARNESS: readonly Lean[] = [
  { says: 'clear', clear: 0.6 },
  { says: 'quiet', clear: -0.4 },
];
const AS_WISHED: readonly Lean[] = [{ says: '' }];
/** No more than so many hands are tried as the ruling one. */
const MOST_RULERS = 3;

/**
 * The ways in which a scheme may be played on a page: each of its first three hands ruling, on pale and on deep ground;
 * what the mood has settled already is not played in two ways.
 */
export function plotsFor(hands: readonly number[], wheel: ColourWheel, mood: Mood): Plot[] {
  const free = (kinds: typeof GROUNDS, axis: keyof Mood) => (mood[axis] === null ? kinds : AS_WISHED);
  const second = hands.length < 3 ? free(CLEARNESS, 'clear') : AS_WISHED;
  return hands.slice(0, MOST_RULERS).flatMap((angle, ruler) =>
    second.flatMap((clearness) =>
      free(GROUNDS, 'light').map((ground) => ({
        ruler,
        light: ground.light,
        clear: clearness.clear,
        says: [`${placeOn(wheel, angle).name} rules`, ground.says, clearness.says].filter(Boolean).join(', '),
      })),
    ),
  );
}
