import { type Pressure, PRESS, bareGround, layPasses, type PencilOptics, type Paper } from '../laydown/index.ts';

/** What laying an area uses up of a pencil. */
export interface Wear {
  /** Length of lead that goes onto the paper, mm. */
  laidMm: number;
  /** How often the point is sharpened on the way. */
  points: number;
  /** Length of lead in all, what the sharpener takes with it, mm. */
  lengthMm: number;
}

/**
 * Lead laid per area and unit of mass, mm3 per mm2: a film of about two thousandths of a millimetre at full strength. An
 * estimate from how far pencils go; nobody has weighed it yet.
 */
const FILM_MM = 0.00045;
/** Usual core, mm across, and what one sharpening takes off, mm. */
const CORE_MM = 3.6;
const SHARPENED_MM = 1.1;
/** Area that a sharp point lays at a medium press before it is blunt, mm2, for a core of middling hardness. */
const POINT_MM2 = 900;
const MIDDLING = 0.5;
/** A short pencil is held near its point, which presses harder: from this length down. */
const STUB_MM = 45;
const STUB_PRESSES = 1.15;

/**
 * Lead and points that passes over an area use up.
 * @param areaMm2 area gone over by each pass
 * @param hardness of the core, 0 soft to 1 hard; middling when not known
 * @throws RangeError for an area below 0
 */
export function wearOf(
  pencil: PencilOptics,
  paper: Paper,
  passes: readonly Pressure[],
  areaMm2: number,
  hardness = MIDDLING,
): Wear {
  if (!(areaMm2 >= 0)) throw new RangeError('An area is 0 mm2 or more.');
  const { ground } = layPasses(
    bareGround(paper),
    passes.map((pressure) => ({ pencil, pressure })),
  );
  const laidMm = (ground.mass * FILM_MM * areaMm2) / ((Math.PI * CORE_MM ** 2) / 4);
  const worn = passes.reduce((sum, pressure) => sum + PRESS[pressure] / PRESS.medium, 0) * areaMm2;
  const points = worn / (POINT_MM2 * (0.5 + hardness / (2 * MIDDLING)));
  return { laidMm, points, lengthMm: laidMm + points * SHARPENED_MM };
}

/** What is left of a pencil after some wear, mm; 0 where it does not last. */
export function lengthLeftMm(leadMm: number, { lengthMm }: Pick<Wear, 'lengthMm'>): number {
  return Math.max(0, leadMm - lengthMm);
}

/** How much harder a pencil of this length presses, 1 for a long one: a stub is held near its point. */
export function pressOfLength(leadMm: number | null): number {
  return leadMm !== null && leadMm < STUB_MM ? STUB_PRESSES : 1;
}
