import { type Drawing, type P, type Placing, arc, curve, oval, polar, sides, straight } from '../kit/index.ts';

/** A scallop shell, hinge at the origin, fan upwards, about one high. */
export function scallop(d: Drawing, placing: Placing, ribs: number): void {
  d.place(placing, () =>
    d.as('shells', 0.46, () => {
      d.shape(sides([-0.34, 0.12, -0.3, -0.16], [-0.3, -0.16, 0.3, -0.16], [0.3, -0.16, 0.34, 0.12], [0.34, 0.12, 0, 0.02, -0.34, 0.12]));
      const order = Array.from({ length: ribs }, (_, i) => i).sort((a, b) => Math.abs(b - (ribs - 1) / 2) - Math.abs(a - (ribs - 1) / 2));
      const step = 164 / ribs;
      for (const i of order) {
        const a = -90 - 82 + (i + 0.5) * step;
        const long = 1 - 0.16 * ((a + 90) / 82) ** 2;
        const edge = (share: number, off: number): P => polar([0, 0], long * share, a + off * step);
        d.shape(
          sides(
            [[0, 0], edge(0.5, -0.52), edge(0.93, -0.54)],
            [edge(0.93, -0.54), edge(1.02, -0.28), edge(1.05, 0), edge(1.02, 0.28), edge(0.93, 0.54)],
            [edge(0.93, 0.54), edge(0.5, 0.52), [0, 0]],
          ),
          () =>
            d.as('', 0.24, () => {
              for (const s of [0.86, 0.72]) d.line(arc([0, 0], long * s, long * s, a - step * 0.2, a + step * 0.26), 0.3);
            }),
        );
      }
      d.shape(oval([0, -0.02], 0.13, 0.1));
    }),
  );
}

/** A whelk lying on its side, point to the left, about two long. */
export function whelk(d: Drawing, placing: Placing): void {
  d.place(placing, () =>
    d.as('shells', 0.46, () => {
      const whorls: [x: number, r: number][] = [
        [-0.86, 0.12],
        [-0.66, 0.2],
        [-0.38, 0.3],
        [0, 0.42],
      ];
      d.shape(sides([0.2, 0.36, 0.62, 0.4, 1.02, 0.18], [1.02, 0.18, 0.8, -0.1, 0.4, -0.44, 0, -0.44], [0, -0.44, 0.2, 0.36]));
      for (const [x, r] of whorls) d.shape(oval([x, 0], r * 0.72, r * 1.04, -14));
      d.shape(sides([0.22, 0.24, 0.3, -0.06, 0.66, -0.06, 0.94, 0.16], [0.94, 0.16, 0.6, 0.32, 0.22, 0.24]));
      d.as('', 0.24, () => {
        d.line(curve([-0.06, -0.3, -0.16, 0, -0.08, 0.28]), 0.3);
        d.line(curve([0.12, -0.34, 0.06, -0.1, 0.1, 0.1]), 0.3);
      });
    }),
  );
}

/** A starfish with a row of knobs hinted along each arm, about two wide. */
export function starfish(d: Drawing, placing: Placing): void {
  d.place(placing, () => {
    const points = Array.from({ length: 5 }, (_, i): P[] => {
      const a = -90 + i * 72;
      return [polar([0, 0], 0.36, a - 36), polar([0, 0], 0.7, a - 13), polar([0, 0], 1, a), polar([0, 0], 0.7, a + 13), polar([0, 0], 0.36, a + 36)];
    });
    d.as('starfish', 0.5, () => {
      d.shape(sides(...points), () => {
        d.as('', 0.24, () => {
          for (let i = 0; i < 5; i++) {
            const a = -90 + i * 72;
            d.line(straight([polar([0, 0], 0.24, a), polar([0, 0], 0.74, a)]), 0.4);
            for (const r of [0.34, 0.5, 0.64]) for (const off of [-9, 9]) d.dot(polar([0, 0], r, a + off / r / 1.6), 0.03);
          }
        });
      });
      d.shape(oval([0, 0], 0.15));
    });
  });
}
