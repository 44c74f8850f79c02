import { labOfHex, labUnder, rgbOfLab, spectrumOfLab } from '../core/colour/index.ts';
import { type Paper, type PencilOptics, inkGround } from '../core/laydown/index.ts';
import { type InkShare, type PointMm, type Region } from '../core/lineart/index.ts';
import { type Glow } from '../core/light/index.ts';
import { type Looking, type PreviewSource, type PrintedInk, type ToneStack } from '../core/preview/index.ts';
import type { RegionGround } from '../contracts/index.ts';
import { groundFinder, paperKey } from './grounds.ts';
import { regionCourses } from './region-courses.ts';
import { type LaidThing, regionTables } from './region-tables.ts';

/** What lies on a page and by what light, for a picture of it. */
export interface LaidPage extends Looking {
  things: readonly LaidThing[];
  regions: readonly Region[];
  /** Layers laid so far by thing id; things that are not named have all of theirs. */
  upTo: Readonly<Record<string, number>>;
  paper: Paper;
  /** What lies on regions before anything is laid, by region id. */
  grounds: ReadonlyMap<number, RegionGround>;
  /** The optics of a pencil, and a key that changes when they do. */
  opticsOf(pencil: string): { optics: PencilOptics; key: string };
  glows: readonly Pick<Glow, 'thingId' | 'at'>[];
  vanishing: PointMm | null;
}

/**
 * Paper, tables and strokes of a page as previews are painted from.
 * @param built tables that were built before, kept for the next time
 */
export function laidOnPaper(
  { things, regions, upTo, paper, grounds, opticsOf, glows, vanishing, lamp, every }: LaidPage,
  built: Map<string, ToneStack>,
): Pick<PreviewSource, 'paper' | 'grainMm' | 'tables' | 'courses'> {
  const groundOf = groundFinder(paper, grounds);
  return {
    paper: rgbOfLab(lamp ? labUnder(spectrumOfLab(labOfHex(paper.tint)), lamp) : labOfHex(paper.tint)),
    grainMm: paper.grainMm,
    tables: regionTables(things, regions, upTo, opticsOf, groundOf, grounds.keys(), built, { lamp, every }),
    courses: regionCourses(things, regions, upTo, { glows, vanishing }),
  };
}

/** The printed lines of a page with what its layers leave on them. */
export function laidOnInk(
  { things, regions, upTo, paper, opticsOf, lamp, every }: LaidPage,
  ink: InkShare,
  built: Map<string, ToneStack>,
): PrintedInk {
  const line = { ground: inkGround(paper), key: `printed line ${paperKey(paper)}` };
  return { ...ink, tables: regionTables(things, regions, upTo, opticsOf, () => line, [], built, { lamp, every }) };
}
