import { expect } from 'chai';
import fc from 'fast-check';
import { bandsThatFit, findRegions } from './index.ts';
import { findAlike } from './likeness.ts';

const PER_MM = 10;

type Inside = (x: number, y: number) => number;

/** Shapes on one page, drawn as outlines 4 px wide; each is a function below 0 inside, in pixels from its middle. */
async function shapes(
  list: readonly { at: [number, number]; inside: Inside; turn?: number; size?: number; flip?: boolean }[],
) {
  const [width, height] = [1000, 700];
  const data = new Uint8Array(width * height).fill(248);
  for (const { at, inside, turn = 0, size = 1, flip = false } of list) {
    const [c, s] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
    for (let y = 0; y < height; y++) {
      for (let x = 0; x < width; x++) {
        const [u, v] = [(x - at[0]) / size, (y - at[1]) / size];
        const d = size * inside((flip ? -1 : 1) * (u * c + v * s), v * c - u * s);
        if (Math.abs(d) < 2) data[y * width + x] = 16;
      }
    }
  }
  return findRegions({ width, height, data }, { pixelsPerMm: PER_MM });
}

const disc: Inside = (x, y) => Math.hypot(x, y) - 60;
const bar: Inside = (x, y) => Math.max(Math.abs(x) - 90, Math.abs(y) - 30);
const leaf: Inside = (x, y) => Math.max(Math.hypot(x, y - 70), Math.hypot(x, y + 70)) - 110;
const snake: Inside = (x, y) => Math.max(Math.abs(y - 40 * Math.sin(x / 40)) - 14, Math.abs(x) - 180);
const ring: Inside = (x, y) => Math.abs(Math.hypot(x, y) - 60) - 18;
const flag: Inside = (x, y) => Math.max(Math.abs(x) - 60, y - 50, -50 - y + (x > 0 ? x : 0));

describe('the shape of a region', () => {
  it('is named by what it looks like, whichever way it lies', async () => {
    for (const turn of [0, 33, 90]) {
      const map = await shapes([
        { at: [120, 120], inside: disc, turn },
        { at: [340, 120], inside: bar, turn },
        { at: [560, 130], inside: leaf, turn },
        { at: [800, 250], inside: snake, turn },
        { at: [200, 450], inside: ring, turn },
      ]);
      const kinds = map.regions.map(({ shape }) => shape);
      expect(kinds, `turned by ${turn}`).to.have.members(['ball', 'tube', 'leaf', 'strip', 'ring', 'ball']);
    }
  });

  it('has its length along its axis and its breadth across', async () => {
    for (const turn of [0, 25, 70, 140]) {
      const [region] = (await shapes([{ at: [500, 350], inside: bar, turn }])).regions;
      expect(region.lengthMm).to.be.closeTo(18, 0.3);
      expect(region.breadthMm).to.be.closeTo(6, 0.3);
      expect(region.axisDegrees).to.be.closeTo(turn, 1.5);
    }
  });

  it('counts what it runs round', async () => {
    const { regions } = await shapes([{ at: [300, 300], inside: ring }]);
    expect(regions.map(({ holes }) => holes).sort()).to.deep.equal([0, 1]);
  });
});

describe('bands', () => {
  it('are one at least and five at most, and never narrower than the point', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 60, noNaN: true }),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        (width, point) => {
          const bands = bandsThatFit(width, point);
          expect(bands).to.be.within(1, 5);
          if (bands > 1) expect(width / bands).to.be.at.least(point - 1e-9);
        },
      ),
    );
    expect(() => bandsThatFit(3, 0)).to.throw(RangeError, 'above 0 mm');
  });
});

describe('regions that look alike', () => {
  it('are found turned, mirrored and scaled, and no others among them', async () => {
    const map = await shapes([
      { at: [120, 120], inside: flag },
      { at: [340, 140], inside: flag, turn: 70 },
      { at: [560, 140], inside: flag, turn: 200, flip: true },
      { at: [800, 150], inside: flag, size: 1.7, turn: 15 },
      { at: [150, 450], inside: leaf },
      { at: [420, 450], inside: leaf, turn: 60, size: 0.7 },
      { at: [680, 480], inside: bar, turn: 12 },
      { at: [880, 500], inside: disc },
    ]);
    const upper = (id: number) => map.regions[id - 1].centroid.y < 30;
    const left = (id: number) => map.regions[id - 1].centroid.x < 55;
    expect(map.alike.map((set) => set.length)).to.deep.equal([4, 2]);
    expect(map.alike[0].every(upper)).to.equal(true);
    expect(map.alike[1].every((id) => !upper(id) && left(id))).to.equal(true);
  });

  it('are each in one set, and tiny ones in none', () => {
    const square = (size: number) => Float64Array.from([0, 0, size, 0, size, size, 0, size]);
    const sets = findAlike([
      [],
      [square(40)],
      [square(60)],
      [square(5)],
      [square(5)],
      [Float64Array.from([0, 0, 90, 0, 0, 60])],
    ]);
    expect(sets).to.deep.equal([[1, 2]]);
  });
});
