import { PageIndex } from '../../../core/lineart/index.ts';
import { type Job } from '../job.ts';
import { findPage, keepPage } from './kept-pages.ts';
import { unpacked } from './packed.ts';

export interface TakeUpPageInput {
  /** What the page is kept under from then on. */
  key: string;
  /** Addresses of its index as it is stored, and of its picture. */
  index: string;
  picture: string;
}

/** Fetches the index of a page, unless it is here, keeps it, and gives a copy without printed lines to the screen. */
export const takeUpPage: Job<TakeUpPageInput, ArrayBuffer> = {
  async run({ key, index, picture }) {
    const kept = findPage(key) ?? keepPage(key, await fetchIndex(index), picture);
    return kept.page.index.with({ ink: null }).data;
  },
  handsOver: (data) => [data],
};

async function fetchIndex(address: string): Promise<PageIndex> {
  const response = await fetch(address);
  if (!response.ok) throw new RangeError('The regions of this page did not arrive. Reload the page and try again.');
  return PageIndex.from(await unpacked(await response.blob()));
}
