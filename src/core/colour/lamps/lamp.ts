/** A light to see a page by. */
export interface Lamp {
  id: string;
  /** As one would ask for it in a shop. */
  name: string;
  says: string;
  /** Relative power of each of 36 bands, 380 to 730 nm by 10. */
  power: Float64Array;
}

/** A power for each band from its wavelength, nm. */
export function powerOf(at: (nanometres: number) => number): Float64Array {
  return Float64Array.from({ length: 36 }, (_, i) => at(380 + 10 * i));
}

/**
 * The light of a white diode: a blue pump and a phosphor that it makes glow, as two bells over wavelength, the second
 * wider towards red.
 * @param pump how high the pump's bell is beside the phosphor's
 * @param phosphor middle of its bell and its deviations below and above, nm
 */
export function whiteDiode(
  pump: number,
  { middle, below, above }: { middle: number; below: number; above: number },
): Float64Array {
  const bell = (off: number, deviation: number) => Math.exp(-0.5 * (off / deviation) ** 2);
  return powerOf((nm) => pump * bell(nm - 452, 9.5) + bell(nm - middle, nm < middle ? below : above));
}
