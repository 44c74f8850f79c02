import { expect } from 'chai';
import fc from 'fast-check';
import sharp from 'sharp';
import { type MeterRequest, QUALITIES, type Quality } from '../contracts/index.ts';
import { deltaE2000, labOfHex, rgbOfLab } from '../core/colour/index.ts';
import { paperById } from '../core/laydown/index.ts';
import { type GreyImage, findRegions, greyOfRgba, inkOfPage, readSeen } from '../core/lineart/index.ts';
import { CancelledError, quietRun } from '../core/run/index.ts';
import { straightened } from '../core/straighten/index.ts';
import { CARD_MM, cardNameIn, findCard, layOutCard, readCard } from '../core/swatch-card/index.ts';
import { DRAWN, rasterise, trueRegions } from '../fixtures/index.ts';
import { layOverlay, layPatch, made, madePaper } from './maker/index.ts';
import { DEMO_PAGES, type DemoPage, demoPageById } from '../demo/pages/index.ts';
import { demoPencils } from '../demo/pencils/index.ts';
import {
  type PrintedPage,
  cornersOf,
  homography,
  lieOf,
  practiceStrip,
  simulatedCamera,
  simulatedMeter,
  simulatedScanner,
  swatchCard,
} from './index.ts';

const MM_PER_INCH = 25.4;
const pencils = demoPencils();

function printedPage(page: DemoPage): PrintedPage {
  const svg = DRAWN[page.id]().toSvg(page.title);
  const { id, title, widthMm, heightMm } = page;
  return {
    id,
    title,
    widthMm,
    heightMm,
    says: '',
    print: (dpi) => rasterise(svg, Math.round((widthMm * dpi) / MM_PER_INCH)),
  };
}

/** All sheets of the booklet, drawn once. */
const printed = new Map(DEMO_PAGES.map((page) => [page.id, printedPage(page)]));

async function greyOf(jpeg: Uint8Array): Promise<GreyImage> {
  const { data, info } = await sharp(jpeg).greyscale().raw().toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data: new Uint8Array(data) };
}

/** Share of the regions of a page that are found again, overlapping by nine tenths, once it lies turned by a quarter. */
async function foundTurned(grey: GreyImage, pixelsPerMm: number): Promise<number> {
  const { width, height, data } = grey;
  const turned = new Uint8Array(data.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) turned[x * height + (height - 1 - y)] = data[y * width + x];
  const one = await findRegions(grey, { pixelsPerMm });
  const other = await findRegions({ width: height, height: width, data: turned }, { pixelsPerMm });
  const columns = other.regions.length + 1;
  const shared = new Uint32Array((one.regions.length + 1) * columns);
  const [areas, turnedAreas] = [new Uint32Array(65_536), new Uint32Array(65_536)];
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const [a, b] = [one.labels[y * width + x], other.labels[x * height + (height - 1 - y)]];
      areas[a]++;
      turnedAreas[b]++;
      if (a <= one.regions.length && b < columns) shared[a * columns + b]++;
    }
  }
  const again = new Set<number>();
  for (const [key, n] of shared.entries()) {
    const [a, b] = [Math.floor(key / columns), key % columns];
    if (a > 0 && n > 0.9 * (areas[a] + turnedAreas[b] - n)) again.add(a);
  }
  return again.size / one.regions.length;
}

/**
 * Share of the true regions that are found one to one in a scan: what both share over what either has. A line's edge
 * that lies half a pixel off is a tenth of a tiny region, so all are held to 0.8 and those above 4 mm2 to 0.9.
 */
async function foundBack(page: DemoPage, quality: Quality): Promise<{ all: number; large: number }> {
  const scanner = simulatedScanner(async () => [printed.get(page.id)!]);
  const request = { subject: page.id, dpi: 300 as const, quality, seed: 5 };
  const grey = await greyOf((await scanner.scan(request, quietRun)).bytes);
  const lie = lieOf(page, request);
  const found = await findRegions(grey, { pixelsPerMm: lie.pixelsPerMm });
  const truth = await trueRegions(page, DRAWN[page.id](), lie.pixelsPerMm);
  const inTruth = new Uint32Array(truth.regions.length + 1);
  const inFound = new Uint32Array(found.regions.length + 1);
  const columns = found.regions.length + 1;
  const both = new Uint32Array(inTruth.length * columns);
  for (let y = 0; y < truth.height; y++) {
    for (let x = 0; x < truth.width; x++) {
      const t = truth.labels[y * truth.width + x];
      const at = lie.toPicture((x + 0.5) / truth.pixelsPerMm, (y + 0.5) / truth.pixelsPerMm);
      const label = found.labels[Math.floor(at.y) * found.width + Math.floor(at.x)] ?? 0;
      const f = label <= found.regions.length ? label : 0;
      if (t) inTruth[t]++;
      if (f) inFound[f]++;
      if (t && f) both[t * columns + f]++;
    }
  }
  const alike = new Float32Array(truth.regions.length + 1);
  for (const [key, n] of both.entries()) {
    const [t, f] = [Math.floor(key / columns), key % columns];
    if (n > 0) alike[t] = Math.max(alike[t], n / (inTruth[t] + inFound[f] - n));
  }
  const closed = truth.regions.flatMap(({ closed, areaMm2 }, i) => (closed ? [{ areaMm2, alike: alike[i + 1] }] : []));
  const share = (of: typeof closed, least: number) => of.filter((region) => region.alike >= least).length / of.length;
  return {
    all: share(closed, 0.8),
    large: share(
      closed.filter(({ areaMm2 }) => areaMm2 > 4),
      0.9,
    ),
  };
}

describe('the simulated scanner', () => {
  const kite = demoPageById('kite-loft');
  const scanner = simulatedScanner(async () => [...printed.values()]);

  it('says that it only pretends, and what lies on its glass', async () => {
    expect(scanner.device).to.include({ kind: 'scanner', simulated: true });
    expect(scanner.device.name).to.match(/^Simulated/);
    expect((await scanner.subjects()).map(({ title }) => title)).to.deep.equal(DEMO_PAGES.map(({ title }) => title));
  });

  it('gives a JPEG of the asked resolution, a little larger than the page, with its resolution written in it', async () => {
    const { bytes, mime } = await scanner.scan({ subject: kite.id, dpi: 150, quality: 'good', seed: 1 }, quietRun);
    const meta = await sharp(bytes).metadata();
    expect([mime, meta.format, meta.density]).to.deep.equal(['image/jpeg', 'jpeg', 150]);
    expect(meta.width).to.equal(Math.round(((kite.widthMm + 10) * 150) / MM_PER_INCH));
  });

  it('scans the same with the same seed, and otherwise with another', async () => {
    const scan = async (seed: number) =>
      Buffer.from((await scanner.scan({ subject: kite.id, dpi: 150, quality: 'middling', seed }, quietRun)).bytes);
    const first = await scan(3);
    expect(first.equals(await scan(3))).to.equal(true);
    expect(first.equals(await scan(4))).to.equal(false);
  });

  it('lays the page within the skew of its quality and keeps all of it on the glass', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...DEMO_PAGES),
        fc.constantFrom(...QUALITIES),
        fc.nat(9999),
        (page, quality, seed) => {
          const lie = lieOf(page, { dpi: 200, quality, seed });
          const [a, b] = [lie.toPicture(0, 0), lie.toPicture(page.widthMm, 0)];
          const skew = Math.abs((Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI);
          expect(skew).to.be.at.most({ good: 0.301, middling: 1.201, bad: 2.401 }[quality]);
          const side = Math.hypot(b.x - a.x, b.y - a.y) / lie.pixelsPerMm;
          expect(side).to.be.closeTo(page.widthMm, 1e-6);
        },
      ),
    );
  });

  it('is noisier and less evenly lit the worse it is', async () => {
    const spread = async (quality: Quality) => {
      const { data, width } = await greyOf(
        (await scanner.scan({ subject: kite.id, dpi: 150, quality, seed: 2 }, quietRun)).bytes,
      );
      // The margin of the page is bare paper all round.
      const margin = [8, 9, 10, 11].flatMap((mm) => {
        const y = Math.round((mm * 150) / MM_PER_INCH);
        return [...data.subarray(y * width + 120, (y + 1) * width - 120)];
      });
      const mean = margin.reduce((sum, value) => sum + value, 0) / margin.length;
      return Math.sqrt(margin.reduce((sum, value) => sum + (value - mean) ** 2, 0) / margin.length);
    };
    const [good, middling, bad] = [await spread('good'), await spread('middling'), await spread('bad')];
    expect(good).to.be.below(middling);
    expect(middling).to.be.below(bad);
  });

  it('reports how far it is, and stops when it is told to', async () => {
    const heard: number[] = [];
    const run = {
      cancelled: () => heard.length > 5,
      now: () => performance.now(),
      progress: (share: number) => void heard.push(share),
    };
    const error = await scanner
      .scan({ subject: kite.id, dpi: 200, quality: 'good', seed: 1 }, run)
      .catch((e: unknown) => e);
    expect(error).to.be.instanceOf(CancelledError);
    expect(heard).to.deep.equal([...heard].sort((p, q) => p - q));
  });

  it('refuses a page that does not lie there', async () => {
    const error = await scanner
      .scan({ subject: 'nothing', dpi: 200, quality: 'good', seed: 1 }, quietRun)
      .catch((e: unknown) => e);
    expect((error as Error).message).to.equal('This page does not lie on the glass.');
  });

  for (const page of DEMO_PAGES) {
    it(`at good quality brings ${page.title} so that at least 97% of its regions are found back`, async () => {
      const { all, large } = await foundBack(page, 'good');
      expect(all).to.be.at.least(0.97);
      expect(large).to.be.at.least(0.97);
    }).timeout(180_000);
  }

  it('scans a page that nobody coloured so that all of it is read as bare, on a toned card too', async () => {
    for (const page of [kite, demoPageById('ferry-steps')]) {
      const [red, green, blue] = rgbOfLab(labOfHex(paperById(page.paper).tint));
      const onWhite = printed.get(page.id)!;
      const onItsPaper = async (dpi: number) => {
        const print = await onWhite.print(dpi);
        return { ...print, data: print.data.map((v, i) => (v * [red, green, blue][i % 3]) / 255) };
      };
      const glass = simulatedScanner(async () => [{ ...onWhite, print: onItsPaper }]);
      const { bytes } = await glass.scan({ subject: page.id, dpi: 200, quality: 'good', seed: 5 }, quietRun);
      const { data, info } = await sharp(bytes).removeAlpha().raw().toBuffer({ resolveWithObject: true });
      const rgb = { width: info.width, height: info.height, data: new Uint8Array(data) };
      const { grey, toned } = inkOfPage(rgb);
      const { grounds, paper } = readSeen(rgb, await findRegions(grey, { pixelsPerMm: 200 / MM_PER_INCH }));
      expect([page.id, grounds.length, toned]).to.deep.equal([page.id, 0, 0]);
      expect(deltaE2000(paper, labOfHex(paperById(page.paper).tint)), page.id).to.be.below(4);
    }
  }).timeout(240_000);

  for (const page of [demoPageById('ferry-steps'), kite]) {
    it(`gives ${page.title} so that a quarter turn finds at least 99.5% of its regions again`, async () => {
      const grey = await greyOf(
        (await scanner.scan({ subject: page.id, dpi: 300, quality: 'good', seed: 3 }, quietRun)).bytes,
      );
      const share = await foundTurned(grey, 300 / MM_PER_INCH);
      expect(share).to.be.at.least(0.995);
    });
  }
});

describe('the simulated camera', () => {
  const card = {
    id: 'card',
    title: 'Swatch card',
    says: '',
    look: () => swatchCard(pencils.slice(0, 4), 'white-book', { card: 1, page: 0 }),
  };
  const strip = { id: 'strip', title: 'Strip', says: '', look: () => practiceStrip(pencils[5], 'white-book', 1) };
  const camera = simulatedCamera(async () => [card, strip]);

  it('takes what is asked for, the same with the same seed', async () => {
    expect(camera.device).to.include({ kind: 'camera', simulated: true });
    const shot = async (subject: string, seed: number) =>
      Buffer.from((await camera.shoot({ subject, quality: 'middling', seed }, quietRun)).bytes);
    const first = await shot('strip', 7);
    expect(first.equals(await shot('strip', 7))).to.equal(true);
    expect(first.equals(await shot('strip', 8))).to.equal(false);
  });

  it('gives a swatch card that can be read: each patch nearly as it was laid, whatever the lamp', async () => {
    const own = pencils.slice(30, 42);
    const name = { card: 7, page: 1 };
    const cards = simulatedCamera(async () => [{ ...card, look: () => swatchCard(own, 'cream-sheet', name, true) }]);
    for (const quality of QUALITIES) {
      const { bytes } = await cards.shoot({ subject: 'card', quality, seed: 5 }, quietRun);
      const { data, info } = await sharp(bytes).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
      const photo = { width: info.width, height: info.height, data: new Uint8ClampedArray(data) };
      const size = { width: 5 * CARD_MM.width, height: 5 * CARD_MM.height };
      const flat = await straightened(photo, findCard(greyOfRgba(photo))!, size);
      expect(cardNameIn(flat), quality).to.deep.equal(name);
      const read = readCard(flat, layOutCard(own.length, name), paperById('cream-sheet'));
      const off = read.map(({ row, over, patch, on, lab }) => {
        const layers = [row, ...(over === null ? [] : [over])].map((i) => ({ pencil: made(own[i]), patch }));
        return deltaE2000(lab, layOverlay(layers, madePaper('cream-sheet'), on));
      });
      expect(off.sort((a, b) => a - b)[off.length >> 1], quality).to.be.below(quality === 'bad' ? 1.5 : 0.8);
      expect(read.filter(({ doubt }) => doubt).length, quality).to.be.within(2, 4);
    }
  });

  it('keeps the whole thing in the picture, its corners in order', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 200, max: 3000 }),
        fc.integer({ min: 200, max: 3000 }),
        fc.constantFrom(...QUALITIES),
        fc.nat(9999),
        (w, h, quality, seed) => {
          const { width, height, corners } = cornersOf({ width: w, height: h }, { quality, seed });
          for (const [x, y] of corners) {
            expect(x).to.be.within(0, width);
            expect(y).to.be.within(0, height);
          }
          const [tl, tr, br, bl] = corners;
          expect(tl[0]).to.be.below(tr[0]);
          expect(bl[0]).to.be.below(br[0]);
          expect(tl[1]).to.be.below(bl[1]);
          expect(tr[1]).to.be.below(br[1]);
        },
      ),
    );
  });

  it('projects corners onto corners', () => {
    const square = [
      [0, 0],
      [100, 0],
      [100, 60],
      [0, 60],
    ] as const;
    fc.assert(
      fc.property(fc.constantFrom(...QUALITIES), fc.nat(9999), (quality, seed) => {
        const { corners } = cornersOf({ width: 100, height: 60 }, { quality, seed });
        const m = homography(corners, square);
        for (const [i, [x, y]] of corners.entries()) {
          const w = m[6] * x + m[7] * y + 1;
          expect((m[0] * x + m[1] * y + m[2]) / w).to.be.closeTo(square[i][0], 1e-6);
          expect((m[3] * x + m[4] * y + m[5]) / w).to.be.closeTo(square[i][1], 1e-6);
        }
      }),
    );
  });

  it('warms the paper under a bad lamp and darkens the corners', async () => {
    const look = async (quality: Quality) => {
      const { bytes } = await camera.shoot({ subject: 'card', quality, seed: 1 }, quietRun);
      const { data, info } = await sharp(bytes).raw().toBuffer({ resolveWithObject: true });
      const at = (x: number, y: number) => [...data.subarray(3 * (y * info.width + x), 3 * (y * info.width + x) + 3)];
      return { corner: at(5, 5), sum: (p: number[]) => p[0] + p[1] + p[2], blueOverRed: await meanRatio(bytes) };
    };
    const [good, bad] = [await look('good'), await look('bad')];
    expect(bad.blueOverRed).to.be.below(good.blueOverRed - 0.15);
    expect(bad.sum(bad.corner)).to.be.below(good.sum(good.corner));
  });

  it('draws a card with the patches of its maker where they belong', async () => {
    const { width, data } = await card.look();
    const lab = layPatch(made(pencils[0]), madePaper('white-book'), 'full', 'paper');
    expect(width).to.be.above(500);
    expect(data.length % 3).to.equal(0);
    expect(lab[0]).to.be.above(85);
  });
});

async function meanRatio(bytes: Uint8Array): Promise<number> {
  const { channels } = await sharp(bytes).stats();
  return channels[2].mean / channels[0].mean;
}

describe('the simulated colour meter', () => {
  const request: MeterRequest = {
    trayId: 'demo-tray',
    pencilId: 'demo-qs06',
    paper: 'white-book',
    patch: 'medium',
    ground: 'paper',
    quality: 'good',
    seed: 1,
  };
  const pencil = pencils.find(({ id }) => id === request.pencilId)!;
  const lies = layPatch(made(pencil), madePaper('white-book'), 'medium', 'paper');
  const warm = async () => {
    let clock = 0;
    const meter = simulatedMeter(
      async () => pencil,
      () => clock,
    );
    await meter.read(request);
    clock = 60_000;
    return meter;
  };

  it('warms up first, and says how long', async () => {
    let clock = 1000;
    const meter = simulatedMeter(
      async () => pencil,
      () => clock,
    );
    expect(await meter.read(request)).to.deep.equal({ kind: 'warming up', secondsLeft: 3 });
    clock += 2100;
    expect(await meter.read(request)).to.deep.equal({ kind: 'warming up', secondsLeft: 1 });
    clock += 1000;
    expect((await meter.read(request)).kind).to.not.equal('warming up');
  });

  it('reads what the maker laid, within its noise', async () => {
    const meter = await warm();
    const errors: number[] = [];
    for (let seed = 0; seed < 200; seed++) {
      const answer = await meter.read({ ...request, seed });
      if (answer.kind === 'reading') errors.push(deltaE2000(answer.lab, lies));
    }
    expect(errors.length).to.be.above(180);
    expect(errors.reduce((sum, error) => sum + error, 0) / errors.length).to.be.below(0.3);
  });

  it('reads badly now and then, says why, and reads well when asked again', async () => {
    const meter = await warm();
    const bad = async (quality: Quality) => {
      const answers = await Promise.all(
        Array.from({ length: 300 }, (_, seed) => meter.read({ ...request, quality, seed })),
      );
      for (const answer of answers) if (answer.kind === 'bad reading') expect(answer.why).to.match(/read again\.$/);
      return answers.filter(({ kind }) => kind === 'bad reading').length / 300;
    };
    expect(await bad('good')).to.be.within(0.005, 0.1);
    expect(await bad('middling')).to.be.within(0.06, 0.24);
    expect(await bad('bad')).to.be.within(0.22, 0.46);
  });

  it('gives the same reading for the same seed', async () => {
    const meter = await warm();
    expect(await meter.read(request)).to.deep.equal(await meter.read(request));
  });
});
