import { LRUCache } from 'lru-cache';
import { type InkShare, type PageIndex, inkShareOf } from '../../../core/lineart/index.ts';
import { OpenPage, OpticsStore } from '../../../core/render/index.ts';
import { type PageReading } from '../../../core/things/index.ts';
import { readGreyPicture } from './read-picture.ts';

/** A page as this worker keeps it, so that it crosses over once. */
export interface KeptPage {
  page: OpenPage;
  /** Its printed lines; null where its picture cannot be fetched just now. */
  ink(): Promise<InkShare | null>;
  /** What it shows of its things, once that was asked for. */
  reading: PageReading | null;
}

/** The page on the desk and the one before it. */
const pages = new LRUCache<string, KeptPage>({ max: 2 });
/** Pencils are the same on every page. */
const optics = new OpticsStore();

/** Keeps a page under a key. @param picture address of its picture, from which lines are read that are not in the index */
export function keepPage(key: string, index: PageIndex, picture: string): KeptPage {
  let ink: Promise<InkShare | null> | null = index.ink && Promise.resolve(index.ink);
  const read = () => {
    ink ??= readGreyPicture(picture)
      .then(inkShareOf)
      .catch(() => {
        // Asked for again the next time.
        ink = null;
        return null;
      });
    return ink;
  };
  const kept = { page: new OpenPage(index, optics), ink: read, reading: null };
  pages.set(key, kept);
  // Read ahead, so that the first picture of a palette need not wait for it.
  void read();
  return kept;
}

/** The page of a key, if it is kept. */
export function findPage(key: string): KeptPage | undefined {
  return pages.get(key);
}

/** The page of a key. @throws RangeError when it is not kept */
export function pageOf(key: string): KeptPage {
  const kept = pages.get(key);
  if (!kept) throw new RangeError('This page is not open any more. Reload it.');
  return kept;
}
