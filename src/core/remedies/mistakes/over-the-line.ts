import { type MistakeKind } from './mistake-kind.ts';
import { strayOver } from './stray.ts';

/** A pencil that ran over the line into what lies beside. */
export const overTheLine: MistakeKind = {
  id: 'over the line',
  inASpot: true,
  strays: true,
  lifts: true,
  isSeen: false,
  happen: (place) => strayOver(place, 'light'),
};
