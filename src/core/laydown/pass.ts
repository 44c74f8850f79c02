import { BANDS } from '../colour/index.ts';
import { type Ground } from './ground.ts';
import { bCothOf, filmOver, throughFilm } from './kubelka-munk.ts';
import { type PencilOptics } from './optics.ts';
import { type PencilType } from './pencil-types/index.ts';

/** What of a point decides what a pass does there, apart from colour. */
export type Relief = Pick<
  Ground,
  'rough' | 'stray' | 'tooth' | 'spread' | 'crush' | 'takes' | 'specks' | 'filled' | 'mass'
>;

/** What one pass does to a point, apart from colour: it depends on the pencil's type and the paper only. */
export interface PassGeometry {
  /** Bare area newly covered, and covered area gone over again: shares of the whole area. */
  newly: number;
  again: number;
  /** Film thickness laid on each of them: mass per area touched. */
  thick: { newly: number; again: number };
  /** Specks right after laying, and once a hard press has pushed pigment into them. */
  specksLaid: number;
  specks: number;
  filled: number;
  mass: number;
}

/** Which edition of this model it is: what was fitted to another is not used with it. */
export const LAYDOWN_MODEL = 3;

/** Share of the paper that lies in valleys out of reach of the lightest press, for a roughness of 1, and its most. */
const VALLEYS = 0.45;
const MOST_VALLEYS = 0.95;
/** How a press reaches into them: what the hardest leaves, and the power of the press. */
const REACH = { share: 0.995, power: 2.5 };
/** What a pass offers to an area that it touches, and how that grows with the press. */
const TOUCH = { most: 3.4, power: 0.86 };
/** Mass offered at the hardest press, and how it grows with the press. */
const OFFER = { most: 6.3, power: 0.8 };
/** Tooth used by each unit of mass where it is laid, and how many times as much more the hardest press uses. */
const USE = { each: 0.0775, hard: 1.2 };
/** Share of the specks that the hardest press pushes pigment into, and the power of the press. */
const PUSH = { share: 0.6, power: 5 };

/**
 * How much a pass lays and where. Where the lead touches is a matter of press and relief alone: it reaches what stands up
 * above the valleys, and strays into as much of the valleys. How much it leaves at a place is a matter of the tooth that
 * is left at that place: paper that was bare until now takes all of it, whatever lies beside. So a press never leaves more
 * specks over other layers than on bare paper, and a rougher paper never fewer.
 *
 * The constants were sought so that on smooth white four and six light layers leave at most 15 and 8 in a hundred bare,
 * as many medium ones 6 and 3, one burnish 2; that six and eight medium layers leave at most 6 and 3 on a toothed sheet;
 * that one pass of a clear red oil pencil comes to about L* 85 (whisper), 76 (light), 65 (medium) and 56 (firm); and that
 * all that colourists say of layers holds (laydown.test, film.test, `npm run bench look colour`).
 * @param press 0..1; 0 lays nothing
 */
export function passGeometry(ground: Relief, type: PencilType, press: number): PassGeometry {
  const { specks: s, filled, mass } = ground;
  if (press <= 0) return { newly: 0, again: 0, thick: { newly: 0, again: 0 }, specksLaid: s, specks: s, filled, mass };
  const valleys = Math.min(MOST_VALLEYS, VALLEYS * ground.rough) * (1 - REACH.share * press ** REACH.power);
  const reachable = Math.max(s - valleys, 0) + Math.min(1, ground.stray * (1 - valleys)) * Math.min(s, valleys);
  const coverage = 1 - Math.exp(-((TOUCH.most * type.k * press ** TOUCH.power) ** ground.spread));
  const newly = reachable * coverage;
  const again = (1 - s) * coverage;
  const offered = (OFFER.most * ground.takes * type.k * press ** OFFER.power) / (newly + again);
  const harder = 1 + USE.hard * ground.crush * type.chi * press * press;
  const use = (USE.each * type.tau * offered * harder) / ground.tooth;
  const left = Math.exp(-use);
  const room = roomAt(ground);
  const stays = (share: number) => offered * (type.floor + ((1 - type.floor) * share * (1 - left)) / use);
  const thick = { newly: stays(room.bare), again: stays(room.covered) };
  const specksLaid = s - newly;
  const untouched = specksLaid * room.bare + (1 - s - again) * room.covered;
  return {
    newly,
    again,
    thick,
    specksLaid,
    specks: specksLaid * (1 - PUSH.share * press ** PUSH.power),
    filled: Math.max(filled, 1 - untouched - (newly * room.bare + again * room.covered) * left),
    mass: mass + newly * thick.newly + again * thick.again,
  };
}

/**
 * Share of the tooth that is left where the paper is covered and where it is bare. What fills tooth lies where it was
 * laid; only what fills more than all that is covered, as a dye does that stains bare paper, lies on the bare part.
 */
function roomAt({ specks, filled }: Pick<Relief, 'specks' | 'filled'>): { covered: number; bare: number } {
  const covered = Math.max(0, 1 - specks - filled);
  const bare = Math.min(specks, 1 - filled);
  return { covered: specks < 1 ? covered / (1 - specks) : 1, bare: specks > 0 ? bare / specks : 1 };
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
  const over = pass.again * Math.sqrt(filmOver(k, s, pass.thick.again, before.covered));
  const fresh = pass.newly * Math.sqrt(filmOver(k, s, pass.thick.newly, before.bare));
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
  const { newly, again, thick } = pass;
  const covered = new Float64Array(BANDS);
  const untouched = 1 - ground.specks - pass.again;
  const share = 1 / (1 - pass.specksLaid);
  for (let i = 0; i < BANDS; i++) {
    let root = 0;
    if (untouched > 0) root += untouched * Math.sqrt(ground.covered[i]!);
    if (again > 0)
      root += again * Math.sqrt(throughFilm(a[i]!, bCothOf(b[i]!, s[i]! * thick.again), ground.covered[i]!));
    if (newly > 0) root += newly * Math.sqrt(throughFilm(a[i]!, bCothOf(b[i]!, s[i]! * thick.newly), ground.bare[i]!));
    covered[i] = (root * share) ** 2;
  }
  const deposits = [...ground.deposits, { k, s, mass: pass.mass - ground.mass, loose, soluble }];
  return { ...ground, covered, specks: pass.specks, filled: pass.filled, mass: pass.mass, deposits };
}
