import { serveJobs } from './job-host.ts';
import { PAGE_JOBS } from './page/index.ts';

serveJobs(PAGE_JOBS);
