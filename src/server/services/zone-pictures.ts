import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import type { BenchPlan } from '../../contracts/index.ts';
import { zoneShare } from '../../core/preview/index.ts';
import { OpenPage } from '../../core/render/index.ts';
import { lightingOf } from '../../plan/index.ts';
import { formedThings } from '../../plan/derive/index.ts';
import { readBlob } from '../db/blobs.ts';
import { type Database } from '../db/open-database.ts';
import { sheets } from '../db/schema.ts';
import { NO_SHEET, refuseMissing } from '../refused.ts';
import { readIndex } from './regions.ts';
import { sheetState } from './sheets.ts';

type PlanStep = BenchPlan['steps'][number];

/** Where one layer goes on the largest region of its thing. */
export interface GuidePicture {
  thingId: string;
  step: PlanStep;
  png: Buffer;
  /** True size. */
  widthMm: number;
  heightMm: number;
}

/** Pixels for each mm of a guide: fine enough for soft edges. */
const PER_MM = 4;
/** What is shown round the region, mm; no guide is larger than this, mm. */
const MARGIN_MM = 2;
const LARGEST_MM = { width: 170, height: 230 };
/** So many guides of one thing at most, and in all. */
const EACH = 4;
const MOST = 160;
/** How dark the fullest place of a zone is. */
const DARK = 120;

/** The printed page as a picture for the map, faint enough to be written on. */
export async function pagePicture(db: Database, sheetId: string): Promise<Buffer> {
  const { bytes } = await pictureOf(db, sheetId);
  return sharp(bytes)
    .resize({ width: 1800, withoutEnlargement: true })
    .linear(0.55, 255 * 0.45)
    .png()
    .toBuffer();
}

async function pictureOf(db: Database, sheetId: string) {
  const [row] = await db.select({ hash: sheets.pictureHash }).from(sheets).where(eq(sheets.id, sheetId));
  refuseMissing(row, NO_SHEET);
  return readBlob(db, row.hash);
}

/** Zone guides for the steps of an order: one for each different zone of a thing that is not all of it. */
export async function zonePictures(db: Database, sheetId: string, bench: BenchPlan): Promise<GuidePicture[]> {
  const { plan } = await sheetState(db, sheetId);
  const index = await readIndex(db, sheetId);
  const { pixelsPerMm, regions } = index;
  const wanted = guidedSteps(bench);
  if (wanted.length === 0) return [];
  const every = Math.max(1, Math.round(pixelsPerMm / PER_MM));
  const page = new OpenPage(index).lit(formedThings(plan, index), lightingOf(plan), every);
  const { bytes } = await pictureOf(db, sheetId);
  const ink = await sharp(bytes).resize(page.width, page.height, { fit: 'fill' }).toColourspace('b-w').raw().toBuffer();
  const pictures: GuidePicture[] = [];
  for (const step of wanted) {
    const region = step.regionIds
      .flatMap((id) => regions[id - 1] ?? [])
      .reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a));
    const { box } = region;
    const at = (mm: number, most: number) => Math.min(most, Math.max(0, Math.round(mm * page.pixelsPerMm)));
    const left = at(box.left - MARGIN_MM, page.width);
    const top = at(box.top - MARGIN_MM, page.height);
    const right = at(Math.min(box.right + MARGIN_MM, box.left + LARGEST_MM.width), page.width);
    const bottom = at(Math.min(box.bottom + MARGIN_MM, box.top + LARGEST_MM.height), page.height);
    const share = zoneShare(step.zone, page.fields);
    const own = new Set(step.regionIds);
    const grey = Buffer.alloc((right - left) * (bottom - top));
    for (let y = top, o = 0; y < bottom; y++) {
      for (let x = left; x < right; x++, o++) {
        const i = y * page.width + x;
        const shade = own.has(page.grown[i]!) ? DARK * share(i) : 0;
        grey[o] = Math.max(0, ((255 - shade) * ink[i]!) / 255);
      }
    }
    const png = await sharp(grey, { raw: { width: right - left, height: bottom - top, channels: 1 } })
      .png()
      .toBuffer();
    const size = { widthMm: (right - left) / page.pixelsPerMm, heightMm: (bottom - top) / page.pixelsPerMm };
    pictures.push({ thingId: step.thingId, step, png, ...size });
  }
  return pictures;
}

/** The first step of each different zone of a thing, those that are laid all over left out. */
function guidedSteps({ steps, things }: BenchPlan): PlanStep[] {
  return things
    .flatMap(({ id }) => {
      const known = new Map<string, PlanStep>();
      for (const step of steps) {
        const { zone } = step;
        if (step.thingId !== id || (zone.from <= 0 && zone.to >= 1 && !zone.and)) continue;
        const key = JSON.stringify(zone);
        if (!known.has(key)) known.set(key, step);
      }
      return [...known.values()].slice(0, EACH);
    })
    .slice(0, MOST);
}
