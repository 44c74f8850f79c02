import { expect } from 'chai';
import fc from 'fast-check';
import { Plan, USUAL_FINDING, emptyPlan, newThing } from '../../contracts/index.ts';
import { familyOf } from '../../core/recipe/index.ts';
import { FORMATS, formatOf, outOfShape } from './formats.ts';
import { resized } from './resized.ts';
import { without } from './without.ts';

describe('page formats', () => {
  it('are known again by their sides, either way round', () => {
    for (const { id, width, height } of FORMATS) {
      expect(formatOf(width, height)?.id).to.equal(id);
      expect(formatOf(height, width)?.id).to.equal(id);
    }
    expect(formatOf(123, 321)).to.equal(undefined);
  });

  it('are in shape with a picture of their own proportions only', () => {
    expect(outOfShape({ width: 2100, height: 2970 }, 210, 297)).to.be.below(0.001);
    expect(outOfShape({ width: 2100, height: 2970 }, 210, 210)).to.be.closeTo(0.414, 0.001);
  });

  it('are out of shape by the same measure whichever side is wrong', () => {
    const side = fc.integer({ min: 50, max: 4000 });
    fc.assert(
      fc.property(side, side, fc.double({ min: 1, max: 1.5, noNaN: true }), (width, height, stretch) => {
        const wide = outOfShape({ width, height }, width * stretch, height);
        const high = outOfShape({ width, height }, width, height * stretch);
        expect(wide).to.be.closeTo(stretch - 1, 1e-9);
        expect(high).to.be.closeTo(stretch - 1, 1e-9);
      }),
    );
  });
});

describe('taking a thing apart', () => {
  const pencils = familyOf(['pencil-1', 'pencil-2', 'pencil-3']);
  const plan: Plan = {
    ...emptyPlan({ widthMm: 210, heightMm: 210, paper: 'white-book' }),
    things: [
      newThing({ id: 'thing-a', name: 'Roof', regionIds: [1, 2], focus: false, natural: null }),
      newThing({ id: 'thing-b', name: 'Wall', regionIds: [3], focus: true, natural: '#8a5a34' }),
    ],
    families: { 'thing-a': pencils, 'thing-b': pencils },
    forms: { 'thing-a': 'flat' },
    glows: [
      { thingId: 'thing-a', at: null, reachMm: 20, strength: 0.5, pencil: null },
      { thingId: null, at: { x: 5, y: 5 }, reachMm: 20, strength: 0.5, pencil: null },
    ],
    layers: {
      school: 'base-coat-first',
      schools: { 'thing-a': 'dark-first' },
      effects: { 'thing-a': 'snow' },
      edits: { 'thing-a': { layers: { base: { passes: 2 } } } },
    },
  };

  it('takes everything decided for it along and leaves the others as they were', () => {
    const left = Plan.parse({ ...plan, ...without(plan, 'thing-a') });
    expect(left.things.map((thing) => thing.name)).to.deep.equal(['Wall']);
    expect(left.families).to.deep.equal({ 'thing-b': pencils });
    expect(left.forms).to.deep.equal({});
    expect(left.layers).to.deep.equal({ school: 'base-coat-first', schools: {}, effects: {}, edits: {} });
    expect(left.glows).to.deep.equal([plan.glows[1]]);
  });

  it('changes nothing when the thing is not there', () => {
    expect({ ...plan, ...without(plan, 'thing-z') }).to.deep.equal(plan);
  });
});

describe('another real size', () => {
  const plan = {
    ...emptyPlan({ widthMm: 100, heightMm: 150, paper: 'white-book' }),
    finding: {
      ...USUAL_FINDING,
      mends: [
        {
          kind: 'cut' as const,
          points: [
            { x: 10, y: 15 },
            { x: 20, y: 30 },
          ],
        },
        { kind: 'join' as const, a: { x: 50, y: 75 }, b: { x: 60, y: 75 } },
        { kind: 'drop' as const, at: { x: 100, y: 150 } },
      ],
    },
  };

  it('leaves a glow at the place on the page where it was put', () => {
    const glow = { thingId: null, at: { x: 50, y: 75 }, reachMm: 20, strength: 0.5, pencil: null };
    expect(resized({ ...plan, glows: [glow] }, 200, 300).glows).to.deep.equal([{ ...glow, at: { x: 100, y: 150 } }]);
  });

  it('leaves every mend at the place on the page where it was made', () => {
    const { page, finding } = resized(plan, 200, 300);
    expect(page).to.include({ widthMm: 200, heightMm: 300, paper: 'white-book' });
    expect(finding!.mends).to.deep.equal([
      {
        kind: 'cut',
        points: [
          { x: 20, y: 30 },
          { x: 40, y: 60 },
        ],
      },
      { kind: 'join', a: { x: 100, y: 150 }, b: { x: 120, y: 150 } },
      { kind: 'drop', at: { x: 200, y: 300 } },
    ]);
  });

  it('changes nothing about the finding where nothing was mended', () => {
    expect(resized({ ...plan, finding: USUAL_FINDING }, 200, 300)).to.have.all.keys('page');
  });
});
