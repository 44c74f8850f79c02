import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { findRegions } from '../src/core/lineart/index.ts';
import { DEMO_PAGES } from '../src/demo/index.ts';
import type { Truth } from '../src/fixtures/index.ts';
import { printTable } from './measure.ts';

const sheet = (name: string) => readFile(new URL(`../src/demo/sheets/${name}`, import.meta.url));

/** Each sheet of the booklet against its truth: how many of its regions are found, and how many of them alone. */
export async function benchSheets(): Promise<void> {
  const rows = [];
  for (const { id, title, widthMm } of DEMO_PAGES) {
    const truth = JSON.parse(String(await sheet(`${id}.truth.json`))) as Truth;
    const { data, info } = await sharp(await sheet(`${id}.png`))
      .toColourspace('b-w')
      .raw()
      .toBuffer({ resolveWithObject: true });
    const grey = { width: info.width, height: info.height, data: new Uint8Array(data) };
    const began = performance.now();
    const { labels, regions, pixelsPerMm } = await findRegions(grey, { pixelsPerMm: info.width / widthMm });
    const ms = performance.now() - began;
    const labelAt = ({ x, y }: { x: number; y: number }) =>
      labels[Math.floor(y * pixelsPerMm) * info.width + Math.floor(x * pixelsPerMm)];
    const hits = truth.things.flatMap((thing) => thing.regions.map(({ at }) => labelAt(at)));
    const times = new Map<number, number>();
    for (const label of hits) times.set(label, (times.get(label) ?? 0) + 1);
    const met = hits.filter((label) => label > 0 && label <= regions.length);
    rows.push({
      sheet: title,
      true: truth.regions,
      found: regions.length,
      met: met.length,
      alone: met.filter((label) => times.get(label) === 1).length,
      open: 2 * truth.gaps.length,
      ms,
    });
  }
  printTable(
    'The booklet against its truth: regions that are true, found, met by a true one, and met by one only',
    rows,
  );
}
