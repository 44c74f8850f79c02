import { NO_REGION } from '../../../core/lineart/index.ts';
import { type Job } from '../job.ts';
import { pageOf } from './kept-pages.ts';
import { type LitPageInput } from './lit-page-input.ts';
import { type Pixels, bufferOf } from './pixels.ts';

/** Lines of equal value on the way from shadow to highlight. */
const ISOLINES = 7;
/** Grey of the deepest shadow, how much paler the highest light is, and how much darker a line. */
const [SHADOW, RANGE, LINE] = [84, 164, 30];

/** The tone of a page as a grey picture with lines of equal value: what the light alone does. */
export const tonePicture: Job<LitPageInput, Pixels> = {
  run({ key, things, lighting, step }) {
    const { width, height, grown, fields } = pageOf(key).page.lit(things, lighting, step);
    const { tone } = fields;
    const data = new Uint8ClampedArray(4 * width * height);
    const level = (i: number) => Math.floor((tone[i]! * ISOLINES) / 256);
    for (let y = 0, i = 0; y < height; y++) {
      for (let x = 0; x < width; x++, i++) {
        const inside = grown[i] !== 0 && grown[i] !== NO_REGION;
        const line =
          x > 0 && y > 0 && grown[i] === grown[i - 1] && level(i) !== Math.min(level(i - 1), level(i - width));
        const grey = inside ? SHADOW + (tone[i]! * RANGE) / 255 - (line ? LINE : 0) : 255;
        data[4 * i] = data[4 * i + 1] = data[4 * i + 2] = grey;
        data[4 * i + 3] = 255;
      }
    }
    return { width, height, data };
  },
  handsOver: bufferOf,
};
