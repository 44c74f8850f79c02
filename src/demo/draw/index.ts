/** draw: the booklet's sheets as drawings, back to front, by the id of their page. */
import { drawFerrySteps } from './ferry-steps/index.ts';
import { drawKiteLoft } from './kite-loft/index.ts';
import { type Drawing } from './kit/index.ts';
import { drawMarshHare } from './marsh-hare/index.ts';
import { drawTideClock } from './tide-clock/index.ts';

export { type Drawing } from './kit/index.ts';
export { type Raster, rasterise } from './rasterise.ts';
export { type Truth, type TrueRegion, type TrueMap, truthOf, trueRegions } from './truth.ts';

/** How each page is drawn, by its id. */
export const DRAWN: Readonly<Record<string, () => Drawing>> = {
  'ferry-steps': drawFerrySteps,
  'tide-clock': drawTideClock,
  'marsh-hare': drawMarshHare,
  'kite-loft': drawKiteLoft,
};
