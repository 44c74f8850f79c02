import { expect } from 'chai';
import fc from 'fast-check';
import { CancelledError, quietRun } from '../run/index.ts';
import {
  LineArtError,
  NO_REGION,
  checkPage,
  distanceTo,
  findRegions,
  greyOfRgba,
  growLabels,
  ringArea,
  ringsOfRegions,
  traceBorders,
} from './index.ts';
import { findRuns, joinRuns } from './runs.ts';

const PAPER = 250;
const INK = 15;

/** A page with its ink drawn by a test of each pixel. */
function drawn(width: number, height: number, isInk: (x: number, y: number) => boolean) {
  const data = new Uint8Array(width * height);
  for (let y = 0, i = 0; y < height; y++) for (let x = 0; x < width; x++, i++) data[i] = isInk(x, y) ? INK : PAPER;
  return { width, height, data };
}

/** Lines 4 px wide around `across` x `down` cells of 60 px, with a margin of 40 px. */
function grid(across: number, down: number) {
  return drawn(across * 60 + 84, down * 60 + 84, (x, y) => {
    const [gx, gy] = [x - 40, y - 40];
    const inside = gx >= 0 && gy >= 0 && gx < across * 60 + 4 && gy < down * 60 + 4;
    return inside && (gx % 60 < 4 || gy % 60 < 4);
  });
}

const ringPage = drawn(300, 300, (x, y) => {
  const r = Math.hypot(x - 150, y - 150);
  return (r > 100 && r < 104) || (r > 50 && r < 54);
});

describe('finding regions', () => {
  it('finds every cell of a grid and leaves the margin out', async () => {
    const map = await findRegions(grid(4, 3), { pixelsPerMm: 10 });
    expect(map.regions).to.have.length(12);
    expect(map.labels[0]).to.equal(NO_REGION);
    for (const region of map.regions) {
      expect(region.areaMm2).to.be.closeTo(31.36, 0.01);
      expect(region.usableWidthMm).to.be.closeTo(5.6, 0.2);
    }
  });

  it('numbers regions in reading order', async () => {
    const { regions } = await findRegions(grid(3, 2), { pixelsPerMm: 10 });
    const order = [...regions].sort((p, q) => Math.round(p.pole.y - q.pole.y) || p.pole.x - q.pole.x);
    expect(order.map((region) => region.id)).to.deep.equal([1, 2, 3, 4, 5, 6]);
  });

  it('knows who borders on whom, and how long the shared line is', async () => {
    const { neighbours } = await findRegions(grid(2, 2), { pixelsPerMm: 10 });
    const sides = neighbours.filter((border) => border.lengthMm > 2);
    expect(sides.map(({ a, b }) => [a, b])).to.deep.equal([
      [1, 2],
      [1, 3],
      [2, 4],
      [3, 4],
    ]);
    for (const { lengthMm } of sides) expect(lengthMm).to.be.closeTo(5.8, 0.5);
  });

  it('tells a ring from what it holds', async () => {
    const { regions, neighbours } = await findRegions(ringPage, { pixelsPerMm: 10 });
    expect(regions).to.have.length(2);
    const [ring, disc] = [...regions].sort((p, q) => q.areaMm2 - p.areaMm2);
    expect(ring.areaMm2).to.be.closeTo((Math.PI * (100 ** 2 - 54 ** 2)) / 100, 1);
    expect(disc.usableWidthMm).to.be.closeTo(10, 0.2);
    expect(ring.usableWidthMm).to.be.closeTo(4.6, 0.2);
    expect(neighbours[0].lengthMm).to.be.closeTo((2 * Math.PI * 52) / 10, 2);
  });

  it('measures the long axis of a long region', async () => {
    const bar = drawn(400, 200, (x, y) => {
      const [u, v] = [(x - 200) * 0.866 + (y - 100) * 0.5, -(x - 200) * 0.5 + (y - 100) * 0.866];
      return Math.abs(u) < 124 && Math.abs(v) < 24 && !(Math.abs(u) < 120 && Math.abs(v) < 20);
    });
    const { regions } = await findRegions(bar, { pixelsPerMm: 10 });
    expect(regions[0].axisDegrees).to.be.closeTo(30, 1);
  });

  it('finds the same regions under uneven light', async () => {
    const page = grid(4, 4);
    const uneven = { ...page, data: page.data.map((v, i) => v * (0.55 + (0.45 * (i % page.width)) / page.width)) };
    expect((await findRegions(uneven, { pixelsPerMm: 10 })).regions).to.have.length(16);
  });

  it('takes stipple dots as paper and lists flecks that are too small', async () => {
    const page = grid(2, 1);
    const at = (x: number, y: number, value: number) => (page.data[y * page.width + x] = value);
    for (const [x, y] of [
      [60, 60],
      [70, 66],
      [80, 72],
    ])
      for (const k of [0, 1]) at(x + k, y, INK);
    for (let y = 60; y < 66; y++)
      for (let x = 120; x < 126; x++) at(x, y, x > 121 && x < 124 && y > 61 && y < 64 ? PAPER : INK);
    const { regions, doubts } = await findRegions(page, { pixelsPerMm: 10 });
    expect(regions).to.have.length(2);
    expect(regions[0].usableWidthMm).to.be.closeTo(5.6, 0.2);
    expect(doubts).to.have.length(1);
    expect(doubts[0]).to.have.property('areaMm2').that.is.closeTo(0.04, 0.001);
  });

  it('says what is wrong with pages that have no regions', async () => {
    const find = (page: ReturnType<typeof drawn>) =>
      findRegions(page, { pixelsPerMm: 10 }).then(
        () => 'found',
        (error: Error) => error,
      );
    expect(await find(drawn(200, 200, () => false)))
      .to.be.instanceOf(LineArtError)
      .with.property('message')
      .that.contains('blank');
    expect(await find(drawn(200, 200, () => true))).to.be.instanceOf(LineArtError);
    expect(await find(drawn(200, 200, (x, y) => x > 4 || y > 4)))
      .to.have.property('message')
      .that.contains('dark');
    expect(await find(drawn(200, 200, (x, y) => y === 100 && x > 50 && x < 150)))
      .to.have.property('message')
      .that.contains('No closed area');
    expect(() => checkPage(drawn(100, 100, () => false))).to.throw(LineArtError, 'blank');
  });

  it('refuses a page without a size or without pixels', async () => {
    const fault = (page: ReturnType<typeof drawn>, pixelsPerMm: number) =>
      findRegions(page, { pixelsPerMm }).then(() => '', String);
    expect(await fault(grid(1, 1), 0)).to.contain('above 0 mm');
    expect(await fault({ width: 0, height: 0, data: new Uint8Array() }, 10)).to.contain('no pixels');
  });

  it('stops when it is told to, and reports its way on the way', async () => {
    const heard: number[] = [];
    const run = { ...quietRun, progress: (share: number) => heard.push(share), cancelled: () => heard.length >= 3 };
    const outcome = await findRegions(grid(2, 2), { pixelsPerMm: 10 }, run).then(
      () => null,
      (error: Error) => error,
    );
    expect(outcome).to.be.instanceOf(CancelledError);
    expect(heard).to.deep.equal([...heard].sort((a, b) => a - b));
  });
});

const mask = fc.tuple(fc.integer({ min: 1, max: 14 }), fc.integer({ min: 1, max: 14 })).chain(([width, height]) =>
  fc.record({
    width: fc.constant(width),
    height: fc.constant(height),
    cells: fc
      .array(fc.integer({ min: 0, max: 1 }), { minLength: width * height, maxLength: width * height })
      .map((cells) => Uint8Array.from(cells)),
  }),
);

describe('laws of regions', () => {
  it('distances are exact: the same as measuring to every stop', () => {
    fc.assert(
      fc.property(mask, ({ width, height, cells }) => {
        const fast = distanceTo(cells, width, height);
        for (let i = 0; i < cells.length; i++) {
          let nearest = width + height;
          for (let j = 0; j < cells.length; j++) {
            if (cells[j])
              nearest = Math.min(
                nearest,
                Math.hypot((i % width) - (j % width), Math.floor(i / width) - Math.floor(j / width)),
              );
          }
          expect(fast[i]).to.be.closeTo(nearest, 1e-4);
        }
      }),
    );
  });

  it('two pixels have the same label exactly when a path joins them', () => {
    fc.assert(
      fc.property(mask, fc.constantFrom(4 as const, 8 as const), ({ width, height, cells }, connectivity) => {
        const runs = findRuns(cells, width, height, 1);
        const { of, count, areas } = joinRuns(runs, connectivity);
        const labels = painted(runs, of, width, height);
        expect(labels).to.deep.equal(floodFilled(cells, width, height, connectivity));
        expect(areas.subarray(1).reduce((a, b) => a + b, 0)).to.equal(cells.filter(Boolean).length);
        expect(Math.max(0, ...labels)).to.equal(count);
      }),
    );
  });

  it('the rings around a region hold exactly its area, holes taken off', () => {
    fc.assert(
      fc.property(mask, ({ width, height, cells }) => {
        const labels = labelled(cells, width, height);
        for (let region = 1; region <= Math.max(0, ...labels); region++) {
          const rings = ringsOfRegions(traceBorders(labels, width, height, 0), region)[region];
          const area = rings.reduce((sum, ring) => sum + ringArea(ring), 0);
          expect(area).to.equal(labels.filter((label) => label === region).length);
        }
      }),
    );
  });

  it('growing keeps every label where it was and fills all ink within reach', () => {
    fc.assert(
      fc.property(mask, ({ width, height, cells }) => {
        const labels = labelled(cells, width, height);
        const grown = growLabels(labels, width, height, 40);
        labels.forEach((label, i) => label && expect(grown[i]).to.equal(label));
        if (labels.some(Boolean)) expect(grown.every(Boolean)).to.equal(true);
      }),
    );
  });

  it('transparent parts of a picture are paper', () => {
    const { data } = greyOfRgba({ width: 2, height: 1, data: Uint8ClampedArray.from([0, 0, 0, 0, 0, 0, 0, 255]) });
    expect([...data]).to.deep.equal([255, 0]);
  });
});

function labelled(cells: Uint8Array, width: number, height: number): Uint16Array {
  const runs = findRuns(cells, width, height, 1);
  return Uint16Array.from(painted(runs, joinRuns(runs, 4).of, width, height));
}

function painted({ from, to, rowStart }: ReturnType<typeof findRuns>, of: Int32Array, width: number, height: number) {
  const labels = new Int32Array(width * height);
  for (let y = 0; y < height; y++) {
    for (let r = rowStart[y]; r < rowStart[y + 1]; r++) labels.fill(of[r], y * width + from[r], y * width + to[r] + 1);
  }
  return labels;
}

/** The slow, sure way to label: flood from each pixel not yet reached. */
function floodFilled(cells: Uint8Array, width: number, height: number, connectivity: 4 | 8): Int32Array {
  const labels = new Int32Array(cells.length);
  let count = 0;
  for (let start = 0; start < cells.length; start++) {
    if (!cells[start] || labels[start]) continue;
    const stack = [start];
    labels[start] = ++count;
    while (stack.length) {
      const i = stack.pop()!;
      const [x, y] = [i % width, Math.floor(i / width)];
      for (let dy = -1; dy <= 1; dy++) {
        for (let dx = -1; dx <= 1; dx++) {
          if (connectivity === 4 && dx !== 0 && dy !== 0) continue;
          const [nx, ny] = [x + dx, y + dy];
          const j = ny * width + nx;
          if (nx < 0 || ny < 0 || nx >= width || ny >= height || !cells[j] || labels[j]) continue;
          labels[j] = count;
          stack.push(j);
        }
      }
    }
  }
  return labels;
}
