import { gammaEncode, linearise } from '../../colour/index.ts';
import { type View, pixelwise } from './view.ts';

/**
 * How colours look where one kind of cone is missing. Source: G. Machado, M. Oliveira, L. Fernandes, A Physiologically-based
 * Model for Simulation of Color Vision Deficiency (2009), severity 1, on linear light.
 */
const MATRICES = {
  protan: [0.152286, 1.052583, -0.204868, 0.114503, 0.786281, 0.099216, -0.003882, -0.048116, 1.051998],
  deutan: [0.367322, 0.860646, -0.227968, 0.280085, 0.672501, 0.047413, -0.01182, 0.04294, 0.968881],
  tritan: [1.255528, -0.076749, -0.178779, -0.078411, 0.930809, 0.147602, 0.004733, 0.691367, 0.3039],
} as const;

function deficient(id: keyof typeof MATRICES, name: string, says: string): View {
  const m = MATRICES[id];
  return {
    id,
    name,
    says,
    of: pixelwise((rgb) => {
      const [r, g, b] = rgb.map(linearise) as [number, number, number];
      return [0, 3, 6].map((k) => gammaEncode(m[k]! * r + m[k + 1]! * g + m[k + 2]! * b)) as unknown as [
        number,
        number,
        number,
      ];
    }),
  };
}

export const protan = deficient(
  'protan',
  'without red cones',
  'As about one man in a hundred sees it: reds go dark and dull.',
);
export const deutan = deficient(
  'deutan',
  'without green cones',
  'As about one man in a hundred sees it: reds and greens run together.',
);
export const tritan = deficient(
  'tritan',
  'without blue cones',
  'As very few see it: blues and greens, violets and reds run together.',
);
