import { expect } from 'chai';
import { distanceToLines, findRegions, growLabels } from '../lineart/index.ts';
import { FORMS, formById, pageTone, proposeForm } from './index.ts';

/** A page with one disc of radius 100 px in its middle, 10 px per mm. */
async function discPage() {
  const size = 280;
  const data = new Uint8Array(size * size).map((_, i) => {
    const r = Math.hypot((i % size) - 140, Math.floor(i / size) - 140);
    return r > 100 && r < 104 ? 10 : 250;
  });
  const map = await findRegions({ width: size, height: size, data }, { pixelsPerMm: 10 });
  const grown = growLabels(map.labels, size, size, 20);
  return { ...map, grown, distance: distanceToLines(map.labels, size, size) };
}

const raised = [{ regionIds: [1], form: 'raised' }];

describe('light', () => {
  it('soft light makes a raised middle light and every side equally dark', async () => {
    const page = await discPage();
    const tone = pageTone(page, raised, { kind: 'ambient' });
    const at = (x: number, y: number) => tone[y * page.width + x];
    expect(at(140, 140)).to.be.above(240);
    for (const [x, y] of [
      [44, 140],
      [236, 140],
      [140, 44],
      [140, 236],
    ])
      expect(at(x, y)).to.be.within(5, 60);
  });

  it('a light from the upper left makes that side pale and the other dark', async () => {
    const page = await discPage();
    const tone = pageTone(page, raised, { kind: 'direction', azimuthDegrees: 225, heightDegrees: 40 });
    const at = (x: number, y: number) => tone[y * page.width + x];
    expect(at(100, 100)).to.be.above(at(140, 140));
    expect(at(140, 140)).to.be.above(at(190, 190));
  });

  it('a higher light stands nearer the middle', async () => {
    const page = await discPage();
    const brightest = (heightDegrees: number) => {
      const tone = pageTone(page, raised, { kind: 'direction', azimuthDegrees: 0, heightDegrees });
      const row = [...tone.subarray(140 * page.width, 141 * page.width)];
      return row.indexOf(Math.max(...row));
    };
    expect(brightest(20)).to.be.above(brightest(70));
  });

  it('lights nothing beside the regions', async () => {
    const page = await discPage();
    expect(pageTone(page, raised, { kind: 'ambient' })[5 * page.width + 5]).to.equal(0);
  });

  it('a background fades over the whole thing, not over each of its regions', async () => {
    const page = await discPage();
    const tone = pageTone(page, [{ regionIds: [1], form: 'fades-down' }], { kind: 'ambient' });
    const column = [50, 100, 150, 200, 230].map((y) => tone[y * page.width + 140]);
    expect(column).to.deep.equal([...column].sort((a, b) => a - b));
  });

  it('every form keeps its tone between shadow and highlight, in any light', () => {
    for (const { tone, id } of FORMS) {
      for (const heightDegrees of [null, 5, 45, 90]) {
        for (let depth = 0; depth <= 1; depth += 0.25) {
          for (let facing = -1; facing <= 1; facing += 0.25)
            expect(tone({ depth, facing, down: depth }, { heightDegrees }), id).to.be.within(0, 1);
        }
      }
    }
  });

  it('proposes a sky for a large region above, water for one below, and raised for the rest', async () => {
    const { regions } = await discPage();
    expect(proposeForm(regions, { widthMm: 28, heightMm: 40 })).to.equal('fades-down');
    expect(proposeForm(regions, { widthMm: 28, heightMm: 20 })).to.equal('fades-up');
    expect(proposeForm(regions, { widthMm: 200, heightMm: 200 })).to.equal('raised');
  });

  it('refuses a light below the horizon and a form that is not known', async () => {
    const page = await discPage();
    expect(() => pageTone(page, raised, { kind: 'direction', azimuthDegrees: 0, heightDegrees: 2 })).to.throw(
      RangeError,
      'between 5 and 90',
    );
    expect(() => formById('cube')).to.throw(RangeError, 'no form');
  });
});
