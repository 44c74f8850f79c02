import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** Boards narrower than this, mm, show no grain. */
const GRAIN_MM = 2.5;

/** Wood: every stroke along the grain, and the grain itself put in last with a sharp point. */
export const wood: Effect = {
  id: 'wood',
  name: 'wood',
  says: 'Every stroke runs along the grain; the palest again over all, and the grain last with a sharp dark pencil.',
  suits: ['wood'],
  bySchool: false,
  leavesBare: SMOOTH,
  lay(_school, { pencils, depth, accent }, context) {
    const [dark, light] = [pencils[0]!, pencils.at(-1)!];
    const between = pencils.length > 2 ? pencils.slice(1, -1).reverse() : [];
    const along = { stroke: 'one direction', direction: 'along the shape' } as const;
    // Several middle pencils share the tooth that one would have.
    const often = between.length > 1 ? 1 : 2;
    const narrow = Math.max(...context.regions.map(({ usableWidthMm }) => usableWidthMm)) < GRAIN_MM;
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'light',
        passes: 1,
        from: 0,
        to: 1,
        bands: 1,
        ...along,
        purpose: 'The palest wood over all of it.',
      },
      ...between.map((pencil, k): LayerDraft => ({
        id: k === 0 ? 'middle' : `middle-${k + 1}`,
        role: 'mid',
        pencil,
        pressure: 'medium',
        passes: 1,
        bands: 1,
        from: 0,
        to: 0.7 - (0.16 * k) / between.length,
        ...along,
        purpose: 'Streaks of the wood’s own colour.',
      })),
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'medium',
        passes: often,
        from: 0,
        to: 0.4,
        bands: 1,
        ...along,
        purpose: 'The edges and whatever lies under something else.',
      },
      ...(accent
        ? [
            {
              id: 'accent',
              role: 'accent' as const,
              pencil: accent,
              pressure: 'whisper' as const,
              passes: 1,
              from: 0.3,
              to: 0.7,
              bands: 2 as const,
              ...along,
              purpose: 'A warmer or cooler streak here and there.',
            },
          ]
        : []),
      {
        id: 'deepen',
        role: depth ? 'depth' : 'dark',
        pencil: depth ?? dark,
        pressure: 'medium',
        passes: often,
        from: 0,
        to: 0.2,
        bands: 3,
        ...along,
        purpose: 'The darkest: corners, and right under what lies over it.',
      },
      {
        id: 'unify',
        role: 'light',
        pencil: light,
        pressure: 'medium',
        passes: 1,
        from: 0.42,
        to: 1,
        bands: 2,
        ...along,
        purpose: 'The palest wood again, so that the streaks sink in.',
      },
      ...(narrow
        ? []
        : [
            {
              id: 'grain',
              role: 'dark' as const,
              pencil: depth ?? dark,
              pressure: 'firm' as const,
              passes: 1,
              from: 0,
              to: 0.62,
              bands: 2 as const,
              point: 'sharp' as const,
              stroke: 'fine lines' as const,
              direction: 'along the shape' as const,
              purpose: 'The grain: long uneven lines that part round knots and never quite meet.',
            },
          ]),
    ];
    return {
      layers: fitted(plain, context),
      notes: narrow ? [`Under ${GRAIN_MM} mm the grain is left out: the strokes alone show it.`] : [],
    };
  },
};
