import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { type RegionMap, distanceToLines, findRegions, growLabels } from '../src/core/lineart/index.ts';
import { labOfHex } from '../src/core/colour/index.ts';
import { whiteBook } from '../src/core/laydown/index.ts';
import { type SheetSummary } from '../src/core/palette/index.ts';
import { onPaper } from '../src/core/tray/index.ts';
import { demoPageById, demoPencils, markOf } from '../src/demo/index.ts';

const SIDE = 2480;
const drawing = (name: string) => readFile(new URL(`../src/demo/sheets/${name}`, import.meta.url));

/** The Ferry Steps as grey pixels at 300 dpi. */
export async function ferryGrey() {
  const { data, info } = await sharp(await drawing('ferry-steps.svg'), { density: 150 })
    .flatten({ background: '#fff' })
    .resize(SIDE, SIDE)
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data: new Uint8Array(data) };
}

/** Its regions, with what previews need. */
export async function ferryPage() {
  const map = await findRegions(await ferryGrey(), { pixelsPerMm: SIDE / 210 });
  const grown = growLabels(map.labels, map.width, map.height, 24);
  return { ...map, grown, distance: distanceToLines(map.labels, map.width, map.height) };
}

/** Its things by the key: name and region ids. */
export async function ferryThings(map: RegionMap) {
  const { data } = await sharp(await drawing('ferry-steps.key.png'))
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const page = demoPageById('ferry-steps');
  return page.things.flatMap(({ name, natural, focus = false }) => {
    const mark = markOf(page, name.toLowerCase());
    const own = map.regions.filter(({ pole }) => {
      const at = 3 * (Math.floor(pole.y * map.pixelsPerMm) * map.width + Math.floor(pole.x * map.pixelsPerMm));
      return mark === '#' + data.subarray(at, at + 3).toString('hex');
    });
    return own.length
      ? [
          {
            id: name.toLowerCase().replaceAll(' ', '-'),
            name,
            natural: natural ? labOfHex(natural) : null,
            focus,
            regions: own,
          },
        ]
      : [];
  });
}

export function ferrySummary(map: RegionMap, things: Awaited<ReturnType<typeof ferryThings>>): SheetSummary {
  const thingOf = new Map(things.flatMap(({ id, regions }) => regions.map((region) => [region.id, id] as const)));
  const borders = map.neighbours.flatMap(({ a, b, lengthMm }) => {
    const [p, q] = [thingOf.get(a), thingOf.get(b)];
    return p && q && p !== q ? [{ a: p, b: q, lengthMm }] : [];
  });
  return {
    things: things.map(({ regions, ...thing }) => ({
      ...thing,
      areaMm2: regions.reduce((sum, { areaMm2 }) => sum + areaMm2, 0),
    })),
    borders,
  };
}

/** The demo tray on smooth white. */
export function demoTray() {
  return onPaper(
    demoPencils().map(({ id, code, colour, type, opacity }) => ({
      id,
      code,
      masstone: labOfHex(colour),
      type,
      opacity: opacity ?? undefined,
    })),
    whiteBook,
  );
}
