import { type PencilType } from './pencil-type.ts';

export const water: PencilType = {
  id: 'water-soluble',
  name: 'water-soluble, used dry',
  k: 0.9,
  tau: 0.85,
  chi: 1,
  floor: 0.03,
  opacity: 0.38,
  loose: 0.1,
  soluble: 1,
};
