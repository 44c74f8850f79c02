import { expect } from 'chai';
import { type Gap, gapsOf, mendsOf } from './gaps.ts';
import { halvingLine, joinsOf, withinRegion } from './mending-moves.ts';
import { partToTry } from './part-to-try.ts';

const gap = (gapeMm: number, closed: boolean): Gap => ({
  kind: 'gap',
  gapeMm,
  closed,
  at: { x: 10 * gapeMm, y: 5 },
  from: { x: 10 * gapeMm - 1, y: 5 },
  to: { x: 10 * gapeMm + 1, y: 5 },
});

describe('gaps to settle', () => {
  it('come with those that wait first, the narrowest first, and without the flecks', () => {
    const listed = gapsOf([
      gap(0.9, false),
      gap(0.2, true),
      { kind: 'fleck', at: { x: 1, y: 1 }, areaMm2: 0.1 },
      gap(0.4, false),
    ]);
    expect(listed.map(({ gapeMm, closed }) => [gapeMm, closed])).to.deep.equal([
      [0.4, false],
      [0.9, false],
      [0.2, true],
    ]);
  });

  it('come to a line where an open one is to close, and to an opening where it is to stay open', () => {
    const gaps = [gap(0.4, false), gap(0.9, false), gap(0.2, true), gap(0.3, true)];
    const mends = mendsOf(
      gaps,
      new Map([
        [0, 'close'],
        [1, 'open'],
        [2, 'open'],
        [3, 'close'],
      ]),
    );
    expect(mends).to.deep.equal([
      { kind: 'cut', points: [gaps[0].from, gaps[0].to] },
      { kind: 'open', at: gaps[1].at },
      { kind: 'open', at: gaps[2].at },
    ]);
  });
});

describe('mends', () => {
  it('a region is halved straight across its axis, from outline to outline and no further', () => {
    const [width, height] = [120, 80];
    // A bar of 80 x 30 pixels within lines of 3, other regions around it.
    const labels = new Uint16Array(width * height).fill(2);
    const fill = (left: number, top: number, w: number, h: number, label: number) => {
      for (let y = top; y < top + h; y++) labels.fill(label, y * width + left, y * width + left + w);
    };
    fill(17, 22, 86, 36, 0);
    fill(20, 25, 80, 30, 1);
    const bar = { id: 1, pole: { x: 6, y: 4 }, axisDegrees: 0 };
    const [a, b] = halvingLine({ labels, width, height, pixelsPerMm: 10 }, bar);
    const [top, bottom] = [Math.min(a.y, b.y), Math.max(a.y, b.y)];
    expect(a.x).to.be.closeTo(6, 1e-6);
    expect(b.x).to.be.closeTo(6, 1e-6);
    expect(top).to.be.within(2.2, 2.5);
    expect(bottom).to.be.within(5.5, 5.8);
  });

  it('a drawn line parts the chosen region only, from outline to outline, however far it runs', () => {
    const [width, height] = [100, 30];
    // Three cells of 30 pixels with lines of 3 between them.
    const labels = new Uint16Array(width * height);
    for (let y = 2; y < 28; y++)
      for (let k = 0; k < 3; k++) labels.fill(k + 1, y * width + 33 * k + 2, y * width + 33 * k + 32);
    const raster = { labels, width, height, pixelsPerMm: 10 };
    const across = [
      { x: -2, y: 1.5 },
      { x: 12, y: 1.5 },
    ];
    const cuts = withinRegion(raster, 2, across);
    expect(cuts).to.have.length(1);
    const xs = cuts[0].kind === 'cut' ? cuts[0].points.map(({ x }) => x) : [];
    expect(Math.min(...xs)).to.be.within(3.3, 3.55);
    expect(Math.max(...xs)).to.be.within(6.5, 6.75);
    const bent = [
      { x: 4.9, y: -1 },
      { x: 4.9, y: 1.5 },
      { x: 9, y: 1.5 },
    ];
    expect(withinRegion(raster, 2, bent)).to.have.length(1);
    expect(withinRegion(raster, 1, bent)).to.have.length(0);
    const wave = [
      { x: 0, y: 1 },
      { x: 9.9, y: 1 },
      { x: 9.9, y: 2 },
      { x: 0, y: 2 },
    ];
    expect(withinRegion(raster, 2, wave)).to.have.length(2);
  });

  it('several regions are joined each with the first', () => {
    const poles = [1, 2, 3].map((x) => ({ pole: { x, y: 0 } }));
    expect(joinsOf(poles)).to.deep.equal([
      { kind: 'join', a: { x: 1, y: 0 }, b: { x: 2, y: 0 } },
      { kind: 'join', a: { x: 1, y: 0 }, b: { x: 3, y: 0 } },
    ]);
  });
});

describe('the part of a page that wishes are tried on', () => {
  it('lies within the page and holds most regions', () => {
    const picture = { width: 2100, height: 2970 };
    const crowd = Array.from({ length: 30 }, (_, k) => ({ pole: { x: 150 + (k % 6), y: 200 + k / 6 } }));
    const part = partToTry(picture, 10, [...crowd, { pole: { x: 20, y: 20 } }]);
    expect(part.left + part.width).to.be.at.most(picture.width);
    expect(part.top + part.height).to.be.at.most(picture.height);
    expect(crowd.every(({ pole }) => 10 * pole.x >= part.left && 10 * pole.x < part.left + part.width)).to.equal(true);
  });

  it('is the whole of a small page', () => {
    expect(partToTry({ width: 300, height: 200 }, 10, [])).to.deep.equal({ left: 0, top: 0, width: 300, height: 200 });
  });
});
