/** tools: what else than a pencil changes the paper, one file a kind; to add one, write its file and list it here. */
import { burnisher } from './burnisher.ts';
import { colourlessBlender } from './colourless-blender.ts';
import { drying } from './drying.ts';
import { eraser } from './eraser.ts';
import { indent } from './indent.ts';
import { mask, maskOff } from './masks.ts';
import { paint } from './paint.ts';
import { metallicPen, opaquePen } from './pens.ts';
import { softTip } from './soft-tip.ts';
import { solvent } from './solvent.ts';
import { marker, wash } from './stains.ts';
import { type Tool } from './tool.ts';
import { water } from './water.ts';
import { waxBarrier } from './wax-barrier.ts';

export { type Tool } from './tool.ts';

/** Every tool the model knows. */
export const TOOLS: readonly Tool[] = [
  colourlessBlender,
  burnisher,
  solvent,
  softTip,
  water,
  drying,
  eraser,
  opaquePen,
  metallicPen,
  marker,
  wash,
  paint,
  waxBarrier,
  indent,
  mask,
  maskOff,
];

/**
 * The tool with this id.
 * @throws RangeError when there is none.
 */
export function toolById(id: string): Tool {
  const tool = TOOLS.find((one) => one.id === id);
  if (!tool) throw new RangeError(`There is no tool called "${id}".`);
  return tool;
}
