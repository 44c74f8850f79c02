import { type Drawing, type P, arc, curve, polar, poly, rect, sides, straight } from '../kit/index.ts';

const WATERLINE = 97;

/** The far side of the harbour: headlands, the light, and a row of houses at the water's edge. */
export function farShore(d: Drawing): void {
  d.as('far hills', 0.28, () => {
    d.shape(sides([4, 80, 22, 74, 44, 79, 70, 88, 96, 93], [96, 98, 4, 98]));
    d.shape(sides([60, 97, 92, 86, 118, 81, 142, 85, 170, 79, 206, 84], [206, 98, 60, 98]));
  });
  light(d, [41.6, 79]);
  d.as('far trees', 0.26, () => {
    for (const [x, y, w] of [
      [14, 79, 7],
      [21, 77.5, 6],
    ])
      tree(d, [x, y], w);
  });
  d.as('sea wall', 0.3, () => d.shape(poly([70, 94.4, 206, 93.6, 206, WATERLINE + 0.6, 70, WATERLINE + 0.6])));
  const row: [x: number, w: number, h: number, kind: 'gable' | 'eaves'][] = [
    [108, 6.4, 8.5, 'eaves'],
    [114, 5, 11, 'gable'],
    [118.8, 6, 9, 'eaves'],
    [124.4, 4.6, 12, 'gable'],
    [128.6, 6.6, 8, 'eaves'],
    [134.8, 5.2, 10.6, 'gable'],
    [139.6, 6.2, 9, 'eaves'],
  ];
  for (const [x, w, h, kind] of row) house(d, x, WATERLINE - 2.6, w, h, kind);
}

function light(d: Drawing, [x, y]: P): void {
  d.as('harbour light', 0.3, () => {
    d.shape(poly([x - 2.2, y + 1, x - 1.4, y - 13, x + 1.4, y - 13, x + 2.2, y + 1]), () => {
      for (const t of [3.4, 7, 10.4]) d.rule(straight([x - 3, y - t, x + 3, y - t + 0.5]));
    });
    d.shape(rect(x - 2.2, y - 14, x + 2.2, y - 13));
    d.shape(rect(x - 1.2, y - 17, x + 1.2, y - 14));
    d.shape(sides([x - 1.9, y - 17, x, y - 20], [x, y - 20, x + 1.9, y - 17], [x + 1.9, y - 17, x - 1.9, y - 17]));
  });
}

function tree(d: Drawing, [x, y]: P, w: number): void {
  const lumps = Array.from({ length: 7 }, (_, i): P[] => arc(polar([x, y - w * 0.35], w * 0.32, 165 + i * 35), w * 0.17, w * 0.17, 75 + i * 35, 255 + i * 35));
  d.shape([...lumps.flat(), [x + w * 0.1, y + w * 0.1], [x + w * 0.1, y + 3], [x - w * 0.1, y + 3], [x - w * 0.1, y + w * 0.1]]);
}

function house(d: Drawing, x: number, foot: number, w: number, h: number, kind: 'gable' | 'eaves'): void {
  const eave = foot - h * 0.56;
  d.as('far houses', 0.3, () => {
    if (kind === 'gable') d.shape(poly([x, foot, x, eave, x + w / 2, foot - h, x + w, eave, x + w, foot]));
    else {
      d.shape(rect(x, eave, x + w, foot));
      d.shape(rect(x + w * 0.66, foot - h - 1.2, x + w * 0.86, eave));
      d.shape(poly([x - 0.5, eave + 0.3, x + 0.5, foot - h, x + w - 0.4, foot - h, x + w + 0.5, eave + 0.3]));
    }
  });
  d.as('lit windows', 0.24, () => {
    const [a, b] = kind === 'gable' ? [0.24, 0.6] : [0.16, 0.58];
    d.shape(rect(x + w * a, eave + 1.3, x + w * (a + 0.22), eave + 3.1));
    if (d.random() < 0.75) d.shape(rect(x + w * b, eave + 1.3, x + w * (b + 0.22), eave + 3.1));
  });
}

/** Still water from the far shore to the near edge, with its long lines. */
export function water(d: Drawing): void {
  d.as('still water', 0.34, () =>
    d.patch(poly([4, WATERLINE + 0.4, 206, WATERLINE + 0.4, 206, 206, 4, 206]), () => {
      d.rule(straight([4, WATERLINE + 0.5, 206, WATERLINE + 0.5]));
      for (let i = 0; i < 9; i++) {
        const y = 100 + i * 2.6;
        const x = d.between(8, 100);
        d.as('', 0.22, () => d.line(curve([x, y, x + 6, y - 0.4, x + d.between(10, 17), y]), 0.2));
      }
    }),
  );
}
