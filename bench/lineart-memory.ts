import { readFileSync } from 'node:fs';
import { findRegions } from '../src/core/lineart/index.ts';

/**
 * Run on its own, with the file of a page's grey pixels, its width, height and pixels per mm: prints how much memory
 * finding its regions takes at most over what the process held before, MB, as the system counted it.
 */
const [file, width, height, pixelsPerMm] = process.argv.slice(2);
const data = new Uint8Array(readFileSync(file));
const before = process.memoryUsage().rss;
await findRegions({ width: Number(width), height: Number(height), data }, { pixelsPerMm: Number(pixelsPerMm) });
console.log(process.resourceUsage().maxRSS / 1024 - before / 1024 / 1024);
