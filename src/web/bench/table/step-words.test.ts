import { expect } from 'chai';
import fc from 'fast-check';
import { placeOnPage, stepAloud } from './step-words.ts';

const page = { widthMm: 210, heightMm: 297 };
const at = (left: number, top: number, right: number, bottom: number) =>
  placeOnPage({ box: { left, top, right, bottom } }, page);

describe('where a step lies on the page', () => {
  it('is told by thirds', () => {
    expect(at(5, 5, 30, 30)).to.equal('top left of the page');
    expect(at(180, 260, 200, 290)).to.equal('bottom right of the page');
    expect(at(100, 140, 110, 150)).to.equal('in the middle');
    expect(at(5, 140, 30, 150)).to.equal('left of the page');
    expect(at(0, 5, 210, 60)).to.equal('top of the page');
    expect(at(0, 0, 210, 297)).to.equal('all over the page');
    expect(at(0, 140, 210, 160)).to.equal('across the middle');
    expect(placeOnPage({}, page)).to.equal('');
  });

  it('is always told where it is known, even beyond the edges', () => {
    const mm = fc.integer({ min: -5, max: 320 });
    fc.assert(
      fc.property(mm, mm, mm, mm, (a, b, c, d) => {
        expect(at(Math.min(a, c), Math.min(b, d), Math.max(a, c), Math.max(b, d))).to.match(/page$|middle$/);
      }),
    );
  });
});

describe('a step read aloud', () => {
  const step = {
    id: 'bell/dark',
    thingId: 'bell',
    layerId: 'dark',
    pencil: 'p',
    regionIds: [1],
    pressure: 'light',
    passes: 2,
    stroke: 'small circles',
    point: 'sharp',
    purpose: 'Sets the shadow.',
    minutes: 3,
    value: 30,
    after: [],
    zone: { field: 'tone', from: 0, to: 0.34, softnessMm: 1, overMm: 4 },
  } as Parameters<typeof stepAloud>[0];

  it('says pencil, pressure, place, passes and why, and what to mind', () => {
    expect(stepAloud(step, { code: 'QS04', name: 'rust' }, 'Brass bell', ['sharpen'])).to.equal(
      'Brass bell: pencil QS04, rust. light pressure, small circles, sharp point. Hold it far back. Where: the shadow. Go over it 2 times, 3 min. Sets the shadow. Sharpen it first: the point is worn too far for this.',
    );
  });

  it('names the tool where one is used', () => {
    expect(stepAloud({ ...step, tool: 'eraser' }, { code: 'QS04', name: '' }, 'Bell', [])).to.contain('the eraser.');
  });
});
