import { type Drawing, type P, arc, curve, oval, polar, poly, rect, sides, straight, stipple, ticks } from '../kit/index.ts';
import { cabochon, cutStone, pearl } from '../parts/gem.ts';
import { gear } from '../parts/gear.ts';
import { fish } from '../parts/fish.ts';
import { scallop, starfish, whelk } from '../parts/shell.ts';
import { CENTRE, OUTER } from './dial.ts';

/** The harbour office wall: courses of stone, most of them only hinted. */
export function wall(d: Drawing): void {
  d.as('wall', 0.34, () => {
    for (let row = 0; row < 11; row++) {
      const y = 4 + row * 27;
      for (let i = -1; i < 4; i++) {
        const x = 4 + i * 58 + (row % 2) * 29;
        const stone = rect(x, y, x + 58, y + 27);
        d.shape(stone, () => d.as('', 0.24, () => ticks(d, stone, 5, 3.4, () => 8, { clear: 2, where: () => 0.16 })));
      }
    }
  });
}

/** The body of the clock: hood behind the dial, columns, and the trunk with its window. */
export function body(d: Drawing): void {
  d.as('hood', 0.6, () =>
    d.shape(sides([22, 206, 22, 118], [22, 118, 26, 74, 58, 46, 105, 38, 152, 46, 184, 74, 188, 118], [188, 118, 188, 206], [188, 206, 22, 206])),
  );
  d.as('hood panels', 0.44, () => {
    for (const mirrored of [false, true])
      d.place({ at: [105, 0], mirrored }, () => d.shape(sides([-78, 202, -78, 168], [-78, 168, -66, 186, -48, 202], [-48, 202, -78, 202])));
  });
  for (const x of [33.4, 176.6]) cabochon(d, [x, 194.4], 3.4);
  trunk(d);
  for (const x of [39, 171]) column(d, x);
  d.as('cornice', 0.54, () => {
    d.shape(poly([20, 206, 190, 206, 186, 212, 24, 212]));
    d.shape(rect(24, 212, 186, 215.4));
  });
}

function trunk(d: Drawing): void {
  d.as('trunk', 0.5, () => d.shape(rect(48, 212, 162, 276)));
  const window = sides(
    [74, 272, 74, 240],
    [74, 240, 80, 228.6, 92, 223.2, 105, 221.6, 118, 223.2, 130, 228.6, 136, 240],
    [136, 240, 136, 272],
    [136, 272, 74, 272],
  );
  d.as('window frame', 0.5, () => d.shape(window.map(([x, y]): P => [105 + (x - 105) * 1.1, 250 + (y - 250) * 1.07])));
  d.as('works behind', 0.46, () =>
    d.shape(window, () => {
      gear(d, 'brass wheels', [86, 232], { teeth: 24, radius: 12, spokes: 5, turn: 3 });
      gear(d, 'copper wheels', [124, 230], { teeth: 22, radius: 10.6, spokes: 4, turn: 8 });
      gear(d, 'steel wheels', [105.6, 224], { teeth: 16, radius: 6.6, spokes: 4, turn: 5 });
      for (const x of [83.4, 127]) weight(d, [x, 250]);
      pendulum(d);
    }),
  );
  for (const x of [60, 150]) {
    d.as('trunk panels', 0.42, () => {
      for (const [top, foot] of [
        [219, 244],
        [248, 273],
      ])
        d.shape(rect(x - 6.6, top, x + 6.6, foot));
    });
    cutStone(d, [x, 231.4], 3.6, 22.5);
    cabochon(d, [x, 260.4], 3.4, 90, 1.3);
    for (const y of [223, 240, 252, 269]) pearl(d, [x, y], 1.3);
  }
}

function weight(d: Drawing, [x, y]: P): void {
  d.as('chains', 0.3, () => {
    for (let k = 0; k < 5; k++) d.shape(oval([x, y - 25 + k * 4.2], k % 2 ? 0.7 : 1.2, 2.3));
  });
  d.as('weights', 0.46, () => {
    d.shape(
      sides([x - 4, y - 5, x - 4, y + 13], [x - 4, y + 13, x, y + 14.4, x + 4, y + 13], [x + 4, y + 13, x + 4, y - 5], [x + 4, y - 5, x - 4, y - 5]),
      () => {
        for (const t of [-1, 9.4]) d.rule(arc([x, y + t], 5, 1.2, 0, 180));
      },
    );
    d.shape(sides([x - 4.4, y - 4.4, x - 2, y - 7.6, x, y - 8.2, x + 2, y - 7.6, x + 4.4, y - 4.4], [x + 4.4, y - 4.4, x, y - 3.4, x - 4.4, y - 4.4]));
  });
}

function pendulum(d: Drawing): void {
  const c: P = [104.4, 256];
  d.as('pendulum', 0.46, () => {
    d.shape(poly([103.8, 214, 106.2, 214, 105.6, 247, 103.4, 247]));
    d.shape(oval(c, 10.6));
    d.shape(oval(c, 8.4));
  });
  d.as('pendulum star', 0.34, () => {
    for (let i = 0; i < 8; i++) {
      const at = (r: number, off: number) => polar(c, r, i * 45 + off);
      d.shape(poly([c, at(3.2, -22.5), at(i % 2 ? 5.6 : 7.6, 0)]));
      d.shape(poly([c, at(i % 2 ? 5.6 : 7.6, 0), at(3.2, 22.5)]));
    }
  });
}

function column(d: Drawing, x: number): void {
  d.as('columns', 0.5, () => {
    const shaft = rect(x - 7, 222, x + 7, 268);
    d.shape(shaft, () => {
      for (let k = 0; k < 9; k++) {
        const y = 212 + k * 7;
        d.as('columns', 0.4, () =>
          d.shape(
            sides(
              [x - 8, y + 8, x - 2, y + 6.6, x + 3, y + 1.6, x + 8, y],
              [x + 8, y, x + 8, y + 4],
              [x + 8, y + 4, x + 3, y + 5.6, x - 2, y + 10.6, x - 8, y + 12],
              [x - 8, y + 12, x - 8, y + 8],
            ),
          ),
        );
      }
    });
  });
  d.as('capitals', 0.46, () => {
    d.shape(
      sides([x - 7, 222, x - 8, 218.6, x - 10, 215.6], [x - 10, 215.6, x + 10, 215.6], [x + 10, 215.6, x + 8, 218.6, x + 7, 222], [x + 7, 222, x - 7, 222]),
      () => {
        for (const t of [-3.6, 0, 3.6]) d.rule(curve([x + t * 1.5, 214, x + t * 1.2, 218.6, x + t, 223]));
      },
    );
    d.shape(rect(x - 8, 221.4, x + 8, 224));
    d.shape(rect(x - 8.4, 266, x + 8.4, 269));
    d.shape(
      sides(
        [x - 8.4, 269, x - 10.4, 271, x - 10, 273.4],
        [x - 10, 273.4, x + 10, 273.4],
        [x + 10, 273.4, x + 10.4, 271, x + 8.4, 269],
        [x + 8.4, 269, x - 8.4, 269],
      ),
    );
  });
}

/** What crowns the hood: a great shell between two fish. */
export function crest(d: Drawing): void {
  fish(d, { at: [39, 67], size: 23, turn: -46 });
  fish(d, { at: [171, 67], size: 23, turn: 46, mirrored: true });
  d.as('crest scrolls', 0.5, () => {
    for (const mirrored of [false, true]) {
      d.place({ at: [105, 45], mirrored }, () => {
        d.shape(sides([10, 4, 20, -6, 32, -8, 39, -1, 36, 6.4, 29.6, 6.6, 27.4, 2], [27.4, 2, 31, 3.6, 33.8, 1.6, 32, -2.4, 25, -2.4, 16, 6], [16, 6, 10, 4]));
        d.shape(oval([30.9, 1.6], 1.5));
        d.shape(sides([14, 0, 17, -12, 25, -17], [25, -17, 24, -10, 19.6, -4], [19.6, -4, 14, 0]), () =>
          d.as('', 0.3, () => d.line(curve([16, -2, 18.6, -9, 23.4, -14.6]), 0.3)),
        );
      });
    }
  });
  scallop(d, { at: [105, 48], size: 33 }, 9);
  cabochon(d, [105, 49.6], 3.6, 0, 1.25);
  for (const x of [97.4, 112.6]) pearl(d, [x, 50.6], 1.6);
}

/** The step in front, with what the sea has left on it. */
export function plinth(d: Drawing): void {
  d.as('plinth', 0.62, () => {
    d.shape(poly([16, 275, 194, 275, 206, 283, 4, 283]));
    const front = rect(4, 283, 206, 294);
    d.shape(front, () => d.as('', 0.24, () => stipple(d, front, 2.4, { clear: 1, where: ([, y]) => (y > 286 ? 0.5 : 0.1) })));
  });
  kelp(d, [24, 286], false);
  starfish(d, { at: [58, 281], size: 9.6, turn: 12 });
  whelk(d, { at: [151, 281], size: 11, turn: -6 });
  scallop(d, { at: [177, 287], size: 13, turn: 14 }, 7);
  whelk(d, { at: [88, 284.6], size: 5.4, turn: 170 });
  for (const [x, y, r] of [
    [40, 286, 2.4],
    [128, 286, 2],
    [134, 284.6, 1.4],
  ])
    d.as('pebbles', 0.44, () => d.shape(oval([x, y], r * 1.4, r)));
}

function kelp(d: Drawing, [x, y]: P, mirrored: boolean): void {
  d.place({ at: [x, y], mirrored }, () =>
    d.as('kelp', 0.52, () => {
      const leaves: [P, P, P][] = [
        [
          [-4, -20],
          [-15, -44],
          [-9, -58],
        ],
        [
          [2, -22],
          [-3, -50],
          [3, -74],
        ],
        [
          [6, -14],
          [13, -36],
          [8, -52],
        ],
        [
          [-6, -8],
          [-15, -20],
          [-12, -32],
        ],
      ];
      for (const [a, b, tip] of leaves) {
        const wave = (p: P, off: number): P => [p[0] + off, p[1]];
        d.shape(sides([[-0.8, 0], wave(a, -2.4), wave(b, -2.2), tip], [tip, wave(b, 2.4), wave(a, 2.6), [1.6, 0]], [1.6, 0, -0.8, 0]), () =>
          d.as('kelp', 0.3, () => d.rule(curve([[0.4, 2], a, b, tip]))),
        );
      }
    }),
  );
}

/** A shallow shadow line of carving under the dial's rim, hinted with ticks. */
export function rimShade(d: Drawing): void {
  d.as('', 0.24, () => {
    for (let a = 20; a < 160; a += 3.4) d.line(straight([polar(CENTRE, OUTER + 4.2, a), polar(CENTRE, OUTER + d.between(5.4, 7.2), a + 0.6)]), 0.3);
  });
}
