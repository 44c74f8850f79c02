import { expect } from 'chai';
import fc from 'fast-check';
import { madeUpPage, scoreRegions } from '../../../bench/made-up/index.ts';
import { findRegions } from './index.ts';
import { CROSSINGS, around, thin } from './gaps/thin.ts';
import { findRuns, joinRuns } from './runs.ts';

const PER_MM = 10;

/** A box of 40 x 20 mm parted by an upright line in its middle, drawn by rectangles of ink; returns a grey page. */
function drawing(rectangles: readonly (readonly [x: number, y: number, w: number, h: number])[]) {
  const [width, height] = [480, 280];
  const data = new Uint8Array(width * height).fill(250);
  const box = [
    [40, 40, 400, 4],
    [40, 236, 400, 4],
    [40, 40, 4, 200],
    [436, 40, 4, 200],
  ] as const;
  for (const [x, y, w, h] of [...box, ...rectangles]) {
    for (let v = y; v < y + h; v++) data.fill(15, v * width + x, v * width + x + w);
  }
  return { width, height, data };
}

const found = (page: ReturnType<typeof drawing>, more = {}) => findRegions(page, { pixelsPerMm: PER_MM, ...more });
const gapsOf = ({ doubts }: Awaited<ReturnType<typeof found>>) =>
  doubts.flatMap((each) => (each.kind === 'gap' ? [each] : []));

describe('gaps in the outlines', () => {
  const broken = drawing([
    [238, 40, 4, 90],
    [238, 138, 4, 100],
  ]);

  it('a line broken in its middle is closed', async () => {
    const map = await found(broken);
    expect(map.regions).to.have.length(2);
    const [gap] = gapsOf(map);
    expect(gap.closed).to.equal(true);
    expect(gap.gapeMm).to.be.closeTo(0.8, 0.15);
    expect(gap.at.x).to.be.closeTo(24, 0.3);
    expect(gap.at.y).to.be.closeTo(13.4, 0.3);
  });

  it('stays open when it is wider than was wished, or when the person wants it open', async () => {
    expect((await found(broken, { closeGapMm: 0.5 })).regions).to.have.length(1);
    expect((await found(broken, { closeGapMm: 0 })).regions).to.have.length(1);
    const at = { x: 24, y: 13.4 };
    const open = await found(broken, { mends: [{ kind: 'open', at }] });
    expect(open.regions).to.have.length(1);
    expect(gapsOf(open)).to.have.length(0);
  });

  it('a line that stops just short of another is closed', async () => {
    const map = await found(drawing([[238, 40, 4, 190]]));
    expect(map.regions).to.have.length(2);
  });

  it('a thin stroke that stops short of the outline is asked about, not closed', async () => {
    const map = await found(
      drawing([
        [338, 40, 4, 200],
        [138, 40, 1, 190],
      ]),
    );
    expect(map.regions).to.have.length(2);
    expect(gapsOf(map).map(({ closed }) => closed)).to.deep.equal([false]);
  });

  it('loose strokes inside a region leave it whole', async () => {
    const strokes = Array.from({ length: 8 }, (_, k) => [80 + 40 * k, 100, 3, 60] as const);
    const map = await found(drawing(strokes));
    expect(map.regions).to.have.length(1);
    expect(gapsOf(map).filter(({ closed }) => closed)).to.have.length(0);
  });

  it('a doubtful gap can be closed by a line drawn over it', async () => {
    const page = drawing([[138, 40, 1, 190]]);
    const [gap] = gapsOf(await found(page));
    const map = await found(page, { mends: [{ kind: 'cut', points: [gap.from, gap.to] }] });
    expect(map.regions).to.have.length(2);
  });
});

describe('a made-up page', () => {
  const wish = { width: 1200, height: 1600, pixelsPerMm: 300 / 25.4, regions: 260 };
  const judged = async (seed: number, more = {}) => {
    const page = madeUpPage({ ...wish, seed, ...more });
    const map = await findRegions(page.grey, { pixelsPerMm: wish.pixelsPerMm });
    return { page, map, score: scoreRegions(map, page) };
  };

  it('is found whole when it is clean: every region, none too many', async () => {
    const { score } = await judged(3);
    expect(score).to.include({ oneToOne: 1, falseRegions: 0, otherLeaks: 0 });
  }).timeout(120_000);

  it('leaks through no more than one gap in ten when its outlines gape, and most of those are asked about', async () => {
    const { page, map, score } = await judged(8, { gaps: 0.15 });
    expect(page.gaps.length).to.be.above(25);
    expect(score.leaks / page.gaps.length).to.be.at.most(0.1);
    const told = page.gaps.filter(({ x, y }) =>
      gapsOf(map).some(({ at }) => Math.hypot(at.x * wish.pixelsPerMm - x, at.y * wish.pixelsPerMm - y) < 14),
    );
    expect(told.length / page.gaps.length).to.be.at.least(0.95);
    expect(score.falseRegions).to.be.at.most(1);
  }).timeout(120_000);

  it('is not cut up by stipple and hatch', async () => {
    const { page, score } = await judged(5, { texture: 0.3 });
    expect(score.falseRegions / page.count).to.be.at.most(0.01);
    expect(score.otherLeaks).to.equal(0);
  }).timeout(120_000);
});

describe('thinning', () => {
  const blot = fc.array(fc.integer({ min: 0, max: 1 }), { minLength: 196, maxLength: 196 }).map((cells) => {
    const ink = new Uint8Array(18 * 18);
    cells.forEach((cell, k) => (ink[(2 + Math.floor(k / 14)) * 18 + 2 + (k % 14)] = cell));
    return ink;
  });
  const thinned = (ink: Uint8Array, width: number, height: number) =>
    thin(findRuns(ink, width, height, 1), width, height);
  const pieces = (ink: Uint8Array) => joinRuns(findRuns(ink, 18, 18, 1), 8).count;

  it('keeps the pieces that ink hangs together in, and adds none', () => {
    fc.assert(
      fc.property(blot, (ink) => {
        const lines = thinned(ink, 18, 18);
        lines.forEach((value, i) => value && expect(ink[i]).to.equal(1));
        expect(pieces(lines)).to.be.at.most(pieces(ink));
      }),
    );
  });

  it('gives the same lines wherever on the page the ink lies', () => {
    fc.assert(
      fc.property(blot, fc.integer({ min: 0, max: 70 }), (ink, right) => {
        const width = 18 + right;
        const moved = new Uint8Array(width * 18);
        ink.forEach((value, i) => (moved[Math.floor(i / 18) * width + (i % 18) + right] = value));
        const lines = thinned(moved, width, 18);
        thinned(ink, 18, 18).forEach((value, i) =>
          expect(lines[Math.floor(i / 18) * width + (i % 18) + right]).to.equal(value),
        );
      }),
    );
  });

  it('makes of a bar a line with two ends', () => {
    const ink = new Uint8Array(40 * 20);
    for (let y = 8; y < 13; y++) ink.fill(1, y * 40 + 5, y * 40 + 35);
    const lines = thinned(ink, 40, 20);
    const ends = [...lines.keys()].filter((i) => lines[i] && CROSSINGS[around(lines, i, 40)] === 1);
    expect(ends).to.have.length(2);
    expect(lines.reduce((sum, value) => sum + value, 0)).to.be.within(22, 30);
  });
});
