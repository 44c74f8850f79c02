import { zoneShare } from '../../../core/preview/index.ts';
import { type Zone } from '../../../core/recipe/index.ts';
import { type Job } from '../job.ts';
import { pageOf } from './kept-pages.ts';
import { type LitPageInput } from './lit-page-input.ts';
import { type Pixels, bufferOf } from './pixels.ts';

export type ZoneLook = 'veil' | 'grey';

export interface ZonePictureInput extends LitPageInput {
  regionIds: readonly number[];
  zone: Zone;
  look: ZoneLook;
}

/** Opacity of the veil beside the chosen regions and inside them, 0..255, and its grey. */
const VEIL_OUTSIDE = 176;
const VEIL_INSIDE = 120;
const VEIL_GREY = 226;
/** Grey of a zone that is shown by itself. */
const ZONE_GREY = 150;

/**
 * One zone of some regions as a picture to lay over the page: a veil over everything else, thick beside the regions and
 * thinner inside them where the zone fades out; or grey where it lies, the darker the fuller.
 */
export const zonePicture: Job<ZonePictureInput, Pixels> = {
  run({ key, things, lighting, step, regionIds, zone, look }) {
    const { width, height, grown, fields } = pageOf(key).page.lit(things, lighting, step);
    const share = zoneShare(zone, fields);
    const chosen = new Uint8Array(65_536);
    for (const id of regionIds) chosen[id] = 1;
    const data = new Uint8ClampedArray(4 * width * height);
    for (let i = 0, p = 0; i < grown.length; i++, p += 4) {
      const within = chosen[grown[i]!] === 1;
      data[p] = data[p + 1] = data[p + 2] = look === 'veil' ? VEIL_GREY : ZONE_GREY;
      data[p + 3] =
        look === 'veil' ? (within ? VEIL_INSIDE * (1 - share(i)) : VEIL_OUTSIDE) : within ? 255 * share(i) : 0;
    }
    return { width, height, data };
  },
  handsOver: bufferOf,
};
