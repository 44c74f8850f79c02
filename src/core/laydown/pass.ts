import { BANDS } from '../colour/index.ts';
import { type Ground } from './ground.ts';
import { bCothOf, filmOver, throughFilm } from './kubelka-munk.ts';
import { type PencilOptics } from './optics.ts';
import { type PencilType } from './pencil-types/index.ts';

/** What of a point decides what a pass does there, apart from colour. */
export type Relief = Pick<Ground, 'rough' | 'stray' | 'tooth' | 'spread' | 'takes' | 'specks' | 'filled' | 'mass'>;

/** What one pass does to a point, apart from colour: it depends on the pencil's type and the paper only. */
export interface PassGeometry {
  /** Bare area newly covered, and covered area gone over again: shares of the whole area. */
  newly: number;
  again: number;
  /** Film thickness laid: mass per area touched. */
  thickness: number;
  /** Specks right after laying, and once a hard press has pushed pigment into them. */
  specksLaid: number;
  specks: number;
  filled: number;
  mass: number;
}

/** Which edition of this model it is: what was fitted to another is not used with it. */
export const LAYDOWN_MODEL = 2;

/** Share of the paper that lies in valleys out of reach of the lightest press, for a roughness of 1, and its most. */
const VALLEYS = 0.45;
const MOST_VALLEYS = 0.95;
/** How a press reaches into them: what the hardest leaves, and the power of the press. */
const REACH = { share: 0.995, power: 2.5 };
/** What a pass offers to an area that it touches, and how that grows with the press. */
const TOUCH = { most: 3.4, power: 0.86 };
/** Mass offered at the hardest press, and how it grows with the press. */
const OFFER = { most: 5.7, power: 0.74 };
/** Tooth used by each unit of mass, and how many times as much more the hardest press uses. */
const USE = { each: 0.05, hard: 3 };
/** Share of the specks that the hardest press pushes pigment into, and the power of the press. */
const PUSH = { share: 0.6, power: 5 };

/**
 * How much a pass lays and where. Where the lead touches is a matter of press and relief alone: it reaches what stands up
 * above the valleys, and strays into as much of the valleys. How much it leaves there is a matter of the tooth that is
 * left. So a press never leaves more specks over other layers than on bare paper, and a rougher paper never fewer.
 *
 * The constants were sought so that on smooth white four and six light layers leave at most 15 and 8 in a hundred bare,
 * as many medium ones 6 and 3, one burnish 2; that six and eight medium layers leave at most 6 and 3 on a toothed sheet;
 * that one pass of a clear red oil pencil comes to about L* 84 (whisper), 75 (light), 64 (medium) and 56 (firm); and that
 * all that colourists say of layers holds (laydown.test, film.test, `npm run bench look colour`).
 * @param press 0..1; 0 lays nothing
 */
export function passGeometry(ground: Relief, type: PencilType, press: number): PassGeometry {
  const { specks: s, filled, mass } = ground;
  if (press <= 0) return { newly: 0, again: 0, thickness: 0, specksLaid: s, specks: s, filled, mass };
  const valleys = Math.min(MOST_VALLEYS, VALLEYS * ground.rough) * (1 - REACH.share * press ** REACH.power);
  const reachable = Math.max(s - valleys, 0) + Math.min(1, ground.stray * (1 - valleys)) * Math.min(s, valleys);
  const coverage = 1 - Math.exp(-((TOUCH.most * type.k * press ** TOUCH.power) ** ground.spread));
  const newly = reachable * coverage;
  const again = (1 - s) * coverage;
  const offered = OFFER.most * ground.takes * type.k * press ** OFFER.power;
  const use = (USE.each * type.tau * offered * (1 + USE.hard * type.chi * press * press)) / ground.tooth;
  const room = 1 - filled;
  const laid = offered * (type.floor + ((1 - type.floor) * room * (1 - Math.exp(-use))) / use);
  const specksLaid = s - newly;
  return {
    newly,
    again,
    thickness: laid / (newly + again),
    specksLaid,
    specks: specksLaid * (1 - PUSH.share * press ** PUSH.power),
    filled: 1 - room * Math.exp(-use),
    mass: mass + laid,
  };
}

/** How many times as often one must go over with a press to lay what another press lays on bare paper. */
export function passesInHand(meant: number, pressed: number): number {
  return (meant / pressed) ** OFFER.power;
}

/**
 * The covered part's reflectance at one wavelength after a pass: untouched film, film gone over and film on
 * bare paper, mixed by area in square roots as the eye mixes them.
 */
export function coveredAfter(
  before: { specks: number; covered: number; bare: number },
  pass: PassGeometry,
  k: number,
  s: number,
): number {
  if (pass.newly + pass.again <= 0) return before.covered;
  const untouched = (1 - before.specks - pass.again) * Math.sqrt(before.covered);
  const over = pass.again * Math.sqrt(filmOver(k, s, pass.thickness, before.covered));
  const fresh = pass.newly * Math.sqrt(filmOver(k, s, pass.thickness, before.bare));
  return ((untouched + over + fresh) / (1 - pass.specksLaid)) ** 2;
}

/**
 * The ground after one pass. The ground given is not changed. The same as {@link coveredAfter} at every wavelength,
 * with the film worked out once for bare and covered paper: this is where previews spend their time.
 * @param pencil absorption and scattering above 0
 */
export function groundAfter(
  ground: Ground,
  pass: PassGeometry,
  { type, k, s, a, b }: Omit<PencilOptics, 'presses'>,
): Ground {
  if (pass.newly + pass.again <= 0) return ground;
  const { loose, soluble } = type;
  const covered = new Float64Array(BANDS);
  const untouched = 1 - ground.specks - pass.again;
  const share = 1 / (1 - pass.specksLaid);
  for (let i = 0; i < BANDS; i++) {
    const bCoth = bCothOf(b[i], s[i] * pass.thickness);
    const root =
      untouched * Math.sqrt(ground.covered[i]) +
      pass.again * Math.sqrt(throughFilm(a[i], bCoth, ground.covered[i])) +
      pass.newly * Math.sqrt(throughFilm(a[i], bCoth, ground.bare[i]));
    covered[i] = (root * share) ** 2;
  }
  const deposits = [...ground.deposits, { k, s, mass: pass.mass - ground.mass, loose, soluble }];
  return { ...ground, covered, specks: pass.specks, filled: pass.filled, mass: pass.mass, deposits };
}
