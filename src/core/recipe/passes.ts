import { type Pass, type PencilOptics, type ToolPass, PRESS, toolById } from '../laydown/index.ts';
import type { Layer } from './schemas.ts';
import { STROKE_LEAVES } from './strokes.ts';

/**
 * The passes of a layer where so much of its pressure arrives: of its pencil or its tool. What wets the paper is let dry
 * before anything else goes on, whether a recipe says so or not: what comes out is what comes out of waiting.
 * @param share 0 to 1; default all of it
 * @throws RangeError when the layer's pencil has no optics
 */
export function passesOf(
  { id, pencil: pencilId, tool, colour, pressure, passes, dryMinutes, stroke }: Layer,
  optics: ReadonlyMap<string, PencilOptics>,
  share = 1,
): (Pass | ToolPass)[] {
  const left = tool ? share : share * (STROKE_LEAVES[stroke] ?? 1);
  const press = left === 1 ? pressure : PRESS[pressure] * left;
  const pencil = optics.get(pencilId);
  if (!pencil) throw new RangeError(`Pencil ${pencilId} of layer ${id} is not in the tray.`);
  const drying: ToolPass = { tool: 'drying', pressure: 1 };
  const laid = new Array<Pass | ToolPass>(passes).fill(
    tool ? { tool, pressure: press, colour } : { pencil, pressure: press },
  );
  if (tool && toolById(tool).wets) return laid.flatMap((pass) => [pass, drying]);
  return dryMinutes ? [...laid, drying] : laid;
}
