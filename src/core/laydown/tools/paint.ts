import { coated } from './opaque.ts';
import { type Tool } from './tool.ts';

/** An opaque paint hides the paper and fills most of its tooth; its own matt surface leaves a little. */
const COVERS = 0.97;
const FILLS = 0.78;

export const paint: Tool = {
  id: 'paint',
  name: 'opaque paint',
  coloured: true,
  wets: true,
  onWet: true,
  caution: 'It fills the tooth: pencils hardly take on it. Thin paper warps; dry before going on.',
  use: (ground, amount, colour) => ({ ...coated(ground, colour, COVERS * amount, FILLS * amount), wet: true }),
};
