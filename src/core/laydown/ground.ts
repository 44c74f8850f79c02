import { BANDS, type Spectrum, labOfHex, spectrumOfLab } from '../colour/index.ts';
import { type Paper } from './papers/index.ts';
import { type Hand } from './pressure.ts';

/** Pigment that one pass left. */
export interface Deposit {
  /** Absorption and scattering per unit of film thickness, 36 bands each. */
  k: Float64Array;
  s: Float64Array;
  /** In units of the layer model. */
  mass: number;
  /** Share of it that a soft tip moves, and share that water dissolves, 0..1. */
  loose: number;
  soluble: number;
}

/** A point of the page between passes: what the next pass meets. */
export interface Ground {
  /** The bare paper's reflectance, 36 bands. */
  bare: Spectrum;
  /** Roughness and tooth of the paper, relative to a smooth white book page. */
  rough: number;
  tooth: number;
  /** How far a press strays into valleys, how coverage grows with what is offered, how a hard press crushes: see Paper. */
  stray: number;
  spread: number;
  crush: number;
  /** Yule and Nielsen's n of its specks: 1 where light comes out where it came in, more where it spreads in the paper. */
  yuleNielsen: number;
  /** Share of a pencil's pass that stays on it: 1 on paper, little on printed ink. */
  takes: number;
  /** How hard the person presses who lays on it. */
  hand: Hand;
  /** Reflectance of the covered part, 36 bands; of no meaning while specks are 1. */
  covered: Spectrum;
  /** Share of the area that is still bare paper, 0..1. */
  specks: number;
  /** Share of the tooth that is filled, 0..1. */
  filled: number;
  /** Pigment mass laid so far, in units of the layer model. */
  mass: number;
  /** What lies on the paper, the oldest first. Their mass may be less than all: nobody knows what lay there before. */
  deposits: readonly Deposit[];
  /** Whether it is wet from water or solvent. */
  wet: boolean;
  /** Share of the area that nothing later reaches, in grooves or under a mask, 0..1, and how that stays; null where none is. */
  kept: number;
  under: Ground | null;
}

/** Printed black, `#rrggbb`. */
export const PRINTED_BLACK = '#1c1b1a';
/**
 * Share of a pencil's pass that stays on printed ink, a closed and smooth film. Nobody has measured it; with this, what
 * covers most lightens a line by some 8 L*, what is clear by 1 or 2, as colourists see it.
 */
const INK_TAKES = 0.0048;

/** Spectra of the tints of paper met so far: there are few, each is asked for thousands of times, and takes solving. */
const tints = new Map<string, Spectrum>();

function spectrumOfTint(hex: string): Spectrum {
  let spectrum = tints.get(hex);
  if (!spectrum) tints.set(hex, (spectrum = spectrumOfLab(labOfHex(hex))));
  return spectrum;
}

/** Bare paper, nothing laid. */
export function bareGround(paper: Paper): Ground {
  const bare = spectrumOfTint(paper.tint);
  const { rough, tooth, stray = 1, spread = 1, crush = 1, yuleNielsen = 2, hand = {} } = paper;
  return {
    bare,
    rough,
    tooth,
    stray,
    spread,
    crush,
    yuleNielsen,
    takes: 1,
    hand,
    covered: bare,
    specks: 1,
    filled: 0,
    mass: 0,
    deposits: [],
    wet: false,
    kept: 0,
    under: null,
  };
}

/**
 * A printed line on this paper: lead slides over it, so that pencils hardly lighten it; pens and paint cover it like
 * paper.
 */
export function inkGround(paper: Paper): Ground {
  return { ...bareGround({ ...paper, tint: PRINTED_BLACK }), takes: INK_TAKES };
}
/**
 * What is seen of specks between a film at one wavelength, mixed by area after Yule and Nielsen (J. Yule, W. Nielsen, The
 * penetration of light into paper and its effect on halftone reproduction, 1951).
 */
export function specked(specks: number, bare: number, covered: number, n: number): number {
  if (n === 2) return (specks * Math.sqrt(bare) + (1 - specks) * Math.sqrt(covered)) ** 2;
  return (specks * bare ** (1 / n) + (1 - specks) * covered ** (1 / n)) ** n;
}

/** The film between specks that is seen so at one wavelength: what {@link specked} turns round; 0 where none is dark enough. */
export function filmBetween(specks: number, bare: number, seen: number, n: number): number {
  const root = (seen ** (1 / n) - specks * bare ** (1 / n)) / (1 - specks);
  return root > 0 ? root ** n : 0;
}

/** What the eye sees of a ground, 36 bands; grooves and masks are wider than light spreads, so that they mix by area. */
export function reflectanceOf(ground: Ground): Spectrum {
  const { kept, under } = ground;
  const reached = reflectanceOfReached(ground);
  return under ? reflectanceOf(under).map((value, i) => kept * value + (1 - kept) * reached[i]!) : reached;
}

/** The same of what later passes still reach: all of it, but for grooves and what lies under a mask. */
export function reflectanceOfReached({ specks, bare, covered, yuleNielsen }: Ground): Spectrum {
  const out = new Float64Array(BANDS);
  for (let i = 0; i < BANDS; i++) out[i] = specked(specks, bare[i]!, covered[i]!, yuleNielsen);
  return out;
}

/** Share of the area that is bare paper, what is kept counted in, 0..1. */
export function bareShare({ specks, kept, under }: Ground): number {
  return under ? kept * bareShare(under) + (1 - kept) * specks : specks;
}

/**
 * The ground with a share of it kept as it is now, whatever comes later.
 * @param share 0 to 1; where more is kept already it stays so
 */
export function keeping(ground: Ground, share: number): Ground {
  if (share <= ground.kept) return ground;
  // A mask keeps grooves and all; a deeper groove keeps what the first one did.
  return { ...ground, kept: share, under: share < 1 ? (ground.under ?? ground) : ground };
}
