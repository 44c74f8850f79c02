import { greyOfRgba } from '../../../core/lineart/index.ts';
import { straightened } from '../../../core/straighten/index.ts';
import { CARD_MM, type CardName, cardNameIn, findCard } from '../../../core/swatch-card/index.ts';
import { type Job } from '../job.ts';
import { pixelsOf, pngOf } from './read-photo.ts';

export interface FoundCard {
  /** Laid straight, as a PNG. */
  picture: Blob;
  /** What its boxes say that it is, if they can be read. */
  name: CardName | null;
}

/** Cards are looked for at this longest side, pixels, and laid straight at so many pixels a mm. */
const CARD_FOUND_AT = 2400;
const CARD_PX_PER_MM = 6;

/** Finds the swatch card in a picture. */
export const findCardJob: Job<{ photo: Blob }, FoundCard> = {
  async run({ photo }, run) {
    run.progress(0.05, 'looking for the card');
    const pixels = await pixelsOf(photo, CARD_FOUND_AT);
    const quad = findCard(greyOfRgba(pixels));
    if (!quad) {
      throw new RangeError(
        'No swatch card is seen here. All four round marks at its corners must lie in the picture, flat and in the light.',
      );
    }
    const size = { width: CARD_MM.width * CARD_PX_PER_MM, height: CARD_MM.height * CARD_PX_PER_MM };
    const image = await straightened(pixels, quad, size, run);
    return { picture: await pngOf(image), name: cardNameIn(image) };
  },
};
