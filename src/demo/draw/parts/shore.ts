import { type Drawing } from '../kit.ts';

/** The far side of the harbour: two headlands and a row of small houses at the water's edge. */
export function shore(d: Drawing): void {
  d.as('far hills', 0.32, () => {
    d.sides(
      [
        [6, 101],
        [26, 93],
        [48, 96],
        [70, 103],
        [96, 110],
      ],
      [
        [96, 114],
        [6, 114],
      ],
    );
    d.sides(
      [
        [78, 111],
        [104, 103],
        [126, 98],
        [150, 101],
        [204, 92],
      ],
      [
        [204, 114],
        [78, 114],
      ],
    );
  });
  const houses: [number, number, number][] = [
    [18, 6, 7],
    [26, 5, 5],
    [33, 7, 8],
    [92, 6, 6],
    [99, 5, 8],
    [106, 7, 5.5],
    [115, 5, 7],
    [122, 6, 6],
  ];
  for (const [x, w, h] of houses) house(d, x, 112.5, w, h);
}

function house(d: Drawing, x: number, foot: number, w: number, h: number): void {
  d.as('far houses', 0.28, () => {
    d.poly([x, foot], [x, foot - h], [x + w, foot - h], [x + w, foot]);
    d.poly([x - 0.7, foot - h + 0.1], [x + w / 2, foot - h - w * 0.55], [x + w + 0.7, foot - h + 0.1]);
  });
  d.as('lit windows', 0.26, () =>
    d.poly(
      [x + w * 0.34, foot - h * 0.35],
      [x + w * 0.34, foot - h * 0.72],
      [x + w * 0.68, foot - h * 0.72],
      [x + w * 0.68, foot - h * 0.35],
    ),
  );
}
