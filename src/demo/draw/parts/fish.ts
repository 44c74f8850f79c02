import { type Drawing, type P, type Placing, arc, curve, oval, sides, straight } from '../kit/index.ts';

/** A carved fish from the side, nose to the right, about two long: tail, fins, rows of scales and head. */
export function fish(d: Drawing, placing: Placing): void {
  d.place(placing, () => {
    d.as('fish fins', 0.44, () => {
      tail(d);
      rayed(
        d,
        sides([-0.34, -0.2, -0.2, -0.52, 0.1, -0.62, 0.42, -0.5], [0.42, -0.5, 0.34, -0.2], [0.34, -0.2, -0.34, -0.2]),
        [
          [-0.16, -0.2],
          [-0.1, -0.62],
        ],
        [
          [0.02, -0.2],
          [0.1, -0.7],
        ],
        [
          [0.18, -0.2],
          [0.28, -0.66],
        ],
      );
      rayed(d, sides([-0.2, 0.22, -0.34, 0.5, -0.5, 0.56], [-0.5, 0.56, -0.1, 0.52, 0.1, 0.26], [0.1, 0.26, -0.2, 0.22]), [
        [-0.08, 0.2],
        [-0.3, 0.6],
      ]);
    });
    const body = sides(
      [1, 0.02, 0.72, -0.24, 0.3, -0.37, -0.2, -0.32, -0.62, -0.12, -0.86, -0.07],
      [-0.86, -0.07, -0.86, 0.07],
      [-0.86, 0.07, -0.6, 0.13, -0.1, 0.34, 0.36, 0.36, 0.76, 0.22, 1, 0.02],
    );
    d.as('fish scales', 0.46, () => d.shape(body, () => d.as('fish scales', 0.32, () => scales(d))));
    d.as('fish heads', 0.44, () => {
      d.shape(sides([0.46, -0.36, 0.36, -0.1, 0.36, 0.12, 0.46, 0.35], [0.46, 0.35, 0.78, 0.21, 1, 0.02], [1, 0.02, 0.74, -0.23, 0.46, -0.36]), () => {
        d.as('', 0.28, () => {
          d.line(curve([0.98, 0.08, 0.88, 0.1, 0.8, 0.15]), 0.4);
          d.line(arc([0.4, 0], 0.18, 0.26, -50, 50), 0.3);
        });
      });
      d.shape(oval([0.72, -0.07], 0.1));
      d.shape(oval([0.73, -0.07], 0.05));
    });
    d.as('fish fins', 0.4, () =>
      rayed(d, sides([0.3, 0.06, 0.08, 0.02, -0.12, 0.1], [-0.12, 0.1, -0.06, 0.22, 0.12, 0.24, 0.3, 0.06]), [
        [0.3, 0.07],
        [-0.06, 0.16],
      ]),
    );
  });
}

function tail(d: Drawing): void {
  rayed(
    d,
    sides(
      [-0.78, -0.08, -1, -0.3, -1.3, -0.42],
      [-1.3, -0.42, -1.16, -0.18, -1.12, 0, -1.16, 0.2, -1.3, 0.44],
      [-1.3, 0.44, -1, 0.3, -0.78, 0.08],
      [-0.78, 0.08, -0.78, -0.08],
    ),
    [
      [-0.8, -0.03],
      [-1.24, -0.2],
    ],
    [
      [-0.8, 0],
      [-1.2, 0],
    ],
    [
      [-0.8, 0.03],
      [-1.24, 0.22],
    ],
  );
}

function rayed(d: Drawing, shape: readonly P[], ...rays: [P, P][]): void {
  d.shape(shape, () => d.as('', 0.28, () => rays.forEach(([a, b]) => d.rule(straight([a, b])))));
}

function scales(d: Drawing): void {
  for (let col = 0; col < 8; col++) {
    const x = -0.72 + col * 0.145;
    for (let row = -2; row <= 2; row++) {
      const y = (row + (col % 2) * 0.5) * 0.19;
      d.shape(oval([x, y], 0.135, 0.115));
    }
  }
}
