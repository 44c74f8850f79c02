import { readFile } from 'node:fs/promises';
import { ASSUMED_RATES, type Step } from '../src/core/bench/index.ts';
import { paperById } from '../src/core/laydown/index.ts';
import { OpenPage } from '../src/core/render/index.ts';
import { onPaper } from '../src/core/tray/index.ts';
import { demoPageById, demoPencils } from '../src/demo/index.ts';
import { openSteps } from '../src/order/index.ts';
import { asTrayPencil } from '../src/pencils/index.ts';
import { deriveRecipes, pageInLight } from '../src/plan/derive/index.ts';
import { openPicture, palettesFor, withPalette } from './planned.ts';

/** The steps of a sheet of the booklet whose things are guessed, with the first palette that is proposed. */
export async function guessedSteps(sheetId: string): Promise<Step[]> {
  const tray = demoPencils().filter(({ whereabouts }) => whereabouts !== 'missing');
  const pencils = new Map(tray.map((pencil) => [pencil.id, pencil]));
  const { widthMm, paper: paperId } = demoPageById(sheetId);
  const file = await readFile(new URL(`../src/demo/sheets/${sheetId}.png`, import.meta.url));
  const page = await openPicture(sheetId, file, widthMm, paperId);
  const [proposal] = await palettesFor(page, tray, { scheme: 'split-complementary', anchor: 60 });
  const plan = withPalette(page, proposal);
  const onPage = pageInLight(new OpenPage(page.map), plan);
  const paper = paperById(paperId);
  const recipes = deriveRecipes(plan, onPage, pencils, ASSUMED_RATES, { paper, trayPencil: asTrayPencil });
  const laid = onPaper(
    tray.map((pencil) => asTrayPencil(pencil)),
    paper,
  );
  const value = new Map(laid.map(({ id, body }) => [id, body[0]]));
  return openSteps(plan, onPage, recipes, { pencils, valueOf: (id) => value.get(id)! }, []).steps;
}
