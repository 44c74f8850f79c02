import { type Extra, EXTRAS, MOST_PENCILS } from './roles.ts';
import type { Family } from './schemas.ts';

/**
 * A family of these pencils and nothing beside.
 * @param pencils one to eight ids, from dark to light
 * @throws RangeError for none or too many
 */
export function familyOf(pencils: readonly string[], extras: Partial<Record<Extra, string | null>> = {}): Family {
  if (pencils.length === 0 || pencils.length > MOST_PENCILS) {
    throw new RangeError(`A family holds one to ${MOST_PENCILS} pencils, not ${pencils.length}.`);
  }
  return { pencils, blender: null, depth: null, accent: null, neutral: null, ...extras };
}

/** Every pencil that a family uses, each once: its own from dark to light, then the extras. */
export function pencilsOf(family: Family): string[] {
  return [...new Set([...family.pencils, ...EXTRAS.flatMap((extra) => family[extra] ?? [])])];
}

/** The pencil that gives a family its colour: the middle one, the darker of two. */
export function bodyOf({ pencils }: Pick<Family, 'pencils'>): string {
  return pencils[Math.floor((pencils.length - 1) / 2)]!;
}

/** Widths, mm, from which a shape holds two to eight pencils. Assumptions: a band and its overlap on each side of a sharp point. */
const ROOM_MM = [1, 2.4, 9, 22, 55, 85, 120];
/** So many pencils make a form; more are bands of a background, where each has a place of its own. */
const MOST_OF_A_FORM = 5;

/**
 * How many pencils a shape of this usable width holds, one to five: a band cannot be narrower than the point.
 * @param inBands whether each pencil is a band of its own, of which a wide background holds up to eight
 */
export function pencilsFor(usableWidthMm: number, inBands = false): number {
  const room = 1 + ROOM_MM.filter((width) => usableWidthMm >= width).length;
  return inBands ? room : Math.min(MOST_OF_A_FORM, room);
}
