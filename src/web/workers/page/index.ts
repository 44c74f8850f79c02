/** page: the jobs on the pixels of a page. */
import { type Jobs } from '../job.ts';
import { closeUp } from './close-up.ts';
import { fieldSamplesJob } from './field-samples.ts';
import { findRegionsJob } from './find-regions.ts';
import { glowContrastsJob } from './glow-contrasts.ts';
import { highlightsJob } from './highlights.ts';
import { pageFile } from './page-file.ts';
import { preview } from './preview.ts';
import { proposeThingsJob } from './propose-things.ts';
import { readAhead } from './read-ahead.ts';
import { regionPicture } from './region-picture.ts';
import { takeUpPage } from './take-up-page.ts';
import { tonePicture } from './tone-picture.ts';
import { tryOut } from './try-out.ts';
import { zonePicture } from './zone-picture.ts';

export const PAGE_JOBS = {
  takeUpPage,
  findRegions: findRegionsJob,
  tryOut,
  proposeThings: proposeThingsJob,
  regionPicture,
  tonePicture,
  fieldSamples: fieldSamplesJob,
  highlights: highlightsJob,
  glowContrasts: glowContrastsJob,
  zonePicture,
  readAhead,
  preview,
  closeUp,
  pageFile,
} satisfies Jobs;
export type PageJobs = typeof PAGE_JOBS;
