import type { BenchPlan } from '../contracts/index.ts';
import { hexOfLab } from '../core/colour/index.ts';
import { toolById } from '../core/laydown/index.ts';

/** What is taken in hand for a step: what stands on it, what it is called, and the colour that it works in, `#rrggbb`. */
export interface Held {
  code: string;
  name: string;
  colour: string;
  isTool: boolean;
}

const UNKNOWN = '#888888';

/** What a step is done with: its tool, or else its pencil as it was when the order was made. */
export function heldFor(
  { tool, colour, pencil }: Pick<BenchPlan['steps'][number], 'tool' | 'colour' | 'pencil'>,
  pencils: BenchPlan['pencils'],
): Held {
  const own = pencils.find(({ id }) => id === pencil);
  if (tool === undefined)
    return { code: own?.code ?? '', name: own?.name ?? '', colour: own?.colour ?? UNKNOWN, isTool: false };
  const { name, usualColour } = toolById(tool);
  const lab = colour ?? usualColour;
  return { code: name, name, colour: lab ? hexOfLab(lab) : (own?.colour ?? UNKNOWN), isTool: true };
}
