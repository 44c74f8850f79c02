import { format, parseISO } from 'date-fns';
import { eq } from 'drizzle-orm';
import type { BenchPlan, RegionsMeta, SheetState } from '../../contracts/index.ts';
import { type Reminder, type Round, handWords, layOutFor, remindersOf, roundsOf } from '../../core/bench/index.ts';
import { toolById } from '../../core/laydown/index.ts';
import { zoneMm } from '../../core/recipe/index.ts';
import { thingsOf } from '../../plan/index.ts';
import {
  type Held,
  about,
  daysOfSittings,
  heldFor,
  roundsOfPlan,
  shapesInWords,
  timesInWords,
  toldAlike,
} from '../../order/index.ts';
import { type Database } from '../db/open-database.ts';
import { sheets } from '../db/schema.ts';
import { NO_SHEET, Refused, refuseMissing } from '../refused.ts';
import { benchState } from './bench.ts';
import { type Font, POINTS_PER_MM, type Pdf, newPdf } from './pdf-fonts.ts';
import { readRegions } from './regions.ts';
import { sheetState } from './sheets.ts';
import { type GuidePicture, pagePicture, zonePictures } from './zone-pictures.ts';

type PlanStep = BenchPlan['steps'][number];

/** A4 and its margins, mm. */
const PAGE = { width: 210, height: 297, left: 16, right: 14, top: 16, bottom: 16 };
const WIDE = PAGE.width - PAGE.left - PAGE.right;
const INK = '#1c1b1b';
const SOFT = '#5c5a58';
const FAINT = '#b9b8b6';
/** Height of a line of each size, as a share of it. */
const LEADING = 1.32;
/** The names of things below the map stand in so many columns, in lines so high; the map is at least so high. All mm. */
const COLUMNS = 4;
const LINE = 4.8;
const LEAST_MAP = 110;
/** So many things of a step are named, in a column so wide, mm. */
const NAMED = 3;
const NAMES_WIDE = 78;
/** The words below a zone guide need so much room, mm. */
const GUIDE_WIDE = 43;

const REMINDER_WORDS: Record<Reminder, string> = {
  sharpen: 'sharpen first',
  turn: 'turn it as you go',
  wipe: 'wipe the point now and then',
  'clean tool': 'wipe the tool clean first',
};

/**
 * The order of a sheet as a book to print: a numbered map of the page, each sitting with its pencils, a box to lay a
 * swatch in and a box to tick for every step, and zone guides at true scale.
 * @param today year, month and day
 * @throws Refused where there is no order yet
 */
export async function benchBook(
  db: Database,
  sheetId: string,
  today: string,
): Promise<{ fileName: string; bytes: Uint8Array }> {
  const [row] = await db.select({ id: sheets.id }).from(sheets).where(eq(sheets.id, sheetId));
  refuseMissing(row, NO_SHEET);
  const sheet = await sheetState(db, sheetId);
  const { plan: benchPlan, done } = await benchState(db, sheetId);
  if (!benchPlan) throw new Refused(409, 'There is no order yet. Put the steps in order at the Bench first.');
  const meta = await readRegions(db, sheetId);
  const numbers = new Map(benchPlan.things.map(({ id }, i) => [id, i + 1]));
  const { pdf, bytes } = newPdf(`${sheet.title}, bench book`);
  const book = new Book(pdf, `${sheet.title}, bench book`);
  map(book, await pagePicture(db, sheetId), { sheet, benchPlan, meta, numbers });
  sittings(book, { sheet, benchPlan, numbers, today, doneIds: new Set(done.map(({ stepId }) => stepId)) });
  guides(book, benchPlan, numbers, await zonePictures(db, sheetId, benchPlan));
  book.end();
  return { fileName: `${sheet.title}, bench book.pdf`, bytes: await bytes };
}

/** Pages with a running head, filled from top to bottom; all lengths in mm. */
class Book {
  y = PAGE.top;
  readonly pdf: Pdf;
  readonly #title: string;
  #pages = 0;

  constructor(pdf: Pdf, title: string) {
    this.pdf = pdf;
    this.#title = title;
  }

  newPage(): void {
    if (this.#pages > 0) this.pdf.restore();
    this.pdf.addPage();
    this.#pages++;
    this.pdf.save().scale(POINTS_PER_MM);
    this.y = PAGE.top;
    this.write('text', 3, this.#title, PAGE.left, 8, WIDE, SOFT);
    this.write('figure', 3, String(this.#pages), PAGE.width - PAGE.right - 10, 8, 10, SOFT, 'right');
  }

  end(): void {
    if (this.#pages > 0) this.pdf.restore();
    this.pdf.end();
  }

  /** Begins another page where less room than this is left. */
  need(height: number): void {
    if (this.y + height > PAGE.height - PAGE.bottom) this.newPage();
  }

  write(
    font: Font,
    size: number,
    text: string,
    x: number,
    y: number,
    width: number,
    colour = INK,
    align: 'left' | 'right' | 'center' = 'left',
  ): void {
    this.pdf
      .font(font)
      .fontSize(size)
      .fillColor(colour)
      .text(text, x, y, { width, height: size * LEADING, ellipsis: true, align });
  }

  /** Writes as many lines as it takes, and goes on below them. */
  paragraph(font: Font, size: number, text: string, colour = INK): void {
    const height = this.pdf.font(font).fontSize(size).heightOfString(text, { width: WIDE });
    this.need(height);
    this.pdf.font(font).fontSize(size).fillColor(colour).text(text, PAGE.left, this.y, { width: WIDE });
    this.y += height + size * 0.4;
  }

  box(x: number, y: number, width: number, height: number, colour = INK): void {
    this.pdf.lineWidth(0.2).rect(x, y, width, height).strokeColor(colour).stroke();
  }
}

interface MapFacts {
  sheet: SheetState;
  benchPlan: BenchPlan;
  meta: RegionsMeta;
  numbers: ReadonlyMap<string, number>;
}

/** The page with every region numbered by its thing, and the things by number. */
function map(book: Book, picture: Buffer, { sheet, benchPlan, meta, numbers }: MapFacts): void {
  book.newPage();
  book.write('bold', 8, sheet.title, PAGE.left, book.y, WIDE);
  book.y += 11;
  const { widthMm, heightMm } = sheet.plan.page;
  book.paragraph(
    'text',
    3.6,
    `${roundsOfPlan(benchPlan).flat().length} steps in ${benchPlan.sittings.length} sittings, ${about(benchPlan.minutes)} in all; ${benchPlan.pencils.length} pencils, picked up ${benchPlan.pickUps} times. Print at 100%: the zone guides at the end are at true scale.`,
    SOFT,
  );
  const legend = Math.ceil(benchPlan.things.length / COLUMNS) * LINE;
  const room = Math.max(LEAST_MAP, PAGE.height - PAGE.bottom - book.y - legend - 8);
  const scale = Math.min(1, WIDE / widthMm, room / heightMm);
  const [left, top] = [PAGE.left + (WIDE - widthMm * scale) / 2, book.y + 2];
  book.pdf.image(picture, left, top, { width: widthMm * scale, height: heightMm * scale });
  book.box(left, top, widthMm * scale, heightMm * scale, FAINT);
  for (const { id, regionIds } of thingsOf(sheet.plan)) {
    const number = numbers.get(id);
    if (number === undefined) continue;
    for (const region of regionIds.flatMap((each) => meta.regions[each - 1] ?? [])) {
      const size = Math.max(1.3, Math.min(3.2, region.usableWidthMm * scale * 0.55));
      const [x, y] = [left + region.pole.x * scale, top + region.pole.y * scale];
      book.write('figure', size, String(number), x - 5, y - size * 0.62, 10, INK, 'center');
    }
  }
  book.y = top + heightMm * scale + 5;
  const wide = WIDE / COLUMNS;
  benchPlan.things.forEach(({ name }, i) => {
    if (i % COLUMNS === 0) book.need(LINE);
    const x = PAGE.left + (i % COLUMNS) * wide;
    book.write('figure', 3, String(i + 1), x, book.y, 7);
    book.write('text', 3.2, name, x + 7.5, book.y - 0.2, wide - 9);
    if (i % COLUMNS === COLUMNS - 1 || i === benchPlan.things.length - 1) book.y += LINE;
  });
}

interface SittingFacts {
  sheet: SheetState;
  benchPlan: BenchPlan;
  numbers: ReadonlyMap<string, number>;
  doneIds: ReadonlySet<string>;
  today: string;
}

/** What is left, sitting by sitting: the pencils laid out, then each step with a box to tick. */
function sittings(book: Book, { sheet, benchPlan, numbers, doneIds, today }: SittingFacts): void {
  const stepOf = new Map(benchPlan.steps.map((step) => [step.id, step]));
  const nameOf = new Map(benchPlan.things.map(({ id, name }) => [id, name]));
  const pencilOf = new Map(benchPlan.pencils.map((pencil) => [pencil.id, pencil]));
  const reminders = remindersOf(benchPlan.order.map((id) => stepOf.get(id)!));
  const ahead = benchPlan.sittings.flatMap((sitting, i) => {
    const steps = sitting.steps.filter((id) => !doneIds.has(id)).map((id) => stepOf.get(id)!);
    return steps.length > 0 ? [{ number: i + 1, steps, rounds: roundsOf(steps), minutes: sitting.minutes }] : [];
  });
  const days = daysOfSittings(ahead.length, sheet.plan.bench.evenings, today);
  const before: PlanStep[] = benchPlan.steps.filter(({ id }) => doneIds.has(id));
  ahead.forEach(({ number, steps, rounds, minutes }, k) => {
    book.newPage();
    const day = days[k] ? `${format(parseISO(days[k]), 'EEEE d MMMM')}, ${sheet.plan.bench.evenings.at}; ` : '';
    book.write('bold', 7, `Sitting ${number}`, PAGE.left, book.y, WIDE);
    book.write('text', 3.8, `${day}${about(minutes)}`, PAGE.left, book.y + 2.4, WIDE, SOFT, 'right');
    book.y += 11;
    layOut(book, steps, before, pencilOf);
    for (const round of rounds) {
      const step = round.steps[0]!;
      const told = [
        ...new Set(round.steps.flatMap(({ id }) => reminders.get(id) ?? []).map((each) => REMINDER_WORDS[each])),
        ...(step.dryMinutes ? [`dries ${step.dryMinutes} min`] : []),
        ...(step.tool ? [toolById(step.tool).caution] : []),
      ];
      const inBook = (steps: Round['steps']) => thingsInBook(steps, numbers, nameOf);
      roundLines(book, round, heldFor(step, benchPlan.pencils), inBook, told);
    }
    before.push(...steps);
  });
}

type PencilThen = BenchPlan['pencils'][number];

function layOut(
  book: Book,
  steps: readonly PlanStep[],
  before: readonly PlanStep[],
  pencilOf: ReadonlyMap<string, PencilThen>,
): void {
  const { pencils, tools, sharpen, sheetUnderHand } = layOutFor(steps, before);
  const wide = WIDE / 3;
  pencils.forEach((id, i) => {
    if (i % 3 === 0) book.need(12);
    const x = PAGE.left + (i % 3) * wide;
    const pencil = pencilOf.get(id)!;
    book.pdf.rect(x, book.y, 8, 8).fill(pencil.colour);
    // To lay the real pencil in, beside what is foretold.
    book.box(x + 9, book.y, 14, 8, FAINT);
    book.write('figure', 3.8, pencil.code, x + 25, book.y + 0.2, wide - 26);
    const first = sharpen.includes(id) ? `${pencil.name}, sharpened` : pencil.name;
    book.write('text', 2.8, first, x + 25, book.y + 4.8, wide - 26, SOFT);
    if (i % 3 === 2 || i === pencils.length - 1) book.y += 10.5;
  });
  const beside = [...tools.map((id) => toolById(id).name), ...(sheetUnderHand ? ['a clean sheet under the hand'] : [])];
  if (beside.length > 0) book.paragraph('text', 3.2, `Beside them: ${beside.join(', ')}.`, SOFT);
  book.y += 2;
}

/** The things of some steps by number, and by name where there are few. */
function thingsInBook(
  steps: Round['steps'],
  numbers: ReadonlyMap<string, number>,
  nameOf: ReadonlyMap<string, string>,
): string {
  const things = [...new Set(steps.map(({ thingId }) => thingId))].sort((p, q) => numbers.get(p)! - numbers.get(q)!);
  if (things.length <= NAMED) return things.map((id) => `${numbers.get(id)} ${nameOf.get(id) ?? ''}`).join(', ');
  return `${things.length} things: ${things.map((id) => numbers.get(id)).join(', ')}`;
}

/** A step with a box to tick, and below it what is told of its shapes. */
function roundLines(
  book: Book,
  round: Round,
  held: Held,
  inBook: (steps: Round['steps']) => string,
  told: readonly string[],
): void {
  const step = round.steps[0]!;
  const groups = toldAlike(round);
  const lines = groups.map(({ steps, where, passes, purpose }) => {
    const which = groups.length > 1 ? `${inBook(steps)}; ` : '';
    return `${which}${shapesInWords(steps)}, ${timesInWords(passes)}: ${where}. ${purpose}`;
  });
  const last = [handWords(step), ...told.map((words) => `(${words})`)].filter(Boolean).join(' ');
  if (last) lines.push(last);
  const { pdf } = book;
  const things = inBook(round.steps);
  const high = (text: string, size: number, width: number) =>
    pdf.font('text').fontSize(size).heightOfString(text, { width });
  const head = Math.max(5, high(things, 3.6, NAMES_WIDE));
  const heights = lines.map((text) => high(text, 3.1, WIDE - 12));
  book.need(head + heights.reduce((sum, height) => sum + height, 0) + 5);
  const { y } = book;
  pdf
    .lineWidth(0.15)
    .moveTo(PAGE.left, y)
    .lineTo(PAGE.left + WIDE, y)
    .strokeColor(FAINT)
    .stroke();
  book.box(PAGE.left, y + 2.2, 4.5, 4.5);
  pdf.rect(PAGE.left + 7, y + 2.2, 3.2, 8.5).fill(held.colour);
  if (held.isTool) book.write('bold', 2.6, held.code, PAGE.left + 12, y + 2.4, 20);
  else book.write('figure', 4, held.code, PAGE.left + 12, y + 2, 20);
  pdf
    .font('bold')
    .fontSize(3.6)
    .fillColor(INK)
    .text(things, PAGE.left + 33, y + 2, { width: NAMES_WIDE });
  book.write(
    'text',
    3.1,
    [step.pressure, step.stroke, ...(held.isTool ? [] : [step.point])].join(', '),
    PAGE.left + 112,
    y + 2.3,
    WIDE - 112 - 18,
  );
  book.write('text', 3.1, about(round.minutes), PAGE.left, y + 2.3, WIDE, SOFT, 'right');
  book.y += 2 + head;
  lines.forEach((text, k) => {
    pdf
      .font('text')
      .fontSize(3.1)
      .fillColor(SOFT)
      .text(text, PAGE.left + 12, book.y, { width: WIDE - 12 });
    book.y += heights[k]!;
  });
  book.y += 2.5;
}

/** Where each layer goes on the largest region of its thing, at true scale, the darker the fuller. */
function guides(
  book: Book,
  benchPlan: BenchPlan,
  numbers: ReadonlyMap<string, number>,
  pictures: readonly GuidePicture[],
): void {
  if (pictures.length === 0) return;
  const nameOf = new Map(benchPlan.things.map(({ id, name }) => [id, name]));
  const codeOf = new Map(benchPlan.pencils.map(({ id, code }) => [id, code]));
  book.newPage();
  book.write('bold', 7, 'Zone guides', PAGE.left, book.y, WIDE);
  book.y += 10;
  book.paragraph(
    'text',
    3.4,
    'At true scale when printed at 100%: check the rule against a ruler. Each picture is the largest region of a thing; grey is where the layer goes, the darker the fuller.',
    SOFT,
  );
  rule(book);
  let [x, row] = [PAGE.left, 0];
  for (const { thingId, step, png, widthMm, heightMm } of pictures) {
    const wide = Math.max(widthMm, GUIDE_WIDE);
    const high = heightMm + 11;
    if (x + wide > PAGE.width - PAGE.right) [x, book.y, row] = [PAGE.left, book.y + row + 3, 0];
    if (book.y + high > PAGE.height - PAGE.bottom) {
      book.newPage();
      [x, row] = [PAGE.left, 0];
    }
    book.pdf.image(png, x, book.y, { width: widthMm, height: heightMm });
    const name = `${numbers.get(thingId)} ${nameOf.get(thingId) ?? ''}`;
    book.write('figure', 3, codeOf.get(step.pencil) ?? '', x, book.y + heightMm + 1, wide);
    book.write('text', 2.6, name, x, book.y + heightMm + 4.4, wide);
    book.write('text', 2.4, zoneMm(step.zone), x, book.y + heightMm + 7.4, wide, SOFT);
    x += wide + 5;
    row = Math.max(row, high);
  }
}

/** A rule of 50 mm, to check that it was printed at its real size. */
function rule(book: Book): void {
  const { pdf } = book;
  book.need(9);
  for (let mm = 0; mm <= 50; mm += 5) {
    const x = PAGE.left + mm;
    pdf
      .lineWidth(0.2)
      .moveTo(x, book.y)
      .lineTo(x, book.y + (mm % 10 === 0 ? 3 : 1.8))
      .strokeColor(INK)
      .stroke();
  }
  pdf
    .moveTo(PAGE.left, book.y)
    .lineTo(PAGE.left + 50, book.y)
    .stroke();
  book.write('figure', 2.6, '50 mm', PAGE.left + 52, book.y, 20);
  book.y += 8;
}
