import { expect } from 'chai';
import fc from 'fast-check';
import { type GreyImage, type Mend, NO_REGION, findRegions } from './index.ts';

const PER_MM = 10;
const CELL = 60;

/** Lines 4 px wide around `across` x `down` cells of 60 px, with a margin of 40 px. */
function grid(across: number, down: number): GreyImage {
  const [width, height] = [across * CELL + 84, down * CELL + 84];
  const data = new Uint8Array(width * height).fill(250);
  for (let y = 40; y < height - 40; y++) {
    for (let x = 40; x < width - 40; x++) if ((x - 40) % CELL < 4 || (y - 40) % CELL < 4) data[y * width + x] = 15;
  }
  return { width, height, data };
}

/** The middle of a cell, mm. */
const middle = (column: number, row: number) => ({
  x: (40 + CELL * column + 32) / PER_MM,
  y: (40 + CELL * row + 32) / PER_MM,
});

/** A line straight down through the middle of a cell. */
const downThrough = (column: number, row: number): Mend => {
  const { x, y } = middle(column, row);
  return {
    kind: 'cut',
    points: [
      { x, y: y - 3 },
      { x, y: y + 3 },
    ],
  };
};

const find = (page: GreyImage, mends: readonly Mend[] = []) => findRegions(page, { pixelsPerMm: PER_MM, mends });
const cell = fc.record({ column: fc.integer({ min: 0, max: 3 }), row: fc.integer({ min: 0, max: 2 }) });
const page = grid(4, 3);
const few = { numRuns: 10 };

describe('mending by hand', () => {
  it('a line across a region makes two of it and leaves every other as it was', async () => {
    const whole = await find(page);
    await fc.assert(
      fc.asyncProperty(cell, async ({ column, row }) => {
        const parted = await find(page, [downThrough(column, row)]);
        expect(parted.regions).to.have.length(whole.regions.length + 1);
        const areas = parted.regions.map(({ areaMm2 }) => areaMm2).sort((a, b) => a - b);
        const half = whole.regions[0].areaMm2 / 2;
        expect(areas[0]).to.be.within(0.94 * half, half);
        expect(areas[1]).to.be.within(0.94 * half, 1.02 * half);
        expect(areas.slice(2).every((area) => area === whole.regions[0].areaMm2)).to.equal(true);
      }),
      few,
    );
  });

  it('parting and then joining gives the region back, but for the line itself', async () => {
    const whole = await find(page);
    await fc.assert(
      fc.asyncProperty(cell, async ({ column, row }) => {
        const { x, y } = middle(column, row);
        const join: Mend = { kind: 'join', a: { x: x - 1, y }, b: { x: x + 1, y } };
        const again = await find(page, [downThrough(column, row), join]);
        expect(again.regions).to.have.length(whole.regions.length);
        again.regions.forEach(({ areaMm2 }, k) => expect(areaMm2).to.be.closeTo(whole.regions[k].areaMm2, 0.7));
        expect(again.neighbours.map(({ a, b }) => [a, b])).to.deep.equal(whole.neighbours.map(({ a, b }) => [a, b]));
      }),
      few,
    );
  });

  it('two regions that are joined are one, as large as both, and border on what both bordered on', async () => {
    const whole = await find(page);
    const [first, second] = [whole.regions[0], whole.regions[1]];
    const joined = await find(page, [{ kind: 'join', a: first.pole, b: second.pole }]);
    expect(joined.regions).to.have.length(11);
    expect(joined.regions[0].areaMm2).to.be.closeTo(first.areaMm2 + second.areaMm2, 1e-6);
    expect(joined.regions[0].lengthMm).to.be.closeTo(12, 0.3);
    const beside = joined.neighbours.filter(({ a, lengthMm }) => a === 1 && lengthMm > 1);
    expect(beside).to.have.length(3);
  });

  it('joining a region with itself, with a line or with nothing changes nothing', async () => {
    const whole = await find(page);
    const pole = middle(1, 1);
    for (const b of [pole, { x: 4.1, y: 4.1 }, { x: 0.5, y: -2 }, { x: 900, y: 900 }]) {
      const joined = await find(page, [{ kind: 'join', a: pole, b }]);
      expect(joined.regions).to.deep.equal(whole.regions);
    }
  });

  it('a region that is taken out belongs to nothing any more, and the others keep their order', async () => {
    const dropped = await find(page, [{ kind: 'drop', at: middle(1, 0) }]);
    expect(dropped.regions).to.have.length(11);
    const { x, y } = middle(1, 0);
    expect(dropped.labels[Math.floor(y * PER_MM) * page.width + Math.floor(x * PER_MM)]).to.equal(NO_REGION);
    expect(dropped.regions.map(({ id }) => id)).to.deep.equal([...Array(11).keys()].map((k) => k + 1));
  });

  it('mends hold when the page is found with other wishes, and do no harm where they no longer apply', async () => {
    const mends = [downThrough(0, 0), { kind: 'open' as const, at: { x: 3, y: 3 } }];
    const again = await findRegions(page, {
      pixelsPerMm: PER_MM,
      mends,
      closeGapMm: 0,
      minRegionMm2: 1,
      palestInk: 0.4,
    });
    expect(again.regions).to.have.length(13);
    const elsewhere = await find(page, [
      {
        kind: 'cut',
        points: [
          { x: -4, y: -4 },
          { x: 900, y: -4 },
        ],
      },
    ]);
    expect(elsewhere.regions).to.have.length(12);
  });

  it('wishes out of their range are refused in one sentence', async () => {
    const fault = await findRegions(page, { pixelsPerMm: PER_MM, closeGapMm: 9 }).catch(String);
    expect(fault).to.contain('from 0 to 5 mm');
  });
});

/** A two-tone drawing by seed: overlapping discs and bars in outline. */
function drawing(seed: number, side = 300): GreyImage {
  const data = new Uint8Array(side * side).fill(255);
  const at = (k: number, range: number) => (((seed * (k + 3) * 7919) % 1009) / 1009) * range;
  for (let y = 0; y < side; y++) {
    for (let x = 0; x < side; x++) {
      for (let k = 0; k < 5; k++) {
        const r = Math.hypot(x - 60 - at(k, 180), y - 60 - at(k + 9, 180));
        if (Math.abs(r - 30 - at(k + 20, 40)) < 2) data[y * side + x] = 0;
      }
      if (x < 10 || y < 10 || x >= side - 10 || y >= side - 10) continue;
      if (x < 14 || y < 14 || x >= side - 14 || y >= side - 14) data[y * side + x] = 0;
    }
  }
  return { width: side, height: side, data };
}

/** The page turned by a quarter, clockwise. */
function turned({ width, height, data }: GreyImage): GreyImage {
  const out = new Uint8Array(data.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) out[x * height + (height - 1 - y)] = data[y * width + x];
  return { width: height, height: width, data: out };
}

describe('a page turned by a quarter', () => {
  it('has the very same regions, turned: areas, widths and borders', async () => {
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 1, max: 1000 }), async (seed) => {
        const plain = drawing(seed);
        // Gaps are looked for along thinned lines, whose course depends on the order of thinning.
        const options = { pixelsPerMm: PER_MM, closeGapMm: 0 };
        const [one, other] = [await findRegions(plain, options), await findRegions(turned(plain), options)];
        const areas = (map: typeof one) => map.regions.map(({ areaMm2 }) => areaMm2).sort((a, b) => a - b);
        const widths = (map: typeof one) =>
          map.regions.map(({ usableWidthMm }) => Math.round(1e6 * usableWidthMm)).sort((a, b) => a - b);
        expect(areas(other)).to.deep.equal(areas(one));
        expect(widths(other)).to.deep.equal(widths(one));
        // Where the ink that two regions share is parted one pixel differently, a border may be that much longer.
        const borders = (map: typeof one) => map.neighbours.map(({ lengthMm }) => lengthMm).sort((a, b) => b - a);
        const [longest, others] = [borders(one), borders(other)];
        longest.forEach((mm, k) => expect(others[k] ?? 0).to.be.closeTo(mm, 4 / PER_MM));
        for (const { id, pole } of one.regions) {
          const [x, y] = [Math.floor(pole.x * PER_MM), Math.floor(pole.y * PER_MM)];
          const there = other.labels[x * other.width + (one.height - 1 - y)];
          expect(other.regions[there - 1].areaMm2).to.equal(one.regions[id - 1].areaMm2);
        }
      }),
      few,
    );
  }).timeout(120_000);

  it('covers all its white paper: each white pixel is in one region, in the margin or in a fleck', async () => {
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 1, max: 1000 }), async (seed) => {
        const plain = drawing(seed);
        const { labels, regions } = await findRegions(plain, { pixelsPerMm: PER_MM, closeGapMm: 0 });
        let white = 0;
        plain.data.forEach((value, i) => {
          if (value < 128) return expect(labels[i]).to.equal(0);
          white++;
          expect(labels[i]).to.be.above(0);
        });
        const inRegions = regions.reduce((sum, { areaMm2 }) => sum + areaMm2 * PER_MM ** 2, 0);
        const beside = labels.filter((label) => label === NO_REGION).length;
        expect(inRegions + beside).to.be.closeTo(white, 1e-6);
      }),
      few,
    );
  }).timeout(120_000);
});
