import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** Shares of the way out from the middle: the core, and where the mantle turns to its edge. */
const CORE = 0.34;
const EDGE_FROM = 0.68;
/** Shares of the way down: the core lies low, the tip is high. */
const CORE_BELOW = 0.42;
const TIP_ABOVE = 0.3;

/** A flame: the mantle is the palest, its core above the wick darker, its tip and edge deeper in hue. */
export const flame: Effect = {
  id: 'flame',
  name: 'flame',
  says: 'The mantle is palest; the core, low and in the middle, is darker than it, and the tip runs out in the deepest hue.',
  suits: ['fire'],
  bySchool: false,
  leavesBare: SMOOTH,
  pale: true,
  lay(_school, { pencils, accent }, context) {
    const [dark, light] = [pencils[0]!, pencils.at(-1)!];
    const body = pencils[Math.floor((pencils.length - 1) / 2)]!;
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'light',
        passes: 1,
        field: 'out',
        from: 0,
        to: 1,
        bands: 1,
        purpose: 'The palest over all of it: the mantle stays as this is.',
      },
      {
        id: 'middle',
        role: 'mid',
        pencil: body,
        pressure: 'light',
        passes: 2,
        field: 'out',
        from: EDGE_FROM,
        to: 1,
        fades: 0.3,
        bands: 1,
        stroke: 'flicks',
        direction: 'upright',
        purpose: 'Its colour from the edge inwards, flicked upwards.',
      },
      {
        id: 'core',
        role: 'mid',
        pencil: accent ?? body,
        pressure: 'light',
        passes: 2,
        field: 'out',
        from: 0,
        to: CORE,
        fades: 0.24,
        and: { field: 'along', from: CORE_BELOW, to: 1, fades: 0.3 },
        bands: 2,
        purpose: 'The core above the wick, darker than the mantle round it.',
      },
      {
        id: 'tip',
        role: 'dark',
        pencil: dark,
        pressure: 'light',
        passes: 2,
        field: 'out',
        from: EDGE_FROM,
        to: 1,
        fades: 0.3,
        and: { field: 'along', from: 0, to: TIP_ABOVE, fades: 0.3 },
        bands: 1,
        stroke: 'flicks',
        direction: 'upright',
        purpose: 'The tip runs out in the deepest hue.',
      },
    ];
    return { layers: fitted(plain, context), notes: [] };
  },
};
