import { type Effect, type RegionContext, SMOOTH } from './effect.ts';
import { POINT_MM } from '../strokes.ts';
import { type LayerDraft, fitted, overMm, usualWidth } from './fit.ts';
import { traces } from './traces.ts';
import { onePencil } from './metal-from-one-pencil.ts';

/** Shapes narrower than this, mm, have no room for a ladder of pencils with hard edges. */
const LADDER_MM = 2.4;
/** Where the white begins; the dark streak before it is as wide as a sharp point, and a share of the way at least and at most. */
const WHITE_FROM = 0.93;
const STREAK = { least: 0.09, most: 0.2 };

/** Share of the way that the rungs between dark and light take. */
const LADDER = 0.38;

/** As many of the middle pencils as have room for a rung as wide as a sharp point, evenly chosen. */
function rungs(pencils: readonly string[], context: RegionContext): string[] {
  const room = Math.max(1, Math.floor((LADDER * overMm('tone', context)) / POINT_MM.sharp));
  if (pencils.length <= room) return [...pencils];
  return Array.from({ length: room }, (_, k) => pencils[Math.floor(((k + 0.5) * pencils.length) / room)]!);
}

/** Gold, copper, bronze, silver and tin: a ladder of pencils with hard edges, black next to white. */
export const polishedMetal: Effect = {
  id: 'polished-metal',
  name: 'polished metal',
  says: 'Dark, mid and light close together with hard edges; a dark streak beside a white that stays paper.',
  suits: ['gold', 'copper', 'silver'],
  bySchool: false,
  leavesBare: SMOOTH,
  finish: 'polished',
  reserves: 'tone',
  jumps: true,
  lay(_school, family, context) {
    const { pencils, depth } = family;
    if (usualWidth(context) < LADDER_MM || pencils.length === 1) {
      const why =
        pencils.length === 1
          ? 'The family has one pencil, so the metal is laid from that one.'
          : `Under ${LADDER_MM} mm there is no room for a ladder: the metal is laid from the darkest pencil alone.`;
      return { layers: fitted(onePencil(pencils[0]!), context), notes: [why] };
    }
    const [dark, light] = [depth ?? pencils[0]!, pencils.at(-1)!];
    const between = rungs(pencils.slice(1, -1), context);
    const wide = Math.min(STREAK.most, Math.max(STREAK.least, POINT_MM.sharp / overMm('tone', context)));
    const streakFrom = Math.round(100 * (WHITE_FROM - wide)) / 100;
    const ladder: LayerDraft[] = between.map((pencil, k) => ({
      id: k === 0 ? 'middle' : `middle-${k + 1}`,
      role: 'mid',
      pencil,
      pressure: 'medium',
      passes: 2,
      from: 0.17 + (LADDER * k) / between.length,
      to: 0.23 + (LADDER * (k + 1)) / between.length,
      bands: 1,
      edge: 'hard',
      purpose:
        k === 0
          ? 'The metal’s own colour, close against the dark.'
          : 'The next rung of the ladder, close against the last.',
    }));
    const plain: LayerDraft[] = [
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'medium',
        passes: 2,
        from: 0,
        to: 0.2,
        bands: 1,
        edge: 'hard',
        purpose: 'The dark of the ladder, with a hard edge.',
      },
      ...ladder,
      {
        id: 'light',
        role: 'light',
        pencil: light,
        pressure: 'medium',
        passes: 2,
        from: between.length > 0 ? 0.52 : 0.17,
        to: streakFrom,
        bands: 1,
        edge: 'hard',
        purpose: 'The light of the metal, up to the streak; what lies beyond stays paper.',
      },
      ...traces(context, { and: { from: 0, to: streakFrom, hardTo: true } }),
      {
        id: 'deepen',
        role: 'dark',
        pencil: dark,
        pressure: 'firm',
        passes: 1,
        from: 0,
        to: 0.1,
        bands: 2,
        edge: 'hard',
        purpose: 'The darkest accents, put back last.',
      },
      {
        id: 'streak',
        role: 'dark',
        pencil: dark,
        pressure: 'firm',
        passes: 2,
        from: streakFrom,
        to: WHITE_FROM,
        bands: 3,
        edge: 'hard',
        stroke: 'following the contour',
        purpose: 'A dark streak that follows the turning of the form: black next to white.',
      },
    ];
    const notes =
      between.length === 0
        ? ['The family has two pencils: the ladder goes from dark to light without a rung between.']
        : [];
    return { layers: fitted(plain, context), notes };
  },
};
