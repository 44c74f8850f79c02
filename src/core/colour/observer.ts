/** The standard observer and the light that every colour here is seen by. Source: CIE 015:2018, tables for 1931 2 degrees and D65. */

/** Number of bands of a spectrum: 380 to 730 nm in steps of 10 nm. */
export const BANDS = 36;

/** CIE 1931 2 degree colour matching functions, one row of x, y, z a band. */
export const MATCHING = [
  0.001368, 0.000039, 0.00645, 0.004243, 0.00012, 0.02005, 0.01431, 0.000396, 0.06785, 0.04351, 0.00121, 0.2074,
  0.13438, 0.004, 0.6456, 0.2839, 0.0116, 1.3856, 0.34828, 0.023, 1.74706, 0.3362, 0.038, 1.77211, 0.2908, 0.06, 1.6692,
  0.19536, 0.09098, 1.28764, 0.09564, 0.13902, 0.81295, 0.03201, 0.20802, 0.46518, 0.0049, 0.323, 0.272, 0.0093, 0.503,
  0.1582, 0.06327, 0.71, 0.07825, 0.1655, 0.862, 0.04216, 0.2904, 0.954, 0.0203, 0.43345, 0.99495, 0.00875, 0.5945,
  0.995, 0.0039, 0.7621, 0.952, 0.0021, 0.9163, 0.87, 0.00165, 1.0263, 0.757, 0.0011, 1.0622, 0.631, 0.0008, 1.0026,
  0.503, 0.00034, 0.85445, 0.381, 0.00019, 0.6424, 0.265, 0.00005, 0.4479, 0.175, 0.00002, 0.2835, 0.107, 0, 0.1649,
  0.061, 0, 0.0874, 0.032, 0, 0.04677, 0.017, 0, 0.0227, 0.00821, 0, 0.011359, 0.004102, 0, 0.00579, 0.002091, 0,
  0.002899, 0.001047, 0, 0.00144, 0.00052, 0,
];

/** Relative power of D65 a band. */
const D65 = [
  49.9755, 54.6482, 82.7549, 91.486, 93.4318, 86.6823, 104.865, 117.008, 117.812, 114.861, 115.923, 108.811, 109.354,
  107.802, 104.79, 107.689, 104.405, 104.046, 100, 96.3342, 95.788, 88.6856, 90.0062, 89.5991, 87.6987, 83.2886,
  83.6992, 80.0268, 80.2146, 82.2778, 78.2842, 69.7213, 71.6091, 74.349, 61.604, 69.8856,
];

/** Weights that turn a reflectance of 36 bands into X, Y, Z with Y = 1 for a perfect white. Three arrays of 36. */
export const WEIGHTS: readonly [Float64Array, Float64Array, Float64Array] = (() => {
  const rows: [Float64Array, Float64Array, Float64Array] = [
    new Float64Array(BANDS),
    new Float64Array(BANDS),
    new Float64Array(BANDS),
  ];
  let total = 0;
  for (let i = 0; i < BANDS; i++) total += D65[i]! * MATCHING[3 * i + 1]!;
  for (let i = 0; i < BANDS; i++) for (let c = 0; c < 3; c++) rows[c]![i] = (D65[i]! * MATCHING[3 * i + c]!) / total;
  return rows;
})();

/** X, Y, Z of the perfect white under D65, as the weights above give it. */
export const WHITE: readonly [number, number, number] = [sum(WEIGHTS[0]), 1, sum(WEIGHTS[2])];

function sum(values: Float64Array): number {
  return values.reduce((a, b) => a + b, 0);
}
