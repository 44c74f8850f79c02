import type {
  LogEntry,
  NewBenchPlan,
  NewCard,
  NewNote,
  NewPracticeSeries,
  NewSwatch,
  NewTool,
  NewTrial,
  Plan,
  RegionsMeta,
} from '../contracts/index.ts';
import { type PlanEdit } from '../plan/index.ts';
import { type PlannedPage } from '../plan/derive/index.ts';
import { ROWS_ON_A_PAGE } from '../core/swatch-card/index.ts';
import { FORMS } from '../core/light/index.ts';
import { overlayPatches, swatchCards } from '../simulated-devices/maker/index.ts';
import { DEMO_PAGES, type DemoPage, type TrueForm, ferrySteps, markOf } from './pages/index.ts';
import { type DemoPencil, demoPencils, demoTools } from './pencils/index.ts';
import { beginBench, beginPalette, demoNotes, demoPractice, demoTrials } from './record/index.ts';

/** Counted up when there is more to lay out; desks with an older edition get what they have not. */
export const DEMO_EDITION = 5;

/** What laying out the demo needs of a desk. Everything put down is marked as demo; what is there already stays as it is. */
export interface DemoDesk {
  /** The edition that was laid out here, 0 for none, or null when the demo was removed and is to stay away. */
  edition(): Promise<number | null>;
  addTray(id: string, name: string, pencils: readonly DemoPencil[], tools: readonly NewTool[]): Promise<void>;
  addSwatches(swatches: readonly (NewSwatch & { pencilId: string })[]): Promise<void>;
  addCards(trayId: string, cards: readonly (NewCard & { number: number })[]): Promise<void>;
  /** @returns whether the sheet was not there yet */
  addSheet(sheet: DemoSheet): Promise<boolean>;
  /** Finds the regions of a sheet and names its things by its key. */
  findAndName(sheetId: string): Promise<{ plan: Plan; revision: number; regions: RegionsMeta }>;
  changePlan(sheetId: string, label: string, edit: PlanEdit): Promise<{ plan: Plan; revision: number }>;
  /** The page of a sheet with what its plan's light does on it. */
  pageInLight(sheetId: string): Promise<PlannedPage>;
  addBench(sheetId: string, plan: NewBenchPlan, log: readonly LogEntry[]): Promise<void>;
  addNotebook(sheetId: string, notes: readonly NewNote[], trials: readonly NewTrial[]): Promise<void>;
  addPractice(series: readonly NewPracticeSeries[]): Promise<void>;
  markLaidOut(edition: number): Promise<void>;
}

export interface DemoSheet {
  id: string;
  title: string;
  trayId: string;
  /** Names of files in src/demo/sheets: the page as drawn, its working picture, its key. */
  file: string;
  pictureFile: string;
  keyFile: string;
  widthMm: number;
  heightMm: number;
  paper: string;
  things: readonly {
    name: string;
    mark: string;
    focus: boolean;
    natural: string | null;
    form: string | null;
    material: string | null;
  }[];
}

export const DEMO_TRAY = 'demo-tray';
/** The sheet with three sittings behind it. */
export const BEGUN_SHEET = 'ferry-steps-begun';

/**
 * Lays the demo out on a desk that has not this edition of it: tray, swatches, the booklet's sheets, and one more of The
 * Ferry Steps that is begun.
 * @returns whether anything was laid out
 */
export async function seedDemo(desk: DemoDesk): Promise<boolean> {
  const there = await desk.edition();
  if (there === null || there >= DEMO_EDITION) return false;
  const pencils = demoPencils();
  await desk.addTray(DEMO_TRAY, 'Demo tray', pencils, demoTools);
  await desk.addSwatches([...swatchCards(pencils), ...overlayPatches(pencils)]);
  await desk.addCards(DEMO_TRAY, demoCards(pencils));
  await desk.addPractice(demoPractice);
  await begin(desk, pencils);
  for (const page of [...DEMO_PAGES].reverse()) await desk.addSheet(sheetOf(page));
  await desk.markLaidOut(DEMO_EDITION);
  return true;
}

/** A swatch card of the first pencils of each set. */
function demoCards(pencils: readonly DemoPencil[]): (NewCard & { number: number })[] {
  return [...new Set(pencils.map(({ set }) => set))].map((set, i) => ({
    id: `demo-card-${i + 1}`,
    number: i + 1,
    paper: 'white-book',
    emptyRows: 0,
    pencilIds: pencils
      .filter((pencil) => pencil.set === set)
      .slice(0, ROWS_ON_A_PAGE)
      .map(({ id }) => id),
  }));
}

async function begin(desk: DemoDesk, pencils: readonly DemoPencil[]): Promise<void> {
  const fresh = await desk.addSheet({ ...sheetOf(ferrySteps), id: BEGUN_SHEET, title: 'The Ferry Steps, begun' });
  if (!fresh) return;
  const { plan, regions } = await desk.findAndName(BEGUN_SHEET);
  const palette = await beginPalette(plan, regions, pencils);
  const planned = await desk.changePlan(BEGUN_SHEET, 'take the palette for a dusk', palette);
  for (const { plan: order, log } of await beginBench(planned, await desk.pageInLight(BEGUN_SHEET), pencils))
    await desk.addBench(BEGUN_SHEET, order, log);
  await desk.addNotebook(BEGUN_SHEET, demoNotes, demoTrials);
}

function sheetOf(page: DemoPage): DemoSheet {
  const { id, title, widthMm, heightMm, paper } = page;
  return {
    id,
    title,
    widthMm,
    heightMm,
    paper,
    trayId: DEMO_TRAY,
    file: `${id}.svg`,
    pictureFile: `${id}.png`,
    keyFile: `${id}.key.png`,
    things: page.things.map(({ name, form, focus = false, natural = null, material = null }) => ({
      name,
      focus,
      natural,
      material,
      mark: markOf(page, name.toLowerCase()),
      form: knownForm(form),
    })),
  };
}

/** The form as the desk knows it: a form that it has by that name, or none, so that the desk proposes one. */
function knownForm(form: TrueForm): string | null {
  return FORMS.some(({ id }) => id === form) ? form : null;
}
