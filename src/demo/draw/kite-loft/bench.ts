import { type Drawing, type P, arc, blob, curve, oval, poly, rect, sides, straight, ticks } from '../kit/index.ts';

/** The kite maker's bench with what lies on it: reel, paste pot, shears, rolls of paper. */
export function workbench(d: Drawing): void {
  d.as('bench', 0.58, () => {
    d.shape(poly([128, 121, 134, 107, 208, 107, 208, 121]));
    const front = rect(128, 121, 208, 126.6);
    d.shape(front, () => d.as('', 0.24, () => ticks(d, front, 2.4, 6, () => 0, { clear: 0.9, where: () => 0.4 })));
    d.shape(rect(132, 126.6, 139.6, 152));
    d.shape(rect(139.6, 126.6, 208, 137.4));
    d.shape(rect(152, 128.8, 192, 135.4));
  });
  d.as('drawer knobs', 0.42, () => {
    for (const x of [162, 182]) d.shape(oval([x, 132], 1.5));
  });
  rolls(d);
  pastePot(d, [178, 113]);
  reel(d, [146.6, 117]);
  shears(d, [163.4, 117.6]);
}

function rolls(d: Drawing): void {
  d.as('paper rolls', 0.48, () => {
    for (const [x, y, tilt, long] of [
      [196.4, 112, -8, 30],
      [189.6, 112, 6, 23],
    ]) {
      d.place({ at: [x, y], turn: tilt }, () => {
        d.shape(poly([-2.8, 0, -2.8, -long, 2.8, -long, 2.8, 0]), () =>
          d.as('paper rolls', 0.34, () => {
            if (long > 28) for (let k = 0; k < 2; k++) d.rule(straight([-4, -long + 9 + k * 8, 4, -long + 6 + k * 8]));
            else if (long > 22) for (const y0 of [-17]) d.shape(oval([0.4, y0], 1.2));
          }),
        );
        d.shape(oval([0, -long], 2.8, 1));
        d.as('', 0.3, () => d.line(arc([0.2, -long], 1.4, 0.5, 40, 320), 0.5));
      });
    }
  });
  d.as('paper tub', 0.54, () => {
    d.shape(
      sides([182.4, 104.6, 184.4, 118.6], [184.4, 118.6, 193, 120, 203, 118.6], [203, 118.6, 205, 104.6], [205, 104.6, 193.6, 106.2, 182.4, 104.6]),
      () => {
        for (const y of [108, 114.6]) d.rule(arc([193.6, y], 14, 1.7, 0, 180));
      },
    );
  });
}

function pastePot(d: Drawing, [x, y]: P): void {
  d.place({ at: [x, y] }, () => {
    d.as('paste brush', 0.4, () => {
      d.shape(poly([0.4, -7, 5.6, -19, 7, -18.4, 2, -6.6]));
    });
    d.as('paste pot', 0.5, () => {
      d.shape(sides([-5, -8, -5.6, -2, -4, 2.6], [-4, 2.6, 0, 3.6, 4, 2.6], [4, 2.6, 5.6, -2, 5, -8], [5, -8, 0, -7, -5, -8]), () =>
        d.rule(arc([0, -3], 7, 1.3, 0, 180)),
      );
      d.shape([...arc([0, -8], 5.2, 1.6, 0, 360)]);
      d.shape(oval([-0.3, -7.9], 3.6, 0.9));
    });
    d.as('paste brush', 0.4, () => d.shape(poly([1, -8.2, 2.6, -11.6, 4, -11, 2.4, -7.9])));
  });
}

function reel(d: Drawing, [x, y]: P): void {
  d.place({ at: [x, y] }, () => {
    d.as('string reel', 0.54, () => {
      d.shape(oval([0, 0], 9, 3));
      d.shape(sides([-5.4, -1, -6.4, -5.4, -5.4, -9.6], [-5.4, -9.6, 5.4, -9.6], [5.4, -9.6, 6.4, -5.4, 5.4, -1], [5.4, -1, 0, 0.4, -5.4, -1]), () => {
        d.as('', 0.26, () => {
          for (let k = 0; k < 6; k++) d.line(arc([0, -8.6 + k * 1.4], 5.7, 1, 14, 166), 0.4);
        });
      });
      d.shape(oval([0, -10.6], 9, 3));
      d.shape(oval([0, -10.6], 2.4, 0.8));
    });
    d.as('', 0.36, () => d.line(curve([6, -4.6, 11, -1, 8, 3.4, 13.6, 2.6, 17, 1.4]), 0.7));
  });
}

function shears(d: Drawing, [x, y]: P): void {
  d.place({ at: [x, y], turn: -6, size: 0.92 }, () => {
    d.as('shears', 0.44, () => {
      d.shape(sides([-1, -1.4, 6, -3.6, 11, -4.2], [11, -4.2, 6, -1.6, -0.4, 0.4], [-0.4, 0.4, -1, -1.4]));
      d.shape(sides([-1, 0.4, 6, 1.2, 11.4, 0.2], [11.4, 0.2, 5, -1, -0.6, -1.4], [-0.6, -1.4, -1, 0.4]));
      for (const [cy, t] of [
        [-2.6, -14],
        [1.6, 14],
      ])
        d.shape(oval([-4.4, cy * 0.95], 3.6, 1.8, t));
      for (const [cy, t] of [
        [-2.6, -14],
        [1.6, 14],
      ])
        d.as('', 0.3, () => d.line(arc([-4.4, cy * 0.95], 2.2, 0.8, 20, 330, t), 0.5));
      d.shape(blob([-1, -0.5, 0, -1.3, 1, -0.5, 0, 0.3]));
    });
  });
}
