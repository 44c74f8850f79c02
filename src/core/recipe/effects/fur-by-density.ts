import { type Effect } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** Short or distant fur: no single hair, only hatching that is dense in the shadow and open in the light. */
export const furByDensity: Effect = {
  id: 'fur-by-density',
  name: 'fur by density',
  says: 'Short hatching the way the coat lies, all at one light pressure: dense in the shadow, open in the light.',
  choice: { of: 'fur', called: 'by density' },
  suits: [],
  bySchool: false,
  leavesBare: 0.3,
  lay(_school, { pencils }, context) {
    const coat = { stroke: 'hatching', direction: 'along the shape', pressure: 'light', bands: 1 } as const;
    const rising = [...pencils].reverse();
    const plain = rising.map((pencil, k): LayerDraft => {
      const last = k === rising.length - 1;
      return {
        id: k === 0 ? 'base' : last ? 'shadow' : k === 1 ? 'middle' : `middle-${k}`,
        role: k === 0 ? 'light' : last ? 'dark' : 'mid',
        pencil,
        passes: last ? 2 : 1,
        ...coat,
        from: 0,
        to: 1 - (0.66 * k) / Math.max(1, rising.length - 1),
        fades: 0.5,
        purpose:
          k === 0 ? 'Open hatching over all of it.' : 'Denser, where the coat turns away; the pressure stays the same.',
      };
    });
    const thin = plain[0]!;
    const whisper: LayerDraft = {
      ...thin,
      id: 'unify',
      role: 'light',
      bands: 2,
      from: 0.3,
      to: 1,
      purpose: 'The palest again over the light, in the same strokes.',
    };
    return { layers: fitted([...plain, whisper], context), notes: [] };
  },
};
