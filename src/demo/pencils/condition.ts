import { seededRandom } from '../../core/random/index.ts';
import { type Whereabouts } from '../../contracts/index.ts';

/** Codes of pencils that are not lying in the tray as new: a dozen stubs, five that are missing. */
const WHERE: Readonly<Record<string, Whereabouts>> = {
  QS01: 'stub',
  QS04: 'stub',
  QS24: 'stub',
  QS41: 'stub',
  QS53: 'stub',
  QS47: 'stub',
  'F-101': 'stub',
  'F-107': 'stub',
  'F-133': 'stub',
  'F-142': 'stub',
  '24': 'stub',
  'B-12': 'stub',
  QS16: 'missing',
  'F-121': 'missing',
  'F-138': 'missing',
  '9': 'missing',
  'B-06': 'missing',
};

/** Barrels painted in a colour that the lead does not have. */
const BARRELS: Readonly<Record<string, string>> = { QS32: '#1f3f8f', 'F-126': '#6a6fb8', '16': '#3f9a5c' };

/** What the tray's owner calls some of them; those without a name most of all. */
const OWN_NAMES: Readonly<Record<string, string>> = {
  QS06: 'the good orange',
  QS46: 'old faithful',
  'F-157': 'kettle grey',
  'F-111': 'pub window',
  '2': 'custard',
  '8': 'sugar mouse',
  '13': 'Tuesday sky',
  '21': 'flowerpot',
  'B-11': 'three fathoms',
};

const NOTES: Readonly<Record<string, string>> = {
  QS10: 'Crumbles when pressed; breathe on the point first.',
  QS20: 'Drags into yellow. Wipe the point after it.',
  QS32: 'The barrel looks blue; it lays a cold green-blue.',
  QS39: 'Broke twice under the sharpener, so turn it by hand.',
  'F-126': 'The barrel is much paler than the lead.',
  'F-135': 'Squeaks on smooth paper.',
  '16': 'The barrel says green; it comes out nearly grey.',
  '24': 'Dust goes everywhere: tap it off, do not blow.',
};

/** How a pencil of this type behaves in the hand: hardness 0..1, minutes that a sharp point lasts, and how much each varies. */
const NATURE: Readonly<Record<string, { hardness: number; pointMinutes: number }>> = {
  wax: { hardness: 0.35, pointMinutes: 4 },
  oil: { hardness: 0.72, pointMinutes: 9 },
  pastel: { hardness: 0.22, pointMinutes: 2.5 },
  'water-soluble': { hardness: 0.5, pointMinutes: 6 },
};

export interface Condition {
  whereabouts: Whereabouts;
  ownName: string;
  /** Colour of the barrel where it misleads. */
  barrel: string | null;
  note: string;
  /** 0 (soft) to 1 (hard). */
  hardness: number;
  /** How long a sharp point lasts. */
  pointMinutes: number;
  /** Lead that is left. */
  leadMm: number;
}

/** A sharpened new pencil has this much lead, mm. */
const NEW_LEAD = 172;

/** How one pencil of the demo tray is: where, how worn, what its owner knows of it. The same every time. */
export function conditionOf(type: string, code: string): Condition {
  const random = seededRandom([...code].reduce((sum, letter) => sum * 31 + letter.charCodeAt(0), 7) % 2 ** 31);
  const whereabouts = WHERE[code] ?? 'here';
  const { hardness, pointMinutes } = NATURE[type]!;
  const worn = whereabouts === 'stub' ? 0.8 + 0.1 * random() : 0.45 * random() ** 1.6;
  return {
    whereabouts,
    ownName: OWN_NAMES[code] ?? '',
    barrel: BARRELS[code] ?? null,
    note: NOTES[code] ?? '',
    hardness: Math.round(100 * (hardness + 0.14 * (random() - 0.5))) / 100,
    pointMinutes: Math.round(2 * pointMinutes * (0.8 + 0.4 * random())) / 2,
    leadMm: Math.round(NEW_LEAD * (1 - worn)),
  };
}
