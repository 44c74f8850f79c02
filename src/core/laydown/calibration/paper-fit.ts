import { type Paper } from '../papers/index.ts';
import { LAYDOWN_MODEL } from '../pass.ts';
import { PRESS } from '../pressure.ts';
import type { PaperFit } from '../schemas.ts';
import { SHARED_NUMBERS, type SharedNumber } from './shared-numbers.ts';

/**
 * Each number that all share: logarithms beside what is declared, slope as it is. How far from that is a deviation without
 * readings (roughness is held near the paper's own, the rest is weak), between which it is sought, and where a second
 * search starts: a hand that presses softly.
 */
const SHARED_SOUGHT: Readonly<Record<SharedNumber, { sure: number; least: number; most: number; soft: number }>> = {
  rough: { sure: 0.15, least: -0.9, most: 0.8, soft: -0.3 },
  stray: { sure: 0.6, least: -2.3, most: 0.25, soft: 0 },
  tooth: { sure: 0.3, least: -1.2, most: 1.5, soft: 0 },
  spread: { sure: 0.4, least: -0.9, most: 0.6, soft: -0.3 },
  crush: { sure: 0.4, least: -2.5, most: 1, soft: 0 },
  yuleNielsen: { sure: 0.2, least: -0.7, most: 0.9, soft: 0 },
  light: { sure: 0.9, least: -2, most: 1, soft: -0.8 },
  medium: { sure: 0.9, least: -2, most: 0.8, soft: -0.6 },
  firm: { sure: 0.9, least: -2, most: 0.3, soft: -0.3 },
  slope: { sure: 1, least: -1.5, most: 2, soft: 0.7 },
  tinted: { sure: 0.5, least: -0.5, most: 1.5, soft: 0 },
};
export const SOUGHT = SHARED_NUMBERS.map((name) => SHARED_SOUGHT[name]);
/** A number this near to the end of its search, of the logarithm, lies at it. */
const NEAR_BOUND = 0.02;

/** A paper as it was found to take pencil, in the hand that was found. */
export function fittedPaper(paper: Paper, { rough, stray, tooth, spread, crush, yuleNielsen, hand }: PaperFit): Paper {
  return { ...paper, rough, stray, tooth, spread, crush, yuleNielsen, hand };
}

/** A paper as it is declared, as a fit that found nothing else. */
export function declaredFit(paper: Paper): PaperFit {
  const { rough, stray = 1, tooth, spread = 1, crush = 1, yuleNielsen = 2, hand = {} } = paper;
  const found = { rough, stray, tooth, spread, crush, yuleNielsen, hand };
  return { ...found, slope: 0, tinted: 0, model: LAYDOWN_MODEL, atBound: [] };
}

/** What is found of a paper as the numbers that are sought; the other way round from {@link paperFrom}. */
export function sharedOf(
  paper: Paper,
  { rough, stray, tooth, spread, crush, yuleNielsen, hand, slope, tinted }: PaperFit,
): number[] {
  const beside = {
    rough: rough / paper.rough,
    stray,
    tooth: tooth / paper.tooth,
    spread,
    crush,
    yuleNielsen: yuleNielsen / 2,
  };
  const numbers = { ...beside, light: hand.light ?? 1, medium: hand.medium ?? 1, firm: hand.firm ?? 1 };
  return SHARED_NUMBERS.map((name) =>
    name === 'slope' ? slope : name === 'tinted' ? tinted : Math.log(numbers[name]),
  );
}

/** What is sought as logarithms, in the order of {@link SHARED_NUMBERS}. */
type SharedNumbers = [
  rough: number,
  stray: number,
  tooth: number,
  spread: number,
  crush: number,
  nielsen: number,
  light: number,
  medium: number,
  firm: number,
];

/** A paper from the numbers that are sought. A lighter press is never taken to be harder than a firmer one. */
export function paperFrom(paper: Paper, numbers: readonly number[]): PaperFit {
  const [rough, stray, tooth, spread, crush, nielsen, light, medium, firm] = numbers.map(Math.exp) as SharedNumbers;
  const pressed = { firm: PRESS.firm * firm, medium: PRESS.medium * medium, light: PRESS.light * light };
  pressed.medium = Math.min(pressed.medium, pressed.firm);
  pressed.light = Math.min(pressed.light, pressed.medium);
  const soft = pressed.light / PRESS.light;
  return {
    rough: paper.rough * rough,
    stray,
    tooth: paper.tooth * tooth,
    spread,
    crush,
    yuleNielsen: 2 * nielsen,
    hand: { whisper: soft, light: soft, medium: pressed.medium / PRESS.medium, firm: pressed.firm / PRESS.firm },
    slope: numbers[SHARED_NUMBERS.indexOf('slope')]!,
    tinted: numbers[SHARED_NUMBERS.indexOf('tinted')]!,
    model: LAYDOWN_MODEL,
    atBound: SHARED_NUMBERS.filter(
      (_, j) => numbers[j]! < SOUGHT[j]!.least + NEAR_BOUND || numbers[j]! > SOUGHT[j]!.most - NEAR_BOUND,
    ),
  };
}
