import { paperById } from '../../../core/laydown/index.ts';
import { type Place, sampleBeside } from '../../../core/tray/index.ts';
import { type Job } from '../job.ts';
import { pixelsOf } from './read-photo.ts';

export interface SampleInput {
  picture: Blob;
  /** Where to look, and where bare paper lies, as shares of the picture's sides. */
  place: Place;
  bare: Place;
  /** Id of that paper. */
  paper: string;
}

/** Colours are taken out of pictures of this longest side, pixels, from squares of twice this share of it. */
const SAMPLED_AT = 1600;
const SAMPLE_REACH = 0.008;

/** The colour of a place in a picture beside bare paper. */
export const sample: Job<SampleInput, ReturnType<typeof sampleBeside>> = {
  async run({ picture, place, bare, paper }, run) {
    run.progress(0.2, 'reading the colour');
    const image = await pixelsOf(picture, SAMPLED_AT);
    const at = ({ x, y }: Place) => ({ x: x * image.width, y: y * image.height });
    const reach = Math.max(2, SAMPLE_REACH * Math.max(image.width, image.height));
    return sampleBeside(image, at(place), at(bare), reach, paperById(paper));
  },
};
