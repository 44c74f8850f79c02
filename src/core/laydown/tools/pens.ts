import { fullCoat } from './full-coat.ts';
import { coated, coatedRelief } from './opaque.ts';
import { type Tool } from './tool.ts';

/** What a dot of pen hides. */
const DOT = 0.985;

export const opaquePen: Tool = {
  id: 'opaque-pen',
  name: 'opaque pen',
  how: 'Start it on scrap; single dots and lines, and let each dry before the next touches it.',
  coloured: true,
  usualColour: [97, 0, 2],
  comes: 'last',
  on: 'highlight',
  driesMinutes: 2,
  caution:
    'Last of all: it skips on waxy layers and takes no pencil once it is dry. Let it dry before the hand goes near.',
  use: (ground, amount, colour) => coated(ground, colour, DOT * fullCoat(amount), fullCoat(amount)),
  relief: (relief, amount) => coatedRelief(relief, DOT * fullCoat(amount), fullCoat(amount)),
};

export const metallicPen: Tool = {
  id: 'metallic-pen',
  name: 'metallic pen',
  how: 'Start it on scrap; the lines that catch the light, last of all.',
  coloured: true,
  usualColour: [62, 8, 46],
  comes: 'last',
  on: 'highlight',
  driesMinutes: 5,
  caution:
    'It shines where light falls on it and is dull elsewhere: no one colour is right for it. Last of all, and let it dry.',
  use: (ground, amount, colour) => coated(ground, colour, DOT * fullCoat(amount), fullCoat(amount)),
  relief: (relief, amount) => coatedRelief(relief, DOT * fullCoat(amount), fullCoat(amount)),
};
