import { LRUCache } from 'lru-cache';
import { PageIndex } from '../../core/lineart/index.ts';
import { PRIORITY, pageJobs } from '../workers/index.ts';
import { type PageRegions } from './desk-context.ts';
import { pictureUrl } from './picture-url.ts';

const pictures = new LRUCache<string, Promise<ImageBitmap>>({ max: 4 });

/** A sheet's working picture, fetched once. */
export function loadPicture(sheetId: string, hash: string): Promise<ImageBitmap> {
  let picture = pictures.get(hash);
  if (!picture) {
    picture = fetch(pictureUrl(sheetId, hash))
      .then((response) =>
        response.ok ? response.blob() : Promise.reject(new Error('The picture of this page did not arrive.')),
      )
      .then((blob) => createImageBitmap(blob));
    picture.catch(() => pictures.delete(hash));
    pictures.set(hash, picture);
  }
  return picture;
}

/**
 * The regions of a sheet. They come by way of the page worker, which keeps them and fetches only what was not just found.
 * @param from what they were found from, and what they are kept under
 * @param picture address of the sheet's picture
 * @throws Error with a sentence where they did not arrive
 */
export async function loadRegions(sheetId: string, from: string, picture: string): Promise<PageRegions> {
  const index = `/api/sheets/${sheetId}/page-index?from=${encodeURIComponent(from)}`;
  const input = { key: from, index, picture };
  const outcome = await pageJobs.start('takeUpPage', input, { priority: PRIORITY.waitedFor }).outcome;
  if (outcome.kind !== 'done') throw new Error(outcome.kind === 'refused' ? outcome.sentence : 'It was stopped.');
  const page = PageIndex.from(outcome.value);
  const { width, height, pixelsPerMm, regions, neighbours, alike, doubts, seen } = page;
  return { from, index: page, width, height, pixelsPerMm, regions, neighbours, alike, doubts, seen };
}
