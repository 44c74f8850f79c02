import { type Drawing, type P, arc, oval, poly, polar, sector } from '../kit/index.ts';

/** A rounded stone in its bezel, with the window's light left on it. */
export function cabochon(d: Drawing, c: P, r: number, tilt = 0, long = 1): void {
  d.as('bezels', 0.38, () => d.shape(oval(c, r * 1.28 * long, r * 1.28, tilt)));
  d.as('cabochons', 0.42, () =>
    d.shape(oval(c, r * long, r, tilt), () =>
      d.as('highlights', 0.24, () => {
        if (r > 2.4) d.shape(oval([c[0] - r * 0.34, c[1] - r * 0.4], r * 0.3, r * 0.17, -38));
        d.line(arc(c, r * 0.7 * long, r * 0.7, 20, 95), 0.2);
      }),
    ),
  );
}

/** A pearl: round, with a small gleam. */
export function pearl(d: Drawing, c: P, r: number): void {
  d.as('pearls', 0.34, () => d.shape(oval(c, r), () => d.as('pearls', 0.22, () => d.line(arc(c, r * 0.58, r * 0.58, 185, 285), 0.2))));
}

/** A stone cut with a table and eight facets round it. */
export function cutStone(d: Drawing, c: P, r: number, turn: number): void {
  const at = (radius: number, i: number) => polar(c, radius, turn + i * 45);
  d.as('bezels', 0.38, () => d.shape(oval(c, r * 1.22)));
  d.as('cut stones', 0.34, () => {
    for (let i = 0; i < 8; i++) d.shape(poly([at(r, i), at(r, i + 1), at(r * 0.55, i + 1), at(r * 0.55, i)]));
    d.shape(poly(Array.from({ length: 8 }, (_, i) => at(r * 0.55, i))));
  });
}

/** A ring of equal tiles between two radii, each drawn on by `on`. */
export function tiles(
  d: Drawing,
  c: P,
  [inner, outer]: readonly [number, number],
  count: number,
  start: number,
  on?: (i: number, middle: number) => void,
): void {
  const step = 360 / count;
  for (let i = 0; i < count; i++) {
    const from = start + i * step;
    d.shape(sector(c, inner, outer, from, from + step), on && (() => on(i, from + step / 2)));
  }
}
