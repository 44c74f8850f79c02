import { lampById } from '../../../core/colour/index.ts';
import { type Paper } from '../../../core/laydown/index.ts';
import { type RgbaImage } from '../../../core/lineart/index.ts';
import { laydownStrip } from '../../../core/preview/index.ts';
import { type TrayPencil } from '../../../core/tray/index.ts';
import { type Job } from '../job.ts';
import { bufferOf } from '../page/pixels.ts';
import { opticsOf } from './pencil-optics.ts';

export interface StripInput {
  pencil: TrayPencil;
  paper: Paper;
  /** Pixels. */
  width: number;
  height: number;
  shift: number;
  /** Id of the lamp to see it by, or null for daylight. */
  lamp: string | null;
}

/** A pencil's laydown from whisper to burnish. */
export const strip: Job<StripInput, RgbaImage> = {
  run({ pencil, paper, width, height, shift, lamp }) {
    const by = lamp === null ? undefined : lampById(lamp);
    return laydownStrip(opticsOf(pencil), paper, { width, height, shift, lamp: by });
  },
  handsOver: bufferOf,
};
