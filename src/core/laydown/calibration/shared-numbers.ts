/** The numbers that all pencils of a card share. */
export const SHARED_NUMBERS = [
  'rough',
  'stray',
  'tooth',
  'spread',
  'crush',
  'yuleNielsen',
  'light',
  'medium',
  'firm',
  'slope',
  'tinted',
] as const;
export type SharedNumber = (typeof SHARED_NUMBERS)[number];
