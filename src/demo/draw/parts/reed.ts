import { type Drawing, type P, along, curve, oval, sides } from '../kit/index.ts';

/** A leaf of reed from its foot to its tip, bent by `bow` mm, with a fold when it is broad. */
export function reedLeaf(d: Drawing, foot: P, tip: P, width: number, bow: number): void {
  const at = (t: number, across: number): P => {
    const [x, y] = along(foot, tip, t);
    return [x + bow * 4 * t * (1 - t) + across, y];
  };
  const w = width / 2;
  d.shape(
    sides([at(0, -w), at(0.35, -w * 1.05), at(0.7, -w * 0.62), at(1, 0)], [at(1, 0), at(0.7, w * 0.62), at(0.35, w * 1.05), at(0, w)]),
    width > 2.2 ? () => d.as('', 0.24, () => d.line(curve([at(0.05, 0), at(0.4, 0.1 * w), at(0.8, 0)]), 0.3)) : undefined,
  );
}

/** A bulrush: stalk, head and the spike above it. */
export function bulrush(d: Drawing, foot: P, head: P, size: number): void {
  const lean = head[0] - foot[0];
  const tilt = (Math.atan2(head[0] - foot[0], foot[1] - head[1]) * 180) / Math.PI;
  d.as('reeds', 0.36, () => {
    d.shape(
      sides(
        [foot[0] - 0.5, foot[1], foot[0] + lean * 0.35 - 0.5, (foot[1] + head[1]) / 2, head[0] - 0.4, head[1]],
        [head[0] + 0.4, head[1], foot[0] + lean * 0.35 + 0.5, (foot[1] + head[1]) / 2, foot[0] + 0.5, foot[1]],
      ),
    );
  });
  d.as('bulrush heads', 0.5, () =>
    d.place({ at: head, turn: tilt }, () => {
      d.line(
        [
          [0, -size * 2.2],
          [0, -size * 4.4],
        ],
        0.4,
      );
      d.shape(oval([0, 0], size, size * 3.2), () => {
        for (let i = 0; i < 16; i++) d.dot([d.between(0, 0.75) * size, d.between(-2.4, 2.6) * size], 0.12);
      });
    }),
  );
}
