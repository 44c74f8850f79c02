// Builds what is out of date, then serves. Options after "--" go to the server: npm start -- --fresh
import { pathToFileURL } from 'node:url';
import { resolve } from 'node:path';
import { build } from './build.mjs';

await build();
await import(pathToFileURL(resolve('dist/server/main.js')).href);
