import { type Drawing } from '../kit.ts';

/** The ticket hut on the quay: plank walls, door, counter and round window under a shingled roof. */
export function hut(d: Drawing): void {
  d.as('stove pipe', 0.44, () => {
    d.poly([182, 66], [182, 46], [187.5, 46], [187.5, 66]);
    d.poly([180.6, 47], [181.6, 43.4], [187.9, 43.4], [188.9, 47]);
  });
  d.as('hut walls', 0.5, () => {
    d.poly([143, 130], [143, 80], [199, 80], [199, 130]);
    for (const x of [150, 157, 164.4, 171.5, 178.4, 185.5, 192.4])
      d.line([x + d.between(-0.4, 0.4), 80], [x + d.between(-0.4, 0.4), 130]);
  });
  d.as('hut door', 0.46, () => {
    d.poly([147, 130], [147, 98], [162, 98], [162, 130]);
    d.poly([149.4, 112], [149.4, 101], [159.6, 101], [159.6, 112]);
    d.poly([149.4, 127], [149.4, 115.5], [159.6, 115.5], [159.6, 127]);
  });
  d.as('brass bell', 0.3, () => d.ellipse(160.6, 113.8, 0.95, 0.95));
  counter(d);
  roof(d);
}

function counter(d: Drawing): void {
  d.as('counter', 0.46, () => d.poly([168, 115], [168, 98], [195, 98], [195, 115]));
  d.as('lit windows', 0.36, () => {
    d.poly([170, 113], [170, 100], [181, 100], [181, 113]);
    d.poly([182.6, 113], [182.6, 100], [193, 100], [193, 113]);
    d.line([170, 106.5], [181, 106.5]);
    d.line([187.8, 100], [187.8, 113]);
  });
  d.as('counter', 0.46, () => d.poly([166, 114.5], [197, 114.5], [198, 118], [165, 118]));
}

function roof(d: Drawing): void {
  d.as('roof shingles', 0.36, () => {
    const rows = 6;
    for (let row = 0; row < rows; row++) {
      const y = 84.5 - row * 5.1;
      const inset = row * 2.3;
      const [left, right] = [137 + inset, 204.5 - inset];
      const n = 12 - (row % 2);
      const w = (right - left) / n;
      for (let i = 0; i < n; i++) {
        const x = left + i * w;
        const drop = d.between(-0.35, 0.45);
        d.sides(
          [
            [x, y - 6.2],
            [x, y + drop - 1.8],
            [x + w / 2, y + drop + 0.6],
            [x + w, y + drop - 1.8],
            [x + w, y - 6.2],
          ],
          [
            [x + w, y - 6.2],
            [x, y - 6.2],
          ],
        );
      }
    }
  });
  d.as('roof ridge', 0.46, () => d.poly([148, 56], [148.6, 51.6], [193, 51.6], [193.6, 56]));
}
