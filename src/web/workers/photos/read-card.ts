import { paperById } from '../../../core/laydown/index.ts';
import { type CardName, layOutCard, readCard } from '../../../core/swatch-card/index.ts';
import { type Job } from '../job.ts';
import { pixelsOf } from './read-photo.ts';

export interface ReadCardInput {
  /** A card that was laid straight. */
  picture: Blob;
  rows: number;
  name: CardName;
  /** Id of its paper. */
  paper: string;
}

/** Every patch of a straightened card. */
export const readCardJob: Job<ReadCardInput, ReturnType<typeof readCard>> = {
  async run({ picture, rows, name, paper }, run) {
    run.progress(0.2, 'reading the patches');
    return readCard(await pixelsOf(picture), layOutCard(rows, name), paperById(paper));
  },
};
