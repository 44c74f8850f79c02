import { type PencilType } from './pencil-type.ts';

export const wax: PencilType = {
  id: 'wax',
  name: 'soft, covering, wax',
  k: 1.08,
  tau: 1.1,
  chi: 1,
  floor: 0.03,
  opacity: 0.6,
  loose: 0,
  soluble: 0,
};
