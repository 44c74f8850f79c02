import {
  type ColourWheel,
  type Lab,
  deltaE2000,
  isWarm,
  oklchOfLab,
  turnBetween,
  wheelOfHue,
} from '../../colour/index.ts';
import { type PencilOnPaper } from '../../tray/index.ts';
import { type PageSummary, type PageThing } from '../page.ts';

/** Below this OKLCH chroma a colour has no hue to speak of. */
export const GREY = 0.03;
/** From this OKLCH chroma on a colour is clear. */
export const CLEAR = 0.1;

/** A thing with the colour that it has or is planned to have. */
export interface SeenThing extends PageThing {
  lab: Lab;
  chroma: number;
  /** Angle on the wheel in use; of no meaning below {@link GREY}. */
  angle: number;
  /** Share of the coloured area, 0..1. */
  share: number;
}

/** Two coloured neighbours, the one in front first. */
export interface SeenBorder {
  front: SeenThing;
  behind: SeenThing;
  lengthMm: number;
  /** CIEDE2000. */
  apart: number;
}

/** A page as an audit looks at it. */
export interface View {
  wheel: ColourWheel;
  scheme: string;
  tray: readonly PencilOnPaper[];
  /** Coloured things from front to back. */
  seen: readonly SeenThing[];
  borders: readonly SeenBorder[];
  /** Things that have no colour yet. */
  open: readonly PageThing[];
}

/** What there is to say of a page, with what would help. */
export interface Finding {
  /** Id of the check that made it. */
  kind: string;
  /** Things that it is about, by id. */
  things: string[];
  sentence: string;
  remedy: {
    sentence: string;
    /** Places on the wheel in use that would help, degrees. */
    angles: number[];
    /** Nearest pencils of the tray, best first, by id. */
    pencils: string[];
  };
  /** How much it matters, 0..1; the largest first. */
  weight: number;
}

/** One check of a page. */
export interface Check {
  id: string;
  name: string;
  look(view: View): Finding[];
}

export function viewOf(
  page: PageSummary,
  colours: ReadonlyMap<string, Lab>,
  tray: readonly PencilOnPaper[],
  wheel: ColourWheel,
  scheme: string,
): View {
  const coloured = page.things.filter(({ id }) => colours.has(id));
  const area = coloured.reduce((sum, { areaMm2 }) => sum + areaMm2, 0) || 1;
  const seen = coloured.map((thing): SeenThing => {
    const lab = colours.get(thing.id)!;
    const { c, h } = oklchOfLab(lab);
    return { ...thing, lab, chroma: c, angle: wheel.angleOf(h), share: thing.areaMm2 / area };
  });
  const at = new Map(seen.map((thing, i) => [thing.id, i]));
  const borders = page.borders.flatMap(({ a, b, lengthMm }): SeenBorder[] => {
    const [p, q] = [at.get(a), at.get(b)];
    if (p === undefined || q === undefined || p === q) return [];
    const [front, behind] = [seen[Math.min(p, q)]!, seen[Math.max(p, q)]!];
    return [{ front, behind, lengthMm, apart: deltaE2000(front.lab, behind.lab) }];
  });
  return { wheel, scheme, tray, seen, borders, open: page.things.filter(({ id }) => !colours.has(id)) };
}

/** A hue rules no more for being clearer than this, OKLCH chroma. */
const RULING_CHROMA = 0.15;

/** The hue that rules a page: the mean direction of its hues, by area and chroma, and how much they agree, 0..1. */
export function rulingHue(seen: readonly SeenThing[]): { angle: number; agree: number } {
  let [x, y, all] = [0, 0, 0];
  for (const { angle, chroma, share } of seen) {
    if (chroma < GREY) continue;
    const weight = share * Math.min(chroma, RULING_CHROMA);
    x += weight * Math.cos((angle * Math.PI) / 180);
    y += weight * Math.sin((angle * Math.PI) / 180);
    all += weight;
  }
  return { angle: ((Math.atan2(y, x) * 180) / Math.PI + 360) % 360, agree: all > 0 ? Math.hypot(x, y) / all : 1 };
}

/** Whether a colour is on the warm half of the painter's wheel; null for greys. */
export function warmth({ lab, chroma }: Pick<SeenThing, 'lab' | 'chroma'>): boolean | null {
  return chroma < GREY ? null : isWarm(wheelOfHue(oklchOfLab(lab).h));
}

/** An accent: its least OKLCH chroma, its most share of the area, and degrees away from the ruling hue. */
const ACCENT = { clear: 0.8 * CLEAR, share: 0.12, away: 75 };

/** Things that stand out by hue: clear, small in all, and away from the ruling hue. */
export function accentsOf({ seen }: View): SeenThing[] {
  const { angle } = rulingHue(seen);
  const { clear, share, away } = ACCENT;
  return seen.filter((thing) => thing.chroma >= clear && thing.share < share && off(thing.angle, angle) > away);
}

/** How far two angles are apart, 0..180 degrees. */
export function off(a: number, b: number): number {
  return Math.abs(turnBetween(a, b));
}

/** A pencil is no better for being clearer than this, OKLCH chroma. */
const SCORED_CHROMA = 0.14;

/**
 * Pencils nearest to one of several angles that also stand apart from every neighbour, best first.
 * @param apartFrom colours to part from
 */
export function pencilsAt(
  { tray, wheel }: View,
  angles: readonly number[],
  apartFrom: readonly Lab[],
  { least = 16, limit = 3 }: { least?: number; limit?: number } = {},
): PencilOnPaper[] {
  const scored = tray
    .filter(({ chroma }) => chroma >= GREY * 1.5)
    .map((pencil) => {
      const turned = Math.min(...angles.map((angle) => off(wheel.angleOf(pencil.hue), angle)));
      const apart = Math.min(Infinity, ...apartFrom.map((lab) => deltaE2000(pencil.body, lab)));
      return {
        pencil,
        apart,
        score: turned + 2 * Math.max(0, least - apart) - 40 * Math.min(pencil.chroma, SCORED_CHROMA),
      };
    });
  return scored
    .filter(({ apart }) => apart >= least)
    .sort((p, q) => p.score - q.score)
    .slice(0, limit)
    .map(({ pencil }) => pencil);
}

/** What a difference in hue counts beside one in value, of pencils sought by their value. */
const BY_HUE = 0.7;

/** Pencils nearest to a value in about the hue that a thing has, those first that part from its neighbours. */
export function pencilsOfValue(
  { tray }: View,
  wanted: number,
  { lab }: Pick<SeenThing, 'lab'>,
  apartFrom: readonly Lab[] = [],
): PencilOnPaper[] {
  const off = ({ body }: PencilOnPaper) => {
    const apart = Math.min(16, ...apartFrom.map((other) => deltaE2000(body, other)));
    return Math.abs(body[0] - wanted) + BY_HUE * Math.hypot(body[1] - lab[1], body[2] - lab[2]) + 2 * (16 - apart);
  };
  return [...tray].sort((p, q) => off(p) - off(q)).slice(0, 3);
}

/** Codes in a list, or that there is none. */
export function codesOf(pencils: readonly PencilOnPaper[]): string {
  return pencils.length > 0
    ? `your nearest: ${pencils.map(({ code }) => code).join(', ')}`
    : 'no pencil here does that';
}

/** Colours of all neighbours of a thing but one. */
export function neighboursOf({ borders }: View, id: string): Lab[] {
  return borders.flatMap(({ front, behind }) => (front.id === id ? [behind.lab] : behind.id === id ? [front.lab] : []));
}
