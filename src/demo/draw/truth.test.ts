import { expect } from 'chai';
import { type DemoPage } from '../pages/index.ts';
import { Drawing, oval, rect, straight } from './kit/index.ts';
import { rasterise } from './rasterise.ts';
import { trueRegions, truthOf } from './truth.ts';

const page: DemoPage = {
  id: 'test-page',
  title: 'A window',
  widthMm: 60,
  heightMm: 40,
  paper: 'white-book',
  printed: 'black',
  things: [
    { name: 'Wall', form: 'flat' },
    { name: 'Window', form: 'flat', focus: true, natural: '#f2c14e' },
  ],
};

/** A wall with a window of two panes, one of which is open to the other at a gap in the bar. */
function window(gap: boolean): Drawing {
  const d = new Drawing({ width: 60, height: 40, seed: 1, stray: 0 });
  d.as('wall', 0.5, () => d.shape(rect(5, 5, 55, 35)));
  d.as('window', 0.5, () => d.shape(rect(20, 10, 40, 30), () => d.rule(straight([30, 5, 30, 35]))));
  d.as('wall', 0.3, () => d.shape(oval([10, 10], 0.2)));
  if (gap) d.gap([30, 20], 1.4);
  return d;
}

describe('the truth of a drawing', () => {
  it('has each region once, with its thing, its area and a point inside it', async () => {
    const { regions } = await trueRegions(page, window(false), 10);
    expect(regions.map(({ thing }) => thing)).to.deep.equal(['Wall', 'Window', 'Window']);
    const [wall, left, right] = regions;
    expect(wall.areaMm2).to.be.within(1010, 1100);
    for (const pane of [left, right]) expect(pane.areaMm2).to.be.within(180, 196);
    expect(left.at.x).to.be.within(21, 29);
    expect(right.at.x).to.be.within(31, 39);
    for (const { closed } of regions) expect(closed).to.equal(true);
  });

  it('leaves out flecks that no pencil gets into', async () => {
    const { regions } = await trueRegions(page, window(false), 20);
    expect(regions).to.have.length(3);
  });

  it('knows which regions run into each other where the print has a gap', async () => {
    const { regions } = await trueRegions(page, window(true), 10);
    expect(regions.map(({ closed }) => closed)).to.deep.equal([true, false, false]);
  });

  it('labels every pixel of a region with its place in the list', async () => {
    const { labels, width, pixelsPerMm, regions } = await trueRegions(page, window(false), 10);
    for (const [i, { at }] of regions.entries()) {
      expect(labels[Math.floor(at.y * pixelsPerMm) * width + Math.floor(at.x * pixelsPerMm)]).to.equal(i + 1);
    }
    expect(labels[0]).to.equal(0);
  });

  it('is written with depth, form, focus and natural colour of each thing', async () => {
    const truth = await truthOf(page, window(true));
    expect(truth).to.include({ title: 'A window', widthMm: 60, regions: 3, printed: 'black' });
    expect(truth.things.map(({ name, depth, form, focus, natural }) => [name, depth, form, focus, natural])).to.deep.equal([
      ['Wall', 0, 'flat', false, null],
      ['Window', 1, 'flat', true, '#f2c14e'],
    ]);
    expect(truth.gaps).to.deep.equal([{ at: { x: 30, y: 20 }, mm: 1.4 }]);
  });
});

describe('a drawing as pixels', () => {
  it('is as wide as asked, in the proportions of its page, black on white', async () => {
    const { width, height, data } = await rasterise(window(false).toSvg('A'), 300);
    expect([width, height]).to.deep.equal([300, 200]);
    expect([...data.subarray(0, 3)]).to.deep.equal([255, 255, 255]);
    expect(Math.min(...data.filter((_, i) => i % 3 === 0))).to.be.below(60);
  });
});
