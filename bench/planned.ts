import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { type Plan, emptyPlan, newThing } from '../src/contracts/index.ts';
import { type Paper, paperById } from '../src/core/laydown/index.ts';
import { FORMS } from '../src/core/light/index.ts';
import { type GreyImage, type InkShare, type PageIndex, findRegions, inkShareOf } from '../src/core/lineart/index.ts';
import { type Proposal, type Wishes, proposePalettes } from '../src/core/palette/index.ts';
import { type LaidSheet, OpenPage } from '../src/core/render/index.ts';
import { proposeThings, readPage } from '../src/core/things/index.ts';
import { onPaper } from '../src/core/tray/index.ts';
import { demoPageById, demoPencils, markOf } from '../src/demo/index.ts';
import { asTrayPencil } from '../src/pencils/index.ts';
import {
  deriveRecipes,
  formedThings,
  laidSheet,
  pageInLight,
  summariseSheet,
  withReflected,
} from '../src/plan/derive/index.ts';
import { edited, frontToBack, giveFamilies } from '../src/plan/index.ts';

/** A page with its things, as it stands before a palette is proposed. */
export interface OpenedPage {
  name: string;
  plan: Plan;
  map: PageIndex;
  grey: GreyImage;
  ink: InkShare;
  paper: Paper;
}

export type BenchPencil = ReturnType<typeof demoPencils>[number];

const demoFile = (name: string) => new URL(`../src/demo/sheets/${name}`, import.meta.url);

async function greyOf(file: Buffer | URL): Promise<GreyImage> {
  const bytes = file instanceof URL ? await readFile(file) : file;
  const { data, info } = await sharp(bytes).toColourspace('b-w').raw().toBuffer({ resolveWithObject: true });
  const grey = Uint8Array.from({ length: info.width * info.height }, (_, i) => data[i * info.channels]);
  return { width: info.width, height: info.height, data: grey };
}

/**
 * A sheet of the booklet with the things of its key.
 * @param named whether things have their names, natural colours and materials, or nothing is known of them
 */
export async function openDemoPage(id: string, named = true): Promise<OpenedPage> {
  const page = demoPageById(id);
  const grey = await greyOf(demoFile(`${id}.png`));
  const pixelsPerMm = grey.width / page.widthMm;
  const map = await findRegions(grey, { pixelsPerMm });
  const key = await sharp(await readFile(demoFile(`${id}.key.png`)))
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const byMark = new Map<string, number[]>();
  for (const region of map.regions) {
    const { x, y } = region.pole;
    const at = 3 * (Math.floor(y * pixelsPerMm) * key.info.width + Math.floor(x * pixelsPerMm));
    const mark = '#' + key.data.subarray(at, at + 3).toString('hex');
    byMark.set(mark, [...(byMark.get(mark) ?? []), region.id]);
  }
  const idOf = (name: string) => name.toLowerCase().replaceAll(' ', '-');
  const things = [...page.things]
    .reverse()
    .flatMap(({ name, form, natural = null, material = null, focus = false }, i) => {
      const regionIds = byMark.get(markOf(page, name.toLowerCase()));
      if (!regionIds) return [];
      const known = named ? { name, natural, material, form: knownForm(form) } : { name: `Thing ${i + 1}` };
      return [newThing({ id: idOf(name), regionIds, focus, ...known })];
    });
  const { widthMm, heightMm, paper } = page;
  const plan = { ...emptyPlan({ widthMm, heightMm, paper }), things: frontToBack(things) };
  return { name: page.title, plan, map, grey, ink: inkShareOf(grey), paper: paperById(paper) };
}

/** The form as plans know it: one by that id, or none, so that one is proposed. */
function knownForm(form: string): string | null {
  return FORMS.some(({ id }) => id === form) ? form : null;
}

/** A page of any picture, its things as they are guessed. */
export async function openPicture(name: string, file: Buffer, widthMm: number, paper: string): Promise<OpenedPage> {
  const grey = await greyOf(file);
  const pixelsPerMm = grey.width / widthMm;
  const heightMm = Math.round(grey.height / pixelsPerMm);
  const map = await findRegions(grey, { pixelsPerMm });
  const { guesses } = proposeThings(await readPage(map));
  const things = guesses.map((guess, i) =>
    newThing({ id: `guess-${i}`, name: guess.name, regionIds: [...guess.regionIds] }),
  );
  const plan = { ...emptyPlan({ widthMm, heightMm, paper }), things: frontToBack(things) };
  return { name, plan, map, grey, ink: inkShareOf(grey), paper: paperById(paper) };
}

/** Palettes as the Wheel proposes them. */
export function palettesFor(
  page: Pick<OpenedPage, 'plan' | 'map'>,
  pencils: readonly BenchPencil[],
  wishes: Wishes,
): Promise<Proposal[]> {
  const paper = paperById(page.plan.page.paper);
  const laid = onPaper(
    pencils.map((pencil) => asTrayPencil(pencil)),
    paper,
  );
  return proposePalettes(summariseSheet(page.plan, page.map), laid, paper, wishes);
}

/** The plan once a palette is taken. */
export function withPalette(page: OpenedPage, { parts }: Pick<Proposal, 'parts'>): Plan {
  const families = Object.fromEntries(parts.flatMap(({ thingId, family }) => (family ? [[thingId, family]] : [])));
  const reflected = withReflected(page.plan, page.map, families);
  return edited(page.plan, (plan) => giveFamilies(plan, reflected)).plan;
}

/** A plan as pictures of it are painted. */
export function laidPlan(page: OpenedPage, plan: Plan, pencils: readonly BenchPencil[]): LaidSheet {
  const byId = new Map(pencils.map((pencil) => [pencil.id, pencil]));
  const derived = {
    formed: formedThings(plan, page.map),
    recipes: deriveRecipes(plan, pageInLight(new OpenPage(page.map), plan), byId),
    grounds: new Map(),
    paper: page.paper,
    pencils: new Map(pencils.map((pencil) => [pencil.id, asTrayPencil(pencil)])),
  };
  return laidSheet(plan, derived);
}
