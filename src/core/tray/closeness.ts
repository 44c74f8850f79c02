import { type Lab, isWarm, oklchOfLab, turnBetween, wheelOfHue } from '../colour/index.ts';

/** How near two colours are, in steps that a colourist would tell apart. */
export type Closeness = 'the same to the eye' | 'near' | 'alike' | 'nothing near';

/** CIEDE2000 up to which each holds; beyond the last there is nothing near. */
const STEPS: readonly [Closeness, number][] = [
  ['the same to the eye', 1.5],
  ['near', 4],
  ['alike', 9],
];

/** How near a colour difference is, CIEDE2000. */
export function closenessOf(deltaE: number): Closeness {
  return STEPS.find(([, most]) => deltaE <= most)?.[0] ?? 'nothing near';
}

/** What is left out of the words below, in L* and OKLCH chroma and degrees. */
const SEEN = { lightness: 2.5, chroma: 0.012, hue: 6, opacity: 0.15 };
/** From so many times that on, it is told as much rather than a little. */
const MUCH = 3.5;
/** Below this chroma a hue is of no meaning. */
const LEAST_CHROMA = 0.012;

/**
 * How one colour differs from another, as a colourist would say it: "warmer, a little duller, covers more".
 * @param opacities of the one and the other, 0..1, where both are known
 * @returns "" where nothing is to be seen
 */
export function differenceInWords(one: Lab, other: Lab, opacities?: readonly [one: number, other: number]): string {
  const [a, b] = [oklchOfLab(one), oklchOfLab(other)];
  const words = [
    inWords(one[0] - other[0], SEEN.lightness, 'lighter', 'darker'),
    inWords(a.c - b.c, SEEN.chroma, 'clearer', 'duller'),
  ];
  if (Math.min(a.c, b.c) > LEAST_CHROMA) words.unshift(hueInWords(b.h, a.h));
  if (opacities) words.push(inWords(opacities[0] - opacities[1], SEEN.opacity, 'covers more', 'covers less'));
  return words.filter(Boolean).join(', ');
}

function inWords(by: number, seen: number, more: string, less: string): string {
  if (Math.abs(by) < seen) return '';
  const word = by > 0 ? more : less;
  const [start, ...rest] = word.split(' ');
  const amount = Math.abs(by) < 2 * seen ? 'a little' : Math.abs(by) > MUCH * seen ? 'much' : '';
  return rest.length ? [start, amount, ...rest].filter(Boolean).join(' ') : [amount, word].filter(Boolean).join(' ');
}

/** Warmer or cooler where the turn goes towards red-orange or away from it; else by the hue that it turns to. */
function hueInWords(from: number, to: number): string {
  const turned = turnBetween(from, to);
  if (Math.abs(turned) < SEEN.hue) return '';
  const amount = Math.abs(turned) < 2 * SEEN.hue ? 'a little ' : '';
  const [wasWarm, nowWarm] = [isWarm(wheelOfHue(from)), isWarm(wheelOfHue(to))];
  if (wasWarm !== nowWarm) return `${amount}${nowWarm ? 'warmer' : 'cooler'}`;
  const towardsWarmest = Math.abs(turnBetween(to, WARMEST)) < Math.abs(turnBetween(from, WARMEST));
  return `${amount}${towardsWarmest ? 'warmer' : 'cooler'}`;
}

/** OKLCH hue of red-orange, the warmest on the painter's wheel. */
const WARMEST = 45;
