/** Draws the demo sheets to committed files: npm run draw. Of each: the page, its truth, its working picture and key. */
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import sharp from 'sharp';
import { DRAWN, type Raster, rasterise, truthOf } from '../src/fixtures/index.ts';
import { DEMO_PAGES, markOf } from '../src/demo/pages/index.ts';

/** Longest side of the working picture, pixels: what a page brought in as a file is worked on at. */
const WORKING_SIDE = 2480;
const GREYS = 12;

for (const page of DEMO_PAGES) {
  const at = (kind: string) => fileURLToPath(new URL(`../src/demo/sheets/${page.id}.${kind}`, import.meta.url));
  const drawing = DRAWN[page.id]();
  const width = Math.round((WORKING_SIDE * page.widthMm) / Math.max(page.widthMm, page.heightMm));
  const svg = drawing.toSvg(page.title);
  const key = drawing.toKeySvg((drawn) => markOf(page, drawn));
  writeFileSync(at('svg'), svg);
  const picture = image(await rasterise(svg, width)).greyscale();
  writeFileSync(at('png'), await picture.png({ palette: true, colours: GREYS, effort: 9 }).toBuffer());
  writeFileSync(
    at('key.png'),
    await image(await rasterise(key, width, { hard: true }))
      .png({ compressionLevel: 9 })
      .toBuffer(),
  );
  const truth = await truthOf(page, drawing);
  writeFileSync(at('truth.json'), JSON.stringify(truth, null, 1) + '\n');
  const open = truth.things.flatMap(({ regions }) => regions).filter(({ closed }) => !closed).length;
  console.log(`${page.title}: ${truth.regions} regions in ${truth.things.length} things, ${open} of them open`);
  for (const { name, regions } of truth.things) if (regions.length === 0) console.log(`  ${name} has no region`);
}

function image({ width, height, data }: Raster) {
  return sharp(data, { raw: { width, height, channels: 3 } });
}
