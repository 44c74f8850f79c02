import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { type Camera, type ColourMeter, type Device, type Scanner, type Subject } from '../../contracts/index.ts';
import { SINGLE_PATCHES, paperById } from '../../core/laydown/index.ts';
import { ROWS_ON_A_PAGE, pagesOf } from '../../core/swatch-card/index.ts';
import { DEMO_TRAY } from '../../demo/index.ts';
import {
  CARD_SHEET_MM,
  type FlatThing,
  type Picture,
  type PrintedPage,
  practiceStrip,
  simulatedCamera,
  simulatedMeter,
  simulatedScanner,
  swatchCard,
  swatchChart,
  trialScrap,
} from '../../simulated-devices/index.ts';
import { readBlob } from '../db/blobs.ts';
import { type Database } from '../db/open-database.ts';
import { sheets } from '../db/schema.ts';
import { Refused } from '../refused.ts';
import { colouredPage } from './coloured-page.ts';
import { printOnPaper } from './print-on-paper.ts';
import { listCards } from './swatch-cards.ts';
import { listTrials } from './trial-patches.ts';
import { listPencils, listTrays } from './trays.ts';

/** The devices of this desk. Where a real one is plugged in, it takes the place of the simulated one here. */
export interface Devices {
  scanner: Scanner;
  camera: Camera;
  meter: ColourMeter;
}

const MM_PER_INCH = 25.4;
/** Pencils on a chart, and the codes of those on practice strips. */
const ON_A_CHART = 36;
const STRIPS = ['QS06', 'F-133'];
const CARD_PAPER = 'white-book';

export function simulatedDevices(db: Database, now: () => number): Devices {
  return {
    scanner: simulatedScanner(async () => [...(await printedPages(db)), ...(await cardsOnGlass(db))]),
    camera: simulatedCamera(() => flatThings(db)),
    meter: simulatedMeter(async ({ trayId, pencilId }) => {
      const pencil = (await listPencils(db, trayId)).find(({ id }) => id === pencilId);
      if (!pencil) throw new Refused(404, 'This pencil is not in the tray.');
      return pencil;
    }, now),
  };
}

export function listDevices({ scanner, camera, meter }: Devices): Device[] {
  return [scanner.device, camera.device, meter.device];
}

/** A page of a printed swatch card, filled in by an invented hand. */
interface FilledCard extends Subject {
  look(): Promise<Picture>;
}

/**
 * Every page of every swatch card that was printed, as if it had been filled in. The demo's own cards come twice: as
 * they were laid first, with a patch smeared and one forgotten, and put right. Empty rows hold the tray's first pencils.
 */
async function filledCards(db: Database): Promise<FilledCard[]> {
  const trays = await listTrays(db);
  const cards = (await Promise.all(trays.map(({ id }) => listCards(db, id)))).flat();
  const filled: FilledCard[] = [];
  for (const { id, trayId, number, paper, pencilIds, emptyRows, origin } of cards) {
    const pencils = await listPencils(db, trayId);
    const byId = new Map(pencils.map((pencil) => [pencil.id, pencil]));
    const all = emptyRows ? pencils.slice(0, emptyRows) : pencilIds.flatMap((own) => byId.get(own) ?? []);
    for (let page = 0; page < pagesOf(all.length); page++) {
      const own = all.slice(page * ROWS_ON_A_PAGE, (page + 1) * ROWS_ON_A_PAGE);
      const title = `Swatch card ${number}${pagesOf(all.length) > 1 ? `, page ${page + 1}` : ''}`;
      const says = `${own.at(0)?.code} to ${own.at(-1)?.code}, filled in by an invented hand`;
      const name = { card: number, page };
      if (origin === 'demo') {
        filled.push({
          id: `card ${id} ${page} first`,
          title: `${title}, as first laid`,
          says: `${says}; one patch smeared, one forgotten`,
          look: () => swatchCard(own, paper, name, true),
        });
      }
      filled.push({ id: `card ${id} ${page}`, title, says, look: () => swatchCard(own, paper, name) });
    }
  }
  return filled;
}

/** Kept trials of pencils alone at pressures that the invented hand knows, as if they had been laid on a scrap. */
async function trialScraps(db: Database): Promise<FlatThing[]> {
  const scraps: FlatThing[] = [];
  for (const { id: trayId } of await listTrays(db)) {
    const byId = new Map((await listPencils(db, trayId)).map((pencil) => [pencil.id, pencil]));
    for (const { id, title, paper, steps } of await listTrials(db, trayId)) {
      const layers = steps.flatMap((step) => {
        const pencil = 'pencil' in step ? byId.get(step.pencil) : undefined;
        const patch = SINGLE_PATCHES.find((name) => name === step.pressure);
        return pencil && patch ? [{ pencil, patch }] : [];
      });
      if (layers.length < steps.length) continue;
      scraps.push({
        id: `trial ${id}`,
        title: `Trial, ${title}`,
        says: `${layers.length} layers on a scrap of paper`,
        look: () => trialScrap(layers, paper),
      });
    }
  }
  return scraps;
}

/** Cards as they can lie on the glass. */
async function cardsOnGlass(db: Database): Promise<PrintedPage[]> {
  return (await filledCards(db)).map(({ look, ...card }) => ({
    ...card,
    widthMm: CARD_SHEET_MM.width,
    heightMm: CARD_SHEET_MM.height,
    print: look,
  }));
}

/** The booklet's pages as they can lie on the glass. */
async function printedPages(db: Database): Promise<PrintedPage[]> {
  const rows = await db.select().from(sheets).where(eq(sheets.origin, 'demo')).orderBy(sheets.title);
  const printedOnce = rows.filter((row, i) => rows.findIndex((other) => other.pictureHash === row.pictureHash) === i);
  return printedOnce.map(({ id, title, plan, originalHash }) => ({
    id,
    title,
    says: `${plan.page.widthMm} × ${plan.page.heightMm} mm, ${paperById(plan.page.paper).name}`,
    widthMm: plan.page.widthMm,
    heightMm: plan.page.heightMm,
    print: async (dpi) =>
      printed(
        (await readBlob(db, originalHash)).bytes,
        Math.round((plan.page.widthMm * dpi) / MM_PER_INCH),
        plan.page.paper,
      ),
  }));
}

/** A drawing printed on its paper. */
async function printed(svg: Uint8Array, width: number, paper: string): Promise<Picture> {
  // Drawings in millimetres grow with the square of the density.
  const at72 = (await sharp(svg).metadata()).width;
  const { data, info } = await sharp(svg, { density: 72 * Math.sqrt(width / at72), limitInputPixels: false })
    .flatten({ background: '#ffffff' })
    .resize({ width })
    .toColourspace('b-w')
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data: printOnPaper(data, paper) };
}

/** What can lie under the camera: sheets as far as they are coloured, a swatch card a set, practice strips. */
async function flatThings(db: Database): Promise<FlatThing[]> {
  const pages = await db.select({ id: sheets.id, title: sheets.title }).from(sheets).orderBy(sheets.title);
  const pencils = await listPencils(db, DEMO_TRAY).catch(() => []);
  const sets = [...new Set(pencils.map(({ set }) => set))];
  return [
    ...pages.map(({ id, title }) => ({
      id: `page ${id}`,
      title,
      says: 'the open book, coloured as far as its steps are done',
      look: (run: Parameters<FlatThing['look']>[0]) => colouredPage(db, id, run),
    })),
    ...(await filledCards(db)).map(({ look, ...card }) => ({ ...card, look: () => look() })),
    ...sets
      .map((set) => ({ set, own: pencils.filter((pencil) => pencil.set === set).slice(0, ON_A_CHART) }))
      .filter(({ own }) => own.length === ON_A_CHART)
      .map(({ set, own }) => ({
        id: `chart ${set}`,
        title: `Swatch chart, ${set}`,
        says: `the first ${ON_A_CHART} pencils, one full patch each, six in a row`,
        look: () => swatchChart(own, CARD_PAPER),
      })),
    ...(await trialScraps(db)),
    ...pencils
      .filter(({ code }) => STRIPS.includes(code))
      .map((pencil) => ({
        id: `strip ${pencil.code}`,
        title: `Practice strip, ${pencil.code}`,
        says: 'one pencil from light to full',
        look: () => practiceStrip(pencil, CARD_PAPER, 1),
      })),
  ];
}
