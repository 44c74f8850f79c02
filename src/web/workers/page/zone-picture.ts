import { zoneShare } from '../../../core/preview/index.ts';
import { type Zone } from '../../../core/recipe/index.ts';
import { type Job } from '../job.ts';
import { pageOf } from './kept-pages.ts';
import { type LitPageInput } from './lit-page-input.ts';
import { type Pixels, bufferOf } from './pixels.ts';

export type ZoneLook = 'veil' | 'grey';

/** A zone of some regions. */
export interface ZoneOfRegions {
  regionIds: readonly number[];
  zone: Zone;
}

export interface ZonePictureInput extends LitPageInput {
  /** No region is in two of them. */
  parts: readonly ZoneOfRegions[];
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
 * Zones of some regions as a picture to lay over them: a veil where they fade out, which goes on a little beside
 * the regions; or grey where they lie, the darker the fuller.
 */
export const zonePicture: Job<ZonePictureInput, Pixels> = {
  run({ key, things, lighting, step, parts, look }) {
    const { width, height, grown, fields } = pageOf(key).page.lit(things, lighting, step);
    const shares = parts.map(({ zone }) => zoneShare(zone, fields));
    /** The part that each region is in, from 1; 0 for none. */
    const partOf = new Uint16Array(65_536);
    parts.forEach(({ regionIds }, k) => regionIds.forEach((id) => (partOf[id] = k + 1)));
    const isVeil = look === 'veil';
    const opacity = (share: number) => (isVeil ? VEIL_INSIDE * (1 - share) : 255 * share);
    const clear = new Uint32Array(width * height).fill(0x01_01_01 * (isVeil ? VEIL_GREY : ZONE_GREY));
    const data = new Uint8ClampedArray(clear.buffer);
    const within = new Uint8Array(width * height);
    let last: number[] = [];
    for (let i = 0; i < within.length; i++) {
      const part = partOf[grown[i]!]!;
      if (part === 0) continue;
      within[i] = 1;
      last.push(i);
      data[4 * i + 3] = opacity(shares[part - 1]!(i));
    }
    if (isVeil) for (let k = 0; k < BESIDE; k++) last = goOnBeside(data, within, width, last);
    return { width, height, data };
  },
  handsOver: bufferOf,
};

/** Gives each pixel beside some of those within the opacity of one of these. Returns the pixels that are within from then on. */
function goOnBeside(data: Uint8ClampedArray, within: Uint8Array, width: number, last: readonly number[]): number[] {
  const added: number[] = [];
  const beside = [-1, 1, -width, width];
  for (const i of last) {
    for (const by of beside) {
      if (within[i + by] !== 0) continue;
      within[i + by] = 1;
      data[4 * (i + by) + 3] = data[4 * i + 3]!;
      added.push(i + by);
    }
  }
  return added;
}
