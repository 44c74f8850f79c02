import { type Drawing } from '../kit.ts';

const TREADS = 8;

/** Stone steps from the landing down into the water, and what has been left standing on them. */
export function quay(d: Drawing): void {
  for (let i = 0; i < TREADS; i++) {
    const top = 129 + i * 9.4;
    const left = 122 - i * 7.6 - (i > 4 ? (i - 4) * 2 : 0);
    tread(d, left, top, i === 0 ? 4.2 : 3.4);
    riser(d, left, top + (i === 0 ? 4.2 : 3.4), i);
  }
}

function tread(d: Drawing, left: number, top: number, deep: number): void {
  d.as('step treads', 0.5, () => d.poly([left + 2.4, top], [206, top], [206, top + deep], [left, top + deep]));
  d.as('step treads', 0.3, () => {
    for (let x = left + d.between(18, 26); x < 198; x += d.between(20, 30)) d.line([x + 0.8, top], [x, top + deep]);
  });
}

function riser(d: Drawing, left: number, top: number, i: number): void {
  const deep = 6.6;
  d.as('step risers', 0.5, () => d.poly([left, top], [206, top], [206, top + deep], [left + 0.6, top + deep]));
  d.as('step risers', 0.32, () => {
    for (let x = left + d.between(8, 13) + (i % 2) * 5; x < 200; x += d.between(12, 19)) {
      d.line([x, top], [x + d.between(-0.5, 0.5), top + deep]);
    }
  });
}

/** The bell on its post beside the landing. */
export function bell(d: Drawing): void {
  d.as('bell post', 0.46, () => {
    d.poly([121.5, 132], [121.8, 88], [125, 88], [125.3, 132]);
    d.poly([111, 92], [111, 89], [127, 89], [127, 92]);
    d.poly([119.8, 133], [119.8, 128.5], [127, 128.5], [127, 133]);
    d.sides(
      [
        [121.8, 100],
        [119, 95.5],
        [115.5, 92],
      ],
      [
        [115.5, 92],
        [117.6, 92],
      ],
      [
        [117.6, 92],
        [120.2, 94.6],
        [121.8, 97.4],
      ],
      [
        [121.8, 97.4],
        [121.8, 100],
      ],
    );
  });
  d.as('brass bell', 0.5, () => {
    d.ellipse(113.5, 109.8, 1.5, 1.7);
    d.sides(
      [
        [111.6, 94.6],
        [109.2, 98],
        [108.7, 103],
        [106, 108],
      ],
      [
        [106, 108],
        [113.5, 109.8],
        [121, 108],
      ],
      [
        [121, 108],
        [118.3, 103],
        [117.8, 98],
        [115.4, 94.6],
      ],
      [
        [115.4, 94.6],
        [113.5, 93.6],
        [111.6, 94.6],
      ],
    );
    d.curve([109, 99.6], [113.5, 100.6], [118, 99.6]);
    d.curve([107.4, 105.8], [113.5, 107.4], [119.6, 105.8]);
    d.ellipse(113.5, 92.8, 1.3, 1.5);
  });
}

/** A crate on the third step, with a tin kettle on it. */
export function crateAndKettle(d: Drawing): void {
  d.as('crate', 0.5, () => {
    d.poly([168, 164], [168, 143], [196, 143], [196, 164]);
    d.poly([168, 143.4], [171.5, 139.4], [199, 139.4], [196, 143.4]);
    d.poly([196, 164], [196, 143.2], [199, 139.4], [199, 159]);
    d.line([168, 150], [196, 150]);
    d.line([168, 157], [196, 157]);
    d.poly([170.4, 164], [170.4, 143], [174.4, 143], [174.4, 164]);
    d.poly([189.6, 164], [189.6, 143], [193.6, 143], [193.6, 164]);
  });
  d.as('tin kettle', 0.46, () => {
    d.sides(
      [
        [190, 129.5],
        [193, 128],
        [195.2, 124.6],
      ],
      [
        [195.2, 124.6],
        [197, 125.6],
      ],
      [
        [197, 125.6],
        [195.4, 130.5],
        [191, 134],
      ],
      [
        [191, 134],
        [190, 129.5],
      ],
    );
    d.sides(
      [
        [176, 127.6],
        [174, 117.5],
        [182, 114.4],
        [190, 117.5],
        [188.4, 127.6],
      ],
      [
        [188.4, 127.6],
        [187.2, 126.4],
      ],
      [
        [187.2, 126.4],
        [188, 118.6],
        [182, 116],
        [176, 118.6],
        [177.4, 126.4],
      ],
      [
        [177.4, 126.4],
        [176, 127.6],
      ],
    );
    d.sides(
      [
        [175.4, 127],
        [172.8, 133],
        [173.6, 140.4],
      ],
      [
        [173.6, 140.4],
        [182, 142],
        [190.8, 140.4],
      ],
      [
        [190.8, 140.4],
        [191.6, 133],
        [189, 127],
      ],
      [
        [189, 127],
        [182, 125.6],
        [175.4, 127],
      ],
    );
    d.ellipse(182, 126.6, 6.8, 1.7);
    d.ellipse(182, 124.4, 1.5, 1.2);
    d.curve([173, 136.4], [182, 138.2], [191.4, 136.4]);
  });
}

/** A coil of rope on the fourth step: turns lying on one another. */
export function ropeCoil(d: Drawing): void {
  d.as('rope coil', 0.42, () => {
    for (const [k, r] of [
      [0, 11],
      [1, 10.2],
      [2, 9.2],
    ]) {
      const y = 168 - k * 2.3;
      d.ellipse(128, y, r, 3.6);
    }
    d.ellipse(128, 163.2, 6.4, 2.2);
    d.ellipse(128, 163.3, 3.2, 1);
  });
}

/** The gangplank from the landing to the ferry. */
export function gangplank(d: Drawing): void {
  d.as('gangplank', 0.46, () => {
    d.poly([96, 116.5], [126, 129], [121, 134.4], [92, 120.4]);
    for (const t of [0.14, 0.28, 0.42, 0.56, 0.7, 0.84]) {
      d.line([96 + 30 * t, 116.5 + 12.5 * t], [92 + 29 * t, 120.4 + 14 * t]);
    }
  });
}
