import { expect } from 'chai';
import fc from 'fast-check';
import { seededRandom } from '../random/index.ts';
import { NO_REGION, findRegions, traceBorders } from './index.ts';
import { flattenLight } from './flatten.ts';
import { dropSpecks, findInk } from './ink.ts';
import { findRuns } from './runs.ts';

/** A page of wavy cells with a margin, by seed: what a hand-drawn page looks like to the pipeline. */
function wavyPage(seed: number, side = 240) {
  const random = seededRandom(seed);
  const [a, b, phase] = [4 + 4 * random(), 4 + 4 * random(), 6 * random()];
  const data = new Uint8Array(side * side).fill(246);
  for (let y = 20; y < side - 20; y++) {
    for (let x = 20; x < side - 20; x++) {
      const u = x + a * Math.sin(y / 19 + phase);
      const v = y + b * Math.sin(x / 23 + phase);
      const frame = x < 24 || y < 24 || x >= side - 24 || y >= side - 24;
      if (frame || ((u % 48) + 48) % 48 < 4 || ((v % 52) + 52) % 52 < 4) data[y * side + x] = 20;
    }
  }
  return { width: side, height: side, data };
}

const seed = fc.integer({ min: 1, max: 10_000 });
const few = { numRuns: 12 };

describe('what holds for every page', () => {
  it('regions share out the white part: their areas add up to what is labelled', async () => {
    await fc.assert(
      fc.asyncProperty(seed, async (n) => {
        const map = await findRegions(wavyPage(n), { pixelsPerMm: 10 });
        const labelled = map.labels.filter((label) => label !== 0 && label !== NO_REGION).length;
        const area = map.regions.reduce((sum, region) => sum + region.areaMm2, 0);
        expect(area).to.be.closeTo(labelled / 100, 1e-6);
      }),
      few,
    );
  });

  it('each region’s widest place lies inside it and within its box, and it is no wider than its box', async () => {
    await fc.assert(
      fc.asyncProperty(seed, async (n) => {
        const map = await findRegions(wavyPage(n), { pixelsPerMm: 10 });
        for (const { id, pole, box, usableWidthMm } of map.regions) {
          expect(map.labels[Math.floor(pole.y * 10) * map.width + Math.floor(pole.x * 10)]).to.equal(id);
          expect(pole.x).to.be.within(box.left, box.right);
          expect(pole.y).to.be.within(box.top, box.bottom);
          expect(usableWidthMm).to.be.at.most(Math.min(box.right - box.left, box.bottom - box.top) + 0.1);
        }
      }),
      few,
    );
  });

  it('the same page at twice the resolution has the same regions in mm', async () => {
    const page = wavyPage(5);
    const double = { width: 480, height: 480, data: new Uint8Array(480 * 480) };
    for (let i = 0; i < double.data.length; i++) {
      const [x, y] = [i % 480, Math.floor(i / 480)];
      double.data[i] = page.data[(y >> 1) * 240 + (x >> 1)];
    }
    const [once, twice] = [
      await findRegions(page, { pixelsPerMm: 10 }),
      await findRegions(double, { pixelsPerMm: 20 }),
    ];
    expect(twice.regions).to.have.length(once.regions.length);
    once.regions.forEach((region, i) => {
      expect(twice.regions[i].areaMm2).to.be.closeTo(region.areaMm2, 0.01);
      expect(twice.regions[i].usableWidthMm).to.be.closeTo(region.usableWidthMm, 0.16);
    });
  });

  it('the page turned by a quarter has the same areas', async () => {
    const page = wavyPage(9);
    const turned = { ...page, data: page.data.map((_, i) => page.data[(239 - (i % 240)) * 240 + Math.floor(i / 240)]) };
    const areas = async (of: typeof page) =>
      (await findRegions(of, { pixelsPerMm: 10 })).regions.map((region) => region.areaMm2).sort((a, b) => a - b);
    expect(await areas(turned)).to.deep.equal(await areas(page));
  });

  it('borders are told once, between two different regions that are there', async () => {
    const map = await findRegions(wavyPage(3), { pixelsPerMm: 10 });
    const keys = map.neighbours.map(({ a, b }) => `${a} ${b}`);
    expect(new Set(keys).size).to.equal(keys.length);
    for (const { a, b, lengthMm } of map.neighbours) {
      expect(a).to.be.below(b);
      expect(map.regions[b - 1].id).to.equal(b);
      expect(lengthMm).to.be.above(0);
    }
  });

  it('no colour runs over a line into the margin', async () => {
    const map = await findRegions(wavyPage(7), { pixelsPerMm: 10 });
    const { grown } = map;
    for (let i = 0; i < grown.length; i++) if (map.labels[i] === NO_REGION) expect(grown[i]).to.equal(NO_REGION);
    for (let x = 0; x < map.width; x++) expect(grown[x]).to.equal(NO_REGION);
  });

  it('distance is nothing on lines and grows by at most a pixel a pixel', async () => {
    const { labels, width, distance } = await findRegions(wavyPage(11), { pixelsPerMm: 10 });
    for (let i = 1; i < labels.length; i++) {
      if (labels[i] === 0) expect(distance[i]).to.equal(0);
      if (i % width) expect(Math.abs(distance[i] - distance[i - 1])).to.be.at.most(1.0001);
    }
  });
});

describe('bad scans', () => {
  const clean = wavyPage(21);

  it('noise does not make or lose regions', async () => {
    const random = seededRandom(4);
    const noisy = { ...clean, data: clean.data.map((v) => Math.min(255, Math.max(0, v + 24 * (random() - 0.5)))) };
    const [one, two] = [await findRegions(clean, { pixelsPerMm: 10 }), await findRegions(noisy, { pixelsPerMm: 10 })];
    expect(two.regions).to.have.length(one.regions.length);
  });

  it('a shadow over half the page is taken out', () => {
    const shaded = { ...clean, data: clean.data.map((v, i) => v * (i % 240 < 120 ? 0.6 : 1)) };
    const flat = flattenLight(shaded);
    const paper = (x: number, y: number) => flat.data[y * 240 + x];
    expect(paper(8, 8)).to.be.above(225);
    expect(paper(230, 230)).to.be.above(225);
  });

  it('grey lines on cream paper are ink', () => {
    const pale = { ...clean, data: clean.data.map((v) => (v < 100 ? 120 : 225)) };
    expect(findInk(pale)).to.deep.equal(findInk(clean));
  });

  it('specks go and rings stay', () => {
    const ink = new Uint8Array(40 * 40);
    for (const i of [205, 206, 245]) ink[i] = 1;
    const ring = [...Array(12).keys()].flatMap((k) => [
      20 * 40 + 10 + k,
      31 * 40 + 10 + k,
      (20 + k) * 40 + 10,
      (20 + k) * 40 + 21,
    ]);
    for (const i of ring) ink[i] = 1;
    const stays = dropSpecks(ink, 40, 40, 3);
    expect(ink[205] + ink[206] + ink[245]).to.equal(0);
    for (const i of ring) expect(ink[i]).to.equal(1);
    expect(stays.runs).to.deep.equal(findRuns(ink, 40, 40, 1));
    expect(new Set(stays.of).size).to.equal(1);
  });
});

describe('the length of a border', () => {
  it('is right within 4% for a straight line in any direction', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 179 }), (degrees) => {
        const side = 200;
        const [dx, dy] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
        const labels = new Uint16Array(side * side).fill(NO_REGION);
        for (let i = 0; i < labels.length; i++) {
          const [x, y] = [(i % side) - 99.5, Math.floor(i / side) - 99.5];
          if (Math.hypot(x, y) < 90) labels[i] = x * dy - y * dx > 0.01 ? 1 : 2;
        }
        const shared = traceBorders(labels, side, side).filter(({ left, right }) => left <= 2 && right <= 2);
        const length = shared.reduce((sum, { lengthPx }) => sum + lengthPx, 0);
        expect(length).to.be.within(180 * 0.96, 180 * 1.04);
      }),
    );
  });
});
