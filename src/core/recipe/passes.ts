import { type Pass, type PencilOptics, type ToolPass, PRESS } from '../laydown/index.ts';
import { type Layer, STROKE_LEAVES } from './layer.ts';

/**
 * The passes of a layer where so much of its pressure arrives: of its pencil or its tool, and the drying after a wet one.
 * @param share 0 to 1; default all of it
 * @throws RangeError when the layer's pencil has no optics
 */
export function passesOf(
  { id, pencil: pencilId, tool, pressure, passes, dryMinutes, stroke }: Layer,
  optics: ReadonlyMap<string, PencilOptics>,
  share = 1,
): (Pass | ToolPass)[] {
  const left = tool ? share : share * (STROKE_LEAVES[stroke] ?? 1);
  const press = left === 1 ? pressure : PRESS[pressure] * left;
  const pencil = optics.get(pencilId);
  if (!pencil) throw new RangeError(`Pencil ${pencilId} of layer ${id} is not in the tray.`);
  const laid = new Array<Pass | ToolPass>(passes).fill(tool ? { tool, pressure: press } : { pencil, pressure: press });
  return dryMinutes ? [...laid, { tool: 'drying', pressure: 1 }] : laid;
}
