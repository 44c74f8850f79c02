import { serveJobs } from './job-host.ts';
import { PENCIL_JOBS } from './pencils/index.ts';

serveJobs(PENCIL_JOBS);
