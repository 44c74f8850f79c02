// Types, lint, borders and format: npm run check
import { gates, runGate } from './gates.mjs';

const results = [];
for (const gate of gates) results.push(await runGate(gate));
process.exit(results.every(Boolean) ? 0 : 1);
