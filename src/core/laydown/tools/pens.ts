import { coated } from './opaque.ts';
import { type Tool } from './tool.ts';

/** What a dot of pen hides. */
const DOT = 0.985;

export const opaquePen: Tool = {
  id: 'opaque-pen',
  name: 'opaque pen',
  coloured: true,
  caution:
    'Last of all: it skips on waxy layers and takes no pencil once it is dry. Let it dry before the hand goes near.',
  use: (ground, amount, colour) => coated(ground, colour, DOT * amount, amount),
};

export const metallicPen: Tool = {
  id: 'metallic-pen',
  name: 'metallic pen',
  coloured: true,
  caution:
    'It shines where light falls on it and is dull elsewhere: no one colour is right for it. Last of all, and let it dry.',
  use: (ground, amount, colour) => coated(ground, colour, DOT * amount, amount),
};
