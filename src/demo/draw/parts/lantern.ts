import { type Drawing, type P, arc, blob, oval, sides, straight, curve } from '../kit/index.ts';

export type LanternKind = 'round' | 'long' | 'lobed';

/** A paper lantern that hangs from `top`, swayed by degrees: loop, cap, body with its ribs, foot and tassel. `size` is the body's width. */
export function lantern(d: Drawing, top: P, size: number, kind: LanternKind, sway: number): void {
  d.place({ at: top, turn: sway, size }, () => {
    const height = { round: 0.92, long: 1.5, lobed: 1.08 }[kind];
    const head = 0.34;
    d.as('lantern fittings', 0.3, () => d.rule(straight([0, -0.04, 0, head])));
    d.as('paper lanterns', 0.46, () => bodyOf(d, kind, head, height));
    d.as('lantern fittings', 0.36, () => {
      d.shape(
        sides(
          [-0.3, head + 0.07, -0.22, head - 0.1],
          [-0.22, head - 0.1, 0, head - 0.15, 0.22, head - 0.1],
          [0.22, head - 0.1, 0.3, head + 0.07],
          [0.3, head + 0.07, 0, head + 0.1, -0.3, head + 0.07],
        ),
      );
      const foot = head + height;
      d.line(straight([0, foot - 0.06, 0.01, foot + 0.34]), 0.7);
      d.line(straight([-0.03, foot - 0.06, -0.07, foot + 0.42]), 0.6);
      d.line(straight([0.03, foot - 0.06, 0.08, foot + 0.4]), 0.6);
    });
  });
}

function bodyOf(d: Drawing, kind: LanternKind, head: number, height: number): void {
  const middle = head + height / 2;
  const rib = (how: () => void) => d.as('paper lanterns', 0.27, how);
  if (kind === 'round') {
    d.shape(oval([0, middle], 0.5, height / 2), () =>
      rib(() => {
        for (const t of [-0.36, 0.36]) d.rule(arc([0, middle + t * height * 0.5], 0.56, 0.1, 0, 180));
      }),
    );
  } else if (kind === 'long') {
    d.shape(
      sides([-0.3, head, -0.42, middle, -0.3, head + height], [-0.3, head + height, 0.3, head + height], [0.3, head + height, 0.42, middle, 0.3, head]),
      () =>
        rib(() => {
          for (const t of [0.28, 0.54, 0.8]) d.rule(arc([0, head + t * height], 0.5, 0.07, 0, 180));
        }),
    );
  } else {
    for (const x of [-0.31, 0.31]) d.shape(oval([x, middle], 0.21, height * 0.45));
    for (const x of [-0.16, 0.16]) d.shape(oval([x, middle], 0.24, height * 0.48));
    d.shape(oval([0, middle], 0.17, height * 0.5));
  }
}

/** Lantern light broken up in still water: slices that shrink downwards. */
export function brokenLight(d: Drawing, [x, y]: P, size: number, slices: number): void {
  d.as('lantern reflections', 0.3, () => {
    for (let k = 0; k < slices; k++) {
      const w = size * (0.62 - 0.1 * Math.abs(k - 0.6)) * d.between(0.85, 1.15);
      const cx = x + d.between(-0.14, 0.14) * size;
      const cy = y + k * size * 0.42;
      const h = size * 0.14;
      d.shape(blob([cx - w, cy, cx - w * 0.3, cy - h, cx + w * 0.5, cy - h * 0.8, cx + w, cy + h * 0.1, cx + w * 0.2, cy + h, cx - w * 0.6, cy + h * 0.7]));
    }
  });
}

/** A rope that hangs through its lanterns. */
export function rope(d: Drawing, through: readonly P[]): void {
  d.as('ropes', 0.5, () => d.rule(curve(through)));
}
