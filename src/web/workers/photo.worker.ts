import { serveJobs } from './job-host.ts';
import { PHOTO_JOBS } from './photos/index.ts';

serveJobs(PHOTO_JOBS);
