import { Drawing, type Placing } from '../kit/index.ts';
import { frame } from '../parts/frame.ts';
import { moth } from '../parts/moth.ts';
import { hare } from './hare.ts';
import { lamp, marsh, nearSnow, post, rails } from './pier.ts';

const MOTHS: readonly (Placing & { marked: boolean })[] = [
  { at: [122, 36], size: 13, turn: 34, marked: true },
  { at: [126, 82], size: 10.5, turn: -62, marked: true },
  { at: [84, 18], size: 6.6, turn: 150, marked: false },
  { at: [27, 50], size: 10.5, turn: 66, marked: true },
];

/** Draws Marsh Hare under the Pier Lamp, 148 x 210 mm: a hare on a snowy post, lit from behind, moths about the lamp. */
export function drawMarshHare(): Drawing {
  const d = new Drawing({ width: 148, height: 210, seed: 41 });
  marsh(d);
  lamp(d);
  rails(d);
  post(d);
  hare(d, [62, 151]);
  for (const { marked, ...placing } of MOTHS) moth(d, placing, marked);
  nearSnow(d);
  frame(d, 7);
  return d;
}
