import { type Drawing, type P, curve, sides } from '../kit/index.ts';

/** A gull on the wing seen from the side: far wing, body with tail and bill, near wing with its dark tip. */
export function gull(d: Drawing, at: P, size: number, turn: number, mirrored = false): void {
  d.place({ at, size, turn, mirrored }, () =>
    d.as('gulls', 0.36, () => {
      d.shape(sides([0.1, -0.12, -0.02, -0.5, -0.35, -0.86, -0.95, -0.98], [-0.95, -0.98, -0.5, -0.66, -0.3, -0.34, -0.24, -0.02], [-0.24, -0.02, 0.1, -0.12]));
      d.shape(
        sides(
          [-0.95, 0.3, -0.5, 0.06, -0.1, -0.08, 0.3, -0.14, 0.52, -0.2, 0.68, -0.12],
          [0.68, -0.12, 0.86, -0.05],
          [0.86, -0.05, 0.68, -0.01, 0.5, 0.07, 0.1, 0.22, -0.35, 0.24, -0.62, 0.27],
          [-0.62, 0.27, -0.72, 0.42, -0.95, 0.3],
        ),
      );
      d.dot([0.6, -0.11], 0.028);
      d.shape(
        sides(
          [0.26, -0.02, 0.34, -0.44, 0.62, -0.78, 1.22, -0.86],
          [1.22, -0.86, 0.92, -0.62, 0.66, -0.36, 0.44, -0.08, 0.06, 0.1, -0.16, 0.06],
          [-0.16, 0.06, 0.06, 0.02, 0.26, -0.02],
        ),
        () => d.as('gulls', 0.26, () => d.line(curve([0.7, -0.85, 0.72, -0.6, 0.82, -0.45]))),
      );
    }),
  );
}
