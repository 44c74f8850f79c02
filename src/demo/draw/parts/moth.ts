import { type Drawing, type Placing, arc, curve, oval, sides, straight } from '../kit/index.ts';

/** A moth with spread wings, head up, about two wide: banded wings with an eye each, furred body, feathered feelers. */
export function moth(d: Drawing, placing: Placing, marked: boolean): void {
  d.place(placing, () => {
    for (const mirrored of [true, false]) d.place({ at: [0, 0], mirrored }, () => wings(d, marked));
    d.as('moth bodies', 0.42, () => {
      d.shape(sides([-0.13, -0.1, -0.15, 0.3, 0, 0.62], [0, 0.62, 0.15, 0.3, 0.13, -0.1], [0.13, -0.1, -0.13, -0.1]), () => {
        d.rule(arc([0, 0.2], 0.2, 0.05, 0, 180));
        d.as('', 0.24, () => {
          for (const y of [0.04, 0.32, 0.42]) d.line(arc([0, y], 0.1, 0.04, 40, 140), 0.4);
        });
      });
      d.shape(oval([0, -0.14], 0.18, 0.15));
      d.shape(oval([0, -0.3], 0.1, 0.08));
    });
    for (const mirrored of [true, false]) {
      d.place({ at: [0, 0], mirrored }, () => {
        d.as('', 0.3, () => d.line(curve([0.05, -0.36, 0.2, -0.6, 0.4, -0.68]), 0.5));
        d.as('', 0.2, () => {
          for (const [x, y] of [
            [0.12, -0.5],
            [0.2, -0.6],
            [0.3, -0.66],
          ])
            d.line(straight([x, y, x - 0.07, y - 0.09]), 0.5);
        });
      });
    }
  });
}

function wings(d: Drawing, marked: boolean): void {
  d.as('moth hindwings', 0.4, () =>
    d.shape(sides([0.08, 0.06, 0.4, 0.02, 0.72, 0.16], [0.72, 0.16, 0.7, 0.42, 0.52, 0.62, 0.34, 0.64, 0.16, 0.44, 0.08, 0.06]), () =>
      d.as('', 0.24, () => d.line(curve([0.62, 0.36, 0.5, 0.47, 0.34, 0.48]), 0.3)),
    ),
  );
  d.as('moth forewings', 0.44, () =>
    d.shape(
      sides([0.06, -0.2, 0.4, -0.5, 1.02, -0.62], [1.02, -0.62, 1, -0.3, 0.82, 0.02], [0.82, 0.02, 0.46, 0.06, 0.1, 0.06], [0.1, 0.06, 0.06, -0.2]),
      () => {
        d.as('moth forewings', 0.3, () => {
          d.rule(curve([0.86, -0.7, 0.82, -0.4, 0.64, 0.12]));
          if (marked) d.rule(curve([0.38, -0.6, 0.36, -0.24, 0.26, 0.1]));
        });
        d.as('', 0.22, () => {
          for (const [x, y] of [
            [0.9, -0.4],
            [0.86, -0.24],
            [0.8, -0.1],
          ])
            d.line(straight([x, y, x + 0.08, y - 0.03]), 0.4);
        });
      },
    ),
  );
  if (!marked) return;
  d.as('moth eyes', 0.32, () => {
    d.shape(oval([0.58, -0.26], 0.12, 0.11));
    d.shape(oval([0.58, -0.26], 0.055));
  });
}
