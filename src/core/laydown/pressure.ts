/** The five pressures a colourist tells apart, lightest first. */
export const PRESSURES = ['whisper', 'light', 'medium', 'firm', 'burnish'] as const;
export type Pressure = (typeof PRESSURES)[number];

/** Each pressure as a share of the hardest press, 0..1. */
export const PRESS: Readonly<Record<Pressure, number>> = {
  whisper: 0.1,
  light: 0.25,
  medium: 0.5,
  firm: 0.8,
  burnish: 1,
};

/** How hard one person presses beside what the pressure's name means: a factor a pressure, 1 where unknown. */
export type Hand = Readonly<Partial<Record<Pressure, number>>>;

/**
 * What a pressure comes to in this hand, 0..1.
 * @param pressure one of the five by name, or a share of the hardest press; between two named ones the hand is taken to
 *   go evenly from one to the other, and from nothing to its whisper
 */
export function pressOf(pressure: Pressure | number, hand: Hand = {}): number {
  if (typeof pressure === 'string') return Math.min(1, Math.max(0, PRESS[pressure] * (hand[pressure] ?? 1)));
  const meant = Math.min(1, Math.max(0, pressure));
  const above = PRESSURES.find((name) => PRESS[name] >= meant)!;
  const below = PRESSURES[PRESSURES.indexOf(above) - 1];
  const [from, to] = [below ? PRESS[below] : 0, PRESS[above]];
  const [least, most] = [below ? pressOf(below, hand) : 0, pressOf(above, hand)];
  return least + ((most - least) * (meant - from)) / (to - from);
}
