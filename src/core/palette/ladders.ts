import { type Lab, type Oklch, labOfOklch, oklchOfLab, turnBetween } from '../colour/index.ts';
import { type Ladder } from './natural-kinds/index.ts';

/** Where on a ladder the pencils of a short family stand, 0 its dark end to 1 its light one: its colour before its ends. */
const SHORT: Readonly<Record<number, readonly number[]>> = { 1: [0.6], 2: [0.5, 0.95], 3: [0.15, 0.6, 1] };

/** How much of a turn of the middle the ends of a ladder do not follow. */
const ENDS_STAY = 0.8;

/**
 * The colours of a ladder for so many pencils, from dark to light.
 * @param count 1 and up
 */
export function ladderTargets({ rungs }: Pick<Ladder, 'rungs'>, count: number): Lab[] {
  return placesOf(count).map((place) => labOfOklch(rungAt(rungs, place)));
}

/**
 * The same for something whose own colour is known: the ladder goes through that, darker and lighter by as much.
 * @param natural the colour of its middle
 */
export function ladderThrough(ladder: Pick<Ladder, 'rungs'>, natural: Lab, count: number): Lab[] {
  const places = placesOf(count);
  const own = oklchOfLab(natural);
  const middle = places[Math.floor((count - 1) / 2)]!;
  const body = rungAt(ladder.rungs, middle);
  return places.map((place) => {
    const { l, c, h } = rungAt(ladder.rungs, place);
    // The ends keep to the ladder's own hue: a yellow is not turned to green because the middle is a little so.
    const turned =
      1 - ENDS_STAY * Math.min(1, Math.abs(place - middle) / Math.max(0.01, place < middle ? middle : 1 - middle));
    return labOfOklch({
      l: Math.min(0.97, Math.max(0.18, l + own.l - body.l)),
      c: c * Math.min(1.5, own.c / Math.max(0.01, body.c)),
      h: h + turned * turnBetween(body.h, own.h),
    });
  });
}

function placesOf(count: number): readonly number[] {
  return SHORT[count] ?? Array.from({ length: count }, (_, k) => k / (count - 1));
}

function rungAt(rungs: readonly Oklch[], place: number): Oklch {
  const at = place * (rungs.length - 1);
  const k = Math.min(rungs.length - 2, Math.floor(at));
  const [p, q] = [rungs[k]!, rungs[k + 1]!];
  const t = at - k;
  return { l: p.l + t * (q.l - p.l), c: p.c + t * (q.c - p.c), h: p.h + t * turnBetween(p.h, q.h) };
}
