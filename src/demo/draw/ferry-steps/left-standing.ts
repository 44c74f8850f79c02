import { type Drawing, type P, arc, curve, hanging, oval, poly, rect, sides, stipple, straight, ticks } from '../kit/index.ts';

/** The bell on its post at the head of the steps. */
export function bell(d: Drawing, [x, y]: P): void {
  d.place({ at: [x, y] }, () => {
    d.as('bell post', 0.5, () => {
      d.shape(poly([-1.9, 0, -1.6, -44, 1.6, -44, 1.9, 0]), () =>
        ticks(d, poly([-1.9, 0, -1.6, -44, 1.6, -44, 1.9, 0]), 1.8, 4, () => 90, {
          clear: 0.5,
          where: () => 0.5,
        }),
      );
      d.shape(sides([-1.7, -30, -4, -35, -8, -39.4], [-8, -39.4, -6, -39.6], [-6, -39.6, -3.6, -36.6, -1.7, -34], [-1.7, -34, -1.7, -30]));
      d.shape(poly([-17, -39.2, -17.4, -42.4, 3.6, -43.6, 3.6, -40.2]));
      d.shape(sides([-2.4, -43.4, -1.8, -46, 0, -47.4, 1.8, -46, 2.4, -43.4], [2.4, -43.4, -2.4, -43.4]));
      d.shape(poly([-3.4, 0.8, -3, -3.4, 3, -3.4, 3.4, 0.8]));
    });
    d.as('brass bell', 0.54, () => {
      d.line(curve([-11.4, -19.6, -10.9, -15, -11.4, -11.6]), 0.8);
      d.shape(oval([-11.4, -20.4], 1.7, 2));
      const body = sides(
        [-13.6, -37, -15.6, -34.6, -16.2, -29, -17.6, -25.4, -19.8, -22.6],
        [-19.8, -22.6, -11.4, -20.4, -3, -22.6],
        [-3, -22.6, -5.2, -25.4, -6.6, -29, -7.2, -34.6, -9.2, -37],
        [-9.2, -37, -11.4, -37.8, -13.6, -37],
      );
      d.shape(body, () => {
        d.as('', 0.34, () => {
          d.rule(arc([-11.4, -33.4], 6, 1.1, 0, 180));
          d.rule(arc([-11.4, -31.8], 6, 1.1, 0, 180));
          d.rule(arc([-11.4, -26], 8, 1.7, 0, 180));
        });
        d.as('', 0.24, () => {
          d.line(curve([-14.4, -30, -15, -28.6, -15.8, -26.6]), 0.3);
          d.line(curve([-7.6, -30, -7.1, -28.4, -6.4, -26.4]), 0.3);
        });
      });
      d.shape(sides([-12.6, -37.2, -13.2, -40, -11.4, -41.4, -9.6, -40, -10.2, -37.2], [-10.2, -37.2, -12.6, -37.2]));
      d.shape(oval([-11.4, -10.4], 0.9, 1.5));
    });
  });
}

/** A mooring post with the ferry's line about it. */
export function bollard(d: Drawing, [x, y]: P, ferry: P): void {
  d.as('ropes', 0.62, () => d.rule(curve([0, 0.25, 0.5, 0.75, 1].map((t) => hanging([x, y - 4.4], ferry, 4, t)))));
  d.place({ at: [x, y] }, () =>
    d.as('bollard', 0.48, () => {
      d.shape(sides([-2.6, 0, -2, -3, -2, -6], [-2, -6, 2, -6], [2, -6, 2, -3, 2.6, 0], [2.6, 0, 0, 0.8, -2.6, 0]), () => {
        for (const yy of [-5, -3.6]) d.as('', 0.34, () => d.rule(arc([0, yy], 3, 0.7, 0, 180)));
      });
      d.shape(oval([0, -6.6], 3, 1.5));
    }),
  );
}

/** A crate with a tin kettle and a mug on it. */
export function crate(d: Drawing, [x, y]: P): void {
  d.place({ at: [x, y] }, () => {
    d.as('crate', 0.66, () => {
      d.shape(poly([0, -24, -6, -28.6, 26, -28.6, 32, -24]), () => d.rule(straight([-3, -26.2, 30, -26.2])));
      d.shape(poly([0, 0, -6, -4.6, -6, -28.6, 0, -24]), () => {
        for (const t of [-9, -17]) d.rule(straight([-7, t - 5.2, 1, t + 0.6]));
      });
      const face = rect(0, -24, 32, 0);
      d.shape(face, () => {
        for (const t of [-8, -16]) d.rule(straight([-1, t, 33, t]));
        d.as('', 0.24, () =>
          ticks(d, rect(5, -24, 27, 0), 2.6, 5, () => 0, {
            clear: 1,
            where: ([px, py]) => (Math.abs(((py + 24) % 8) - 4) < 2 ? 0.35 : 0) * (px > 14 ? 1.4 : 0.7),
          }),
        );
      });
      for (const t of [0, 27.4]) {
        d.shape(rect(t, -24, t + 4.6, 0), () => {
          for (const yy of [-20, -12, -4]) for (const xx of [1.4, 3.2]) d.dot([t + xx, yy], 0.26);
        });
      }
      d.shape(sides([11.4, -13, 12.4, -14.6, 19.6, -14.6, 20.6, -13], [20.6, -13, 19.6, -11.4, 12.4, -11.4, 11.4, -13]));
    });
    mug(d, [24.6, -26]);
    kettle(d, [8.6, -25.6]);
  });
}

function mug(d: Drawing, at: P): void {
  d.place({ at }, () =>
    d.as('enamel mug', 0.46, () => {
      d.shape([...arc([3.2, -3], 2.4, 2.6, -90, 90), ...arc([3.2, -3], 1.3, 1.5, 90, -90)]);
      d.shape(sides([-3, -6.2, -2.8, 0], [-2.8, 0, 0, 0.7, 2.8, 0], [2.8, 0, 3, -6.2], [3, -6.2, -3, -6.2]));
      d.shape(oval([0, -6.2], 3, 0.9));
    }),
  );
}

function kettle(d: Drawing, at: P): void {
  d.place({ at, size: 1.06 }, () =>
    d.as('tin kettle', 0.6, () => {
      d.shape(
        sides([-7, -9.4, -10.4, -10.2, -12.6, -14.2], [-12.6, -14.2, -14.8, -13.6], [-14.8, -13.6, -13, -8.4, -9.4, -4.4, -7, -3.2], [-7, -3.2, -7, -9.4]),
      );
      d.shape([...arc([0, -12.6], 7, 9.4, 190, 350), ...arc([0, -12.6], 5.4, 7.6, 350, 190)]);
      d.as('kettle grip', 0.44, () => d.shape([...arc([0, -12.6], 7.8, 10.2, 243, 297), ...arc([0, -12.6], 4.8, 6.9, 297, 243)]));
      const body = sides([-5, -12, -8.2, -7.6, -8.2, -2.6, -7, 0], [-7, 0, 0, 1.3, 7, 0], [7, 0, 8.2, -2.6, 8.2, -7.6, 5, -12], [5, -12, 0, -13, -5, -12]);
      d.shape(body, () => {
        d.as('', 0.3, () => d.rule(arc([0, -1.9], 8.6, 1.5, 0, 180)));
        d.as('', 0.24, () => {
          d.line(curve([-5.4, -9.6, -6.8, -6.8, -6.7, -3.8]), 0.3);
          ticks(d, body, 1.4, 2.4, () => 88, { clear: 1, where: ([px, py]) => (px > 4.4 && py < -2.6 ? 0.9 : 0) });
        });
      });
      d.shape(oval([0, -12.2], 5.2, 1.5));
      d.shape(sides([-3.8, -12.6, -2.4, -14.4, 0, -14.8, 2.4, -14.4, 3.8, -12.6], [3.8, -12.6, 0, -11.6, -3.8, -12.6]));
      d.shape(oval([0, -15.6], 1.2, 1.1));
    }),
  );
}

/** A rope coiled down turn on turn, its end lying loose. */
export function coil(d: Drawing, [x, y]: P): void {
  d.place({ at: [x, y] }, () =>
    d.as('rope coil', 0.46, () => {
      d.line(curve([8, 1, 14, 3.4, 19, 2, 22, 3.6]), 0.9);
      const turns: [number, number, number][] = [
        [0, 11, 3.7],
        [-2.5, 10.6, 3.6],
        [-4.9, 9.8, 3.3],
      ];
      for (const [yy, rx, ry] of turns) {
        const shape = oval([d.between(-0.3, 0.3), yy], rx, ry);
        d.shape(shape);
        d.as('', 0.24, () => {
          for (let a = 18; a < 170; a += 15)
            d.line(
              straight([
                rx * Math.cos((a * Math.PI) / 180) * 0.98,
                yy + ry * Math.sin((a * Math.PI) / 180) - 0.1,
                rx * Math.cos((a * Math.PI) / 180) * 0.98 - 1,
                yy + ry * Math.sin((a * Math.PI) / 180) - 1.7,
              ]),
              0.4,
            );
        });
      }
      d.shape(oval([0, -5.2], 6.2, 1.9));
      d.shape(oval([0.4, -5.1], 3.2, 0.9));
    }),
  );
}

/** A folded paper boat that carries a candle over the water. */
export function candleBoat(d: Drawing, [x, y]: P, size: number, mirrored = false): void {
  d.place({ at: [x, y], size, mirrored }, () => {
    d.as('candles', 0.36, () => {
      d.shape(sides([0, -1.1, -0.2, -0.78, -0.16, -0.56], [-0.16, -0.56, 0.16, -0.56], [0.16, -0.56, 0.2, -0.78, 0, -1.1]));
      d.line(straight([0, -0.56, 0, -0.2]), 0.9);
    });
    d.as('paper boats', 0.42, () => {
      d.shape(poly([-0.42, -0.14, 0, -0.36, 0.42, -0.14, 0.42, 0.1, -0.42, 0.1]));
      d.shape(
        sides(
          [-1, -0.3, -0.3, -0.06],
          [-0.3, -0.06, 0.3, -0.06],
          [0.3, -0.06, 1, -0.3],
          [1, -0.3, 0.56, 0.34],
          [0.56, 0.34, 0, 0.4, -0.56, 0.34],
          [-0.56, 0.34, -1, -0.3],
        ),
      );
    });
  });
}

/** Barnacles and weed where the sea has been, hinted only. */
export function tideMark(d: Drawing, shape: readonly P[]): void {
  stipple(d, shape, 1.5, { clear: 0.7, where: () => 0.5 });
}
