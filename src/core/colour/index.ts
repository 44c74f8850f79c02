/** colour: spectra, Lab and OKLCH, colour difference, the two wheels, and colours in words. Doors take CIE Lab, D65, 2 degrees. */
export { BANDS } from './observer.ts';
export { type Lab, type Spectrum, labOfSpectrum } from './lab.ts';
export { type Oklch, labOfOklch, oklchOfLab, turn, turnBetween } from './oklch.ts';
export {
  CODE_OF_LIGHT,
  LINEAR_LIGHTS,
  LIGHT_STEPS,
  type Rgb,
  gammaEncode,
  hexOfLab,
  labOfHex,
  labOfRgb,
  linearise,
  lightOfLab,
  rgbOfLab,
} from './srgb.ts';
export { deltaE2000, deltasE2000 } from './difference.ts';
export { spectrumOfLab } from './spectrum.ts';
export {
  type ColourWheel,
  type Ring,
  type WheelPlace,
  RINGS,
  WHEELS,
  WHEEL_PLACES,
  hueOfWheel,
  isWarm,
  placeAt,
  placeOn,
  ringOf,
  wheelById,
  wheelOfHue,
} from './wheels/index.ts';
export { type Lamp, LAMPS, LAMP_DOUBT, labUnder, lampById } from './lamps/index.ts';
export { wordsFor } from './words.ts';
