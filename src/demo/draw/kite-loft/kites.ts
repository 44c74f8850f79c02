import { type Drawing, type P, along, arc, blob, curve, oval, polar, poly, sides, straight } from '../kit/index.ts';

/** How the cloth of one panel of a kite is printed. */
export type Print = 'plain' | 'stripes' | 'scallops' | 'spots' | 'chevrons';

/** A panel between a kite's middle and two of its corners, printed across from the middle outwards. */
function panel(d: Drawing, thing: string, middle: P, a: P, b: P, print: Print): void {
  const across = (t: number): [P, P] => [along(middle, a, t), along(middle, b, t)];
  d.as(thing, 0.42, () =>
    d.shape(poly([middle, a, b]), () => {
      if (print === 'stripes') for (const t of [0.4, 0.7]) d.rule(straight(across(t)));
      if (print === 'chevrons') {
        for (const t of [0.42, 0.72]) {
          const [p, q] = across(t);
          d.rule(straight([p, along(middle, along(a, b, 0.5), t * 1.32), q]));
        }
      }
      if (print === 'scallops') {
        for (const [t, n] of [
          [0.42, 2],
          [0.72, 3],
        ]) {
          const [p, q] = across(t);
          const r = Math.hypot(q[0] - p[0], q[1] - p[1]) / n / 2;
          const turn = (Math.atan2(q[1] - p[1], q[0] - p[0]) * 180) / Math.PI;
          const outward = (q[0] - p[0]) * (p[1] - middle[1]) - (q[1] - p[1]) * (p[0] - middle[0]) > 0 ? 1 : -1;
          d.rule(Array.from({ length: n }, (_, i) => arc(along(p, q, (i + 0.5) / n), r, r * 0.8 * outward, 180, 0, turn)).flat());
        }
      }
      if (print === 'spots')
        for (const [t, s] of [
          [0.4, 0.5],
          [0.72, 0.26],
          [0.72, 0.74],
        ])
          d.shape(oval(along(...across(t), s), 1.8));
    }),
  );
}

/** A diamond kite with four printed panels, spars and bridle; corners in its own mm about its middle. */
export function diamond(d: Drawing, thing: string, at: P, turn: number, size: number, prints: readonly Print[]): void {
  const corners: P[] = [
    [0, -16],
    [13, -3],
    [0, 22],
    [-13, -3],
  ];
  d.place({ at, turn, size }, () => {
    corners.forEach((corner, i) => panel(d, thing, [0, -3], corner, corners[(i + 1) % 4], prints[i]));
    d.as('spars', 0.36, () => {
      d.shape(poly([-0.5, -16.6, 0.5, -16.6, 0.5, 22.4, -0.5, 22.4]));
      d.shape(poly([-13.4, -3.5, 13.4, -3.5, 13.4, -2.5, -13.4, -2.5]));
    });
  });
}

/** A six-sided kite with a rising sun on it. */
export function sixSided(d: Drawing, at: P, turn: number, size: number): void {
  const corners: P[] = [
    [0, -22],
    [15, -12],
    [15, 12],
    [0, 22],
    [-15, 12],
    [-15, -12],
  ];
  d.place({ at, turn, size }, () => {
    d.as('sun kite', 0.56, () => {
      d.shape(poly(corners), () => {
        d.as('sun kite', 0.38, () => {
          for (let i = 0; i < 5; i++) {
            const a = 190 + i * 35;
            d.shape(poly([[0, 4], polar([0, 4], 40, a), polar([0, 4], 40, a + 18)]));
          }
          d.shape(oval([0, 4], 9));
        });
        d.as('kite waves', 0.4, () => {
          for (const [y, off] of [
            [7, 0],
            [13, 4],
          ]) {
            const crest = Array.from({ length: 5 }, (_, i): P[] => arc([-16 + off + i * 8 - 4, y + 1.6], 4, 3, 180, 360)).flat();
            d.shape([...crest, [24, 26], [-24, 26]]);
          }
        });
      });
    });
    d.as('', 0.4, () => {
      for (const s of [-1, 1]) d.line(straight([s * 15.6, -12 * s, s * 11, -12 * s]), 0.7);
    });
  });
}

/** A bird kite with feathered wings, hung by its back. */
export function bird(d: Drawing, at: P, turn: number, size: number): void {
  d.place({ at, turn, size }, () => {
    for (const mirrored of [true, false]) {
      d.place({ at: [0, 0], mirrored }, () => {
        d.as('bird kite', 0.44, () => {
          for (let i = 2; i >= 0; i--) {
            const x = 6.4 + i * 6.8;
            const drop = 9.6 - i * 1.6;
            d.shape(sides([x - 3.6, -2, x - 2.8, drop - 2, x + 0.6, drop], [x + 0.6, drop, x + 4.4, drop - 2.4, x + 5.6, -3], [x + 5.6, -3, x - 3.6, -2]));
          }
          d.shape(sides([1, -4, 9, -7.4, 18, -7.6, 28, -3.4], [28, -3.4, 22, -1.4, 14, 0.6, 3, 2.6], [3, 2.6, 1, -4]), () => {
            d.as('', 0.28, () => d.line(curve([4, -1.6, 12, -3, 24, -3]), 0.3));
          });
        });
      });
    }
    d.as('bird kite', 0.5, () => {
      d.shape(sides([-1.6, 8, -5, 17, -6.4, 20], [-6.4, 20, 0, 18, 6.4, 20], [6.4, 20, 5, 17, 1.6, 8], [1.6, 8, -1.6, 8]), () => {
        for (const s of [-1, 1]) d.rule(straight([s * 0.6, 7, s * 2, 20]));
      });
      d.shape(blob([0, -11, -3.4, -7, -3.8, 0, -2.4, 7, 0, 10, 2.4, 7, 3.8, 0, 3.4, -7]), () => {
        d.rule(arc([0, 1], 4, 1.6, 0, 180));
      });
      d.shape(sides([-1.4, -9.6, 0, -14], [0, -14, 1.4, -9.6], [1.4, -9.6, 0, -9, -1.4, -9.6]));
      for (const x of [-1.7, 1.7]) d.shape(oval([x, -6.6], 0.9));
    });
  });
}

/** A fish streamer of cloth, hung by its mouth. */
export function streamer(d: Drawing, at: P, turn: number, size: number): void {
  d.place({ at, turn, size }, () =>
    d.as('fish streamer', 0.46, () => {
      d.shape(sides([-3, 30, -9, 38, -10, 43], [-10, 43, -3, 39.6, 0, 40.6], [0, 40.6, 4, 39, 9.6, 44], [9.6, 44, 9, 38, 3, 30], [3, 30, -3, 30]), () => {
        for (const s of [-1.4, 0.2, 1.6]) d.rule(straight([s, 29, s * 3.4, 44]));
      });
      for (const s of [-1, 1]) d.shape(sides([s * 5.6, 11, s * 11, 13, s * 12, 18], [s * 12, 18, s * 8.4, 17.4, s * 5.4, 19.4], [s * 5.4, 19.4, s * 5.6, 11]));
      const body = sides([-5, 0, -7, 8, -6, 20, -3, 31], [-3, 31, 3, 31], [3, 31, 6, 20, 7, 8, 5, 0], [5, 0, -5, 0]);
      d.shape(body, () => {
        d.as('fish streamer', 0.34, () => {
          for (const [y, w] of [
            [16.4, 5],
            [21, 4.2],
            [25.6, 3.2],
          ])
            for (const s of [-0.5, 0.5]) d.line(arc([s * w, y], w * 0.4, 2.6, 20, 160), 0.4);
          d.shape(sides([-8, -1, -8, 9], [-8, 9, 0, 13, 8, 9], [8, 9, 8, -1], [8, -1, -8, -1]));
        });
        for (const s of [-1, 1]) {
          d.shape(oval([s * 3.2, 5.6], 1.7));
          d.shape(oval([s * 3.2, 5.6], 0.8));
        }
      });
      d.shape(oval([0, 0], 5.2, 1.8));
    }),
  );
}

/** A ribbon along a line: it turns over `turns` times, showing its other side. */
export function ribbon(d: Drawing, thing: string, through: readonly P[], width: number, turns: number): void {
  const path = curve(through);
  const half = path.map((p, i) => {
    const [a, b] = [path[Math.max(0, i - 1)], path[Math.min(path.length - 1, i + 1)]];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    const w = (width / 2) * Math.cos((i / (path.length - 1)) * Math.PI * (turns + 0.5) * 0.999);
    return { p, n: [(-(b[1] - a[1]) / length) * w, ((b[0] - a[0]) / length) * w] as const, front: w > 0 };
  });
  let from = 0;
  for (let i = 1; i <= half.length; i++) {
    if (i < half.length && half[i].front === half[from].front) continue;
    const piece = half.slice(from, i);
    if (piece.length > 4) {
      const shape = [...piece.map(({ p, n }): P => [p[0] + n[0], p[1] + n[1]]), ...piece.map(({ p, n }): P => [p[0] - n[0], p[1] - n[1]]).reverse()];
      d.as(thing, 0.44, () => d.shape(shape));
    }
    from = i;
  }
}

/** A paper bow tied into a tail. */
export function bow(d: Drawing, at: P, turn: number, size: number): void {
  d.place({ at, turn, size }, () =>
    d.as('bows', 0.42, () => {
      for (const mirrored of [false, true])
        d.place({ at: [0, 0], mirrored }, () =>
          d.shape(sides([0.2, 0, 2, -1.6, 4, -1.9], [4, -1.9, 4.4, 0, 4, 1.9], [4, 1.9, 2, 1.6, 0.2, 0]), () =>
            d.as('', 0.24, () => d.line(straight([0.8, 0, 2.8, 0.1]), 0.3)),
          ),
        );
      d.shape(oval([0, 0], 0.8, 1));
    }),
  );
}

/** A box kite standing on the floor: two bands of cloth round four sticks. */
export function boxKite(d: Drawing, at: P, turn: number): void {
  d.place({ at, turn }, () => {
    const [dx, dy] = [9, -5.4];
    const stick = (x: number, y: number) => d.as('spars', 0.38, () => d.shape(poly([x - 0.6, y - 38, x + 0.6, y - 38, x + 0.6, y, x - 0.6, y])));
    for (const [top, foot] of [
      [-37, -25],
      [-13, -1],
    ]) {
      d.as('box kite', 0.46, () => {
        d.shape(poly([-9 + dx, top + dy, 9 + dx, top + dy, 9, top, -9, top]));
        d.shape(poly([9, top, 9 + dx, top + dy, 9 + dx, foot + dy, 9, foot]), () => {
          for (const t of [0.5]) d.rule(straight([along([9, top], [9 + dx, top + dy], t), along([9, foot], [9 + dx, foot + dy], t)]));
        });
        d.shape(poly([-9, top, 9, top, 9, foot, -9, foot]), () => {
          d.shape(poly([0, top + 1.8, 6, (top + foot) / 2, 0, foot - 1.8, -6, (top + foot) / 2]));
        });
      });
    }
    for (const [x, y] of [
      [9 + dx, dy],
      [-9, 0],
      [9, 0],
    ])
      stick(x, y);
  });
}
