import { expect } from 'chai';
import { looksAt, stepAt } from './preview-step.ts';
import fc from 'fast-check';
import { type Plan, emptyPlan, newThing } from '../../contracts/index.ts';
import { NO_REGION, type Region } from '../../core/lineart/index.ts';
import { familyOf } from '../../core/recipe/index.ts';
import { atTheDesk, chooseRegions, chooseThing, sitDownAt, toggleRegion, zoomTo } from './at-the-desk.ts';
import { deriveForms, deriveRecipes, regionsOfThings, summariseSheet } from '../../plan/derive/index.ts';
import { type PageRegions } from './desk-context.ts';
import { regionAt, tinyRegionsAround } from './region-at.ts';
import { decideThing, edited, frontToBack, thingsOf } from '../../plan/index.ts';

const region = (id: number, usableWidthMm: number, areaMm2: number, y = 150): Region => ({
  id,
  usableWidthMm,
  areaMm2,
  axisDegrees: 0,
  lengthMm: 10,
  breadthMm: 5,
  holes: 0,
  shape: 'irregular' as const,
  pole: { x: 50, y },
  centroid: { x: 50, y },
  box: { left: 40, top: y - 10, right: 60, bottom: y + 10 },
});
const regions = [region(1, 40, 9000, 40), region(2, 6, 60), region(3, 1, 4)];
const page = { regions, neighbours: [] };
const pencilsHere = new Map(
  ['#3d2a22', '#c6913a', '#f2c21d'].map((colour, i) => {
    const id = `pencil-${i + 1}`;
    return [id, { id, code: `K${i + 1}`, colour, type: 'wax' as const, opacity: null }] as const;
  }),
);
const family = familyOf(['pencil-1', 'pencil-2', 'pencil-3']);
const plan: Plan = {
  ...emptyPlan({ widthMm: 210, heightMm: 210, paper: 'white-book' }),
  things: frontToBack([
    newThing({ id: 'thing-sky', name: 'Sky', regionIds: [1], family }),
    newThing({ id: 'thing-bell', name: 'Bell', regionIds: [2, 3], focus: true, natural: '#c8962e', family }),
  ]),
};

describe('what is derived from a plan', () => {
  it('each thing has its regions, without those that are gone', () => {
    const things = frontToBack([{ ...thingsOf(plan)[0], regionIds: [1, 77] }]);
    expect(regionsOfThings({ ...plan, things }, regions).get('thing-sky')).to.deep.equal([regions[0]]);
  });

  it('each thing with a family from the tray has a recipe fitted to its regions', () => {
    const recipes = deriveRecipes(plan, page, pencilsHere);
    expect([...recipes.keys()]).to.deep.equal(['thing-sky', 'thing-bell']);
    expect(recipes.get('thing-sky')!.layers[0].point).to.equal('side of the lead');
    expect(recipes.get('thing-bell')!.layers[0].point).to.equal('normal');
  });

  it('a thing with a pencil that has left the tray has none', () => {
    expect(deriveRecipes(plan, page, new Map([...pencilsHere].filter(([id]) => id !== 'pencil-2'))).size).to.equal(0);
  });

  it('a thing’s own school and changed layers win over the sheet’s', () => {
    const own = { school: 'dark-first', effect: 'satin-metal', edits: { layers: { shadow: { passes: 4 } } } };
    const decided = edited(plan, (draft) => decideThing(draft, 'thing-bell', own)).plan;
    const recipes = deriveRecipes(decided, page, pencilsHere);
    expect(recipes.get('thing-sky')!.school).to.equal('base-coat-first');
    expect(recipes.get('thing-sky')!.effect).to.equal('blend');
    expect(recipes.get('thing-bell')!.effect).to.equal('satin-metal');
    expect(recipes.get('thing-bell')!.school).to.equal('dark-first');
    expect(recipes.get('thing-bell')!.layers[0].passes).to.equal(4);
  });

  it('forms are proposed until they are chosen', () => {
    const chosen = edited(plan, (draft) => decideThing(draft, 'thing-sky', { form: 'flat' })).plan;
    expect(deriveForms(plan, regions).get('thing-sky')).to.equal('fades-down');
    expect(deriveForms(chosen, regions).get('thing-sky')).to.equal('flat');
    expect(deriveForms(plan, regions).get('thing-bell')).to.equal('raised');
  });

  it('a palette is told areas, natural colours and how much border two things share', () => {
    const page = {
      regions,
      neighbours: [
        { a: 1, b: 2, lengthMm: 20 },
        { a: 1, b: 3, lengthMm: 5 },
        { a: 2, b: 3, lengthMm: 9 },
      ],
    } as unknown as PageRegions;
    const summary = summariseSheet(plan, page);
    expect(summary.things.map((thing) => thing.areaMm2)).to.deep.equal([9000, 64]);
    expect(summary.things[1].focus).to.equal(true);
    expect(summary.things[1].natural![0]).to.be.closeTo(65, 3);
    expect(summary.borders).to.deep.equal([{ a: 'thing-bell', b: 'thing-sky', lengthMm: 25 }]);
  });
});

describe('the region under the pointer', () => {
  const width = 20;
  const labels = new Uint16Array(width * 10);
  labels.fill(NO_REGION, 0, width);
  for (let y = 1; y < 10; y++) for (let x = 0; x < width; x++) labels[y * width + x] = x < 8 ? 1 : x < 12 ? 0 : 2;
  const page = { index: { labels }, width, height: 10 } as unknown as PageRegions;

  it('is the one whose white part it lies on', () => {
    expect(regionAt(page, 3.5, 5.5, 0)).to.equal(1);
    expect(regionAt(page, 15, 5, 0)).to.equal(2);
  });

  it('is the nearest one when it lies on a line, and none further off than the reach', () => {
    expect(regionAt(page, 8.5, 5, 3)).to.equal(1);
    expect(regionAt(page, 11.5, 5, 3)).to.equal(2);
    expect(regionAt(page, 9.9, 5, 1)).to.equal(null);
  });

  it('is none in the margin or beside the page', () => {
    expect(regionAt(page, 3, 0.5, 0)).to.equal(null);
    expect(regionAt(page, -30, 400, 6)).to.equal(null);
  });

  it('is always a region of the page or none', () => {
    const anywhere = fc.double({ min: -40, max: 60, noNaN: true });
    fc.assert(
      fc.property(anywhere, anywhere, fc.double({ min: 0, max: 30, noNaN: true }), (x, y, reach) => {
        expect([1, 2, null]).to.include(regionAt(page, x, y, reach));
      }),
    );
  });
});

describe('what the user is doing', () => {
  const start = atTheDesk.getInitialState();
  const after = (...actions: Parameters<typeof atTheDesk.reducer>[1][]) => actions.reduce(atTheDesk.reducer, start);

  it('choosing a thing chooses its regions; choosing a region lets the thing go', () => {
    const chosen = after(chooseThing({ id: 'bell', regionIds: [4, 5] }));
    expect(chosen).to.include({ thingId: 'bell' });
    expect(chosen.regionIds).to.deep.equal([4, 5]);
    expect(atTheDesk.reducer(chosen, chooseRegions([9])).thingId).to.equal(null);
  });

  it('a region added twice is taken out again', () => {
    expect(after(toggleRegion(3), toggleRegion(4), toggleRegion(3)).regionIds).to.deep.equal([4]);
  });

  it('each sheet keeps its own zoom until the page is fitted again', () => {
    const zoomed = after(
      zoomTo({ sheetId: 'one', view: { k: 2, x: 1, y: 1 } }),
      zoomTo({ sheetId: 'two', view: { k: 3, x: 0, y: 0 } }),
    );
    expect(zoomed.views.one.k).to.equal(2);
    expect(atTheDesk.reducer(zoomed, zoomTo({ sheetId: 'one', view: null })).views).to.have.keys('two');
  });

  it('sitting down at another sheet keeps the zooms and forgets the choice', () => {
    const moved = after(zoomTo({ sheetId: 'one', view: { k: 2, x: 1, y: 1 } }), chooseRegions([1]), sitDownAt());
    expect(moved.regionIds).to.deep.equal([]);
    expect(moved.views).to.have.keys('one');
  });
});

describe('how fine a preview is', () => {
  it('is twice as fine as the screen and no finer, nor finer than it can be scrubbed', () => {
    expect(stepAt(0.1, 1, 2)).to.equal(5);
    expect(stepAt(0.1, 2, 2)).to.equal(2);
    expect(stepAt(0.22, 1, 2)).to.equal(2);
    expect(stepAt(4, 1, 2)).to.equal(2);
  });

  it('begins with a quick look, coarser where a fine one has many pixels, and ends with a fine one', () => {
    expect(looksAt(2, 2)).to.deep.equal([
      { step: 4, first: true },
      { step: 2, first: false },
    ]);
    expect(looksAt(5, 2)).to.deep.equal([
      { step: 5, first: true },
      { step: 5, first: false },
    ]);
  });
});

describe('a click among tiny regions', () => {
  // Three strips of 4, 4 and 30 pixels beside each other, a line of one pixel between.
  const [width, height] = [40, 20];
  const labels = Uint16Array.from({ length: width * height }, (_, i) => {
    const x = i % width;
    return x < 4 ? 1 : x === 4 ? 0 : x < 9 ? 2 : x === 9 ? 0 : 3;
  });
  const strip = (id: number, usableWidthMm: number) => region(id, usableWidthMm, 10);
  const page = {
    width,
    height,
    index: { labels },
    pixelsPerMm: 10,
    regions: [strip(1, 0.4), strip(2, 0.4), strip(3, 3)],
  } as unknown as PageRegions;

  it('may mean any of those around it', () => {
    expect(tinyRegionsAround(page, 3, 10, 6, 1)).to.have.members([1, 2]);
    expect(tinyRegionsAround(page, 7, 10, 6, 1)).to.have.members([1, 2, 3]);
  });

  it('means what it hits where that is wide, and where the page is enlarged enough', () => {
    expect(tinyRegionsAround(page, 12, 10, 6, 1)).to.deep.equal([]);
    expect(tinyRegionsAround(page, 3, 10, 6 / 4, 4)).to.deep.equal([]);
    expect(tinyRegionsAround(page, 3, 10, 6, 2)).to.deep.equal([]);
  });
});
