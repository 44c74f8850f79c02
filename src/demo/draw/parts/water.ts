import { type Drawing, type P } from '../kit.ts';

/** Still water, from the far shore to the near edge of the page. */
export function water(d: Drawing): void {
  d.as('still water', 0.4, () => d.poly([6, 112.5], [204, 112.5], [204, 204], [6, 204]));
}

/** What lies on the water: long ripples, and the lanterns broken up in it. */
export function onTheWater(d: Drawing, lanterns: readonly P[]): void {
  for (let i = 0; i < 16; i++) {
    const y = 137 + 62 * (i / 16) + d.between(0, 2);
    const near = (y - 112) / 92;
    const right = 104 - (y - 137) * 0.62;
    ripple(d, d.between(9, 24), y, d.between(9, 13) + 8 * near, 0.7 + 0.75 * near);
    ripple(d, right - d.between(14, 24), y + 1.7, d.between(10, 14) + 6 * near, 0.7 + 0.75 * near);
    if (i % 2) ripple(d, d.between(42, 62), y + 1, d.between(10, 16), 0.7 + 0.6 * near);
  }
  for (let i = 0; i < 5; i++) ripple(d, d.between(104, 116), 117 + i * 3.4, d.between(7, 12), 0.75);
  for (const [x, y] of lanterns) {
    const mirrored = 136 + (132 - y) * 0.62;
    d.as('lantern reflections', 0.34, () => {
      for (const [k, w] of [
        [-1, 3.2],
        [0, 4.4],
        [1, 3.8],
        [2, 2.6],
      ]) {
        const cy = mirrored + k * 2.7;
        const shift = d.between(-0.7, 0.7);
        if (cy > 200) continue;
        d.sides(
          [
            [x - w + shift, cy],
            [x + shift, cy - 1.15],
            [x + w + shift, cy],
          ],
          [
            [x + w + shift, cy],
            [x + shift, cy + 1.15],
            [x - w + shift, cy],
          ],
        );
      }
    });
  }
}

function ripple(d: Drawing, x: number, y: number, length: number, height: number): void {
  d.as('ripples', 0.3, () =>
    d.sides(
      [
        [x, y],
        [x + length * 0.3, y - height],
        [x + length * 0.65, y - height * 0.4],
        [x + length, y],
      ],
      [
        [x + length, y],
        [x + length * 0.55, y + height * 0.75],
        [x + length * 0.2, y + height * 0.5],
        [x, y],
      ],
    ),
  );
}
