import { type Drawing as Page, Drawing, type P, blob, curve, hanging, straight } from '../kit/index.ts';
import { type LanternKind, brokenLight, lantern, rope } from '../parts/lantern.ts';
import { bulrush, reedLeaf } from '../parts/reed.ts';
import { frame } from '../parts/frame.ts';
import { farShore, water } from './far-shore.ts';
import { MAST_HEAD, STEM_HEAD, STERN_POLE, ferry, ferryReflection, gangplank, mirrored } from './ferry.ts';
import { cask, hut } from './hut.ts';
import { bell, bollard, candleBoat, coil, crate } from './left-standing.ts';
import { sky } from './sky.ts';
import { steps } from './steps.ts';

/** Ropes of lanterns: from, to, sag, and where along each its lanterns hang and how large they are. */
const ROPES: { from: P; to: P; sag: number; lanterns: [at: number, size: number, kind: LanternKind][] }[] = [
  {
    from: MAST_HEAD,
    to: STEM_HEAD,
    sag: 5,
    lanterns: [
      [0.27, 6.6, 'lobed'],
      [0.53, 7, 'round'],
      [0.8, 6.4, 'long'],
    ],
  },
  {
    from: MAST_HEAD,
    to: [140.5, 86],
    sag: 19,
    lanterns: [
      [0.15, 7.6, 'round'],
      [0.3, 8.2, 'long'],
      [0.455, 9, 'lobed'],
      [0.61, 8.4, 'round'],
      [0.76, 7.6, 'long'],
      [0.9, 7, 'lobed'],
    ],
  },
  { from: STERN_POLE, to: [99, 93], sag: 1, lanterns: [[0.5, 4.8, 'round']] },
  { from: [142, 87.4], to: [206, 85.4], sag: 1.6, lanterns: [[0.42, 5.8, 'lobed']] },
];

/** Draws The Ferry Steps, 210 x 210 mm: dusk over still water, the ferry under her lanterns, the stone steps and the hut. */
export function drawFerrySteps(): Page {
  const d = new Drawing({ width: 210, height: 210, seed: 7 });
  sky(d);
  farShore(d);
  water(d);
  ferryReflection(d);
  onTheWater(d);
  steps(d);
  ferry(d);
  hut(d);
  cask(d, [193.4, 124]);
  for (const { from, to, sag, lanterns } of ROPES) {
    rope(
      d,
      [0, 0.25, 0.5, 0.75, 1].map((t) => hanging(from, to, sag, t)),
    );
    for (const [t, size, kind] of lanterns) lantern(d, hanging(from, to, sag, t), size, kind, d.between(-4, 7));
  }
  gangplank(d);
  bollard(d, [127.6, 122.8], [107, 111]);
  bell(d, [137, 125]);
  coil(d, [122, 158]);
  crate(d, [160, 181]);
  nearBank(d);
  for (const [at, mm] of [
    [[182.4, 136.5], 0.8],
    [[159.8, 136.4], 0.8],
  ] as [P, number][])
    d.gap(at, mm);
  frame(d, 8);
  return d;
}

/** What lies on the water: lantern light broken up in it, long ripples, candle boats. */
function onTheWater(d: Page): void {
  for (const { from, to, sag, lanterns } of ROPES.slice(0, 2)) {
    for (const [t, size] of lanterns) {
      const [x, y] = hanging(from, to, sag, t);
      const [mx, my] = mirrored([x, y + size]);
      if (mx < 120 && my > 150) brokenLight(d, [mx, Math.min(my, 176)], size, 2);
    }
  }
  for (const [x, y, w] of [
    [30, 138, 17],
    [70, 141, 20],
    [46, 147, 24],
    [80, 153, 22],
    [104, 137, 13],
    [24, 166, 18],
    [60, 172, 22],
  ])
    ripple(d, x, y, w);
  candleBoat(d, [74, 184], 6.4);
  candleBoat(d, [92, 146.6], 4.4, true);
  candleBoat(d, [20, 146], 4.6);
}

function ripple(d: Page, x: number, y: number, w: number): void {
  const h = 0.75 + (y - 120) * 0.012;
  d.as('ripples', 0.28, () =>
    d.shape(blob([x, y, x + w * 0.3, y - h, x + w * 0.65, y - h * 0.3, x + w, y + h * 0.2, x + w * 0.6, y + h, x + w * 0.25, y + h * 0.5])),
  );
  d.as('', 0.24, () => d.line(curve([x + w * 0.7, y + 2.6, x + w * 0.95, y + 2, x + w * 1.25, y + 2.5]), 0.2));
}

/** Reeds and bulrushes in the near corner, leaning with the evening wind. */
function nearBank(d: Page): void {
  d.as('near bank', 0.5, () => d.shape([...curve([4, 193, 18, 190.6, 34, 193, 50, 198, 62, 206]), ...straight([62, 206, 4, 206])]));
  const leaves: [foot: number, tip: P, width: number, bow: number][] = [
    [16, [6, 158], 2.6, -2],
    [12, [16, 148], 3, 1],
    [22, [33, 152], 2.8, 2],
    [28, [24, 163], 2.4, -1],
    [34, [47, 160], 3, 3],
    [40, [38, 170], 2.6, -2],
    [46, [58, 174], 2.6, 3],
  ];
  for (const [i, [foot, tip, width, bow]] of leaves.entries()) {
    if (i === 1) bulrush(d, [24, 206], [27, 153], 1.7);
    if (i === 4) bulrush(d, [15, 206], [11.6, 160], 1.6);
    if (i === 6) bulrush(d, [38, 206], [45, 168], 1.7);
    d.as('reeds', 0.62, () => reedLeaf(d, [foot, 207], tip, width, bow));
  }
  d.as('near bank', 0.3, () => {
    for (const x of [8, 14.4, 21, 29, 36.4, 43.6]) d.line(curve([x, 199, x + 1, 196.4, x + 2.8, 194.6]), 0.3);
  });
}
