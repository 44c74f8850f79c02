import { type Drawing, type P } from '../kit.ts';

/** Dusk over the harbour: the moon, long banks of cloud, a few stars and three gulls. */
export function sky(d: Drawing): void {
  d.as('dusk sky', 0.4, () => d.poly([6, 6], [204, 6], [204, 120], [6, 120]));
  d.as('moon', 0.4, () => {
    d.ellipse(74, 29, 11, 11);
    d.as('moon', 0.3, () => {
      d.ellipse(70.5, 25, 2.6, 2.2);
      d.ellipse(78, 23.2, 1.5, 1.3);
      d.ellipse(79, 30, 2.1, 1.9);
    });
  });
  cloud(d, 58, 37, 34, 5.5);
  cloud(d, 122, 25, 44, 6.5);
  cloud(d, 22, 58, 26, 4.5);
  cloud(d, 176, 44, 40, 5.5);
  cloud(d, 96, 80, 40, 3.8);
  for (const [x, y, r] of [
    [20, 18, 2.2],
    [40, 14, 1.6],
    [98, 14, 2],
    [150, 13, 1.7],
    [188, 20, 2.3],
    [52, 52, 1.5],
    [112, 50, 1.6],
    [190, 62, 1.5],
  ]) {
    d.as('stars', 0.3, () => star(d, x, y, r));
  }
  gull(d, 112, 38, 9, -8);
  gull(d, 128, 62, 6.5, 10);
  gull(d, 88, 55, 5.5, -4);
}

function cloud(d: Drawing, cx: number, cy: number, width: number, height: number): void {
  d.as('clouds', 0.42, () => {
    const puffs = Math.max(3, Math.round(width / 7));
    const bumps = Array.from({ length: puffs }, (_, i): P[] => {
      const [t0, t1] = [i / puffs, (i + 1) / puffs];
      const lift = (t: number) => Math.sin(Math.PI * t) ** 0.75 * height * 0.62;
      const point = (t: number, extra: number): P => [cx - width / 2 + width * t, cy - lift(t) - extra];
      const puff = d.between(1.5, 2.6);
      return [
        point(t0, 0),
        point(t0 + 0.22 * (t1 - t0), puff),
        point(t0 + 0.75 * (t1 - t0), puff * 1.05),
        point(t1, 0),
      ];
    });
    const bottom: P[] = [0, 0.25, 0.5, 0.75, 1].map((t): P => [
      cx + width / 2 - width * t,
      cy + Math.sin(Math.PI * t) * height * 0.28,
    ]);
    d.sides(...bumps, bottom);
    d.curve(
      [cx - width * 0.28, cy - height * 0.05],
      [cx - width * 0.1, cy - height * 0.3],
      [cx + width * 0.06, cy - height * 0.12],
    );
    d.curve(
      [cx + width * 0.1, cy - height * 0.2],
      [cx + width * 0.22, cy - height * 0.42],
      [cx + width * 0.34, cy - height * 0.2],
    );
  });
}

function star(d: Drawing, x: number, y: number, r: number): void {
  d.poly(
    ...Array.from({ length: 8 }, (_, i): P => {
      const a = (Math.PI / 4) * i - Math.PI / 2;
      const reach = i % 2 ? r * 0.38 : r;
      return [x + reach * Math.cos(a), y + reach * Math.sin(a)];
    }),
  );
}

/** A gull with raised wings: far wing, body with tail, near wing. */
function gull(d: Drawing, x: number, y: number, s: number, tilt: number): void {
  const a = (tilt * Math.PI) / 180;
  const at = (u: number, v: number): P => [
    x + s * (u * Math.cos(a) - v * Math.sin(a)),
    y + s * (u * Math.sin(a) + v * Math.cos(a)),
  ];
  d.as('gulls', 0.36, () => {
    d.sides(
      [at(0.05, -0.05), at(-0.25, -0.5), at(-0.75, -0.75), at(-1.25, -0.62)],
      [at(-1.25, -0.62), at(-0.8, -0.52), at(-0.45, -0.2), at(-0.2, 0.12)],
      [at(-0.2, 0.12), at(0.05, -0.05)],
    );
    d.sides(
      [at(-0.62, 0.3), at(-0.2, 0.02), at(0.3, -0.1), at(0.62, 0)],
      [at(0.62, 0), at(0.78, 0.08), at(0.6, 0.14)],
      [at(0.6, 0.14), at(0.2, 0.34), at(-0.25, 0.3), at(-0.62, 0.3)],
    );
    d.sides(
      [at(0.22, 0.06), at(0.3, -0.45), at(0.72, -0.8), at(1.25, -0.86)],
      [at(1.25, -0.86), at(0.85, -0.66), at(0.55, -0.28), at(0.02, 0.18)],
      [at(0.02, 0.18), at(0.22, 0.06)],
    );
  });
}
