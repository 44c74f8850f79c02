import { type Drawing } from '../kit.ts';

/** Reeds and bulrushes in the near corner, leaning with the evening wind. */
export function reeds(d: Drawing): void {
  const blades: [number, number, number][] = [];
  for (let i = 0; i < 22; i++)
    blades.push([9 + i * 2.35 + d.between(-0.8, 0.8), d.between(148, 178) + Math.abs(i - 9) * 1.1, d.between(-9, 15)]);
  blades.sort((p, q) => p[1] - q[1]);
  for (const [i, [x, tip, lean]] of blades.entries()) {
    if (i % 4 === 1) bulrush(d, x, tip + 4, lean * 0.35);
    d.as('reeds', 0.4, () => {
      const w = d.between(1.1, 1.7);
      d.sides(
        [
          [x - w, 206],
          [x - w * 0.7 + lean * 0.25, (206 + tip) / 2],
          [x + lean, tip],
        ],
        [
          [x + lean, tip],
          [x + w * 0.9 + lean * 0.3, (206 + tip) / 2 + 2],
          [x + w, 206],
        ],
        [
          [x + w, 206],
          [x - w, 206],
        ],
      );
    });
  }
}

function bulrush(d: Drawing, x: number, top: number, lean: number): void {
  d.as('reeds', 0.34, () =>
    d.sides(
      [
        [x - 0.55, 206],
        [x + lean - 0.5, top + 6],
      ],
      [
        [x + lean - 0.5, top + 6],
        [x + lean + 0.5, top + 6],
      ],
      [
        [x + lean + 0.5, top + 6],
        [x + 0.55, 206],
      ],
      [
        [x + 0.55, 206],
        [x - 0.55, 206],
      ],
    ),
  );
  d.as('bulrush heads', 0.44, () => d.ellipse(x + lean, top + 2.5, 1.65, 5.6, -lean * 1.5));
}
