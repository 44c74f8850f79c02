import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** Metal for very small parts: one pencil in varied pressure. */
export const metalFromOnePencil: Effect = {
  id: 'metal-from-one-pencil',
  name: 'metal from one pencil',
  says: 'One pencil, hard in the shadow and hardly at all beside the highlight, for very small parts.',
  suits: [],
  bySchool: false,
  leavesBare: SMOOTH,
  finish: 'polished',
  reserves: 'tone',
  lay: (_school, { pencils }, context) => ({
    layers: fitted(onePencil(pencils[0]!), context),
    notes: pencils.length > 1 ? ['Only the darkest pencil of the family is used.'] : [],
  }),
};

/** Layers of one pencil that look like metal. */
export function onePencil(pencil: string): LayerDraft[] {
  return [
    {
      id: 'base',
      role: 'dark',
      pencil,
      pressure: 'whisper',
      passes: 1,
      from: 0,
      to: 0.86,
      bands: 1,
      edge: 'hard',
      purpose: 'Hardly touched, over all but the highlight.',
    },
    {
      id: 'shadow',
      role: 'dark',
      pencil,
      pressure: 'medium',
      passes: 2,
      from: 0,
      to: 0.4,
      bands: 1,
      edge: 'hard',
      purpose: 'The shadow, from the same pencil.',
    },
    {
      id: 'deepen',
      role: 'dark',
      pencil,
      pressure: 'firm',
      passes: 1,
      from: 0,
      to: 0.16,
      bands: 2,
      edge: 'hard',
      purpose: 'Pressed hard where the form turns away.',
    },
  ];
}
