import { makeFirstDesk } from './harness.ts';

// Makes the desk that all journeys begin with: tsx e2e/first-desk.ts FOLDER
await makeFirstDesk(process.argv[2]);
