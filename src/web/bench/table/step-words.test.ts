import { expect } from 'chai';
import fc from 'fast-check';
import { type Step } from '../../../core/bench/index.ts';
import { placeOnPage, stepAloud } from './step-words.ts';

const page = { widthMm: 210, heightMm: 297 };
const at = (left: number, top: number, right: number, bottom: number) =>
  placeOnPage([{ box: { left, top, right, bottom } }], page);

describe('where a step lies on the page', () => {
  it('is told by thirds', () => {
    expect(at(5, 5, 30, 30)).to.equal('top left of the page');
    expect(at(180, 260, 200, 290)).to.equal('bottom right of the page');
    expect(at(100, 140, 110, 150)).to.equal('in the middle');
    expect(at(5, 140, 30, 150)).to.equal('left of the page');
    expect(at(0, 5, 210, 60)).to.equal('top of the page');
    expect(at(0, 0, 210, 297)).to.equal('all over the page');
    expect(at(0, 140, 210, 160)).to.equal('across the middle');
    expect(placeOnPage([{}], page)).to.equal('');
    const corners = [
      { box: { left: 5, top: 5, right: 20, bottom: 20 } },
      { box: { left: 190, top: 270, right: 200, bottom: 290 } },
    ];
    expect(placeOnPage(corners, page)).to.equal('all over the page');
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
  } as Step;
  const things = [
    { id: 'bell', name: 'Brass bell' },
    { id: 'rail', name: 'Rail' },
  ];
  const roundOf = (...steps: Step[]) => ({ id: steps[0].id, steps, minutes: 3 * steps.length });

  it('says pencil, pressure, place, passes and why, and what to mind', () => {
    expect(stepAloud(roundOf(step), { code: 'QS04', name: 'rust' }, things, ['sharpen'])).to.equal(
      'Brass bell: pencil QS04, rust. light pressure, small circles, sharp point. Hold it far back. 1 shape, 3 min. Where: the shadow. Go over it 2 times. Sets the shadow. Sharpen it first: the point is worn too far for this.',
    );
  });

  it('tells of shapes for which something else is told by name', () => {
    const rail = {
      ...step,
      id: 'rail/dark',
      thingId: 'rail',
      regionIds: [2, 3],
      passes: 1,
      purpose: 'Seats the rail.',
    };
    const aloud = stepAloud(roundOf(step, rail), { code: 'QS04', name: '' }, things, []);
    expect(aloud).to.contain('Brass bell and Rail: pencil QS04.').and.to.contain('3 shapes, 6 min.');
    expect(aloud).to.contain('Brass bell. Where: the shadow. Go over it 2 times. Sets the shadow.');
    expect(aloud).to.contain('Rail. Where: the shadow. Go over it once. Seats the rail.');
  });

  it('names the tool where one is used', () => {
    const erased = roundOf({ ...step, tool: 'eraser' });
    expect(stepAloud(erased, { code: 'QS04', name: '' }, things, [])).to.contain('the eraser.');
  });
});
