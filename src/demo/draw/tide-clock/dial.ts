import { type Drawing, type P, arc, blob, curve, oval, polar, poly, sides, straight } from '../kit/index.ts';
import { cabochon, cutStone, pearl, tiles } from '../parts/gem.ts';
import { gear } from '../parts/gear.ts';

export const CENTRE: P = [105, 127];
export const OUTER = 80;

/** The dial, from its cable moulding to the works in the middle. */
export function dial(d: Drawing): void {
  d.as('dial rim', 0.7, () => d.shape(oval(CENTRE, OUTER + 3)));
  cable(d);
  enamel(d);
  hours(d);
  tides(d);
  moons(d);
  works(d);
}

/** Twisted rope of gold round the dial. */
function cable(d: Drawing): void {
  const n = 60;
  d.as('cable moulding', 0.36, () => {
    for (let i = 0; i < n; i++) {
      const a = (i * 360) / n;
      const at = (r: number, off: number) => polar(CENTRE, r, a + off);
      d.shape(
        sides(
          [at(OUTER - 4.4, -3), at(OUTER - 2.6, -1.6), at(OUTER - 0.6, 1), at(OUTER + 0.6, 3.6)],
          [at(OUTER + 0.6, 3.6), at(OUTER + 0.9, 6.4), at(OUTER + 0.6, 8.4)],
          [at(OUTER + 0.6, 8.4), at(OUTER - 1, 6.6), at(OUTER - 3, 4.4), at(OUTER - 4.4, 3)],
          [at(OUTER - 4.4, 3), at(OUTER - 4.7, 0), at(OUTER - 4.4, -3)],
        ),
      );
    }
  });
}

/** Twenty-four enamel tiles with the things of the tide on them, a stone between every two pairs. */
function enamel(d: Drawing): void {
  const motifs = [wavelet, littleFish, fan, spiral];
  d.as('tile ring', 0.5, () => d.shape(oval(CENTRE, 75.5)));
  d.as('enamel tiles', 0.42, () =>
    tiles(d, CENTRE, [61.6, 73.4], 24, -7.5, (i, middle) => d.place({ at: polar(CENTRE, 67.4, middle), turn: middle + 90 }, () => motifs[i % 4](d))),
  );
  for (let i = 0; i < 12; i++) cabochon(d, polar(CENTRE, 67.6, -7.5 + i * 30), i % 3 ? 2.2 : 2.8);
}

function wavelet(d: Drawing): void {
  d.as('tile waves', 0.32, () => {
    for (const y of [-1.6, 1.2])
      d.shape(
        sides(
          [-5, y + 1.6, -2.6, y - 1.6, -0.4, y + 0.4],
          [-0.4, y + 0.4, 1.6, y - 1.8, 5, y + 1.2],
          [5, y + 1.2, 5, y + 2.6, 0, y + 2.2, -5, y + 2.8],
          [-5, y + 2.8, -5, y + 1.6],
        ),
      );
  });
}

function littleFish(d: Drawing): void {
  d.as('tile fish', 0.34, () => {
    d.shape(sides([-2, 0, -4.4, -2], [-4.4, -2, -3.8, 0, -4.4, 2], [-4.4, 2, -2, 0]));
    d.shape(sides([4, 0, 1.6, -2.1, -0.6, -1.6, -2.6, 0], [-2.6, 0, -0.6, 1.6, 1.6, 2.1, 4, 0]), () => {
      d.rule(arc([0.6, 0], 1, 2.4, -80, 80));
      d.dot([2.7, -0.5], 0.24);
    });
  });
}

function fan(d: Drawing): void {
  d.as('tile shells', 0.32, () => {
    for (let i = 0; i < 4; i++) {
      const a = -90 - 62 + i * 31;
      d.shape([
        ...straight([[0, 3.4], polar([0, 3.4], 5.2, a)]),
        ...arc(polar([0, 3.4], 5.2, a + 15.5), 1.4, 1.4, a - 90 + 15, a + 105),
        ...straight([polar([0, 3.4], 5.2, a + 31), [0, 3.4]]),
      ]);
    }
  });
}

function spiral(d: Drawing): void {
  const turns = Array.from({ length: 16 }, (_, i): P => polar([0, 0.2], 3.5 - i * 0.2, i * 42 - 60));
  d.as('tile shells', 0.36, () => d.shape(oval([0, 0.2], 3.7, 3.5), () => d.as('', 0.3, () => d.line(curve(turns), 0.5))));
}

/** The ring of twenty-four hours: pearls at the quarters, lozenges between. */
function hours(d: Drawing): void {
  d.as('hour ring', 0.46, () => d.shape(oval(CENTRE, 60)));
  for (let i = 0; i < 24; i++) {
    const a = i * 15 - 90;
    const at = (r: number, off: number) => polar(CENTRE, r, a + off);
    if (i % 6 === 0) cutStone(d, at(56.4, 0), 2.9, a);
    else if (i % 2 === 0)
      d.as('hour marks', 0.36, () =>
        d.shape(sides([at(59.2, 0), at(56.5, 2.1)], [at(56.5, 2.1), at(53.8, 0)], [at(53.8, 0), at(56.5, -2.1)], [at(56.5, -2.1), at(59.2, 0)])),
      );
    else pearl(d, at(56.4, 0), 1.6);
  }
}

/** Breaking waves all round: the tide's own hand turns over them. */
function tides(d: Drawing): void {
  d.as('deep water', 0.46, () => d.shape(oval(CENTRE, 53)));
  const n = 12;
  for (let i = 0; i < n; i++) {
    d.as('spray', 0.3, () => {
      for (const [r, off, size] of [
        [51, 5, 0.7],
        [50, 8, 0.55],
        [51.3, -2, 0.5],
      ])
        d.shape(oval(polar(CENTRE, r, i * 30 + off), size));
    });
  }
  for (let i = 0; i < n; i++) {
    const at = (along: number, up: number) => polar(CENTRE, 39.4 + up * 10.6, i * 30 + along * 40 - 8);
    d.as('breaking waves', 0.44, () => {
      d.shape(
        sides(
          [at(-0.1, 0), at(0.1, 0.36), at(0.26, 0.74), at(0.48, 0.98), at(0.72, 0.96), at(0.88, 0.74)],
          [at(0.88, 0.74), at(0.82, 0.56), at(0.7, 0.54)],
          [at(0.7, 0.54), at(0.72, 0.68), at(0.6, 0.72), at(0.52, 0.54), at(0.62, 0.26), at(1, 0)],
          [at(1, 0), at(0.45, -0.16), at(-0.1, 0)],
        ),
        () => {
          d.as('breaking waves', 0.3, () => d.rule(curve([at(0.02, 0.05), at(0.24, 0.44), at(0.44, 0.78), at(0.66, 0.84), at(0.8, 0.72), at(0.9, 0.6)])));
          d.as('', 0.24, () => d.line(curve([at(0.3, 0.1), at(0.36, 0.34), at(0.44, 0.56)]), 0.3));
        },
      );
    });
  }
}

/** Eight moons from new to full and back, between cut stones. */
function moons(d: Drawing): void {
  d.as('moon ring', 0.5, () => d.shape(oval(CENTRE, 41)));
  for (let i = 0; i < 8; i++) {
    const a = i * 45 - 90;
    const c = polar(CENTRE, 34.6, a);
    d.as('moon roundels', 0.4, () => d.shape(oval(c, 5.3)));
    d.as('moons', 0.36, () => moonAt(d, c, i));
    const between = polar(CENTRE, 35.6, a + 22.5);
    d.as('stars', 0.34, () =>
      d.shape(
        sides(...Array.from({ length: 8 }, (_, k): P[] => [polar(between, k % 2 ? 1 : 2.9, a + k * 45), polar(between, k % 2 ? 2.9 : 1, a + (k + 1) * 45)])),
      ),
    );
    for (const off of [13.4, 31.6]) pearl(d, polar(CENTRE, 30.8, a + off), 0.95);
  }
}

function moonAt(d: Drawing, c: P, phase: number): void {
  const r = 3.9;
  d.shape(oval(c, r), () => {
    d.as('', 0.24, () => {
      if (phase === 4) {
        d.line(arc([c[0] - 1.2, c[1] - 1], 0.9, 0.8, 30, 300));
        d.line(arc([c[0] + 1.4, c[1] + 0.9], 0.7, 0.6, 30, 300));
      }
    });
    if (phase % 4 === 0) return;
    const waxing = phase < 4;
    const bulge = [0, 0.62, 0, -0.62, 0, -0.62, 0, 0.62][phase] * r;
    d.as('moon shadow', 0.34, () => {
      const side = waxing ? -1 : 1;
      d.shape([...arc(c, r + 1, r + 1, -90, -90 + side * 180), ...arc(c, -side * bulge, r + 0.4, 90, -90)]);
    });
  });
}

/** The open middle: wheels behind a pierced plate. */
function works(d: Drawing): void {
  d.as('dial rim', 0.44, () => d.shape(oval(CENTRE, 28.6)));
  d.as('works behind', 0.5, () =>
    d.shape(oval(CENTRE, 26.4), () => {
      const [x, y] = CENTRE;
      gear(d, 'copper wheels', [x - 12, y + 9.4], { teeth: 26, radius: 14.4, spokes: 5, turn: 4 });
      gear(d, 'steel wheels', [x + 13.6, y + 11.6], { teeth: 20, radius: 10.6, spokes: 4, turn: 11 });
      gear(d, 'brass wheels', [x + 6, y - 13.4], { teeth: 28, radius: 15.4, spokes: 6, turn: 2 });
      gear(d, 'steel wheels', [x - 17, y - 13], { teeth: 16, radius: 8, spokes: 4, turn: 7 });
    }),
  );
}

/** The hands and the sun they turn on, nearest of all. */
export function hands(d: Drawing): void {
  d.place({ at: CENTRE, turn: 38 }, () => {
    d.as('tide hand', 0.56, () => {
      d.shape(sides([-1.1, 8, -1.3, -30, -0.6, -44], [-0.6, -44, 0.6, -44], [0.6, -44, 1.3, -30, 1.1, 8], [1.1, 8, -1.1, 8]));
      d.shape(sides([0, -57, -2.6, -50, -1.6, -46.6, 0, -45], [0, -45, 1.6, -46.6, 2.6, -50, 0, -57]), () => d.rule(straight([0, -58, 0, -44])));
      d.shape(
        sides([-1, 8, -4.6, 12.6, -5.4, 18.4], [-5.4, 18.4, -1.6, 16.4, 0, 13.6], [0, 13.6, 1.6, 16.4, 5.4, 18.4], [5.4, 18.4, 4.6, 12.6, 1, 8], [1, 8, -1, 8]),
      );
    });
  });
  d.place({ at: CENTRE, turn: -52 }, () => {
    d.as('moon hand', 0.56, () => {
      d.shape(poly([-1, 6, -1, -31, 1, -31, 1, 6]));
      d.shape([...arc([0, -36.4], 5.4, 5.4, 52, 308), ...arc([1.4, -36.4], 4.2, 4.2, 290, 70)]);
      d.shape(blob([0, -29.4, -1.9, -31.2, 0, -33, 1.9, -31.2]));
    });
  });
  sun(d);
}

function sun(d: Drawing): void {
  const n = 16;
  d.as('sun rays', 0.44, () => {
    for (let i = 0; i < n; i++) {
      const a = (i * 360) / n;
      const long = i % 2 ? 13.6 : 17;
      const at = (r: number, off: number) => polar(CENTRE, r, a + off);
      if (i % 2) d.shape(sides([at(8, -10), at(11, -5), at(long, 7)], [at(long, 7), at(11, 8), at(8, 10)], [at(8, 10), at(8, -10)]));
      else d.shape(poly([at(8, -11), at(long, 0), at(8, 11)]), () => d.rule(straight([at(7, 0), at(long + 1, 0)])));
    }
  });
  d.as('sun', 0.56, () => d.shape(oval(CENTRE, 9.4), () => face(d)));
}

/** A calm face, drawn with few lines. */
function face(d: Drawing): void {
  const [x, y] = CENTRE;
  d.as('sun', 0.36, () => {
    d.rule(arc(CENTRE, 7.9, 7.9, 0, 360));
  });
  d.as('', 0.34, () => {
    for (const s of [-1, 1]) {
      d.line(curve([x + s * 4.6, y - 1.6, x + s * 3, y - 2.8, x + s * 1.4, y - 1.8]), 0.4);
      d.line(curve([x + s * 4.4, y - 0.6, x + s * 3, y + 0.1, x + s * 1.7, y - 0.6]), 0.4);
      d.line(arc([x + s * 4.3, y + 2.2], 1.2, 1, s > 0 ? 200 : -20, s > 0 ? 330 : -150), 0.3);
    }
    d.line(curve([x + 0.2, y - 1.4, x + 0.9, y + 1, x - 0.2, y + 1.4]), 0.4);
    d.line(curve([x - 2, y + 3.4, x, y + 4.2, x + 2, y + 3.3]), 0.4);
    d.line(curve([x - 0.8, y + 5.2, x, y + 5.5, x + 0.8, y + 5.2]), 0.3);
  });
}
