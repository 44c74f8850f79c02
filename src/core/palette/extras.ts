import { type ColourWheel, oklchOfLab, placeOn, turn, turnBetween } from '../colour/index.ts';
import { type Extra, type Family, bodyOf } from '../recipe/index.ts';
import { type PencilOnPaper } from '../tray/index.ts';
import { blenderFor } from './blender.ts';

/** A pencil that could stand beside a family, and why. */
export interface ExtraPencil {
  pencil: string;
  says: string;
}

/** What an extra must be, how far a pencil is from the best one, and what there is to say of it. */
interface Rule {
  fits(pencil: PencilOnPaper): boolean;
  /** Lower is better; about one for each L* or five degrees. */
  cost(pencil: PencilOnPaper): number;
  says(pencil: PencilOnPaper): string;
}

/** OKLCH chroma below which a pencil is a grey, and from which its hue is one to speak of. */
const GREY = 0.035;
const HUED = 0.07;
/** A black or grey beside a hued family costs so much: the family's own dark or pale is asked first. */
const COLOURLESS = 14;

/**
 * Pencils that could stand beside a family in one of its extra places, the best first: as depth what is darker than its
 * darkest, in its hue before black; as accent what lies opposite; as neutral a grey between its dark and its body; as
 * blender what is pale, the pink or peach first where the family is violet.
 * @param tray pencils on the paper, those of the family among them
 * @returns none where a pencil of the family is gone
 */
export function extrasFor(
  extra: Extra,
  family: Family,
  tray: readonly PencilOnPaper[],
  wheel: ColourWheel,
): ExtraPencil[] {
  const byId = new Map(tray.map((pencil) => [pencil.id, pencil]));
  const own = family.pencils.flatMap((id) => byId.get(id) ?? []);
  if (own.length < family.pencils.length) return [];
  const rule = ruleFor(extra, own, byId.get(bodyOf(family))!, wheel);
  const found = tray
    .filter(({ id }) => !family.pencils.includes(id))
    .filter(rule.fits)
    .sort((p, q) => rule.cost(p) - rule.cost(q));
  const first = extra === 'blender' ? blenderFor(own, tray) : null;
  const ordered = first ? [first, ...found.filter(({ id }) => id !== first.id)] : found;
  return ordered.map((pencil) => ({ pencil: pencil.id, says: rule.says(pencil) }));
}

function ruleFor(extra: Extra, own: readonly PencilOnPaper[], body: PencilOnPaper, wheel: ColourWheel): Rule {
  const [dark, light] = [own[0]!, own.at(-1)!];
  const angle = ({ hue }: PencilOnPaper) => wheel.angleOf(hue);
  const off = (p: PencilOnPaper, from: number) => Math.abs(turnBetween(angle(p), from));
  const aside = (p: PencilOnPaper, q: PencilOnPaper) => (p.chroma < GREY ? COLOURLESS : off(p, angle(q)) / 5);
  const value = ({ body: [l] }: PencilOnPaper) => l;
  switch (extra) {
    case 'blender':
      return {
        fits: (p) => value(p) > Math.max(74, value(body) + 8) && p.chroma < 2 * HUED,
        cost: (p) => Math.abs(value(p) - Math.max(value(light), 84)) + aside(p, light),
        says: (p) => `pale, L* ${value(p).toFixed(0)}: goes over all of them at the end`,
      };
    case 'depth':
      return {
        fits: (p) => value(p) < value(dark) - 3,
        // Its own hue matters more than how much darker it is.
        cost: (p) => 0.6 * Math.abs(value(p) - (value(dark) - 12)) + aside(p, dark),
        says: (p) => `${(value(dark) - value(p)).toFixed(0)} of value below its darkest`,
      };
    case 'accent':
      return {
        fits: (p) => p.chroma > HUED,
        cost: (p) => off(p, turn(angle(body) + 180)) / 5 + 0.1 * Math.abs(value(p) - value(body)),
        says: (p) => `${placeOn(wheel, angle(p)).name}, ${off(p, angle(body)).toFixed(0)}° away on the wheel`,
      };
    case 'neutral':
      return {
        fits: (p) => p.chroma < GREY,
        // A grey of the family's own temperature before one against it.
        cost: (p) =>
          Math.abs(value(p) - (value(dark) + value(body)) / 2) +
          (oklchOfLab(p.body).c > 0.006 && off(p, angle(body)) > 90 ? 8 : 0),
        says: (p) => `a grey at L* ${value(p).toFixed(0)}; colour goes over it again`,
      };
  }
}
