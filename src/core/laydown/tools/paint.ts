import { fullCoat } from './full-coat.ts';
import { coated, coatedRelief } from './opaque.ts';
import { type Tool } from './tool.ts';

/** An opaque paint hides the paper and fills most of its tooth; its own matt surface leaves a little. */
const COVERS = 0.97;
const FILLS = 0.78;

export const paint: Tool = {
  id: 'paint',
  name: 'opaque paint',
  how: 'Thin and even with a soft brush; a second coat when the first is dry.',
  coloured: true,
  comes: 'first',
  driesMinutes: 30,
  takes: 0.7,
  mayShow: true,
  wets: true,
  onWet: true,
  caution: 'It fills the tooth: pencils hardly take on it. Thin paper warps; dry before going on.',
  use: (ground, amount, colour) => ({
    ...coated(ground, colour, COVERS * fullCoat(amount), FILLS * fullCoat(amount)),
    wet: true,
  }),
  relief: (relief, amount) => coatedRelief(relief, COVERS * fullCoat(amount), FILLS * fullCoat(amount)),
};
