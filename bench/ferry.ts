import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { type PageIndex, findRegions } from '../src/core/lineart/index.ts';
import { labOfHex } from '../src/core/colour/index.ts';
import { whiteBook } from '../src/core/laydown/index.ts';
import { type PageSummary } from '../src/core/palette/index.ts';
import { usualWidth } from '../src/core/recipe/index.ts';
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
  return findRegions(await ferryGrey(), { pixelsPerMm: SIDE / 210 });
}

/** Its things by the key: name and region ids. */
export function ferryThings(map: PageIndex) {
  return thingsByKey(map, 'ferry-steps');
}

/** The things of a sheet of the booklet by its key. */
async function thingsByKey(map: PageIndex, sheet: string) {
  const { data, info } = await sharp(await drawing(`${sheet}.key.png`))
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const page = demoPageById(sheet);
  const scale = info.width / page.widthMm;
  return page.things.flatMap(({ name, natural, focus = false }) => {
    const mark = markOf(page, name.toLowerCase());
    const own = map.regions.filter(({ pole }) => {
      const at = 3 * (Math.floor(pole.y * scale) * info.width + Math.floor(pole.x * scale));
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

/** What a palette must know of a sheet of the booklet. */
export async function sheetSummary(sheet: string): Promise<PageSummary> {
  const page = demoPageById(sheet);
  const { data, info } = await sharp(await drawing(`${sheet}.png`))
    .toColourspace('b-w')
    .raw()
    .toBuffer({ resolveWithObject: true });
  const grey = { width: info.width, height: info.height, data: new Uint8Array(data) };
  const map = await findRegions(grey, { pixelsPerMm: info.width / page.widthMm });
  return ferrySummary(map, await thingsByKey(map, sheet), page);
}

export function ferrySummary(
  map: PageIndex,
  things: Awaited<ReturnType<typeof ferryThings>>,
  { widthMm, heightMm } = demoPageById('ferry-steps'),
): PageSummary {
  const thingOf = new Map(things.flatMap(({ id, regions }) => regions.map((region) => [region.id, id] as const)));
  const borders = map.neighbours.flatMap(({ a, b, lengthMm }) => {
    const [p, q] = [thingOf.get(a), thingOf.get(b)];
    return p && q && p !== q ? [{ a: p, b: q, lengthMm }] : [];
  });
  return {
    things: things.map(({ regions, ...thing }) => {
      const areaMm2 = regions.reduce((sum, region) => sum + region.areaMm2, 0);
      const mean = (axis: 'x' | 'y') =>
        regions.reduce((sum, region) => sum + region.areaMm2 * region.centroid[axis], 0) / areaMm2;
      const at = { x: mean('x') / widthMm, y: mean('y') / heightMm };
      return { ...thing, areaMm2, at, widthMm: usualWidth({ regions }), laid: null, alike: null };
    }),
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
