import { type Drawing, type P, arc, blob, curve, oval, polar, poly, rect, sides, stipple, straight, ticks } from '../kit/index.ts';
import { bulrush, reedLeaf } from '../parts/reed.ts';

export const LAMP: P = [95, 64];
const GLOBE = 29;

/** The winter marsh behind the pier: sky with a little snow, far banks, frozen pools and rushes. */
export function marsh(d: Drawing): void {
  d.as('night sky', 0.3, () => d.patch(rect(2, 2, 146, 150)));
  d.as('', 0.22, () => {
    for (let a = 6; a < 360; a += 9.5) {
      const from = GLOBE + d.between(4.5, 7);
      d.line(straight([polar(LAMP, from, a), polar(LAMP, from + d.between(2.5, 5), a)]), 0.3);
    }
  });
  d.as('far banks', 0.28, () => {
    d.shape([...curve([2, 126, 24, 121.6, 52, 124, 84, 128]), [84, 136], [2, 136]]);
    d.shape([...curve([70, 130, 100, 124, 126, 122, 146, 125]), [146, 136], [70, 136]]);
  });
  d.as('frozen pools', 0.3, () => {
    d.shape(rect(2, 132, 146, 206));
    for (const [x, y, w] of [
      [28, 139, 20],
      [110, 138, 14],
    ])
      d.shape(blob([x, y, x + w * 0.3, y - 1.6, x + w * 0.8, y - 1.2, x + w, y + 0.4, x + w * 0.6, y + 1.8, x + w * 0.2, y + 1.5]));
  });
  for (const [x, y] of [
    [16, 18],
    [34, 40],
    [22, 62],
    [52, 14],
    [128, 20],
    [136, 48],
    [14, 96],
    [30, 82],
    [134, 88],
    [122, 104],
    [24, 110],
    [74, 17],
    [110, 12],
    [140, 108],
    [38, 100],
  ])
    d.as('snowflakes', 0.28, () => d.shape(oval([x, y], d.between(0.75, 1.25))));
  d.as('far rushes', 0.34, () => {
    for (const [x, tip, lean, bow] of [
      [10, 104, -1, -1],
      [15, 98, 2, 1],
      [133, 99, 2, 1.4],
      [138, 107, 4, 2],
    ])
      reedLeaf(d, [x, 152], [x + lean, tip], 2, bow);
  });
  bulrush(d, [22, 150], [24, 112], 1.3);
  bulrush(d, [118, 150], [116.6, 116], 1.3);
}

/** The pier lamp: iron post, gallery and bracket scrolls, and the globe with its mantle. */
export function lamp(d: Drawing): void {
  const [x, y] = LAMP;
  d.as('lamp iron', 0.5, () => {
    d.shape(poly([x - 3.6, y + 36, x + 3.6, y + 36, x + 4.2, 196, x - 4.2, 196]), () =>
      d.as('', 0.26, () => d.line(straight([x + 1.2, y + 58, x + 1.4, 140]), 0.3)),
    );
    for (const mirrored of [false, true]) {
      d.place({ at: [x, y + 44], mirrored }, () => {
        d.shape(
          sides(
            [3.4, 4, 9, 2.6, 13.6, -2.4, 12.8, -7.4, 8.6, -8.2, 6.6, -5],
            [6.6, -5, 8.6, -6.2, 10.8, -5, 10.2, -1.8, 7.2, 0.2, 3.4, 0.6],
            [3.4, 0.6, 3.4, 4],
          ),
        );
      });
    }
    d.shape(
      sides(
        [x - 9, y + 28.6, x - 6.6, y + 33, x - 4.4, y + 36.6],
        [x - 4.4, y + 36.6, x + 4.4, y + 36.6],
        [x + 4.4, y + 36.6, x + 6.6, y + 33, x + 9, y + 28.6],
        [x + 9, y + 28.6, x - 9, y + 28.6],
      ),
    );
    d.shape(rect(x - 5, y + 52, x + 5, y + 55.4));
  });
  d.as('lamp globe', 0.6, () =>
    d.shape(oval(LAMP, GLOBE), () => {
      d.as('', 0.26, () => {
        d.line(arc(LAMP, GLOBE - 3, GLOBE - 3, -58, 26), 0.2);
        d.line(arc(LAMP, GLOBE - 5.6, GLOBE - 5.6, -34, 4), 0.2);
      });
      d.as('lamp mantle', 0.4, () => {
        d.shape(rect(x - 3, y + 14, x + 3, y + 32));
        d.shape(blob([x - 5, y + 13, x - 6.6, y + 2, x - 2.6, y - 9, x, y - 15, x + 2.6, y - 9, x + 6.6, y + 2, x + 5, y + 13, x, y + 15]));
        d.shape(blob([x - 2.6, y + 10, x - 3.2, y + 3, x, y - 5, x + 3.2, y + 3, x + 2.6, y + 10, x, y + 11.4]));
      });
    }),
  );
  d.as('lamp iron', 0.5, () => {
    d.shape(sides([x - 8.6, y - 27, x - 7, y - 32, x, y - 35, x + 7, y - 32, x + 8.6, y - 27], [x + 8.6, y - 27, x, y - 25.4, x - 8.6, y - 27]));
    d.shape(oval([x, y - 37], 2, 2.2));
  });
  d.as('snow', 0.46, () =>
    d.shape(blob([x - 8, y - 31, x - 5.4, y - 35, x, y - 37, x + 5.6, y - 35, x + 8, y - 31, x + 4, y - 32.4, x, y - 31.4, x - 4, y - 32.6])),
  );
  d.as('lamp iron', 0.44, () => d.shape(oval([x, y - 38.4], 1.8, 2)));
}

/** Posts and rails of the pier with the snow that lies on them. */
export function rails(d: Drawing): void {
  for (const x of [15, 132]) {
    d.as('rail posts', 0.52, () => {
      const post = poly([x - 4.6, 140, x + 4.6, 140, x + 5, 204, x - 5, 204]);
      d.shape(post, () => grain(d, post));
    });
    d.as('snow', 0.48, () =>
      d.shape(blob([x - 5.8, 142.6, x - 4.8, 138, x, 135.4, x + 4.8, 138, x + 5.8, 142.6, x + 2.6, 141.6, x - 1, 143.2, x - 3.6, 141.8])),
    );
  }
  for (const [top, foot] of [
    [151, 159],
    [177, 184],
  ]) {
    d.as('rails', 0.54, () => {
      const rail = poly([2, top, 146, top, 146, foot, 2, foot]);
      d.shape(rail, () => d.as('', 0.24, () => ticks(d, rail, 2.2, 6, () => 0, { clear: 1, where: ([x]) => (x < 34 || x > 112 ? 0.35 : 0.15) })));
    });
    d.as('snow', 0.5, () => {
      for (const [from, to] of [
        [2, 40],
        [86, 146],
      ])
        d.shape(drift(d, from, to, top));
    });
  }
}

/** Snow lying along a rail: a soft back above, small bulges over the edge. */
function drift(d: Drawing, from: number, to: number, y: number): P[] {
  const back: P[] = [[from, y + 0.8]];
  for (let x = from + 3; x < to - 2; x += d.between(8, 13)) back.push([x, y - d.between(2.6, 4.4)]);
  const hang: P[] = [[to, y + 0.6]];
  for (let x = to - 3; x > from + 3; x -= d.between(5, 9)) hang.push([x, y + d.between(0.6, 2.6)]);
  return sides([...back, [to, y + 0.6]], [...hang, [from, y + 0.8]]);
}

/** The mooring post that the hare sits on. */
export function post(d: Drawing): void {
  d.as('mooring post', 0.66, () => {
    const side = sides([34, 152, 35.4, 206], [35.4, 206, 94.6, 206], [94.6, 206, 96, 152], [96, 152, 34, 152]);
    d.shape(side, () => {
      d.as('mooring post', 0.36, () => {
        for (const [x, bend] of [
          [48, 1.6],
          [65, -1.4],
          [82, 1.4],
        ])
          d.rule(curve([x, 148, x + bend, 170, x - bend, 188, x, 207]));
      });
      grain(d, side);
    });
  });
  d.as('iron band', 0.5, () => d.shape([...arc([65, 170], 31.2, 4, 180, 0), ...arc([65, 176], 31.2, 4, 0, 180)]));
  d.as('rivets', 0.36, () => {
    for (const a of [150, 120, 90, 60, 30]) d.shape(oval(polarOval([65, 173], 31, 4, a), 1.1));
  });
  d.as('post top', 0.56, () =>
    d.shape(oval([65, 151.4], 32, 5.4), () =>
      d.as('', 0.26, () => {
        for (const r of [0.84, 0.68]) d.line(arc([65, 151.4], 32 * r, 5.4 * r, 15, 165), 0.3);
      }),
    ),
  );
  d.as('snow', 0.56, () => {
    d.shape(blob([31.6, 152.6, 34, 148.4, 42, 147.4, 47, 150, 45, 154.6, 40, 158, 36.6, 155.4, 33.6, 157.2]));
    d.shape(blob([83, 150.4, 88, 147.6, 95, 148.6, 98.2, 152.4, 96.6, 157.6, 92.4, 156, 88, 159.4, 84.4, 155.6]));
  });
}

function polarOval(c: P, rx: number, ry: number, degrees: number): P {
  const a = (degrees * Math.PI) / 180;
  return [c[0] + rx * Math.cos(a), c[1] + ry * Math.sin(a)];
}

function grain(d: Drawing, shape: readonly P[]): void {
  d.as('', 0.24, () => ticks(d, shape, 2.6, 6.5, () => 90, { clear: 1, where: () => 0.35 }));
}

/** Snow banked at the foot of the picture, with frosted grass and what has walked there. */
export function nearSnow(d: Drawing): void {
  const bank: P[] = [...curve([0, 190, 16, 186, 34, 190, 58, 199, 90, 197, 116, 190, 148, 188]), [148, 212], [0, 212]];
  d.as('near snow', 0.6, () =>
    d.shape(bank, () => d.as('', 0.24, () => stipple(d, bank, 2, { clear: 1.2, where: ([x, y]) => (y > 196 && (x < 50 || x > 104) ? 0.28 : 0.04) }))),
  );
  d.as('grass', 0.56, () => {
    for (const [foot, tip, width, bow] of [
      [[20, 197], [9, 168], 2, -2],
      [[22, 197], [24, 163], 2.2, 1],
      [[24, 198], [36, 172], 2, 3],
      [[126, 198], [137, 166], 2.2, 2],
      [[123, 198], [120, 162], 2, -1],
      [[121, 197], [110, 175], 1.8, -3],
    ] as [P, P, number, number][])
      reedLeaf(d, foot, tip, width, bow);
  });
  d.as('', 0.3, () => {
    for (const x of [14, 116]) d.line(curve([x, 199.6, x + 7, 197.4, x + 15, 199.4]), 0.3);
  });
}
