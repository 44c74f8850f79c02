import { Drawing } from '../kit/index.ts';
import { frame } from '../parts/frame.ts';
import { workbench } from './bench.ts';
import { bird, bow, boxKite, diamond, ribbon, sixSided, streamer } from './kites.ts';
import { loft, tieBeam } from './loft.ts';

/** Printed grey, for card of a middle tone. */
const GREY = '#6a6864';

/** Draws Kite Loft, A5 across: kites hung and leant under the roof, a round window on the harbour, the maker's bench. */
export function drawKiteLoft(): Drawing {
  const d = new Drawing({ width: 210, height: 148, seed: 59, ink: GREY });
  loft(d);
  tieBeam(d);
  streamer(d, [142, 45.4], 5, 0.9);
  bird(d, [175, 57.4], -9, 1);
  ribbon(
    d,
    'long ribbons',
    [
      [40, 88],
      [45, 96],
      [52, 101],
      [47, 111],
      [51, 121],
    ],
    4.4,
    2,
  );
  diamond(d, 'diamond kite', [44.6, 62.6], 11, 1.18, ['stripes', 'scallops', 'chevrons', 'spots']);
  boxKite(d, [20, 140], -3);
  workbench(d);
  ribbon(
    d,
    'short ribbons',
    [
      [97, 128],
      [112, 133],
      [120, 126],
      [124, 137],
      [112, 141.6],
      [104, 139],
    ],
    4,
    2,
  );
  sixSided(d, [79, 112], 14, 1.02);
  ribbon(
    d,
    'long ribbons',
    [
      [73, 132],
      [62, 139],
      [54, 132],
      [44, 139.6],
      [58, 145],
    ],
    4.4,
    2,
  );
  bow(d, [60.6, 138.4], -24, 1);
  frame(d, 7, 0.6);
  return d;
}
