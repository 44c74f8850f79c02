import { Drawing } from '../kit/index.ts';
import { frame } from '../parts/frame.ts';
import { body, crest, plinth, rimShade, wall } from './case.ts';
import { dial, hands } from './dial.ts';

/** Draws The Tide Clock, A4: the astronomical clock on the harbour office wall, its stones, moons, waves and works. */
export function drawTideClock(): Drawing {
  const d = new Drawing({ width: 210, height: 297, seed: 23, stray: 0.14 });
  wall(d);
  body(d);
  rimShade(d);
  dial(d);
  hands(d);
  crest(d);
  plinth(d);
  frame(d, 8);
  return d;
}
