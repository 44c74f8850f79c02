import { useEffect, useMemo } from 'react';
import { type Recipe } from '../../core/recipe/index.ts';
import { type LaidSheet } from '../../core/render/index.ts';
import { laidSheet } from '../../plan/derive/index.ts';
import { useAppSelector } from '../app/store.ts';
import { PRIORITY, pageJobs, useJob } from '../workers/index.ts';
import { useDesk } from './desk-context.ts';
import { useShownStep } from './looked-at.ts';
import { type Look, looksAt, stepFor } from './preview-step.ts';
import { type Pixels, useCanvas, usePixels } from './use-canvas.ts';

type UpTo = Readonly<Record<string, number>>;

/**
 * What will come out on the page, printed lines and all; null until it is there or while nothing has a family and all is bare.
 * @param upTo layers laid so far by thing id; things that are not named show all of theirs
 * @param fine at the full resolution of the working picture, for looking closely
 * @param others recipes by thing id to show instead of the sheet's own; null shows nothing
 */
export function usePreviewPixels(upTo: UpTo, fine = false, others?: ReadonlyMap<string, Recipe> | null): Pixels | null {
  const desk = useDesk();
  const key = desk.page?.from ?? '';
  const { sheet, shows } = useLaidSheet(upTo, others);
  const finest = stepFor(desk);
  const step = useShownStep();
  const looks = step === null ? [] : looksAt(step, finest);
  const at = (look: Look) => () => pageJobs.start('preview', { key, sheet, ...look }, { priority: PRIORITY.waitedFor });
  const whole = usePixels(shows ? looks.map(at) : [], [key, sheet, step]);
  useReadAhead(!shows && others === undefined, key, sheet, looks[0]?.step ?? null);
  const close = usePixels(shows && fine && finest > 1 ? [at({ step: 1, first: false })] : [], [key, sheet], {
    fresh: true,
  });
  return close ?? whole;
}

/** The same as it can be drawn. */
export function usePreview(upTo: UpTo, fine = false): HTMLCanvasElement | null {
  return useCanvas(usePreviewPixels(upTo, fine));
}

/** While nothing is laid yet, lets all be worked out that the first picture of a palette will need. */
function useReadAhead(wanted: boolean, key: string, sheet: LaidSheet, step: number | null): void {
  const { pencilById, paperModel } = useDesk();
  useEffect(() => {
    if (!wanted || !key || step === null || sheet.things.length === 0) return;
    const pencils = new Map([...pencilById].map(([id, pencil]) => [id, paperModel.trayPencil(pencil)]));
    const input = { key, sheet: { ...sheet, pencils }, step, first: true };
    const ahead = pageJobs.start('readAhead', input, { priority: PRIORITY.ahead });
    return () => ahead.cancel();
  }, [wanted, key, sheet, step, pencilById, paperModel]);
}

/**
 * A square piece of the page as a loupe shows it; null until it is there.
 * @param middle of the piece, mm
 * @param pixels along each side of the picture
 */
export function useCloseUp(
  upTo: UpTo,
  { x, y }: { x: number; y: number },
  sideMm: number,
  pixels: number,
): HTMLCanvasElement | null {
  const key = useDesk().page?.from ?? '';
  const { sheet, shows } = useLaidSheet(upTo);
  const ask = () => pageJobs.start('closeUp', { key, sheet, middle: { x, y }, sideMm, pixels });
  return useCanvas(usePixels(shows ? [ask] : [], [key, sheet, x, y, sideMm, pixels], { fresh: true }));
}

/** The page as a PNG, its progress and how to stop it. */
export function usePagePicture(upTo: UpTo) {
  const key = useDesk().page?.from ?? '';
  const { sheet, shows } = useLaidSheet(upTo);
  const { now, start, cancel } = useJob<Blob>('working out the light');
  const make = (dpi: number) =>
    shows ? start((report) => pageJobs.start('pageFile', { key, sheet, dpi }, { report })) : Promise.resolve(null);
  return { now, make, cancel };
}

/** The sheet as pictures of it are painted, and whether there is anything to show. */
function useLaidSheet(upTo: UpTo, others?: ReadonlyMap<string, Recipe> | null): { sheet: LaidSheet; shows: boolean } {
  const desk = useDesk();
  const { page, grounds, pencilById, paperModel, formed } = desk;
  const recipes = others ?? desk.recipes;
  const lamp = useAppSelector((state) => state.atTheDesk.lamp);
  const { light, things, lamps, horizon } = desk.sheet.plan;
  const sheet = useMemo((): LaidSheet => {
    const used = new Set([...recipes.values()].flatMap((recipe) => recipe.layers.map((layer) => layer.pencil)));
    const pencils = new Map(
      [...used].flatMap((id) => {
        const pencil = pencilById.get(id);
        return pencil ? [[id, paperModel.trayPencil(pencil)] as const] : [];
      }),
    );
    const derived = { formed, recipes, grounds, paper: paperModel.paper, pencils };
    return { ...laidSheet({ light, things, lamps, horizon }, derived, upTo), lamp };
  }, [light, things, lamps, horizon, formed, recipes, grounds, paperModel, pencilById, upTo, lamp]);
  return { sheet, shows: page !== null && others !== null && (recipes.size > 0 || grounds.size > 0) };
}
