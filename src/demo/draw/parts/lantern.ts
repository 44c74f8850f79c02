import { type Drawing, type P } from '../kit.ts';

/** A paper lantern that hangs from `top`: cap, ribbed body, foot and tassel. `size` is the body's width. */
export function lantern(d: Drawing, [x, y]: P, size: number): void {
  const r = size / 2;
  const h = size * d.between(1.12, 1.3);
  const sway = d.between(-0.3, 0.3);
  const head = y + size * 0.28;
  d.as('lantern fittings', 0.3, () => d.line([x, y - 0.2], [x, head]));
  d.as('paper lanterns', 0.42, () => {
    d.sides(
      [
        [x - r * 0.42, head],
        [x - r, head + h * 0.45],
        [x - r * 0.42 + sway, head + h],
      ],
      [
        [x - r * 0.42 + sway, head + h],
        [x + r * 0.42 + sway, head + h],
      ],
      [
        [x + r * 0.42 + sway, head + h],
        [x + r, head + h * 0.45],
        [x + r * 0.42, head],
      ],
    );
  });
  d.as('paper lanterns', 0.26, () => {
    for (const rib of size > 5.5 ? [-0.52, 0, 0.52] : [-0.3, 0.3]) {
      d.curve([x + r * 0.42 * rib, head], [x + r * rib * 1.15, head + h * 0.45], [x + r * 0.42 * rib + sway, head + h]);
    }
  });
  d.as('lantern fittings', 0.34, () => {
    d.poly(
      [x - r * 0.56, head + 0.35],
      [x - r * 0.5, head - size * 0.16],
      [x + r * 0.5, head - size * 0.16],
      [x + r * 0.56, head + 0.35],
    );
    d.poly(
      [x - r * 0.52 + sway, head + h - 0.3],
      [x + r * 0.52 + sway, head + h - 0.3],
      [x + r * 0.46 + sway, head + h + size * 0.14],
      [x - r * 0.46 + sway, head + h + size * 0.14],
    );
    d.line([x + sway, head + h + size * 0.14], [x + sway, head + h + size * 0.48]);
  });
}
