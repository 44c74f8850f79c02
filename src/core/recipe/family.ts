/** The ordered pencils given to a thing, by id. */
export interface Family {
  /** One to five, from the darkest to the lightest as they come out on the paper. */
  pencils: readonly string[];
  /** The light pencil that unifies the family at the end; null: its lightest does. */
  blender: string | null;
  /** An extra for the deepest shadow, darker or of another hue. */
  depth: string | null;
  /** An extra of another hue, touched in where the form turns. */
  accent: string | null;
  /** A grey or an opposite that calms the shadow before the dark goes on again. */
  neutral: string | null;
}

/** More than five pencils in a family seldom help: the steps between five are smaller than a hand is even. */
export const MOST_PENCILS = 5;
/** What a family may hold beside its own pencils. */
export const EXTRAS = ['blender', 'depth', 'accent', 'neutral'] as const;
export type Extra = (typeof EXTRAS)[number];

/**
 * A family of these pencils and nothing beside.
 * @param pencils one to five ids, from dark to light
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
  return pencils[Math.floor((pencils.length - 1) / 2)];
}

/** Widths, mm, from which a shape holds two to five pencils. Assumptions: a band and its overlap on each side of a sharp point. */
const ROOM_MM = [1, 2.4, 9, 22];

/** How many pencils a shape of this usable width holds, one to five: a band cannot be narrower than the point. */
export function pencilsFor(usableWidthMm: number): number {
  return 1 + ROOM_MM.filter((width) => usableWidthMm >= width).length;
}
