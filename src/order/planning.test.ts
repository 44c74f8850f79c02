import { expect } from 'chai';
import fc from 'fast-check';
import {
  NewBenchPlan,
  type Pencil,
  type Plan,
  type Swatch,
  USUAL_FINDING,
  emptyPlan,
  newThing,
} from '../contracts/index.ts';
import { labOfHex } from '../core/colour/index.ts';
import { type Direction, familyOf } from '../core/recipe/index.ts';
import { ASSUMED_RATES, sequence, validateSequence } from '../core/bench/index.ts';
import { LAYDOWN_MODEL, bareGround, declaredFit, paperById, pencilOptics, whiteBook } from '../core/laydown/index.ts';
import { type Region } from '../core/lineart/index.ts';
import { type ToneStack } from '../core/preview/index.ts';
import { benchPlanFrom, plannedWear, shoppingList, laidLayers, openSteps } from './index.ts';
import { asTrayPencil, paperModelOf, readingsOf } from '../pencils/index.ts';
import {
  deriveForms,
  deriveHours,
  deriveRecipes,
  groundsOf,
  pinnedFamilies,
  regionsKey,
  summariseSheet,
} from '../plan/derive/index.ts';
import { groundFinder, regionCourses, regionTables } from '../core/render/index.ts';
import { decideThing, edited, frontToBack, thingsOf } from '../plan/index.ts';

const region = (id: number, usableWidthMm: number, areaMm2: number): Region => ({
  id,
  usableWidthMm,
  areaMm2,
  axisDegrees: 0,
  lengthMm: 10,
  breadthMm: 5,
  holes: 0,
  shape: 'irregular' as const,
  pole: { x: 50, y: 50 },
  centroid: { x: 50, y: 50 },
  box: { left: 40, top: 40, right: 60, bottom: 60 },
});
const regions = [region(1, 6, 60), region(2, 6, 60), region(3, 20, 900), region(4, 1, 3)];
const pencil = (code: string, colour: string, ownName = '') =>
  ({ id: `pencil-${code}`, code, colour, ownName, name: `lead ${code}`, type: 'wax', opacity: null }) as Pencil;
const pencils = [pencil('K1', '#5e3a26'), pencil('K2', '#c6913a', 'bell'), pencil('K3', '#f2c21d')];
const byId = new Map(pencils.map((each) => [each.id, each]));
const family = familyOf(['pencil-K1', 'pencil-K2', 'pencil-K3']);
const plan: Plan = {
  ...emptyPlan({ widthMm: 210, heightMm: 210, paper: 'white-book' }),
  things: frontToBack([
    newThing({ id: 'thing-a', name: 'Lanterns', regionIds: [1, 2], focus: true, family }),
    newThing({ id: 'thing-b', name: 'Sky', regionIds: [3, 4], family }),
  ]),
};
const page = { regions, neighbours: [] };
const recipes = deriveRecipes(plan, page, byId);
const hand = { pencils: byId, valueOf: () => 50 };
const { steps } = openSteps(plan, page, recipes, hand, []);
describe('open steps', () => {
  it('are every layer of every thing while nothing is done', () => {
    for (const [id, { layers }] of recipes) {
      expect(steps.filter(({ thingId }) => thingId === id).length).to.be.within(1, layers.length);
    }
  });

  it('leave out what stands as done, and wait only for what is still open', () => {
    fc.assert(
      fc.property(fc.nat(steps.length), (count) => {
        const finished = steps.slice(0, count).map((step) => ({ ...step, regionIds: [...step.regionIds] }));
        const { steps: open } = openSteps(plan, page, recipes, hand, finished);
        const ids = new Set(open.map(({ id }) => id));
        expect(open.length).to.equal(steps.length - count);
        for (const { after } of open) for (const id of after) expect(ids.has(id)).to.equal(true);
      }),
    );
  });

  it('never work on a region that is too narrow for their layer', () => {
    for (const step of steps) {
      const { fromWidthMm } = recipes.get(step.thingId)!.layers.find(({ id }) => id === step.layerId)!;
      for (const id of step.regionIds) expect(regions[id - 1].usableWidthMm).to.be.at.least(fromWidthMm);
    }
  });
});

describe('a recipe that cannot be worked out', () => {
  it('leaves its own thing bare, and the rest of the page is painted', () => {
    const things = [...recipes].map(([id, recipe]) => ({ id, regionIds: plan.things[id].regionIds, recipe }));
    const [bad, good] = things;
    const layers = [{ ...bad.recipe.layers[0], tool: 'no such tool' }, ...bad.recipe.layers.slice(1)];
    const own = { ...bad, recipe: { ...bad.recipe, layers } };
    const optics = pencilOptics({ masstone: [40, 10, 10], type: 'wax' });
    const ground = { ground: bareGround(paperById('white-book')), key: 'white' };
    const tables = regionTables(
      [own, good],
      regions,
      {},
      () => ({ optics, key: 'one' }),
      () => ground,
      [],
      new Map(),
    );
    for (const id of bad.regionIds) expect(tables[id]).to.equal(null);
    for (const id of good.regionIds) expect(tables[id]).to.not.equal(null);
  });
});

describe('regions that are not to be coloured', () => {
  it('get no step and no table, and the rest of their thing goes on as before', () => {
    const without: Plan = { ...plan, regions: { 2: { use: 'leave white' }, 3: { use: 'not to colour' } } };
    const recipesOf = (of: Plan) => deriveRecipes(of, page, byId);
    const { steps } = openSteps(without, page, recipesOf(without), hand, []);
    const worked = new Set(steps.flatMap(({ regionIds }) => regionIds));
    expect([...worked].sort()).to.deep.equal([1, 4]);
    const { steps: all } = openSteps(plan, page, recipesOf(plan), hand, []);
    expect(all.length).to.be.at.least(steps.length);
  });

  it('leave a thing without a form when none of its regions is left', () => {
    const none: Plan = { ...plan, regions: { 1: { use: 'leave white' }, 2: { use: 'leave white' } } };
    expect([...deriveForms(none, regions).keys()]).to.deep.equal(['thing-b']);
  });
});

describe('an order as it is stored', () => {
  it('is one that its contract takes and its validator passes, with pencils by their own names', async () => {
    const order = await sequence(steps, { openThings: 2, maxIterations: 5 });
    const stored = NewBenchPlan.parse(
      benchPlanFrom('plan-one', { plan, revision: 3 }, { steps, leftOut: [] }, order, byId),
    );
    expect(validateSequence(stored.steps, stored.order, 2, stored.alike)).to.deep.equal([]);
    expect(stored.planRevision).to.equal(3);
    expect(stored.pencils.map(({ name }) => name)).to.have.members(['lead K1', 'bell', 'lead K3']);
    expect(stored.things.map(({ name }) => name)).to.deep.equal(['Lanterns', 'Sky']);
  });
});

describe('layers that are laid', () => {
  const layers = recipes.get('thing-a')!.layers;
  const idOf = (i: number) => `thing-a/${layers[i].id}`;
  it('go up to the first that is open', () => {
    expect(laidLayers('thing-a', layers, new Set(), steps)).to.equal(0);
    expect(laidLayers('thing-a', layers, new Set([idOf(0)]), steps)).to.equal(1);
    expect(laidLayers('thing-a', layers, new Set([idOf(1)]), steps)).to.equal(0);
    expect(laidLayers('thing-a', layers, new Set(steps.map(({ id }) => id)), steps)).to.equal(layers.length);
  });
});

describe('tables of regions', () => {
  const things = thingsOf(plan).map(({ id, regionIds }) => ({ id, regionIds, recipe: recipes.get(id)! }));
  const optics = new Map(pencils.map((each) => [each.id, pencilOptics(asTrayPencil(each))]));
  const tablesFor = (upTo: Record<string, number>, built = new Map<string, ToneStack>()) =>
    regionTables(
      things,
      regions,
      upTo,
      (id) => ({ optics: optics.get(id)!, key: id }),
      groundFinder(whiteBook, new Map()),
      [],
      built,
    );

  it('are shared by like regions and built once', () => {
    const built = new Map<string, ToneStack>();
    const tables = tablesFor({}, built);
    expect(tables[1]).to.equal(tables[2]);
    expect(tables[1]).to.not.equal(tables[3]);
    const before = [...built.values()];
    expect(tablesFor({}, built)[1]).to.equal(tables[1]);
    expect([...built.values()]).to.deep.equal(before);
  });

  it('are none for regions that nothing is laid on', () => {
    const bare = regionTables(
      [{ id: 'thing-a', regionIds: [1], recipe: null }],
      regions,
      {},
      () => ({ optics: optics.get('pencil-K1')!, key: 'k' }),
      groundFinder(whiteBook, new Map()),
      [],
      new Map(),
    );
    expect(bare).to.deep.equal([null, null, null, null, null]);
  });

  it('differ by how many layers lie', () => {
    const some = tablesFor({ 'thing-a': 1 });
    const all = tablesFor({});
    expect(some[1]).to.not.deep.equal(all[1]);
    expect(some[3]).to.deep.equal(all[3]);
  });
});

describe('courses of regions', () => {
  const things = thingsOf(plan).map(({ id, regionIds }) => ({ id, regionIds, recipe: recipes.get(id)! }));
  const directed = (direction: Direction) =>
    things.map((thing) => ({
      ...thing,
      recipe: {
        ...thing.recipe,
        layers: thing.recipe.layers.map((layer, i) => (i === 1 ? { ...layer, direction } : layer)),
      },
    }));
  const vanishing = { x: 90, y: 20 };

  it('are those of the last layer that is laid', () => {
    const given = { glows: [], vanishing };
    const toPoint = regionCourses(directed('to the vanishing point'), regions, { 'thing-a': 2, 'thing-b': 1 }, given);
    expect(toPoint[1]).to.deep.include({ kind: 'to', at: vanishing });
    expect(toPoint[3]).to.equal(null);
    expect(regionCourses(directed('to the vanishing point'), regions, { 'thing-a': 0 }, given)[1]).to.equal(null);
  });

  it('go round the nearest light, a thing or a point', () => {
    const near = regions[0].pole;
    const glows = [
      { thingId: null, at: { x: near.x + 1, y: near.y } },
      { thingId: null, at: { x: 900, y: 900 } },
    ];
    const [, first] = regionCourses(directed('round the light'), regions, { 'thing-a': 2 }, { glows, vanishing });
    expect(first).to.deep.include({ kind: 'round', at: glows[0].at });
    const none = regionCourses(directed('round the light'), regions, { 'thing-a': 2 }, { glows: [], vanishing });
    expect(none[1]).to.equal(null);
  });
});

describe('what regions were found from', () => {
  it('changes with the picture, its real size, the wishes and the mends, and with nothing else', () => {
    fc.assert(
      fc.property(
        fc.stringMatching(/^[0-9a-f]{8}$/),
        fc.integer({ min: 300, max: 9000 }),
        fc.integer({ min: 20, max: 1200 }),
        (hash, px, mm) => {
          const key = regionsKey(hash, px, mm, USUAL_FINDING);
          expect(regionsKey(hash, px, mm, { ...USUAL_FINDING, mends: [] })).to.equal(key);
          expect(regionsKey(`${hash}0`, px, mm, USUAL_FINDING)).to.not.equal(key);
          expect(regionsKey(hash, px, mm + 1, USUAL_FINDING)).to.not.equal(key);
          const mended = { ...USUAL_FINDING, mends: [{ kind: 'drop' as const, at: { x: px / 100, y: mm } }] };
          expect(regionsKey(hash, px, mm, mended)).to.not.equal(key);
        },
      ),
    );
  });
});

describe('a stored pencil', () => {
  it('without an opacity of its own has its type’s', () => {
    expect(asTrayPencil(pencils[0])).to.deep.include({ opacity: undefined, masstone: labOfHex('#5e3a26') });
    expect(asTrayPencil({ ...pencils[0], opacity: 0.4 }).opacity).to.equal(0.4);
  });
});

describe('a paper as the swatches of a tray say that it is', () => {
  const fit = { laydown: 1.2, scatter: 3, fills: 1.1, masstone: [40, 10, 20] as const, apart: 1.9, doubtful: [] };
  const found = {
    ...declaredFit(paperById('white-book')),
    rough: 0.4,
    tooth: 1.2,
    spread: 0.7,
    crush: 0.6,
    yuleNielsen: 2.4,
    slope: 0.8,
    tinted: 0.2,
    hand: { light: 0.6 },
  };
  const onWhite = {
    paper: 'white-book',
    at: '2026-03-01T10:00:00.000Z',
    learnt: {},
    fit: found,
    pencils: [{ pencilId: pencils[0].id, fit }],
  };
  const [first, second] = pencils;

  it('is as declared while nothing was fitted, and each pencil is declared or read once', () => {
    const use = paperModelOf('cream-sheet', pencils, [], new Set([second.id]));
    expect(use.paper).to.equal(paperById('cream-sheet'));
    expect(use.trayPencil(first)).to.deep.equal(asTrayPencil(first));
    expect([use.beliefIn(first).ground, use.beliefIn(second).ground]).to.deep.equal(['declared', 'read once']);
  });

  it('is as it was fitted, tint and all its own, in the hand that was found', () => {
    const { paper, carried } = paperModelOf('white-book/fff0e0', pencils, [onWhite]);
    expect(carried).to.equal(false);
    expect(paper).to.deep.include({ tint: '#fff0e0', rough: 0.4, tooth: 1.2, spread: 0.7, hand: { light: 0.6 } });
  });

  it('is laid in the hand as trials taught it since, while masstones stay as they were laid', () => {
    const use = paperModelOf('white-book', pencils, [{ ...onWhite, learnt: { light: 2, firm: 0.5 } }]);
    expect(use.paper.hand).to.deep.equal({ light: 1.2, firm: 0.5 });
    for (const pencil of [first, second]) expect(use.trayPencil(pencil).masstoneOn!.hand).to.deep.equal({ light: 0.6 });
  });

  it('knows a fitted pencil by its swatches, and takes others to lay as fitted ones of their kind do', () => {
    const use = paperModelOf('white-book', pencils, [onWhite]);
    expect(use.trayPencil(first)).to.deep.include({ laydown: 1.2, scatter: 3, masstone: [40, 10, 20], slope: 0.8 });
    expect(use.beliefIn(first)).to.deep.equal({ ground: 'fitted', apart: 1.9 });
    const other = use.trayPencil(second);
    expect(other).to.deep.include({ laydown: 1.2, scatter: 3, masstone: labOfHex(second.colour), slope: 0.8 });
    expect(other.masstoneOn).to.deep.include({ rough: 0.4, hand: { light: 0.6 } });
    expect(use.beliefIn(second).ground, 'one pencil says too little of others').to.equal('declared');
    const six = [...Array(6).keys()].map((i) => ({ pencilId: i === 0 ? first.id : `other-${i}`, fit }));
    const more = paperModelOf('white-book', pencils, [{ ...onWhite, pencils: six }]);
    expect(more.beliefIn(second).ground).to.equal('like its kind');
  });

  it('carries a fit over to a paper that was never swatched, as rough beside it as it is declared', () => {
    const use = paperModelOf('kraft-card', pencils, [onWhite]);
    expect(use.carried).to.equal(true);
    const kraft = paperById('kraft-card');
    expect(use.paper.rough).to.be.closeTo(0.4 * kraft.rough, 1e-9);
    expect(use.paper.tooth).to.be.closeTo(1.2 * kraft.tooth, 1e-9);
    expect(use.trayPencil(first).masstoneOn).to.deep.include({ id: 'white-book', rough: 0.4 });
    expect(use.beliefIn(first)).to.deep.equal({ ground: 'carried', apart: 2 });
  });

  it('leaves aside what was fitted with another edition of the layer model', () => {
    const former = { ...onWhite, fit: { ...found, model: LAYDOWN_MODEL - 1 } };
    expect(paperModelOf('white-book', pencils, [former]).fit).to.equal(null);
    expect(paperModelOf('white-book', pencils, [former]).paper).to.equal(paperById('white-book'));
  });

  it('prefers the swatches of this paper, then the newest of others', () => {
    const older = { ...onWhite, paper: 'cream-sheet', at: '2026-02-01T10:00:00.000Z', fit: { ...found, rough: 0.9 } };
    expect(paperModelOf('cream-sheet', pencils, [onWhite, older]).fit).to.equal(older);
    expect(paperModelOf('kraft-card', pencils, [older, onWhite]).fit).to.equal(onWhite);
  });
});

describe('the grounds of a page', () => {
  const read = { paper: '#f3ead8', grounds: [{ region: 2, kind: 'coloured' as const, colour: '#cc8844' }] };

  it('are what was read, unless a person said otherwise', () => {
    expect([...groundsOf({ regions: {} }, read)]).to.deep.equal([
      [2, { kind: 'coloured', colour: '#cc8844', toothLeft: null }],
    ]);
    const said = { kind: 'wash' as const, colour: '#88aacc', toothLeft: null };
    expect([
      ...groundsOf({ regions: { 2: { ground: { ...said, kind: 'bare' } }, 3: { ground: said } } }, read),
    ]).to.deep.equal([[3, said]]);
    expect(groundsOf({ regions: {} }, null).size).to.equal(0);
  });

  it('are worked out once for like ones, and differ by the tooth that is left', () => {
    const ground = (toothLeft: 'plenty' | 'none') => ({ kind: 'coloured' as const, colour: '#cc8844', toothLeft });
    const find = groundFinder(
      whiteBook,
      new Map([
        [1, ground('plenty')],
        [2, ground('plenty')],
        [3, ground('none')],
      ]),
    );
    expect(find(1)).to.equal(find(2));
    expect(find(3).ground.filled).to.be.above(find(1).ground.filled);
    expect(find(4).ground.filled).to.equal(0);
  });
});

describe('the swatches of a tray', () => {
  const swatch = (id: string, pencil: number, lab: readonly [number, number, number], more: Partial<Swatch> = {}) =>
    ({ id, pencilId: pencils[pencil].id, patch: 'medium', ground: 'paper', lab, over: null, ...more }) as Swatch;

  it('are gathered by pencil; of a patch read again the newest counts, each on its own ground and overlay', () => {
    const {
      pencils: own,
      read,
      overlays,
    } = readingsOf(pencils, [
      swatch('a', 1, [50, 0, 0]),
      swatch('b', 1, [30, 0, 0], { ground: 'bar' }),
      swatch('c', 1, [40, 5, 5], { over: pencils[0].id }),
      swatch('d', 0, [70, 0, 0]),
      swatch('e', 1, [52, 0, 0]),
    ]);
    expect(own.map(({ id }) => id)).to.deep.equal([pencils[0].id, pencils[1].id]);
    expect(read[1].readings).to.deep.equal([
      { patch: 'medium', on: 'paper', lab: [52, 0, 0] },
      { patch: 'medium', on: 'bar', lab: [30, 0, 0] },
    ]);
    expect(overlays).to.deep.equal([{ below: 1, above: 0, lab: [40, 5, 5] }]);
  });

  it('of overlays only those are taken whose other pencil was read as well', () => {
    const { overlays } = readingsOf(pencils, [swatch('a', 1, [40, 5, 5], { over: pencils[0].id })]);
    expect(overlays).to.deep.equal([]);
  });
});

describe('what is planned', () => {
  const boat = (...regionIds: number[]): Plan => ({
    ...emptyPlan({ widthMm: 100, heightMm: 100, paper: 'white-book' }),
    things: frontToBack([
      newThing({ id: 'thing-boat', name: 'Boat', regionIds, family: familyOf([pencils[0].id, pencils[1].id]) }),
    ]),
  });
  const planned = boat(1, 3);
  const wear = (plan: Plan, laid = 0) => plannedWear(plan, page, pencils, () => laid);

  it('wears the pencils of its families, more over more area, and less once layers are laid', () => {
    const all = wear(planned);
    expect([...all.keys()]).to.have.members([pencils[0].id, pencils[1].id]);
    const small = wear(boat(1));
    for (const [id, { lengthMm, points }] of all) {
      expect(lengthMm).to.be.above(small.get(id)!.lengthMm);
      expect(points).to.be.above(0);
    }
    const total = (worn: typeof all) => [...worn.values()].reduce((sum, { lengthMm }) => sum + lengthMm, 0);
    expect(total(wear(planned, 2))).to.be.below(total(all));
    expect(wear(planned, 99).size).to.equal(0);
  });

  it('puts on the shopping list what is missing, will not last or will be too short, the most urgent first', () => {
    const some = (['here', 'here', 'missing', 'ordered', 'here', 'here'] as const).map(
      (whereabouts, i) =>
        ({ ...pencils[0], id: `p-${i}`, whereabouts, leadMm: [5, 30, 100, 100, 150, null][i] }) as Pencil,
    );
    const list = shoppingList(
      some,
      some.map(({ id }) => ({ pencilId: id, lengthMm: 12, points: 4, sheets: ['Boat'] })),
    );
    expect(list.map(({ pencil, reason }) => [pencil.id, reason])).to.deep.equal([
      ['p-2', 'missing'],
      ['p-0', 'runs out'],
      ['p-1', 'runs low'],
      ['p-3', 'ordered'],
    ]);
    expect(shoppingList(some, [])).to.deep.equal([]);
  });

  it('is laid harder by a stub than by a long pencil, unless its own swatches say how it is', () => {
    const stub = { ...pencils[0], leadMm: 20 };
    expect(asTrayPencil(stub).presses).to.be.above(asTrayPencil({ ...stub, leadMm: 120 }).presses!);
    const fit = { laydown: 1, scatter: 1, fills: 1, masstone: [40, 0, 0] as const, apart: 1, doubtful: [] };
    const found = declaredFit(paperById('white-book'));
    const on = { paper: 'white-book', at: '', learnt: {}, fit: found, pencils: [{ pencilId: stub.id, fit }] };
    expect(paperModelOf('white-book', [stub], [on]).trayPencil(stub).presses).to.equal(1);
  });
});

describe('the hours of a page', () => {
  const hours = (own: Partial<Plan>) => deriveHours({ ...plan, ...own }, page, byId);
  const slowly = {
    ...ASSUMED_RATES,
    minutesPerCm2: { sharp: 1.8, normal: 0.9, 'side of the lead': 0.28 },
    learntFrom: 12,
  };
  const layers = ({ recipes: all }: ReturnType<typeof hours>) => [...all.values()].flatMap((recipe) => recipe.layers);

  it('are as long as it takes where nothing is wished', () => {
    const { whole, minutes, lost } = hours({});
    expect(minutes).to.equal(whole).and.to.be.above(10);
    expect(lost).to.deep.equal([]);
  });

  it('are reckoned at the pace of whoever colours, once that is known, and so is what is left out', () => {
    const assumed = hours({});
    const learnt = deriveHours(plan, page, byId, slowly);
    expect([assumed.ratesFrom, learnt.ratesFrom]).to.deep.equal([0, 12]);
    expect(learnt.whole).to.be.within(1.3 * assumed.whole, 2 * assumed.whole);
    const few = { ...plan, bench: { ...plan.bench, sittingMinutes: 12 }, hours: { evenings: 1, gentle: false } };
    expect(deriveHours(few, page, byId, slowly).lost.length).to.be.above(deriveHours(few, page, byId).lost.length);
  });

  it('keep to the evenings wished for, leaving out first what matters least', () => {
    const { sittingMinutes } = plan.bench;
    const needed = Math.ceil(hours({}).whole / sittingMinutes);
    const short = hours({ bench: { ...plan.bench, sittingMinutes: 12 }, hours: { evenings: 1, gentle: false } });
    expect(needed).to.be.at.least(1);
    expect(short.lost.length).to.be.above(0);
    expect(short.minutes).to.be.closeTo(short.whole - short.lost.reduce((sum, { minutes }) => sum + minutes, 0), 1e-9);
    expect(layers(short).length).to.equal(layers(hours({})).length - short.lost.length);
    const things = frontToBack(
      thingsOf(plan).map((each) => ({
        ...each,
        focus: false,
        importance: each.focus ? ('much' as const) : ('usual' as const),
      })),
    );
    const worth = hours({
      things,
      bench: { ...plan.bench, sittingMinutes: 12 },
      hours: { evenings: 1, gentle: false },
    });
    expect(worth.lost[0].thingId).to.equal('thing-b');
  });

  it('of a gentle hand hold no firm pressure', () => {
    for (const { pressure } of layers(hours({ hours: { evenings: null, gentle: true } }))) {
      expect(['whisper', 'light', 'medium']).to.include(pressure);
    }
  });
});

describe('what a palette is told of a page', () => {
  const page = { regions, neighbours: [{ a: 1, b: 3, lengthMm: 20 }], alike: [[1, 2]] };
  const coloured = (ids: number[], colour: string) =>
    new Map(ids.map((id) => [id, { kind: 'coloured' as const, colour, toothLeft: null }]));

  it('is where things lie, how wide they are and which are alike', () => {
    const [lanterns, sky] = summariseSheet(plan, page).things;
    expect(lanterns.at).to.deep.equal({ x: 50 / 210, y: 50 / 210 });
    expect([lanterns.widthMm, sky.widthMm]).to.deep.equal([6, 20]);
    expect([lanterns.alike, sky.alike]).to.deep.equal(['0', null]);
  });

  it('is the colour of what is coloured for the most part, and of what stays white', () => {
    const laid = (grounds: ReturnType<typeof coloured>, own = plan) =>
      summariseSheet(own, page, grounds).things.map((each) => each.laid);
    expect(laid(coloured([4], '#22315f'))).to.deep.equal([null, null]);
    const [none, sky] = laid(coloured([3], '#22315f'));
    expect(none).to.equal(null);
    expect(sky![0]).to.be.closeTo(21, 3);
    const white = { ...plan, regions: { 1: { use: 'leave white' as const }, 2: { use: 'leave white' as const } } };
    expect(laid(new Map(), white)[0]![0]).to.be.above(90);
  });

  it('leaves out what is not to be coloured at all', () => {
    const without = {
      ...plan,
      regions: { 1: { use: 'not to colour' as const }, 2: { use: 'not to colour' as const } },
    };
    expect(summariseSheet(without, page).things.map(({ id }) => id)).to.deep.equal(['thing-b']);
  });

  it('are pinned families only where there is one', () => {
    const pinned = edited(plan, (draft) => {
      decideThing(draft, 'thing-a', { pinned: true });
      decideThing(draft, 'thing-b', { pinned: true, family: null });
    }).plan;
    expect(Object.keys(pinnedFamilies(pinned))).to.deep.equal(['thing-a']);
  });
});
