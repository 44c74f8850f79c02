import { startFirst } from './harness.ts';

// Makes the desk that all journeys begin with: tsx e2e/first-desk.ts FOLDER
await startFirst(process.argv[2]);
