import { type Drawing, type P, arc, curve, oval, poly, rect, sides, straight, ticks } from '../kit/index.ts';

/** The ticket hut on the landing: plank walls, door, counter with its awning, under a shingled roof. */
export function hut(d: Drawing): void {
  stovePipe(d);
  d.as('hut gable', 0.48, () =>
    d.shape(poly([140.6, 120, 140.6, 84, 150.4, 50, 151, 122]), () => {
      for (const [x, top] of [[145.6, 58]]) d.rule(straight([x, top, x, 124]));
    }),
  );
  d.as('hut walls', 0.5, () => {
    const wall = rect(150, 78, 208, 122.4);
    d.shape(wall, () => {
      d.rule(straight([168.8, 78, 169, 124]));
      d.as('', 0.24, () => ticks(d, wall, 3.4, 6, () => 90, { clear: 1.6, where: ([x]) => (x < 153 || (x > 166 && x < 172) ? 0.7 : 0) }));
      for (const x of [183]) d.rule(straight([x, 109, x, 124]));
    });
  });
  door(d);
  counter(d);
  roof(d);
}

function stovePipe(d: Drawing): void {
  d.as('stove pipe', 0.44, () => {
    d.shape(poly([180.6, 56, 181, 38, 186.4, 38, 186.8, 56]), () => d.rule(arc([183.7, 44], 4, 0.9, 0, 180)));
    d.shape(sides([178.6, 39, 183.7, 33.4, 188.8, 39], [188.8, 39, 183.7, 40.2, 178.6, 39]));
  });
}

function door(d: Drawing): void {
  d.as('hut door', 0.48, () => {
    d.shape(sides([153.6, 122.4, 153.6, 94], [153.6, 94, 156, 90.4, 160, 89.4, 164, 90.4, 166.4, 94], [166.4, 94, 166.4, 122.4], [166.4, 122.4, 153.6, 122.4]));
    const leaf = sides([155, 122.4, 155, 94.8], [155, 94.8, 157, 92, 160, 91, 163, 92, 165, 94.8], [165, 94.8, 165, 122.4], [165, 122.4, 155, 122.4]);
    d.shape(leaf, () => {
      for (const x of [158.2, 161.7]) d.rule(straight([x, 90, x + 0.15, 123]));
      d.as('', 0.22, () => ticks(d, leaf, 2.6, 4.5, () => 90, { clear: 0.7, where: ([, y]) => (y > 112 ? 0.5 : 0.08) }));
    });
  });
  d.as('door irons', 0.3, () => {
    for (const y of [98, 115.6])
      d.shape(sides([155, y - 0.7, 161, y - 0.5], [161, y - 0.5, 162.6, y, 161, y + 0.5], [161, y + 0.5, 155, y + 0.7], [155, y + 0.7, 155, y - 0.7]));
    d.shape(oval([163, 107], 0.9, 0.9));
  });
}

function counter(d: Drawing): void {
  d.as('ticket window', 0.46, () => d.shape(rect(172, 91, 199, 108)));
  d.as('lit windows', 0.34, () => {
    d.shape(rect(173.8, 93, 184.8, 107), () => d.rule(straight([173, 99.6, 186, 99.6])));
    d.shape(rect(186.2, 93, 197.2, 107), () => d.rule(straight([186, 99.6, 198, 99.6])));
  });
  d.as('counter', 0.5, () => {
    d.shape(poly([169.6, 106.4, 201.4, 106.4, 203.4, 109.6, 168.4, 109.6]));
    d.shape(poly([168.4, 109.6, 204, 109.6, 204, 111.4, 168.4, 111.4]));
  });
  d.as('awning', 0.44, () => {
    const stripes = 7;
    for (let i = 0; i < stripes; i++) {
      const at = (t: number, x0: number, x1: number) => x0 + ((x1 - x0) * t) / stripes;
      const [tl, tr, bl, br] = [at(i, 171.6, 199.8), at(i + 1, 171.6, 199.8), at(i, 168.6, 203.4), at(i + 1, 168.6, 203.4)];
      d.shape(
        sides([tl, 84.6, bl, 91.6], [bl, 91.6, bl + 0.8, 93.2, (bl + br) / 2, 93.9, br - 0.8, 93.2, br, 91.6], [br, 91.6, tr, 84.6], [tr, 84.6, tl, 84.6]),
      );
    }
  });
}

function roof(d: Drawing): void {
  const rows = 6;
  const left = (y: number) => 153.6 - ((y - 49) / 34) * 9;
  d.as('roof shingles', 0.4, () => {
    for (let row = 0; row < rows; row++) {
      const foot = 83.4 - row * 5.5;
      const [from, n] = [left(foot), 7];
      const w = (207 - from) / n;
      for (let i = 0; i <= n; i++) {
        const x = from + (i - (row % 2) * 0.5) * w;
        const x0 = Math.max(x, left(foot));
        if (x + w - x0 < 1.5 || x > 203) continue;
        shingle(d, x0, x + w, foot + d.between(-0.35, 0.4), left);
      }
    }
  });
  d.as('roof ridge', 0.5, () =>
    d.shape(sides([152, 52.6, 152.6, 49.4], [152.6, 49.4, 180, 48.6, 208, 49], [208, 49, 208, 52.4], [208, 52.4, 180, 51.8, 152, 52.6])),
  );
  d.as('barge board', 0.46, () => d.shape(poly([138.4, 86, 150.6, 48.6, 153.2, 49.4, 144.4, 84.6, 142.6, 84.6, 150.8, 55.6, 141, 86.4])));
}

function shingle(d: Drawing, left: number, right: number, foot: number, edge: (y: number) => number): void {
  const w = right - left;
  const lean = edge(foot) - edge(foot - 6);
  const shape = sides(
    [left - lean * 0.4, foot - 7, left, foot - 1.6],
    [left, foot - 1.6, left + w * 0.18, foot - 0.3, left + w / 2, foot, left + w * 0.82, foot - 0.3, right, foot - 1.6],
    [right, foot - 1.6, right - lean * 0.4, foot - 7],
    [right - lean * 0.4, foot - 7, left - lean * 0.4, foot - 7],
  );
  const hint = d.random() < 0.3;
  d.shape(
    shape,
    hint
      ? () =>
          d.as('', 0.22, () => {
            const x = left + w * d.between(0.3, 0.7);
            d.line(straight([x, foot - 4.2, x + 0.2, foot - 1.4]), 0.3);
            d.line(straight([x + w * 0.18, foot - 3.4, x + w * 0.2, foot - 1.7]), 0.3);
          })
      : undefined,
  );
}

/** A cask by the wall. */
export function cask(d: Drawing, [x, y]: P): void {
  d.place({ at: [x, y] }, () => {
    d.as('cask', 0.48, () => {
      d.shape(sides([-4.6, 0, -5.8, -7, -4.6, -14], [-4.6, -14, 0, -14.8, 4.6, -14], [4.6, -14, 5.8, -7, 4.6, 0], [4.6, 0, 0, 1, -4.6, 0]), () => {
        for (const t of [-0.3, 0.4]) d.rule(curve([t * 9, -15, t * 11.4, -7, t * 9, 2]));
      });
      d.shape(oval([0, -14], 4.6, 1.2));
    });
    d.as('cask hoops', 0.36, () => {
      for (const [yy, r] of [
        [-11.4, 5.4],
        [-3.4, 5.4],
      ])
        d.shape([...arc([0, yy], r, 1, 0, 180), ...arc([0, yy + 1.5], r - 0.02, 1, 180, 0)]);
    });
  });
}
