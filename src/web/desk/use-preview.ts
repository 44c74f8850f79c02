import { useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { type PreviewRequest, type ZoneLook, pageWorker, useJob } from '../workers/index.ts';
import { type Step } from '../../core/bench/index.ts';
import { type GlowContrast, type Highlight, type Lighting } from '../../core/light/index.ts';
import { type Recipe, type Zone } from '../../core/recipe/index.ts';
import { lightingOf } from '../../plan/index.ts';
import { useAppSelector } from '../app/store.ts';
import { type Desk, useDesk } from './desk-context.ts';

interface Pixels {
  width: number;
  height: number;
  data: Uint8ClampedArray;
}

/** Longest side of a preview, pixels: fine enough for the desk, quick enough to scrub. */
const PREVIEW_SIDE = 1300;

/** A first look is worked out at so many times fewer pixels across and down, so that it comes at once. */
const FIRST_LOOK = 2;

/** Pixels of a preview may be this large on the screen, CSS pixels, before it is worth painting it finer. */
const COARSE_LOOK = 1.3;

/** Whether the sheet is looked at so closely that a preview should be painted at its full resolution. */
export function useIsClose(): boolean {
  const desk = useDesk();
  const view = useAppSelector((state) => state.atTheDesk.views[desk.sheet.id]);
  return view ? view.k * stepFor(desk) > COARSE_LOOK : false;
}

/** How many of the working picture's pixels a preview steps over. */
function stepFor({ picture }: Desk): number {
  return Math.max(1, Math.ceil(Math.max(picture.width, picture.height) / PREVIEW_SIDE));
}

/**
 * What will come out on the page, printed lines and all; null until it is there or while nothing has a family and all is bare.
 * @param upTo layers laid so far by thing id; things that are not named show all of theirs
 * @param fine at the full resolution of the working picture, for looking closely
 * @param others recipes by thing id to show instead of the sheet's own; null shows nothing
 */
export function usePreview(
  upTo: Readonly<Record<string, number>>,
  fine = false,
  others?: ReadonlyMap<string, Recipe> | null,
): HTMLCanvasElement | null {
  const desk = useDesk();
  const { page } = desk;
  const { request, shows } = usePreviewRequest(upTo, others);
  const key = page?.key ?? '';
  const step = stepFor(desk);
  const at = (every: number) => ({ ...request, step: every, first: every > step });
  const looks = [step * FIRST_LOOK, step].map((every) => () => pageWorker.preview(key, at(every)));
  const whole = usePixels(shows ? looks : [], [key, request, step]);
  useReadAhead(!shows && others === undefined, key, request, step * FIRST_LOOK);
  const close = usePixels(
    shows && fine && step > 1 ? [() => pageWorker.preview(key, at(1))] : [],
    [key, request],
    true,
  );
  return close ?? whole;
}

/** While nothing is laid yet, lets all be worked out that the first picture of a palette will need. */
function useReadAhead(wanted: boolean, key: string, request: Asked, step: number): void {
  const { pencilById, use } = useDesk();
  useEffect(() => {
    if (!wanted || !key || request.things.length === 0) return;
    const pencils = [...pencilById.values()].map((pencil) => use.trayPencil(pencil));
    void pageWorker.readAhead(key, { ...request, pencils, step, first: true });
  }, [wanted, key, request, step, pencilById, use]);
}

/**
 * A square piece of the page as a loupe shows it; null until it is there.
 * @param middle of the piece, mm
 * @param pixels along each side of the picture
 */
export function useCloseUp(
  upTo: Readonly<Record<string, number>>,
  { x, y }: { x: number; y: number },
  sideMm: number,
  pixels: number,
): HTMLCanvasElement | null {
  const desk = useDesk();
  const { request, shows } = usePreviewRequest(upTo);
  const key = desk.page?.key ?? '';
  const ask = () => pageWorker.closeUp(key, { ...request, step: 1, first: false }, { x, y }, sideMm, pixels);
  return usePixels(shows ? [ask] : [], [key, request, x, y, sideMm, pixels], true);
}

/** The page as a PNG, its progress and how to stop it. */
export function usePagePicture(upTo: Readonly<Record<string, number>>) {
  const desk = useDesk();
  const { request, shows } = usePreviewRequest(upTo);
  const key = desk.page?.key ?? '';
  const { now, start, cancel } = useJob<Blob>(pageWorker, 'working out the light');
  const make = (dpi: number) =>
    start((jobId, report) => pageWorker.picture(jobId, key, { ...request, step: 1, first: false }, dpi, report));
  return { now, make: (dpi: number) => (shows ? make(dpi) : Promise.resolve(null)), cancel };
}

type Asked = Omit<PreviewRequest, 'step' | 'first'>;

/** What a preview of the sheet is asked with, and whether there is anything to show. */
function usePreviewRequest(
  upTo: Readonly<Record<string, number>>,
  others?: ReadonlyMap<string, Recipe> | null,
): { request: Asked; shows: boolean } {
  const desk = useDesk();
  const { page, grounds, pencilById, use } = desk;
  const things = desk.formed;
  const recipes = others ?? desk.recipes;
  const lighting = useLighting();
  const lamp = useAppSelector((state) => state.atTheDesk.lamp);
  const { vanishing } = desk.sheet.plan.horizon;
  const request = useMemo((): Asked => {
    const used = new Set([...recipes.values()].flatMap((recipe) => recipe.layers.map((layer) => layer.pencil)));
    return {
      things: things.map((thing) => ({ ...thing, recipe: recipes.get(thing.id) ?? null })),
      lighting,
      vanishing,
      lamp,
      paper: use.paper,
      grounds: [...grounds],
      pencils: [...used].flatMap((id) => {
        const pencil = pencilById.get(id);
        return pencil ? [use.trayPencil(pencil)] : [];
      }),
      upTo,
    };
  }, [things, lighting, vanishing, lamp, use, grounds, recipes, pencilById, upTo]);
  return { request, shows: page !== null && others !== null && (recipes.size > 0 || grounds.size > 0) };
}

/** What glows is judged at so many times fewer pixels across and down. */
const COARSER = 2;

/**
 * What the light alone does, as grey.
 * @param coarse for a first look alone, while it is moved
 */
export function useTonePicture(lighting: Lighting, coarse: boolean): HTMLCanvasElement | null {
  const desk = useDesk();
  const { page, formed: things } = desk;
  const step = stepFor(desk);
  const key = page?.key ?? '';
  const { main, glows, waterLineMm, rippled } = lighting;
  const inputs = [key, things, main, glows, waterLineMm, rippled, step];
  const at = (every: number) => () => pageWorker.tonePicture(key, things, lighting, every, every > step);
  return usePixels(page === null ? [] : [at(step * FIRST_LOOK), ...(coarse ? [] : [at(step)])], [...inputs, coarse]);
}

/** How each glow stands out from what surrounds it; empty until it is known. */
export function useGlowContrasts({ main, glows }: Lighting): readonly (GlowContrast | null)[] {
  const desk = useDesk();
  const things = desk.formed;
  const [found, setFound] = useState<{ of: Lighting['glows']; all: readonly (GlowContrast | null)[] } | null>(null);
  const step = stepFor(desk) * COARSER;
  const key = desk.page?.key ?? null;
  useEffect(() => {
    if (key === null || glows.length === 0) return;
    let wanted = true;
    void pageWorker
      .glowContrasts(key, things, { main, glows }, step)
      .then((all) => wanted && setFound({ of: glows, all }));
    return () => void (wanted = false);
  }, [key, things, main, glows, step]);
  return found?.of === glows ? found.all : [];
}

/** The highlights of a thing; null until they are known. */
export function useHighlights(regionIds: readonly number[], lighting: Lighting): readonly Highlight[] | null {
  const desk = useDesk();
  const things = desk.formed;
  const [found, setFound] = useState<{ of: readonly unknown[]; all: readonly Highlight[] } | null>(null);
  const step = stepFor(desk);
  const key = desk.page?.key ?? null;
  const inputs = useMemo(() => [key, things, regionIds, lighting, step], [key, things, regionIds, lighting, step]);
  useEffect(() => {
    if (key === null) return;
    let wanted = true;
    void pageWorker
      .highlights(key, things, lighting, { regionIds, step })
      .then((all) => wanted && setFound({ of: inputs, all }));
    return () => void (wanted = false);
  }, [key, things, regionIds, lighting, step, inputs]);
  return found?.of === inputs ? found.all : null;
}

/** The page's regions in colours, four bytes each by region id; null until it is there. */
export function useRegionPicture(rgba: Uint8Array | null): HTMLCanvasElement | null {
  const desk = useDesk();
  const key = desk.page?.key ?? '';
  const step = stepFor(desk);
  const ask = () => pageWorker.regionPicture(key, rgba!, step);
  return usePixels(rgba !== null && desk.page !== null ? [ask] : [], [key, rgba, step]);
}

/** A veil over all but the zone of a step; null until it is there. */
export function useZoneVeil(step: Pick<Step, 'regionIds' | 'zone'> | undefined): HTMLCanvasElement | null {
  return useZone(step, 'veil');
}

/** Where a zone of some regions lies, as grey; null until it is there. */
export function useZonePicture(regionIds: readonly number[], zone: Zone): HTMLCanvasElement | null {
  return useZone(
    useMemo(() => ({ regionIds, zone }), [regionIds, zone]),
    'grey',
  );
}

function useZone(step: Pick<Step, 'regionIds' | 'zone'> | undefined, look: ZoneLook): HTMLCanvasElement | null {
  const desk = useDesk();
  const { page, formed: things } = desk;
  const key = page?.key ?? '';
  const lighting = useLighting();
  const every = stepFor(desk);
  const ask = () => {
    const { regionIds, zone } = step!;
    return pageWorker.zone(key, things, lighting, { regionIds, zone, look, step: every });
  };
  return usePixels(page !== null && step !== undefined ? [ask] : [], [key, things, lighting, step, look, every]);
}

/** The lights of the sheet as they stand. */
export function useLighting(): Lighting {
  const { light, things, lamps, horizon } = useDesk().sheet.plan;
  return useMemo(() => lightingOf({ light, things, lamps, horizon }), [light, things, lamps, horizon]);
}

/**
 * The newest pixels asked for: while one request is under way only the latest of the following is kept.
 * @param looks ways to ask for the same, a quick look first and finer ones after it; a finer one is left out once
 *   something else is asked for; none at all where nothing is wanted
 * @param inputs what is asked for, compared one by one
 * @param fresh whether pixels of other inputs than the present ones are nothing; by default they stay until newer come
 */
export function usePixels(
  looks: readonly (() => Promise<Pixels>)[],
  inputs: readonly unknown[],
  fresh = false,
): HTMLCanvasElement | null {
  const [held, setHeld] = useState<{ canvas: HTMLCanvasElement; of: readonly unknown[] } | null>(null);
  const waiting = useRef<{ looks: readonly (() => Promise<Pixels>)[]; of: readonly unknown[] } | null>(null);
  const wanted = looks.length > 0;
  const busy = useRef(false);
  const alive = useRef(true);
  useEffect(() => {
    alive.current = true;
    return () => void (alive.current = false);
  }, []);
  useEffect(() => {
    if (!wanted) return;
    waiting.current = { looks, of: inputs };
    if (busy.current) return;
    busy.current = true;
    void (async () => {
      while (waiting.current && alive.current) {
        const next = waiting.current;
        waiting.current = null;
        try {
          for (const look of next.looks) {
            const pixels = await look();
            if (alive.current) setHeld({ canvas: canvasOf(pixels), of: next.of });
            if (waiting.current || !alive.current) break;
          }
        } catch (error) {
          // What is asked for next may well be painted; that this was not is said, once for all pictures.
          toast.error(`A picture could not be painted: ${(error as Error).message}`, { id: 'not painted' });
        }
      }
      busy.current = false;
    })();
    // The inputs stand for what the looks ask.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [wanted, ...inputs]);
  if (!wanted || !held) return null;
  return fresh && held.of.some((input, i) => input !== inputs[i]) ? null : held.canvas;
}

function canvasOf({ width, height, data }: Pixels): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  canvas.getContext('2d')!.putImageData(new ImageData(data as Uint8ClampedArray<ArrayBuffer>, width), 0, 0);
  return canvas;
}
