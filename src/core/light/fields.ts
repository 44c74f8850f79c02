/**
 * What is known of each place of a page, each 0..1:
 * - tone: from the deepest shadow (0) to the highlight (1)
 * - glow: from where no glow reaches (0) to the edge of the source (1), even by distance
 * - lit: of the glow what reaches a surface by the way it faces, from nothing (0) to all of it (1)
 * - shadow: from no cast shadow (0) to all of one (1)
 * - along: from the top of the thing (0) to its foot (1)
 * - out: from the middle of the thing (0) to as far out as it goes (1)
 * - turn: from facing away from the light's side (0) over facing the viewer (0.5) to facing that side (1)
 * - reflect: how much of a neighbour's colour arrives, from nothing (0) to all of it (1)
 */
export const FIELDS = ['tone', 'glow', 'lit', 'shadow', 'along', 'out', 'turn', 'reflect'] as const;
export type Field = (typeof FIELDS)[number];

/** A thing shows the colours of at most so many others. */
export const MOST_SOURCES = 4;

/** Values of a byte that each source of a reflection has: the byte of a place tells which one arrives, and how much of it. */
export const VALUES_EACH_SOURCE = 256 / MOST_SOURCES;

/** Value of a field at one place, and for a reflection whose colour it is. */
export interface FieldValue {
  value: number;
  /** Place of the source among those of the thing; 0 for all other fields. */
  source: number;
}

/**
 * What one of so many even steps of a field's bytes stands for.
 * @param steps a divisor of 256; for a reflection of so many times {@link MOST_SOURCES}
 */
export function valueAtStep(field: Field, step: number, steps: number): FieldValue {
  if (field !== 'reflect') return { value: step / (steps - 1), source: 0 };
  const each = steps / MOST_SOURCES;
  return { value: (step % each) / (each - 1), source: Math.floor(step / each) };
}
