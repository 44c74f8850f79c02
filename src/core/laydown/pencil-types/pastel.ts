import { type PencilType } from './pencil-type.ts';

export const pastel: PencilType = {
  id: 'pastel',
  name: 'pastel pencil',
  k: 1.25,
  tau: 0.32,
  chi: 0.5,
  floor: 0.35,
  opacity: 0.78,
  loose: 0.85,
  soluble: 0,
  caution: 'Tap the dust off; never blow it or breathe it.',
};
