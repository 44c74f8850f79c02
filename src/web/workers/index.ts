/** workers: the threads that heavy work runs on, and how a job is started, watched and cancelled. */
import { type Remote, wrap } from 'comlink';
import { type PageAsStored, MOST_PAGES } from './kept-pages.ts';
import { type PageWorker } from './page.worker.ts';
import { type PencilWorker } from './pencil.worker.ts';
import { type PhotoWorker } from './photo.worker.ts';

export { type Job, startJob } from './start-job.ts';
export { useJob } from './use-job.ts';
export { greysApart } from './greys-apart.ts';
export type { LaidPencil } from './pencil.worker.ts';
export type { PreviewRequest, ZoneLook } from './page.worker.ts';

export const pageWorker: Remote<PageWorker> = wrap(
  new Worker(new URL('./page.worker.ts', import.meta.url), { type: 'module' }),
);
export const pencilWorker: Remote<PencilWorker> = wrap(
  new Worker(new URL('./pencil.worker.ts', import.meta.url), { type: 'module' }),
);

/** The pages that the page worker holds, by key, the oldest first: it lets them go by the same rule. */
let held: readonly string[] = [];

/** Counts a page as held by the page worker. */
export function holdsPage(key: string): void {
  if (!held.includes(key)) held = [...held, key].slice(-MOST_PAGES);
}

/** Hands a page to the page worker, unless it holds it already. */
export function openInWorker(key: string, page: PageAsStored): void {
  if (held.includes(key)) return;
  holdsPage(key);
  void pageWorker.open(key, page);
}

/** Started when the first photograph comes in; most pages are scans. */
let photos: Remote<PhotoWorker> | null = null;
let photoThread: Worker | null = null;
export function photoWorker(): Remote<PhotoWorker> {
  photoThread ??= new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' });
  photos ??= wrap<PhotoWorker>(photoThread);
  return photos;
}

/** Ends the worker for photographs and with it all that it holds; the next photograph starts another. */
export function restPhotoWorker(): void {
  photoThread?.terminate();
  photoThread = null;
  photos = null;
}
