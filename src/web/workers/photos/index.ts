/** photos: the jobs on photographs of pages, charts and cards. */
import { type Jobs } from '../job.ts';
import { findCardJob } from './find-card.ts';
import { findPage } from './find-page.ts';
import { readCardJob } from './read-card.ts';
import { readChartJob } from './read-chart.ts';
import { sample } from './sample.ts';
import { straighten } from './straighten.ts';

export const PHOTO_JOBS = {
  findPage,
  straighten,
  readChart: readChartJob,
  sample,
  findCard: findCardJob,
  readCard: readCardJob,
} satisfies Jobs;
export type PhotoJobs = typeof PHOTO_JOBS;
