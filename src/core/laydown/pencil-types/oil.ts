import { type PencilType } from './pencil-type.ts';

export const oil: PencilType = {
  id: 'oil',
  name: 'hard, translucent, oil',
  k: 0.9,
  tau: 1,
  chi: 1,
  floor: 0.02,
  opacity: 0.2,
  loose: 0,
  soluble: 0,
};
