import { type Material } from '../../light/index.ts';
import { type Effect, type LightOnThing, type RegionContext, SMOOTH } from './effect.ts';
import type { Family } from '../schemas.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** Of the way from the edge of the reach to the source: beyond this lies the pale core. */
const CORE = 0.88;
/** Rings overlap by this share of their width on either side. */
const OVERLAP = 0.4;
/** ... and by no more than this share of the reach, so that the core stays. */
const MOST_OVERLAP = 0.2;

/** A glow that reaches so much of what lies over everything makes rings of it. */
const RINGED = 0.4;
const isRinged = ({ glow }: LightOnThing, material: Material | undefined, warm: boolean) =>
  glow !== null && glow.warm === warm && glow.share >= RINGED && material?.overhead === true;

/** What surrounds a warm light: rings from a pale core outwards, chroma rising and value falling. */
export const warmGlow: Effect = {
  id: 'warm-glow',
  name: 'warm glow',
  says: 'Rings round the light, one pencil each and all equally wide: a pale core, then clearer, then dark.',
  choice: { of: 'rings of a glow', called: 'warm' },
  suits: [],
  isAsked: (lit, material) => isRinged(lit, material, true),
  pulls: 'light to dark',
  bySchool: false,
  leavesBare: SMOOTH,
  glows: true,
  lay: (_school, family, context) => rings(family, context, 'A blush of the palest over the core.', 0.96),
};

/** What surrounds a cool light: the same rings, and the paper itself for the core. */
export const coolGlow: Effect = {
  id: 'cool-glow',
  name: 'cool glow',
  says: 'Rings round the light as of a moon: the core stays paper, and the palest is only breathed on beside it.',
  choice: { of: 'rings of a glow', called: 'cool' },
  suits: [],
  isAsked: (lit, material) => isRinged(lit, material, false),
  pulls: 'light to dark',
  bySchool: false,
  leavesBare: SMOOTH,
  glows: true,
  lay: (_school, family, context) => rings(family, context, 'Breathed on beside the core, which stays paper.', CORE),
};

/** One ring a pencil, the lightest next to the core and the darkest beyond the reach. */
function rings({ pencils, neutral, depth, accent }: Family, context: RegionContext, hint: string, hintTo: number) {
  const n = pencils.length;
  // The darkest is not a ring: it is all that the glow does not reach.
  const outside = n > 1 ? 0.02 : 0;
  const width = (CORE - outside) / Math.max(1, n - 1);
  const edge = (k: number) => (k <= 0 ? 0 : outside + width * (k - 1));
  const [fades, pale] = [Math.min(MOST_OVERLAP, 2 * OVERLAP * width), pencils.at(-1)!];
  const plain: LayerDraft[] = [
    {
      id: 'base',
      role: neutral ? 'neutral' : 'light',
      pencil: neutral ?? pale,
      pressure: 'whisper',
      passes: 1,
      field: 'glow',
      from: edge(n - 1),
      to: hintTo,
      fades: width / 2,
      bands: 1,
      stroke: 'small circles',
      direction: 'round the light',
      purpose: hint,
    },
    ...[...pencils].reverse().map((pencil, back): LayerDraft => {
      const k = n - 1 - back;
      const dark = k === 0;
      return {
        id: dark ? 'shadow' : back === 0 ? 'light' : k === 1 ? 'middle' : `middle-${k}`,
        role: dark ? 'dark' : back === 0 ? 'light' : 'mid',
        pencil,
        pressure: dark ? (n > 1 ? 'medium' : 'firm') : 'light',
        passes: 2,
        field: 'glow',
        bands: 1,
        from: dark ? 0 : edge(k),
        to: n === 1 ? CORE : dark ? edge(1) + width / 2 : edge(k + 1),
        fades,
        stroke: 'small circles',
        direction: 'round the light',
        purpose: dark
          ? 'All that the glow does not reach, darkest: a glow is only as bright as its surroundings are dark.'
          : back === 0
            ? 'The first ring, next to the core.'
            : 'The next ring, as wide as the last and over its edge.',
      };
    }),
    ...(accent && n > 1
      ? [
          {
            id: 'accent',
            role: 'accent' as const,
            pencil: accent,
            pressure: 'light' as const,
            passes: 1,
            field: 'glow' as const,
            from: Math.max(0, edge(n - 1) - width / 2),
            to: Math.min(CORE, edge(n - 1) + width / 2),
            fades,
            bands: 1 as const,
            stroke: 'small circles' as const,
            direction: 'round the light' as const,
            purpose: 'An enriching hue across the line between the first two rings, so that no step shows there.',
          },
        ]
      : []),
    ...(n > 1
      ? [
          {
            id: 'deepen',
            role: depth ? ('depth' as const) : ('dark' as const),
            pencil: depth ?? pencils[0]!,
            pressure: 'firm' as const,
            passes: 1,
            field: 'glow' as const,
            from: 0,
            to: outside,
            fades: width / 2,
            bands: 2 as const,
            stroke: 'one direction' as const,
            purpose: 'Puts the deepest dark back, far from the light.',
          },
        ]
      : []),
  ];
  const ringMm = ((context.glow?.reachMm ?? 20) * width).toFixed(1);
  const notes = [
    ...(context.glow ? [] : ['No glow of this sheet falls here: set one at Light, and the rings lie round that.']),
    ...(n > 2 ? [`Each ring is ${ringMm} mm wide.`] : ['Two rings or more want a family of three pencils.']),
  ];
  return { layers: fitted(plain, context), notes };
}
