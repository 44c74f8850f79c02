/** workers: heavy work away from the screen, as jobs: one file each, asked for by name, with progress and a way to stop. */
import { JobClient } from './job-client.ts';
import { type PageJobs } from './page/index.ts';
import { type PencilJobs } from './pencils/index.ts';
import { type PhotoJobs } from './photos/index.ts';
import { threadOf } from './thread.ts';

export { type InputOf, type Outcome, type OutputOf } from './job.ts';
export { type JobUnderWay, PRIORITY } from './job-client.ts';
export { type JobState, useJob } from './use-job.ts';
export { type Answer, type AnswerOptions, useAnswer } from './use-answer.ts';
export { type Ask } from './newest-answer.ts';
export { useIsWorking } from './use-is-working.ts';
export { greysApart } from './page/greys-apart.ts';
export type { PageJobs } from './page/index.ts';
export type { PencilJobs } from './pencils/index.ts';
export type { PhotoJobs } from './photos/index.ts';
export type { LaidPencil } from './pencils/on-paper.ts';
export type { ZoneLook } from './page/zone-picture.ts';

/** Whatever is worked out on the pixels of a page; the worker keeps the pages. */
export const pageJobs = new JobClient<PageJobs>(() =>
  threadOf(new Worker(new URL('./page.worker.ts', import.meta.url), { type: 'module' })),
);

/** Whatever is worked out with pencils and needs no page: two workers, so that a search does not hold up the rest. */
export const pencilJobs = new JobClient<PencilJobs>(
  () => threadOf(new Worker(new URL('./pencil.worker.ts', import.meta.url), { type: 'module' })),
  2,
);

/** Whatever is read from photographs. */
export const photoJobs = new JobClient<PhotoJobs>(() =>
  threadOf(new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' })),
);
