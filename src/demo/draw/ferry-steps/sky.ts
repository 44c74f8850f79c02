import { type Drawing, type P, arc, curve, oval, polar, rect, sides } from '../kit/index.ts';
import { gull } from '../parts/gull.ts';

/** Dusk over the harbour: the moon between banks of cloud, the first stars, gulls going home. */
export function sky(d: Drawing): void {
  d.as('dusk sky', 0.3, () => d.patch(rect(4, 4, 206, 100)));
  for (const [x, y, size] of [
    [20, 22, 2.2],
    [84, 17, 2],
    [131, 15, 2.3],
    [170, 20, 1.6],
    [20, 66, 1.5],
    [150, 36, 1.4],
  ])
    star(d, [x, y], size);
  moon(d, [67, 38.5], 12.5);
  cloud(d, [44, 51], 48, [3.6, 5, 6.4, 5.2, 4.4, 3]);
  cloud(d, [100, 40], 40, [2.6, 4.4, 5.6, 4.2, 2.6]);
  cloud(d, [6, 42], 26, [4, 5.2, 4, 2.8]);
  cloud(d, [112, 62], 34, [2.6, 3.8, 4.6, 3.4, 2.4]);
  cloud(d, [168, 31], 42, [3, 4.4, 5.6, 4.6, 3.6]);
  gull(d, [98, 62], 9, -8);
  gull(d, [122, 47], 6.6, -14, true);
}

function moon(d: Drawing, c: P, r: number): void {
  d.as('moon', 0.46, () =>
    d.shape(oval(c, r), () => {
      d.as('moon', 0.28, () => {
        d.shape(oval([c[0] - 4.4, c[1] - 3.6], 2.9, 2.5));
        d.shape(oval([c[0] + 3.8, c[1] - 5.6], 1.7, 1.5));
        d.line(arc([c[0] + 1.2, c[1] + 2.6], 2, 1.7, 120, 330));
        d.line(arc([c[0] - 6.4, c[1] + 3.4], 1.3, 1.1, 90, 300));
        d.line(arc(c, r - 1.6, r - 1.6, -40, 62), 0.2);
      });
    }),
  );
}

/** A bank of dusk cloud: billows above a drawn-out base, with a few inner curls. */
function cloud(d: Drawing, [x, y]: P, width: number, billows: readonly number[]): void {
  const whole = billows.reduce((sum, h) => sum + h, 0);
  const top: P[] = [[x, y]];
  const curls: P[][] = [];
  let at = x + width * 0.06;
  for (const [i, h] of billows.entries()) {
    const w = (width * 0.88 * h) / whole;
    const base = y - 0.8 - h * 0.25;
    top.push(...arc([at + w / 2, base], w / 2 + 0.3, h * 0.95, 188, 352));
    if (i > 0 && i < billows.length - 1) curls.push(arc([at + w * 0.42, base + h * 0.1], w * 0.32, h * 0.55, 190, 300));
    at += w;
  }
  const base: P[] = [
    [x + width, y],
    [x + width * 0.7, y + 1.5],
    [x + width * 0.45, y + 0.7],
    [x + width * 0.2, y + 1.7],
    [x, y],
  ];
  d.as('clouds', 0.42, () => {
    d.shape([...top, ...curve(base).slice(0, -1)]);
    d.as('clouds', 0.26, () => {
      for (const c of curls) d.line(c, 0.25);
      d.line(curve([x + width * 0.22, y + 3.4, x + width * 0.4, y + 2.6, x + width * 0.62, y + 3.3]), 0.2);
    });
  });
}

function star(d: Drawing, c: P, size: number): void {
  const points = Array.from({ length: 8 }, (_, i): P => polar(c, i % 2 ? size * 0.32 : i % 4 ? size * 0.72 : size, i * 45 - 90));
  d.as('stars', 0.3, () => d.shape(sides(...points.map((p, i) => [p, points[(i + 1) % 8]]))));
}
