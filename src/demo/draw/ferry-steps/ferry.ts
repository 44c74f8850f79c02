import { type Drawing, type P, along, arc, blob, curve, hanging, oval, poly, rect, sides, straight, ticks } from '../kit/index.ts';

/** Where the ferry meets the water, y. */
const AFLOAT = 130;
export const MAST_HEAD: P = [33.4, 27];
export const STEM_HEAD: P = [11.5, 101];
export const STERN_POLE: P = [106.5, 86];

const sheer: P[] = [
  [11, 100],
  [28, 108.4],
  [52, 112.4],
  [80, 111.6],
  [109, 104.6],
];
const stem: P[] = [
  [11, 100],
  [13.6, 111],
  [18.6, 122],
  [24, AFLOAT],
];
const waterline: P[] = [
  [24, AFLOAT],
  [60, AFLOAT + 1.4],
  [99, AFLOAT],
];
const transom: P[] = [
  [99, AFLOAT],
  [105, 119],
  [109, 104.6],
];
const hullShape = sides(stem, waterline, transom, [...sheer].reverse());
const cabinShape = poly([43, 113, 44, 92.6, 97, 91.6, 98.4, 111]);
const wheelhouseShape = poly([47.6, 92.6, 49, 75.6, 67.4, 75, 68.4, 92.4]);
const funnelShape = poly([77.6, 92, 79.4, 66, 89, 65.6, 89.6, 91.6]);
const windows = [47.4, 57.2, 67, 76.8, 86.6].map((x) => rounded(x, 95.6, 7.4, 8.4));

/** The ferry at her moorings, bow to the left. */
export function ferry(d: Drawing): void {
  mast(d);
  funnel(d);
  cabin(d);
  wheelhouse(d);
  hull(d);
}

function rounded(x: number, y: number, w: number, h: number): P[] {
  return sides(
    [x, y + h, x, y + 1.4, x + 0.5, y + 0.4, x + 1.5, y],
    [x + 1.5, y, x + w - 1.5, y],
    [x + w - 1.5, y, x + w - 0.5, y + 0.4, x + w, y + 1.4, x + w, y + h],
    [x + w, y + h, x, y + h],
  );
}

function mast(d: Drawing): void {
  d.as('mast and spars', 0.42, () => {
    d.shape(poly([32.6, 26, 34.2, 26, 35.6, 114, 31.6, 114]), () => ticks(d, poly([32.6, 30, 34.2, 30, 35.2, 110, 32, 110]), 2.4, 4, () => 89, { clear: 0.5 }));
    d.shape(poly([22, 44.6, 46, 41.4, 46.2, 43, 22.2, 46.2]));
    d.shape(oval([33.4, 24.8], 1.5, 1.5));
    d.shape(rect(31.4, 41.6, 35.8, 45.6));
    d.shape(poly([105.4, 84, 107, 84, 107.4, 108, 105, 108]));
    d.shape(oval([106.2, 83], 1.2, 1.2));
  });
  d.as('pennant', 0.38, () => {
    d.shape(sides([34.4, 27, 42, 25.4, 48, 28.6, 55, 27.4], [55, 27.4, 50, 30, 42, 31, 34.6, 33]), () => d.rule(straight([41.4, 24, 41.8, 33])));
  });
}

function funnel(d: Drawing): void {
  d.as('funnel', 0.46, () => {
    d.shape(funnelShape, () => {
      for (const y of [72.4, 77.6]) d.rule(arc([84, y], 8, 1.6, 0, 180));
      d.as('', 0.24, () => ticks(d, poly([86, 80, 89, 80, 89, 91, 86, 91]), 1.4, 3.6, () => 92, { clear: 0.5 }));
    });
    d.shape(oval([84.2, 66], 5.4, 1.7));
    d.shape(oval([84.2, 65.8], 3.6, 0.9));
  });
  d.as('ventilator', 0.4, () => {
    d.shape(poly([70.4, 92, 70.8, 84.6, 73.6, 84.6, 74, 92]));
    d.shape(sides([70.4, 85, 69.6, 81, 66.6, 79.6], [66.6, 79.6, 68, 77, 72, 77.4, 74.6, 80.6, 74.2, 85], [74.2, 85, 70.4, 85]));
    d.shape(oval([67.2, 78.6], 1.1, 1.9, 28));
  });
}

function cabin(d: Drawing): void {
  d.as('cabin', 0.44, () => d.shape(cabinShape, () => d.rule(curve([43, 106.6, 70, 107.4, 98.4, 105.6]))));
  for (const shape of windows) {
    const [x, y] = [shape[0][0], shape[0][1]];
    d.as('lit windows', 0.36, () =>
      d.shape(shape, () => {
        d.as('curtains', 0.3, () => {
          d.shape(sides([x - 1, y - 10, x - 1, y + 1], [x - 1, y + 1, x + 0.9, y - 2, x + 2.6, y - 9.4], [x + 2.6, y - 9.4, x - 1, y - 10]));
          d.shape(sides([x + 8.4, y - 10, x + 8.4, y + 1], [x + 8.4, y + 1, x + 6.5, y - 2, x + 4.8, y - 9.4], [x + 4.8, y - 9.4, x + 8.4, y - 10]));
        });
      }),
    );
  }
  d.as('cabin roof', 0.48, () =>
    d.shape(sides([40.6, 93.6, 41.4, 90.8, 70, 88.6, 99.6, 89.6], [99.6, 89.6, 100.6, 92.8], [100.6, 92.8, 70, 91.9, 40.6, 93.6])),
  );
  d.as('stern rail', 0.34, () => {
    for (const x of [100.6, 103.2]) d.rule(straight([x, 98, x, 108]));
    d.rule(curve([98, 98.6, 102, 98.2, 106, 97.4]));
  });
}

function wheelhouse(d: Drawing): void {
  d.as('wheelhouse', 0.44, () => d.shape(wheelhouseShape));
  for (const [x, w] of [
    [50.4, 4.2],
    [55.8, 4.6],
    [61.8, 4.2],
  ]) {
    d.as('lit windows', 0.34, () => d.shape(poly([x, 84.8, x + 0.2, 78.4, x + w, 78.2, x + w, 84.6])));
  }
  d.as('cabin roof', 0.46, () => d.shape(sides([45.6, 76.6, 46.6, 74, 58, 71.8, 69.6, 73.2], [69.6, 73.2, 70.4, 75.6], [70.4, 75.6, 58, 74.8, 45.6, 76.6])));
  d.as('masthead lamp', 0.36, () => {
    d.shape(sides([56.4, 72.2, 56, 69.2, 57.8, 67.4, 59.6, 69.2, 59.2, 72], [59.2, 72, 56.4, 72.2]));
    d.shape(sides([55.6, 68.6, 57.8, 65.6, 60, 68.4], [60, 68.4, 55.6, 68.6]));
  });
}

function hull(d: Drawing): void {
  d.as('hull', 0.62, () =>
    d.shape(hullShape, () => {
      d.as('', 0.34, () => {
        d.rule(curve([10, 106.4, 30, 115.4, 56, 119, 84, 118, 110, 111.2]));
        d.rule(curve([14, 117, 34, 123.4, 60, 125.4, 86, 124.6, 108, 118.6]));
        ticks(d, hullShape, 3.2, 6, ([x]) => (60 - x) * -0.16, {
          clear: 1.4,
          where: ([, y]) => (y > 125.5 ? 0.6 : 0.02),
        });
      });
    }),
  );
  d.as('gunwale', 0.48, () =>
    d.shape(sides(sheer, [109, 104.6, 109.6, 107.6], [109.6, 107.6, 80, 114.8, 52, 115.4, 28, 111.4, 11.4, 103.2], [11.4, 103.2, 11, 100])),
  );
  d.as('portholes', 0.42, () => {
    for (const [x, y] of [
      [27.4, 117.8],
      [39.6, 120.8],
      [76.6, 121.4],
    ]) {
      d.shape(oval([x, y], 2.5, 2.5));
      d.as('', 0.24, () => d.line(arc([x, y], 1.5, 1.5, 150, 300), 0.4));
    }
  });
  d.as('anchor', 0.36, () => {
    d.shape(
      sides(
        [17.6, 112, 18.9, 112],
        [18.9, 112, 19.3, 118.6],
        [19.3, 118.6, 21.6, 117.4, 22.2, 115.4],
        [22.2, 115.4, 23.2, 118.2],
        [23.2, 118.2, 21, 121, 18.4, 121.4, 15.8, 120.2],
        [15.8, 120.2, 14.6, 117],
        [14.6, 117, 16.2, 118.6, 17.9, 118.8],
        [17.9, 118.8, 17.6, 112],
      ),
    );
  });
  d.as('fenders', 0.42, () => {
    for (const x of [48.4, 66.8, 88]) {
      d.rule(straight([x, 114.8, x, 117.4]));
      d.shape(oval([x, 122], 2.3, 4.8), () => {
        d.rule(arc([x, 119.4], 3, 0.7, 0, 180));
      });
    }
  });
  d.as('life ring', 0.4, () => {
    d.place({ at: [58, 121.4] }, () => {
      d.shape(oval([0, 0], 4.2, 4), () => {
        for (const a of [45, 135, 225, 315]) {
          const r = (a * Math.PI) / 180;
          for (const off of [-0.22, 0.22])
            d.rule(straight([1.6 * Math.cos(r + off), 1.6 * Math.sin(r + off), 5 * Math.cos(r + off * 0.5), 5 * Math.sin(r + off * 0.5)]));
        }
      });
      d.shape(oval([0, 0], 2, 1.9));
    });
  });
}

/** Where the still water shows a point of the ferry: upside down, shortened, wavering more with depth. */
export function mirrored([x, y]: P): P {
  const below = (AFLOAT - y) * 0.74;
  return [x + (0.3 + below * 0.011) * Math.sin(below * 1.7 + x * 0.05), AFLOAT + 1 + below];
}

/** What the still water shows of the ferry. */
export function ferryReflection(d: Drawing): void {
  const shown = (points: readonly P[]) => points.map(mirrored);
  d.as('mast reflection', 0.28, () => d.shape(shown(poly([32.6, 58, 34.4, 58, 35.6, 114, 31.6, 114]))));
  d.as('cabin reflection', 0.3, () => {
    d.shape(shown(funnelShape), () => d.rule(shown(straight([76, 77.6, 92, 77.6]))));
    d.shape(shown(cabinShape));
    d.shape(shown(wheelhouseShape));
  });
  d.as('window reflections', 0.26, () => {
    for (const [x, y, w] of [...[47.4, 57.2, 67, 76.8, 86.6].map((left) => [left, 101, 7.4]), [50.4, 82, 4.6], [58, 81.6, 8]]) {
      const [cx, cy] = mirrored([x + w / 2, y]);
      const half = w / 2;
      d.shape(blob([cx - half, cy, cx - half * 0.3, cy - 1.3, cx + half * 0.5, cy - 1, cx + half, cy, cx + half * 0.3, cy + 1.2, cx - half * 0.5, cy + 1.3]));
    }
  });
  d.as('hull reflection', 0.34, () =>
    d.shape(shown(hullShape), () => {
      d.rule(shown(curve([10, 106.4, 30, 115.4, 56, 119, 84, 118, 110, 111.2])));
      d.rule(shown(curve([14, 117, 34, 123.4, 60, 125.4, 86, 124.6, 108, 118.6])));
    }),
  );
}

/** Points of a rope between two of the ferry's points, for its lanterns. */
export function roped(from: P, to: P, sag: number, shares: readonly number[]): P[] {
  return shares.map((t) => hanging(from, to, sag, t));
}

/** The gangplank from the landing to the ferry's deck. */
export function gangplank(d: Drawing): void {
  const [a, b, c, e]: P[] = [
    [99.6, 107.4],
    [126, 119.8],
    [121, 123.4],
    [95.6, 109.6],
  ];
  d.as('gangplank', 0.46, () =>
    d.shape(poly([a, b, c, e]), () => {
      for (const t of [0.18, 0.36, 0.54, 0.72, 0.88]) {
        const [p, q] = [along(a, b, t), along(e, c, t)];
        d.rule(straight([along(p, q, -0.3), along(p, q, 1.3)]));
      }
    }),
  );
}
