import { type Drawing, type P, along } from '../kit.ts';

export const MAST_HEAD: P = [40, 36];
export const BOW: P = [12, 107];
export const STERN: P = [103, 96];

/** What the still water shows of the ferry: hull and cabin upside down, broken by ripples. */
export function ferryReflection(d: Drawing): void {
  d.as('ferry reflection', 0.34, () => {
    const waver = (x: number, y: number): P => [x + d.between(-0.8, 0.8), y];
    d.sides(
      [waver(20, 131), waver(19, 137), waver(24, 143), waver(26, 150), waver(34, 153)],
      [
        [34, 153],
        [60, 155],
        [92, 151],
      ],
      [waver(92, 151), waver(97, 144), waver(98, 137), waver(95, 131)],
    );
    d.curve([21, 139], [45, 142], [70, 142.5], [97, 139]);
    d.curve([25, 146], [50, 148.5], [74, 148.5], [95, 145]);
    d.sides(
      [waver(46, 153.5), waver(45, 160), waver(48, 166)],
      [
        [48, 166],
        [62, 168],
        [80, 165],
      ],
      [waver(80, 165), waver(83, 159), waver(81, 153)],
    );
  });
}

/** The ferry at her moorings, bow to the left: mast, funnel, cabin, hull of three strakes, rail and fenders. */
export function ferry(d: Drawing): void {
  d.as('mast and spars', 0.4, () => {
    d.poly([39.3, 36], [40.7, 36], [41.5, 118], [38.5, 118]);
    d.poly([101.8, 95], [103.6, 95], [103.6, 117], [101.4, 117]);
  });
  d.as('funnel', 0.44, () => {
    d.poly([72, 94], [73.2, 72], [83, 72], [84, 94]);
    d.ellipse(78.1, 72, 5, 1.5);
    d.curve([72.7, 82], [78, 83.4], [83.6, 82]);
    d.curve([72.5, 86.5], [78, 87.9], [83.8, 86.5]);
  });
  d.as('cabin', 0.44, () => {
    d.poly([48, 115], [49, 95], [92, 95], [93, 115]);
    for (const x of [53, 89]) d.line([x, 95], [x, 114]);
  });
  d.as('cabin roof', 0.46, () =>
    d.sides(
      [
        [45.5, 95.6],
        [46, 92.2],
        [70, 90.4],
        [95, 92.2],
      ],
      [
        [95, 92.2],
        [95.6, 95.8],
      ],
      [
        [95.6, 95.8],
        [45.5, 95.6],
      ],
    ),
  );
  for (let i = 0; i < 4; i++) {
    const x = 55.5 + i * 8.4;
    d.as('lit windows', 0.34, () => {
      d.poly([x, 108.5], [x, 99], [x + 6, 99], [x + 6, 108.5]);
      d.line([x + 3, 99], [x + 3, 108.5]);
    });
  }
  hull(d);
}

function hull(d: Drawing): void {
  const bow: P[] = [
    [12, 106],
    [15, 116],
    [19, 124],
    [24, 132.5],
  ];
  const sheer: P[] = [
    [104, 113],
    [80, 116.5],
    [50, 116.5],
    [28, 112.5],
    [12, 106],
  ];
  d.as('hull', 0.55, () =>
    d.sides(
      sheer,
      bow,
      [
        [24, 132.5],
        [60, 134],
        [96, 132.5],
      ],
      [
        [96, 132.5],
        [101, 124],
        [104, 113],
      ],
    ),
  );
  d.as('hull', 0.34, () => {
    d.curve([17.6, 121], [32, 124.4], [60, 126.2], [84, 125.6], [101.2, 122.2]);
    d.curve([20.8, 127], [36, 129.4], [60, 130.4], [84, 130], [98.8, 127.6]);
  });
  d.as('rubbing strake', 0.4, () =>
    d.sides(
      [
        [12, 106],
        [28, 112.5],
        [50, 116.5],
        [80, 116.5],
        [104, 113],
      ],
      [
        [104, 113],
        [103.4, 116],
      ],
      [
        [103.4, 116],
        [80, 119.6],
        [50, 119.6],
        [28, 115.7],
        [13, 109.4],
      ],
      [
        [13, 109.4],
        [12, 106],
      ],
    ),
  );
  d.as('fenders', 0.4, () => {
    for (const x of [36, 58, 80]) {
      d.line([x, 119], [x, 121]);
      d.ellipse(x, 124.4, 2.3, 3.8);
      d.curve([x - 2.1, 123], [x, 123.8], [x + 2.1, 123]);
    }
  });
  d.as('life ring', 0.4, () => {
    d.ellipse(92, 121.2, 3.6, 3.4);
    d.ellipse(92, 121.2, 1.7, 1.6);
    for (const a of [45, 135, 225, 315]) {
      const [c, s] = [Math.cos((a * Math.PI) / 180), Math.sin((a * Math.PI) / 180)];
      d.line([92 + 1.7 * c, 121.2 + 1.6 * s], along([92, 121.2], [92 + 3.6 * c, 121.2 + 3.4 * s], 1));
    }
  });
}
