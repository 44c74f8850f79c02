import { labOfHex, labUnder, lampById, rgbOfLab, spectrumOfLab } from '../colour/index.ts';
import { type Paper, type PencilDeclaration, inkGround } from '../laydown/index.ts';
import { type FormedThing, type Lighting } from '../light/index.ts';
import { type InkShare, type PointMm, type RgbaImage } from '../lineart/index.ts';
import { type Piece, type PreviewSource, type PrintedInk, pieceOf, renderPreview } from '../preview/index.ts';
import { type Recipe } from '../recipe/index.ts';
import { groundFinder, paperKey } from './grounds.ts';
import type { RegionGround } from './schemas.ts';
import { type OpenPage } from './open-page.ts';
import { regionCourses } from './region-courses.ts';
import { regionTables } from './region-tables.ts';

/** What lies on a sheet, and by what light it is seen. */
export interface LaidSheet {
  /** From front to behind. */
  things: readonly (FormedThing & { recipe: Recipe | null })[];
  /** How many layers of each thing are laid, by thing id; things that are not named have all of theirs. */
  upTo: Readonly<Record<string, number>>;
  /** The pencils of all recipes, by id. */
  pencils: ReadonlyMap<string, PencilDeclaration>;
  paper: Paper;
  /** What lies on regions before anything is laid, by region id. */
  grounds: ReadonlyMap<number, RegionGround>;
  lighting: Lighting;
  /** Where lines that run away from the viewer meet. */
  vanishing: PointMm | null;
  /** Id of the lamp to see it by, or null for daylight. */
  lamp: string | null;
}

/** How a sheet is looked at. */
export interface Look {
  /** Every how many pixels of the page it is looked at. */
  step: number;
  /** A piece of it at a resolution of its own; default the whole page at the step's. */
  piece?: Piece & { perMm: number };
  /** Whether this is a first look, which tells fewer tones apart and leaves out what pencils lay over printed lines. */
  first?: boolean;
}

/** A first look tells so many times fewer tones apart. */
const FIRST_EVERY = 4;
/** Light changes slowly: where every pixel is painted, it is worked out at so many a mm, and the others take the nearest. */
const LIT_PER_MM = 6;

/**
 * Paints a sheet as it will come out: its light, what lies on it, and its printed lines. The one way that all pictures of a
 * sheet are made by. A thing whose recipe cannot be worked out is left bare, and the rest is painted.
 * @param page what pictures of it worked out before is used, and what this one works out is kept there
 * @param ink the page's printed lines at every pixel; null paints as if nothing were printed on it
 * @throws RangeError for lights or pencils that cannot be, a lamp that is not known, or a piece without a pixel
 */
export function renderSheet(page: OpenPage, ink: InkShare | null, sheet: LaidSheet, look: Look): RgbaImage {
  const source = previewSource(page, ink, sheet, look);
  if (look.piece) return renderPreview(source);
  const looked = `every ${look.step} ${look.first ? 'first' : 'exact'}`;
  const image = renderPreview(source, page.lastPainted.get(looked));
  // Whoever asked may give the picture away.
  page.lastPainted.set(looked, { source, image: { ...image, data: image.data.slice() } });
  return image;
}

/** What a picture of a sheet is painted from, see {@link renderSheet}. */
export function previewSource(page: OpenPage, ink: InkShare | null, sheet: LaidSheet, look: Look): PreviewSource {
  const { step, piece, first = false } = look;
  const { index } = page;
  const every = step > 1 ? step : Math.max(1, Math.round(index.pixelsPerMm / LIT_PER_MM));
  const lit = page.lit(sheet.things, sheet.lighting, every);
  const laid = { ...laidOnPaper(page, sheet, first), ink: ink && laidOnInk(page, sheet, page.inkAt(ink, step), first) };
  if (every === step) {
    const source = { ...lit, labels: lit.grown, ...laid };
    return piece ? pieceOf(source, piece, piece.perMm) : source;
  }
  const { width, height, pixelsPerMm, grown } = index;
  const source = { width, height, pixelsPerMm, labels: grown, fields: lit.fields, ...laid };
  const { perMm, ...place } = piece ?? { ...page.whole, perMm: pixelsPerMm };
  return pieceOf(source, place, perMm, lit);
}

/** Paper, tables and strokes of a sheet. */
function laidOnPaper(
  page: OpenPage,
  sheet: LaidSheet,
  first: boolean,
): Pick<PreviewSource, 'paper' | 'grainMm' | 'tables' | 'courses'> {
  const { things, upTo, paper, grounds, lighting, vanishing } = sheet;
  const { regions } = page.index;
  const { lamp, every } = lookingAt(sheet, first);
  const tint = labOfHex(paper.tint);
  return {
    paper: rgbOfLab(lamp ? labUnder(spectrumOfLab(tint), lamp) : tint),
    grainMm: paper.grainMm,
    tables: regionTables(
      things,
      regions,
      upTo,
      opticsFinder(page, sheet),
      groundFinder(paper, grounds),
      grounds.keys(),
      page.tables,
      { lamp, every },
    ),
    courses: regionCourses(things, regions, upTo, { glows: lighting.glows, vanishing }),
  };
}

/** The printed lines of a sheet with what its layers leave on them. */
function laidOnInk(page: OpenPage, sheet: LaidSheet, ink: InkShare, first: boolean): PrintedInk {
  if (first) return { ...ink, tables: null };
  const { things, upTo, paper } = sheet;
  const line = { ground: inkGround(paper), key: `printed line ${paperKey(paper)}` };
  const looking = lookingAt(sheet, first);
  const opticsOf = opticsFinder(page, sheet);
  const { regions } = page.index;
  return { ...ink, tables: regionTables(things, regions, upTo, opticsOf, () => line, [], page.tables, looking) };
}

function lookingAt({ lamp }: LaidSheet, first: boolean) {
  return { lamp: lamp === null ? undefined : lampById(lamp), every: first ? FIRST_EVERY : 1 };
}

/** @throws RangeError for a pencil that the sheet does not name */
function opticsFinder({ optics }: OpenPage, { pencils }: LaidSheet) {
  return (id: string) => {
    const pencil = pencils.get(id);
    if (!pencil) throw new RangeError(`Pencil ${id} of a recipe is not among the pencils of this sheet.`);
    return optics.of(pencil);
  };
}
