import { type Effect } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** Cloud, smoke, mist: paper where it is lit, and a soft underside. */
export const cloud: Effect = {
  id: 'cloud',
  name: 'cloud',
  says: 'The paper is the lit side; only the underside is laid, in small circles without an edge.',
  suits: [],
  bySchool: false,
  leavesBare: 0.6,
  pale: true,
  lay(_school, { pencils, neutral }, context) {
    const [dark, light] = [pencils[0]!, pencils.at(-1)!];
    const round = { stroke: 'small circles', bands: 1 } as const;
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'whisper',
        passes: 1,
        ...round,
        from: 0,
        to: 0.66,
        and: { field: 'along', from: 0.2, to: 1, fades: 0.4 },
        purpose: 'The underside, breathed on.',
      },
      {
        id: 'shadow',
        role: 'dark',
        pencil: neutral ?? dark,
        pressure: 'whisper',
        passes: 2,
        ...round,
        from: 0,
        to: 0.4,
        and: { field: 'along', from: 0.45, to: 1, fades: 0.4 },
        purpose: 'Deeper where it turns under.',
      },
      {
        id: 'unify',
        role: 'light',
        pencil: light,
        pressure: 'light',
        passes: 1,
        ...round,
        from: 0.1,
        to: 0.7,
        bands: 2,
        and: { field: 'along', from: 0.2, to: 1, fades: 0.4 },
        purpose: 'Softens the last edges.',
      },
    ];
    return { layers: fitted(plain, context), notes: [] };
  },
};
