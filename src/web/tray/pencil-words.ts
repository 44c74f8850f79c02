/** How hard a core is, 0 soft to 1 hard, in words; nothing where nobody said. */
export function hardnessWords(hardness: number | null): string {
  if (hardness === null) return '';
  return hardness < 0.3 ? 'very soft' : hardness < 0.45 ? 'soft' : hardness < 0.6 ? 'middling' : 'hard';
}

/** How much a pencil covers, 0 to 1, in words. */
export function coverWords(opacity: number): string {
  return opacity < 0.25 ? 'little' : opacity < 0.5 ? 'some' : opacity < 0.75 ? 'well' : 'fully';
}
