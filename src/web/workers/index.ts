/** workers: the threads that heavy work runs on, and how a job is started, watched and cancelled. */
import { type Remote, proxy, wrap } from 'comlink';
import { nanoid } from 'nanoid';
import { type Outcome, type Report } from './jobs.ts';
import { type PageWorker } from './page.worker.ts';
import { type PencilWorker } from './pencil.worker.ts';
import { type PhotoWorker } from './photo.worker.ts';

export { greysApart } from './greys-apart.ts';
export type { LaidPencil } from './pencil.worker.ts';
export type { PreviewRequest } from './page.worker.ts';

export const pageWorker: Remote<PageWorker> = wrap(
  new Worker(new URL('./page.worker.ts', import.meta.url), { type: 'module' }),
);
export const pencilWorker: Remote<PencilWorker> = wrap(
  new Worker(new URL('./pencil.worker.ts', import.meta.url), { type: 'module' }),
);

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

/** A job under way. */
export interface Job<T> {
  outcome: Promise<Outcome<T>>;
  cancel(): void;
}

/** Starts a job on a worker that takes a job id first and a progress report last. */
export function startJob<T>(
  worker: { cancel(jobId: string): unknown },
  start: (jobId: string, report: Report) => Promise<Outcome<T>>,
  report: Report,
): Job<T> {
  const jobId = nanoid(8);
  return { outcome: start(jobId, proxy(report)), cancel: () => void worker.cancel(jobId) };
}
