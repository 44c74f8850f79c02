import { type MistakeKind } from './mistake-kind.ts';
import { strayOver } from './stray.ts';

/** Pigment that a hand or a sleeve dragged along. */
export const draggedColour: MistakeKind = {
  id: 'dragged colour',
  inASpot: true,
  strays: true,
  lifts: true,
  isSeen: false,
  happen: (place) => strayOver(place, 'whisper'),
};
