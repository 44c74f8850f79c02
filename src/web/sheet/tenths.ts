/** Millimetres to a tenth, as sizes are kept. */
export function tenths(mm: number): number {
  return Math.round(10 * mm) / 10;
}
