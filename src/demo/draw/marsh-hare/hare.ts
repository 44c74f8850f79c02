import { type Drawing, type P, arc, blob, curve, moved, oval, sides, ticks } from '../kit/index.ts';

/** The hare, sitting up and looking to the right; the origin is under its feet. All coordinates as if it looked left. */
export function hare(d: Drawing, at: P): void {
  d.place({ at, mirrored: true }, () => {
    tail(d);
    ear(
      d,
      [
        [-4, -82],
        [-7, -98],
        [-4.4, -115],
        [1.4, -126],
      ],
      [
        [1.4, -126],
        [6.6, -114],
        [7.4, -98],
        [5, -80],
      ],
      false,
    );
    d.as('hare legs', 0.56, () => {
      d.shape(blob([-6, -40, -13, -24, -12.6, -8, -17, -2.4, -16, 0.8, -6, 0.8, -4, -10, -1, -30]));
    });
    body(d);
    foreleg(d);
    haunch(d);
    ear(
      d,
      [
        [2.6, -80],
        [2, -96],
        [8, -114],
        [16, -124],
      ],
      [
        [16, -124],
        [20.4, -112],
        [18, -94],
        [10.6, -78],
      ],
      true,
    );
    head(d);
    cheek(d);
  });
}

/** The outline broken into locks of fur between two shares of its length, each drawn out along `lie` (mm). */
function furred(d: Drawing, shape: readonly P[], from: number, to: number, lie: P): P[] {
  const [first, last] = [Math.round(from * shape.length), Math.round(to * shape.length)];
  const out: P[] = shape.slice(0, first + 1);
  let i = first;
  while (i < last) {
    const base = shape[i];
    let k = i + 1;
    const wide = d.between(2, 3.6);
    while (k < last && Math.hypot(shape[k][0] - base[0], shape[k][1] - base[1]) < wide) k++;
    const [dx, dy] = [shape[k][0] - base[0], shape[k][1] - base[1]];
    const length = Math.hypot(dx, dy) || 1;
    const reach = d.between(0.5, 1.1);
    const tip: P = [shape[k][0] + (dy / length) * reach + lie[0], shape[k][1] - (dx / length) * reach + lie[1]];
    const belly: P = [base[0] + dx * 0.55 + (dy / length) * reach * 1.1, base[1] + dy * 0.55 - (dx / length) * reach * 1.1];
    out.push(...curve([base, belly, tip]).slice(1), shape[k]);
    i = k;
  }
  return [...out, ...shape.slice(i + 1)];
}

function tail(d: Drawing): void {
  d.as('hare tail', 0.56, () => {
    const shape = blob([28, -16, 36, -17, 42, -11, 40, -4, 32, -3, 27, -8]);
    d.shape(furred(d, shape, 0.02, 0.72, [0.5, 0.5]), () => d.as('', 0.24, () => ticks(d, shape, 2, 3, () => 25, { clear: 1, where: () => 0.6 })));
  });
}

function body(d: Drawing): void {
  const shape = blob([4, -76, 15, -68, 25, -52, 32.5, -33, 35, -14, 28, -1, 6, 0.6, -8, -3, -11.6, -20, -17, -36, -18.4, -50, -14, -64]);
  d.as('hare body', 0.62, () =>
    d.shape(furred(d, shape, 0.78, 0.97, [-0.3, 0.9]), () => {
      const bib = blob([-6, -66, 0, -60, -1, -46, -6.4, -30, -13, -20, -26, -30, -28, -52, -18, -66]);
      d.as('hare chest', 0.44, () => d.shape(furred(d, bib, 0.12, 0.5, [0, 1.1])));
      d.as('', 0.26, () => {
        ticks(d, shape, 2.1, 3.6, ([x, y]) => 72 - (y + 40) * 0.5 + x * 0.4, {
          clear: 1.2,
          where: ([x, y]) => Math.max(0, Math.min(0.85, (x - 8 + (y + 60) * 0.12) / 24)),
        });
        ticks(d, shape, 2.6, 3.2, () => 66, {
          clear: 1.2,
          where: ([x, y]) => (x < -8 && y > -56 && y < -24 ? 0.45 : 0),
        });
      });
    }),
  );
}

function foreleg(d: Drawing): void {
  d.as('hare legs', 0.58, () => {
    const leg = blob([-1, -36, -8, -30, -9.4, -18, -8.4, -7, -12.6, -2.6, -12, 0.9, -2, 0.9, 0.6, -8, 4, -24]);
    d.shape(leg, () => {
      d.as('', 0.28, () => {
        for (const x of [-9.8, -7.4]) d.line(curve([x, -1.4, x - 0.6, -0.2, x - 0.4, 1]), 0.4);
        ticks(d, leg, 1.8, 2.8, () => 86, { clear: 1, where: ([x, y]) => (y < -10 && x > -5 ? 0.7 : 0.12) });
      });
    });
  });
}

function haunch(d: Drawing): void {
  const thigh = blob([6, -36, 18, -38, 29, -29, 32, -15, 26, -3, 14, -0.4, 4, -8, 0.6, -22]);
  d.as('hare haunch', 0.6, () =>
    d.shape(thigh, () =>
      d.as('', 0.26, () =>
        ticks(d, thigh, 2.1, 3.4, ([x, y]) => 60 + (x - 16) * 2.2 - (y + 20) * 0.8, {
          clear: 1.4,
          where: ([x, y]) => Math.min(0.8, Math.max(0.04, (x + y + 2) / 16)),
        }),
      ),
    ),
  );
  d.as('hare legs', 0.58, () => {
    const foot = blob([24, -7, 12, -6.4, 0, -5.4, -6.4, -3.6, -7.4, 0, -2, 1.7, 14, 1.8, 26, 1]);
    d.shape(foot, () => {
      d.as('', 0.28, () => {
        for (const x of [-4.4, -1.6]) d.line(curve([x, -3, x - 1.2, -1, x - 0.8, 1]), 0.4);
        ticks(d, foot, 2, 2.6, () => 4, { clear: 1, where: ([, y]) => (y > -2.6 ? 0.5 : 0.05) });
      });
    });
  });
}

function head(d: Drawing): void {
  const shape = blob([
    4, -87, -4, -89.6, -11.4, -87, -17.4, -81.6, -22.6, -75.6, -25, -70.6, -23.4, -65.4, -18, -62, -9, -58.8, 1, -59, 9, -65, 11.4, -74, 9.6, -82,
  ]);
  d.as('hare head', 0.6, () =>
    d.shape(furred(d, shape, 0.58, 0.8, [0.9, 0.5]), () => {
      d.as('', 0.26, () => {
        ticks(d, shape, 1.9, 2.6, ([x, y]) => 28 + (y + 72) * 1.4 - x * 0.6, {
          clear: 1,
          where: ([x, y]) => (x > -4 && y > -80 ? 0.55 : y < -82 ? 0.5 : 0),
        });
      });
    }),
  );
  d.as('hare muzzle', 0.44, () =>
    d.shape(blob([-15.4, -72.6, -21.6, -74, -25.2, -70.4, -23.4, -65.2, -17.4, -62, -12.4, -65.4]), () => {
      for (const [x, y] of [
        [-19.2, -68.8],
        [-17.4, -67],
        [-20, -66.8],
        [-16.8, -69.4],
      ])
        d.dot([x, y], 0.16);
    }),
  );
  d.as('hare nose', 0.44, () => d.shape(blob([-21.4, -75, -24, -73.4, -25.4, -70.4, -23.4, -70, -21, -72])));
  d.as('', 0.36, () => d.line(curve([-24.4, -69.6, -22.4, -66.8, -18, -65.6]), 0.4));
  d.as('hare eye', 0.5, () => {
    d.shape(blob([-14, -77.4, -11, -80.8, -7, -80.4, -4.4, -77, -7, -74.6, -11.4, -74.8]), () => {
      d.as('hare eye', 0.36, () => {
        d.shape(oval([-9.3, -77.6], 4.1, 3.9));
        d.shape(oval([-10.2, -78.7], 0.95, 0.85));
      });
    });
  });
  d.as('', 0.34, () => {
    d.line(curve([-14.6, -80.4, -11, -83, -6, -82.6, -3, -79.4]), 0.3);
    d.line(curve([-12, -73.4, -9, -72.6, -6.6, -73]), 0.3);
  });
}

function cheek(d: Drawing): void {
  d.as('', 0.22, () => {
    for (const [a, b, c] of [
      [
        [-18, -67.4],
        [-27, -63],
        [-33, -55],
      ],
      [
        [-17.4, -66.6],
        [-24, -59],
        [-27.6, -51],
      ],
      [
        [-18.4, -68.4],
        [-29, -67],
        [-37, -63],
      ],
    ] as P[][])
      d.line(curve([a, b, c]), 0.3);
  });
  d.as('', 0.26, () => d.line(arc([-1, -70], 7, 8, 20, 110), 0.3));
}

function ear(d: Drawing, front: P[], back: P[], near: boolean): void {
  const shape = sides(front, back, [back[back.length - 1], front[0]]);
  const inner = moved(shape, ([x, y]): P => {
    const lean = ((y + 80) / -44) * 9;
    return [7 + lean + (x - 7 - lean) * 0.52 - 0.8, -98 + (y + 98) * 0.84];
  });
  d.as('hare ears', near ? 0.58 : 0.5, () =>
    d.shape(shape, () => {
      d.as('hare ear tips', 0.4, () => {
        const [tx, ty] = back[0];
        d.shape(furred(d, blob([tx - 12, ty - 4, tx + 9, ty - 5, tx + 9, ty + 9, tx - 1, ty + 11, tx - 10, ty + 10]), 0.42, 0.84, [-0.2, 1.4]));
      });
      if (near)
        d.as('hare inner ears', 0.42, () =>
          d.shape(inner, () => d.as('', 0.24, () => ticks(d, inner, 1.5, 3.4, () => 84, { clear: 0.6, where: ([x]) => (x > 8 ? 0.9 : 0.15) }))),
        );
      else d.as('', 0.24, () => ticks(d, shape, 1.9, 3.4, () => 88, { clear: 1, where: () => 0.5 }));
    }),
  );
}
