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

/** Opacity of the veil inside the chosen regions where the zone is not, 0..255, and its grey. */
const VEIL_INSIDE = 120;
const VEIL_GREY = 226;
/** The veil goes on so many pixels beside the regions, so that it can be cut off along their outlines. */
const BESIDE = 2;
/** Grey of a zone that is shown by itself. */
const ZONE_GREY = 150;

/**
 * One zone of some regions as a picture to lay over them: a veil where the zone fades out, which goes on a little beside
 * the regions; or grey where it lies, the darker the fuller.
 */
export const zonePicture: Job<ZonePictureInput, Pixels> = {
  run({ key, things, lighting, step, regionIds, zone, look }) {
    const { width, height, grown, fields } = pageOf(key).page.lit(things, lighting, step);
    const share = zoneShare(zone, fields);
    const chosen = new Uint8Array(65_536);
    for (const id of regionIds) chosen[id] = 1;
    const within = Uint8Array.from(grown, (label) => chosen[label]!);
    const opacity = within.map(
      (inside, i) => inside && (look === 'veil' ? VEIL_INSIDE * (1 - share(i)) : 255 * share(i)),
    );
    if (look === 'veil') for (let k = 0; k < BESIDE; k++) goOnBeside(opacity, within, width);
    const data = new Uint8ClampedArray(4 * width * height).fill(look === 'veil' ? VEIL_GREY : ZONE_GREY);
    for (let i = 0; i < opacity.length; i++) data[4 * i + 3] = opacity[i]!;
    return { width, height, data };
  },
  handsOver: bufferOf,
};

/** Gives each pixel beside those within the opacity of one of these, and counts it among them from then on. */
function goOnBeside(opacity: Uint8Array, within: Uint8Array, width: number): void {
  const before = within.slice();
  for (let i = 0; i < before.length; i++) {
    if (before[i] === 1) continue;
    const next = [i - 1, i + 1, i - width, i + width].find((j) => before[j] === 1);
    if (next === undefined) continue;
    opacity[i] = opacity[next]!;
    within[i] = 1;
  }
}
