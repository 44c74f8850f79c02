import { pencilTypeById, toolById } from '../laydown/index.ts';
import type { Layer } from './schemas.ts';

/**
 * What to mind when a layer is laid, in short sentences; labels, safety data sheets and local rules go before them.
 * @param pencilType id of its pencil's type
 */
export function cautionsOf(layer: Pick<Layer, 'tool' | 'pressure' | 'passes'>, pencilType: string): string[] {
  const { tool, pressure, passes } = layer;
  const own = tool ? toolById(tool).caution : pencilTypeById(pencilType).caution;
  return [
    ...(own ? [own] : []),
    ...(pressure === 'burnish' || (pressure === 'firm' && passes > 1)
      ? ['Keep the grip light and rest the hand: pain is a reason to stop.']
      : []),
  ];
}
