import { type Region } from '../lineart/index.ts';
import type { Box, Step } from './schemas.ts';

/** Edges of some regions, one at least. */
export function boxAround(regions: readonly Pick<Region, 'box'>[]): Box {
  return {
    left: Math.min(...regions.map(({ box }) => box.left)),
    top: Math.min(...regions.map(({ box }) => box.top)),
    right: Math.max(...regions.map(({ box }) => box.right)),
    bottom: Math.max(...regions.map(({ box }) => box.bottom)),
  };
}

/** What is held for a step: its tool, or else its pencil. */
export function inHand({ tool, pencil }: Pick<Step, 'tool' | 'pencil'>): string {
  return tool ?? pencil;
}
