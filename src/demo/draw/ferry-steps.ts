import { Drawing, type P, hanging } from './kit.ts';
import { BOW, MAST_HEAD, STERN, ferry, ferryReflection } from './parts/ferry.ts';
import { hut } from './parts/hut.ts';
import { lantern } from './parts/lantern.ts';
import { bell, crateAndKettle, gangplank, quay, ropeCoil } from './parts/quay.ts';
import { reeds } from './parts/reeds.ts';
import { shore } from './parts/shore.ts';
import { sky } from './parts/sky.ts';
import { onTheWater, water } from './parts/water.ts';

const HUT_EAVE: P = [139, 80];

/** Ropes of lanterns: from, to, sag, and where along each its lanterns hang and how large they are. */
const ROPES: { from: P; to: P; sag: number; lanterns: [at: number, size: number][] }[] = [
  {
    from: MAST_HEAD,
    to: BOW,
    sag: 7,
    lanterns: [
      [0.22, 6.4],
      [0.45, 7],
      [0.67, 6.6],
      [0.87, 5.6],
    ],
  },
  {
    from: MAST_HEAD,
    to: HUT_EAVE,
    sag: 17,
    lanterns: [
      [0.14, 7],
      [0.29, 7.6],
      [0.44, 8],
      [0.59, 7.8],
      [0.74, 7.2],
      [0.89, 6.4],
    ],
  },
  { from: [95, 93], to: STERN, sag: 1, lanterns: [[0.85, 4.6]] },
  {
    from: [137, 86],
    to: [203, 86],
    sag: 2.5,
    lanterns: [
      [0.14, 5.4],
      [0.38, 5.8],
      [0.62, 5.6],
      [0.86, 5.4],
    ],
  },
];

/** Draws The Ferry Steps, 210 x 210 mm: dusk over still water, the ferry under her lanterns, the stone steps and the hut. */
export function drawFerrySteps(): Drawing {
  const d = new Drawing(210, 210, 7);
  const overWater = ROPES.slice(0, 2).flatMap(({ from, to, sag, lanterns }) =>
    lanterns.map(([t]) => hanging(from, to, sag, t)),
  );
  sky(d);
  shore(d);
  water(d);
  ferryReflection(d);
  onTheWater(d, overWater);
  ferry(d);
  gangplank(d);
  hut(d);
  quay(d);
  for (const { from, to, sag, lanterns } of ROPES) {
    d.as('rope', 0.36, () => d.curve(...[0, 0.25, 0.5, 0.75, 1].map((t) => hanging(from, to, sag, t))));
    for (const [t, size] of lanterns) lantern(d, hanging(from, to, sag, t), size);
  }
  bell(d);
  crateAndKettle(d);
  ropeCoil(d);
  reeds(d);
  frame(d);
  return d;
}

/** White paper outside a ruled frame, so that everything is cut off cleanly at it. */
function frame(d: Drawing): void {
  d.as('', 0, () => {
    d.poly([0, 0], [210, 0], [210, 7], [0, 7]);
    d.poly([0, 203], [210, 203], [210, 210], [0, 210]);
    d.poly([0, 0], [7, 0], [7, 210], [0, 210]);
    d.poly([203, 0], [210, 0], [210, 210], [203, 210]);
  });
  d.as('', 0.7, () => d.line([7, 7], [203, 7], [203, 203], [7, 203], [7, 7]));
}
