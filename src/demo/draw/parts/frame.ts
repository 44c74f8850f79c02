import { type Drawing, type P, rect, straight } from '../kit/index.ts';

/** White paper outside a ruled frame, so that the picture is cut off cleanly at it. */
export function frame(d: Drawing, inset: number, weight = 0.7): void {
  const [w, h] = [d.width, d.height];
  d.as('', weight, () => {
    for (const side of [rect(-3, -3, w + 3, inset), rect(-3, h - inset, w + 3, h + 3), rect(-3, -3, inset, h + 3), rect(w - inset, -3, w + 3, h + 3)])
      d.patch(side);
    const corners: P[] = [
      [inset, inset],
      [w - inset, inset],
      [w - inset, h - inset],
      [inset, h - inset],
      [inset, inset],
    ];
    d.line(straight(corners), 1);
  });
}
