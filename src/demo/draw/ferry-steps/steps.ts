import { type Drawing, type P, along, poly, straight, ticks } from '../kit/index.ts';

const VANISHING: P = [64, 97];
const STEPS = Array.from({ length: 8 }, (_, i) => ({
  nose: 126 + 7 * i + 0.48 * i * i,
  left: 129 - 6 * i - 0.55 * i * i,
  high: 4.6 + i * 0.5,
}));

/** Stone steps from the landing down into the water, the nearest first below and the landing last, on top. */
export function steps(d: Drawing): void {
  for (let i = STEPS.length - 1; i >= 0; i--) step(d, i);
}

function step(d: Drawing, i: number): void {
  const { nose, left, high } = STEPS[i];
  const deep = i === 0 ? 0.3 : 0.2;
  const [front, foot]: P[] = [
    [left, nose],
    [left, nose + high],
  ];
  const [back, backFoot] = [along(front, VANISHING, deep), along(foot, VANISHING, deep)];
  d.as('step treads', 0.42 + 0.02 * i, () =>
    d.shape(poly([front, [208, nose], [208, back[1]], back]), () => {
      d.as('', 0.28, () => {
        for (let x = left + d.between(16, 26); x < 212 && i > 0; x += d.between(38, 52))
          d.rule(straight([along([x, nose + 0.4], VANISHING, -0.02), along([x, nose], VANISHING, deep)]));
      });
    }),
  );
  d.as('step sides', 0.46 + 0.02 * i, () =>
    d.shape(poly([front, foot, backFoot, back]), () => {
      d.as('', 0.22, () => ticks(d, poly([front, foot, backFoot, back]), 1.1, 2.6, () => 30, { clear: 0.5, where: () => 0.8 }));
    }),
  );
  riser(d, i);
}

function riser(d: Drawing, i: number): void {
  const { nose, left, high } = STEPS[i];
  const face = poly([left, nose, 208, nose, 208, nose + high, left, nose + high]);
  d.as('step risers', 0.5 + 0.03 * i, () =>
    d.shape(face, () => {
      d.as('', 0.34, () => {
        for (let x = left + d.between(12, 22); x < 204; x += d.between(21, 31)) d.rule(straight([x, nose - 1, x + d.between(-0.5, 0.5), nose + high + 1]));
      });
      d.as('', 0.22, () =>
        ticks(d, face, 2.2, 1.8, () => 4, {
          clear: 0.8,
          where: ([x, y]) => (y - nose > high * 0.55 ? 0.16 : 0.03) * (x < left + 30 ? 2 : 1),
        }),
      );
    }),
  );
}

/** Height of the nose of step `i` and the room on its tread, for what stands on it. */
export function noseOf(i: number): number {
  return STEPS[i].nose;
}
