import { useMemo } from 'react';
import { type Step } from '../../core/bench/index.ts';
import { type GlowContrast, type Highlight, type Lighting } from '../../core/light/index.ts';
import { type Zone } from '../../core/recipe/index.ts';
import { lightingOf } from '../../plan/index.ts';
import { PRIORITY, type ZoneLook, pageJobs, useAnswer } from '../workers/index.ts';
import { useDesk } from './desk-context.ts';
import { useShownStep } from './looked-at.ts';
import { FIRST_LOOK, stepFor } from './preview-step.ts';
import { useCanvas, usePixels } from './use-canvas.ts';

/** What glows is judged at so many times fewer pixels across and down. */
const COARSER = 2;

/** The lights of the sheet as they stand. */
export function useLighting(): Lighting {
  const { light, things, lamps, horizon } = useDesk().sheet.plan;
  return useMemo(() => lightingOf({ light, things, lamps, horizon }), [light, things, lamps, horizon]);
}

/**
 * What the light alone does, as grey.
 * @param coarse for a first look alone, while it is moved
 */
export function useTonePicture(lighting: Lighting, coarse: boolean): HTMLCanvasElement | null {
  const desk = useDesk();
  const { page, formed: things } = desk;
  const step = stepFor(desk);
  const key = page?.from ?? '';
  const at = (every: number) => () =>
    pageJobs.start('tonePicture', { key, things, lighting, step: every }, { priority: PRIORITY.waitedFor });
  const looks = [at(step * FIRST_LOOK), ...(coarse ? [] : [at(step)])];
  return useCanvas(usePixels(page === null ? [] : looks, [key, things, lighting, step, coarse]));
}

/** How each glow stands out from what surrounds it; empty until it is known. */
export function useGlowContrasts({ main, glows }: Lighting): readonly (GlowContrast | null)[] {
  const desk = useDesk();
  const { page, formed: things } = desk;
  const step = stepFor(desk) * COARSER;
  const key = page?.from ?? '';
  const ask = () => pageJobs.start('glowContrasts', { key, things, lighting: { main, glows }, step });
  const wanted = page !== null && glows.length > 0;
  return useAnswer(wanted ? [ask] : [], [key, things, main, glows, step], { fresh: true }).value ?? [];
}

/** The highlights of a thing; null until they are known. */
export function useHighlights(regionIds: readonly number[], lighting: Lighting): readonly Highlight[] | null {
  const desk = useDesk();
  const { page, formed: things } = desk;
  const step = stepFor(desk);
  const key = page?.from ?? '';
  const ask = () => pageJobs.start('highlights', { key, things, lighting, step, regionIds });
  return useAnswer(page === null ? [] : [ask], [key, things, regionIds, lighting, step], { fresh: true }).value;
}

/** The page's regions in colours, four bytes each by region id; null until it is there. */
export function useRegionPicture(rgba: Uint8Array | null): HTMLCanvasElement | null {
  const desk = useDesk();
  const key = desk.page?.from ?? '';
  const step = stepFor(desk);
  const ask = () => pageJobs.start('regionPicture', { key, rgba: rgba!, step });
  return useCanvas(usePixels(rgba !== null && desk.page !== null ? [ask] : [], [key, rgba, step]));
}

/** A zone of some regions. */
type ZoneOfRegions = Pick<Step, 'regionIds' | 'zone'>;

const NONE: readonly ZoneOfRegions[] = [];

/** A veil over all but the zones of what is worked on; null until it is there. */
export function useZoneVeil(parts: readonly ZoneOfRegions[] = NONE): HTMLCanvasElement | null {
  return useZones(parts, 'veil', useShownStep());
}

/** Where a zone of some regions lies, as grey; null until it is there. */
export function useZonePicture(regionIds: readonly number[], zone: Zone): HTMLCanvasElement | null {
  const parts = useMemo(() => [{ regionIds, zone }], [regionIds, zone]);
  return useZones(parts, 'grey', stepFor(useDesk()));
}

function useZones(parts: readonly ZoneOfRegions[], look: ZoneLook, step: number | null): HTMLCanvasElement | null {
  const { page, formed: things } = useDesk();
  const key = page?.from ?? '';
  const lighting = useLighting();
  const ask = () => {
    const own = parts.map(({ regionIds, zone }) => ({ regionIds, zone }));
    return pageJobs.start('zonePicture', { key, things, lighting, step: step!, parts: own, look });
  };
  const wanted = page !== null && step !== null && parts.length > 0;
  return useCanvas(usePixels(wanted ? [ask] : [], [key, things, lighting, step, parts, look]));
}
