import { type Drawing, type P, along, arc, blob, curve, oval, poly, rect, sides, straight, ticks } from '../kit/index.ts';

/** Where the lines of the loft run to. */
const VANISHING: P = [108, 74];
/** A point of the room: place on the gable wall, and how much nearer than that wall (1 is on it). */
function at(x: number, y: number, near: number): P {
  return [VANISHING[0] + (x - VANISHING[0]) * near, VANISHING[1] + (y - VANISHING[1]) * near];
}
const GABLE: readonly P[] = [
  [66, 110],
  [66, 60],
  [108, 18],
  [150, 60],
  [150, 110],
];
const NEAREST = 3.4;

/** The empty loft: gable wall, boarded roof and floor, low side walls, and the tie beam that the kites hang from. */
export function loft(d: Drawing): void {
  const [lf, le, ridge, re, rf] = GABLE;
  const out = (p: P) => at(p[0], p[1], NEAREST);
  d.as('roof boards', 0.36, () => {
    for (const [eave, top] of [
      [le, ridge],
      [re, ridge],
    ]) {
      d.shape(poly([eave, top, out(top), out(eave)]), () =>
        d.as('', 0.3, () => {
          for (const [t, from, to] of [
            [0.24, 1.15, 1.9],
            [0.24, 2.1, 3.2],
            [0.5, 1.1, 1.6],
            [0.5, 1.85, 3],
            [0.76, 1.3, 2.2],
          ]) {
            const [x, y] = along(eave, top, t);
            d.line(straight([at(x, y, from), at(x, y, to)]), 0.5);
          }
        }),
      );
    }
  });
  d.as('side walls', 0.4, () => {
    for (const [foot, eave] of [
      [lf, le],
      [rf, re],
    ]) {
      const wall = poly([foot, eave, out(eave), out(foot)]);
      d.shape(wall, () => {
        d.as('', 0.3, () => {
          for (const n of [1.3, 1.8, 2.3]) d.line(straight([at(foot[0], 103, n), at(eave[0], 62 + 6 / n, n)]), 0.5);
        });
        d.as('', 0.22, () => ticks(d, wall, 3, 5, () => 90, { clear: 1, where: () => 0.12 }));
      });
    }
  });
  d.as('floor boards', 0.42, () => {
    for (let i = 0; i < 5; i++) {
      const [a, b] = [along(lf, rf, i / 5), along(lf, rf, (i + 1) / 5)];
      const board = poly([a, b, out(b), out(a)]);
      d.shape(board, () =>
        d.as('', 0.22, () =>
          ticks(d, board, 3, 4, ([x, y]) => (Math.atan2(y - VANISHING[1], x - VANISHING[0]) * 180) / Math.PI, {
            clear: 0.9,
            where: ([, y]) => (y > 120 ? 0.2 : 0),
          }),
        ),
      );
    }
  });
  d.as('gable wall', 0.42, () =>
    d.shape(poly(GABLE), () => {
      d.as('', 0.3, () => {
        for (const x of [76, 88, 100, 116, 128, 140]) d.line(straight([x, 96, x, 105]), 0.5);
        for (const x of [72, 78, 138, 144]) d.line(straight([x, 64 - Math.abs(108 - x) * 0.2, x, 88]), 0.5);
      });
    }),
  );
  d.as('skirting', 0.4, () => d.shape(poly([66, 106.6, 150, 106.6, 150, 110, 66, 110])));
  gableWindow(d);
}

function gableWindow(d: Drawing): void {
  const c: P = [108, 66];
  d.as('window frame', 0.5, () => d.shape(oval(c, 25)));
  d.as('evening sky', 0.36, () =>
    d.shape(oval(c, 21.6), () => {
      d.as('low sun', 0.36, () => d.shape(oval([99, 71], 4.6)));
      d.as('far clouds', 0.32, () => d.shape(blob([84, 60, 90, 56.6, 97, 58, 104, 57, 110, 60.6, 100, 62.4, 90, 61.4])));
      d.as('far kite', 0.34, () => {
        const [t, r, b, l]: P[] = [
          [119, 49],
          [122.6, 54],
          [118, 61.4],
          [114.6, 53],
        ];
        d.shape(poly([t, r, b, l]), () => d.rule(straight([l, r])));
      });
      d.as('', 0.3, () => d.line(curve([118, 61.4, 116, 64.6, 118.6, 67, 116.6, 70]), 0.5));
      d.as('harbour water', 0.36, () =>
        d.shape(rect(80, 74.6, 136, 92), () =>
          d.as('', 0.24, () => {
            for (const [x, y, w] of [
              [92, 78.4, 8],
              [104, 81.6, 10],
              [116, 78, 7],
              [98, 85, 9],
            ])
              d.line(curve([x, y, x + w / 2, y - 0.6, x + w, y]), 0.3);
          }),
        ),
      );
      d.as('headland', 0.36, () => d.shape(sides([136, 75.4, 122, 75.4], [122, 75.4, 124, 70.6, 130, 68], [130, 68, 137, 68.6], [137, 68.6, 136, 75.4])));
      d.as('sail', 0.34, () => {
        d.shape(sides([111.4, 77, 111.6, 67.6], [111.6, 67.6, 115.6, 72, 116.6, 76.4], [116.6, 76.4, 111.4, 77]));
        d.shape(sides([108.8, 77.6, 118, 77.6], [118, 77.6, 116.6, 79.8, 110.4, 79.8], [110.4, 79.8, 108.8, 77.6]));
      });
    }),
  );
  d.as('glazing bars', 0.4, () => {
    d.shape(poly([107, 44, 109, 44, 109, 88, 107, 88]));
    d.shape(poly([86, 65, 130, 65, 130, 67, 86, 67]));
    d.shape(oval(c, 2.4));
  });
  d.as('window sill', 0.48, () => d.shape(poly([86, 90, 130, 90, 133, 93.6, 83, 93.6])));
}

/** The tie beam with its braces, in front of the gable. */
export function tieBeam(d: Drawing): void {
  d.as('tie beam', 0.5, () => {
    for (const mirrored of [false, true]) {
      d.place({ at: [108, 0], mirrored }, () => {
        d.shape(poly([66, 43.6, 33, 0, 40, 0, 72.6, 43.6]));
      });
    }
    const beam = poly([2, 37.4, 208, 36.6, 208, 44, 2, 44.6]);
    d.shape(beam, () =>
      d.as('', 0.26, () => {
        ticks(d, beam, 2.4, 7, () => 0, { clear: 1, where: () => 0.4 });
        d.line(arc([76, 41], 2.4, 1.2, 0, 360), 1);
      }),
    );
  });
}
