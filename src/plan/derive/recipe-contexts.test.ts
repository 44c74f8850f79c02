import { expect } from 'chai';
import { NO_HORIZON, type Pencil, Plan, emptyPlan, newThing } from '../../contracts/index.ts';
import { type Region } from '../../core/lineart/index.ts';
import { drawnReflections } from '../../core/light/index.ts';
import { familyOf } from '../../core/recipe/index.ts';
import { decideThing, edited, frontToBack, lightingOf, setGlow, thingsOf } from '../index.ts';
import {
  RecipeContexts,
  deriveRecipes,
  farOf,
  formedThings,
  proposedEffects,
  reflectionsOf,
  regionsOfThings,
  summariseSheet,
  withReflected,
} from './index.ts';

const region = (id: number, left: number, top: number, right: number, bottom: number): Region => ({
  id,
  usableWidthMm: Math.min(right - left, bottom - top),
  areaMm2: (right - left) * (bottom - top),
  axisDegrees: 0,
  lengthMm: 10,
  breadthMm: 5,
  holes: 0,
  shape: 'irregular' as const,
  pole: { x: (left + right) / 2, y: (top + bottom) / 2 },
  centroid: { x: (left + right) / 2, y: (top + bottom) / 2 },
  box: { left, top, right, bottom },
});
/** A sky behind a hut and a lamp; below them water. */
const regions = [
  region(1, 0, 0, 100, 60),
  region(2, 20, 30, 60, 70),
  region(3, 80, 30, 86, 36),
  region(4, 0, 70, 100, 120),
  region(5, 22, 72, 58, 104),
  region(6, 30, 68, 40, 80),
];
const page = {
  regions,
  neighbours: [
    { a: 1, b: 2, lengthMm: 40 },
    { a: 2, b: 4, lengthMm: 30 },
    { a: 1, b: 3, lengthMm: 18 },
  ],
};
const pencil = (code: string, colour: string, more: Partial<Pencil> = {}) =>
  ({
    id: `pencil-${code}`,
    code,
    colour,
    ownName: '',
    name: code,
    type: 'wax',
    opacity: null,
    ...more,
  }) as Pencil;
const pencils = new Map(
  [
    pencil('night', '#22315f'),
    pencil('blue', '#4f6bb0'),
    pencil('sky', '#b5d4ea'),
    pencil('lemon', '#f2d24a'),
    pencil('white', '#fbfbf8'),
    pencil('clear', '#fdfdfb', { type: 'oil' }),
  ].map((each) => [each.id, each]),
);
const blue = familyOf(['pencil-night', 'pencil-blue', 'pencil-sky']);
const plan: Plan = {
  ...emptyPlan({ widthMm: 100, heightMm: 120, paper: 'white-book' }),
  things: frontToBack([
    newThing({ id: 'lamp', name: 'Lamp', regionIds: [3], material: 'light', family: familyOf(['pencil-lemon']) }),
    newThing({ id: 'hut', name: 'Hut', regionIds: [2], material: 'silver', family: blue }),
    newThing({ id: 'sky', name: 'Sky', regionIds: [1], material: 'sky', family: blue }),
    newThing({ id: 'water', name: 'Water', regionIds: [4], material: 'water', family: blue }),
  ]),
};
const contextsOf = (own: Plan) =>
  new RecipeContexts(own, regionsOfThings(own, regions), formedThings(own, page), pencils);
const lit = (pencil: string | null) =>
  edited(plan, (draft) => setGlow(draft, 'lamp', { reachMm: 25, strength: 0.8, pencil })).plan;
const glowing = lit(null);

describe('what a recipe is fitted to', () => {
  it('is the size of the thing, the paper, and the white that covers', () => {
    const hut = contextsOf(plan).forThing('hut');
    expect(hut).to.include({ heightMm: 40, outMm: 20, white: 'pencil-white' });
    expect(hut.paperValue).to.be.above(90);
    expect(hut.glow).to.equal(undefined);
    expect(hut.labOf!('pencil-blue')![0]).to.be.within(30, 90);
    expect(hut.typeOf!('pencil-clear')).to.equal('oil');
  });

  it('is a glow that reaches it, in the pencil of what glows, and none on what glows or lies too far', () => {
    const contexts = contextsOf(glowing);
    expect(contexts.forThing('hut').glow).to.deep.equal({ reachMm: 25, pencil: 'pencil-lemon', warm: true });
    expect(contexts.forThing('lamp').glow).to.equal(undefined);
    expect(contexts.forThing('water').glow).to.equal(undefined);
    expect(contextsOf(lit('pencil-sky')).forThing('hut').glow).to.deep.include({ pencil: 'pencil-sky', warm: false });
    const lamp = { id: 'lamp-0001', at: { x: 10, y: 50 }, reachMm: 12, strength: 1, pencil: null };
    const point = { ...plan, lamps: { [lamp.id]: lamp } };
    expect(contextsOf(point).forThing('hut').glow).to.deep.include({ reachMm: 12, pencil: null });
  });

  it('is whose colours it shows, with a pencil of each', () => {
    expect(contextsOf(plan).forThing('hut').shown).to.deep.equal([
      { name: 'Sky', pencil: 'pencil-blue' },
      { name: 'Water', pencil: 'pencil-blue' },
    ]);
    expect(contextsOf(plan).forThing('sky').shown).to.deep.equal([]);
    const line = { ...plan, horizon: { ...plan.horizon, waterLineMm: 70 } };
    expect(
      contextsOf(line)
        .forThing('water')
        .shown!.map(({ name }) => name),
    ).to.include.members(['Hut', 'Sky']);
    expect(lightingOf(line).waterLineMm).to.equal(70);
  });

  it('is where something in front crosses a background, widest first', () => {
    expect(contextsOf(plan).forThing('sky').crossings).to.deep.equal([50 / 60]);
    expect(contextsOf(plan).forThing('hut').crossings).to.deep.equal([]);
  });

  it('settles the effect that a thing gets as long as nobody chooses', () => {
    const effects = proposedEffects(glowing, page, pencils);
    expect(Object.fromEntries(effects)).to.deep.equal({
      lamp: 'light-source',
      hut: 'polished-metal',
      water: 'still-water',
      sky: 'warm-glow',
    });
    expect(deriveRecipes(glowing, page, pencils).get('sky')!.effect).to.equal('warm-glow');
  });

  it('loses a layer whose pencil has left the tray, and nothing else', () => {
    const edits = { layers: { shadow: { pencil: 'pencil-gone' } } };
    const own = edited(plan, (draft) => decideThing(draft, 'hut', { edits })).plan;
    const ids = (of: Plan) =>
      deriveRecipes(of, page, pencils)
        .get('hut')!
        .layers.map(({ id }) => id);
    expect(ids(own)).to.deep.equal(ids(plan).filter((id) => id !== 'shadow'));
  });
});

describe('a reflection that is drawn', () => {
  const outlined = (id: string, own: number, inWater = false) => ({ id, regions: [regions[own - 1]], inWater });

  it('is matched to what stands above it, as wide and straight over it', () => {
    const [found, ...more] = drawnReflections(
      [outlined('hut', 2), outlined('lamp', 3), outlined('mirrored', 5, true)],
      70,
    );
    expect(found).to.include({ reflection: 'mirrored', of: 'hut' });
    expect(more).to.deep.equal([]);
  });

  it('needs no name where two or more lie across one line from what is as wide above it', () => {
    const box = (id: number, left: number, right: number, top: number, bottom: number): Region => ({
      ...regions[0],
      id,
      box: { left, right, top, bottom },
    });
    const hull = { id: 'hull', regions: [box(1, 10, 60, 40, 60)], inWater: false };
    const mast = { id: 'mast', regions: [box(2, 70, 76, 20, 62)], inWater: false };
    const under = { id: 'under hull', regions: [box(3, 11, 60, 62, 80)], inWater: null };
    const below = { id: 'below mast', regions: [box(4, 70, 77, 62, 98)], inWater: null };
    const boat = { id: 'boat', regions: [box(5, 69, 77, 110, 150)], inWater: null };
    const pairs = drawnReflections([hull, mast, under, below, boat], 60);
    expect(pairs.map(({ reflection, of }) => `${reflection} ${of}`)).to.deep.equal([
      'under hull hull',
      'below mast mast',
    ]);
    // One pair alone may be chance.
    expect(drawnReflections([hull, mast, under], 60)).to.deep.equal([]);
  });

  it('repeats what it is called after, where that stands above it', () => {
    const named = (id: string, name: string, own: number) => newThing({ id, name, regionIds: [own] });
    const horizon = { ...plan.horizon, waterLineMm: 70 };
    const of = (...names: [string, string, string]) =>
      reflectionsOf(
        {
          ...plan,
          horizon,
          things: frontToBack([named('a', names[0], 2), named('b', names[1], 3), named('c', names[2], 5)]),
        },
        page,
      ).map((pair) => pair.of);
    expect(of('Old hut', 'Lamp', 'Huts mirrored')).to.deep.equal(['a']);
    // What does not stand above it is not what it repeats, whatever it is called; the outline tells then.
    expect(of('Old hut', 'Lamp', 'Lamp reflection')).to.deep.equal(['a']);
  });

  it('takes the pencils of what it repeats with a palette, unless it is pinned', () => {
    const [hut, mirrored] = [familyOf(['pencil-a', 'pencil-b']), familyOf(['pencil-c'])];
    const things = frontToBack([
      newThing({ id: 'hut', name: 'Hut', regionIds: [2] }),
      newThing({ id: 'mirrored', name: 'Hut reflection', regionIds: [5] }),
    ]);
    const own: Plan = { ...plan, things, horizon: { ...plan.horizon, waterLineMm: 70 } };
    const families = { hut, mirrored };
    const pinned = edited(own, (draft) => decideThing(draft, 'mirrored', { pinned: true })).plan;
    expect(withReflected(own, page, families)).to.deep.equal({ hut, mirrored: hut });
    expect(withReflected(pinned, page, families)).to.deep.equal(families);
    expect(withReflected({ ...own, horizon: NO_HORIZON }, page, families)).to.deep.equal(families);
  });

  it('is not looked for above the line, nor matched to what stands aside or is of another size', () => {
    expect(drawnReflections([outlined('hut', 2), outlined('mirrored', 5, true)], 110)).to.deep.equal([]);
    expect(drawnReflections([outlined('lamp', 3), outlined('mirrored', 5, true)], 70)).to.deep.equal([]);
    expect(drawnReflections([outlined('none', 2)], 70)).to.deep.equal([]);
  });
});

describe('how far off things lie', () => {
  it('goes by their order from front to back where something lies behind them all', () => {
    const far = farOf(plan);
    const order = thingsOf(plan).map(({ id }) => id);
    expect(far.has('sky')).to.equal(false);
    expect(far.has('water')).to.equal(false);
    const told = order.filter((id) => far.has(id)).map((id) => far.get(id)!);
    expect(told).to.deep.equal([...told].sort((p, q) => p - q));
    expect([told[0], told.at(-1)]).to.deep.equal([0, 1]);
    const summary = summariseSheet(plan, page);
    for (const { id, far: own } of summary.things) expect(own).to.equal(far.get(id) ?? null);
  });

  it('is nothing on a page that is no scene, or where nobody wants it', () => {
    const flat = edited(plan, (draft) => {
      for (const id of ['sky', 'water']) Object.assign(draft.things[id]!, { material: 'paper', name: 'Sheet' });
    }).plan;
    expect(farOf(flat).size).to.equal(0);
    expect(farOf({ ...plan, wishes: { ...plan.wishes, distance: 'none' } }).size).to.equal(0);
  });

  it('is as scenes usually have it in a plan that was stored before', () => {
    const { distance: _distance, ...wishes } = plan.wishes;
    const stored = { ...emptyPlan(plan.page), wishes };
    expect(Plan.parse(stored).wishes.distance).to.equal('scene');
  });
});

describe('a limb', () => {
  const withParts = (parts: readonly { name: string; material: string; regionIds: number[] }[]) => {
    const own = {
      ...plan,
      things: frontToBack(
        parts.map((part) => newThing({ id: part.name.toLowerCase().replace(' ', '-'), family: blue, ...part })),
      ),
    };
    const contexts = new RecipeContexts(own, regionsOfThings(own, regions), formedThings(own, page), pencils);
    return (id: string) => contexts.forThing(id).limbBehind;
  };
  const body = { name: 'Hare body', material: 'fur', regionIds: [2] };
  const legs = { name: 'Hare legs', material: 'fur', regionIds: [5] };

  it('lies behind the larger part of the same name and material that it touches', () => {
    const behind = withParts([body, { ...legs, regionIds: [6] }]);
    expect(behind('hare-legs')).to.equal('Hare body');
    expect(behind('hare-body')).to.equal(undefined);
  });

  it('is none in front of it, of another name or material, or far from it', () => {
    const touching = { ...legs, regionIds: [6] };
    expect(withParts([touching, body])('hare-legs')).to.equal(undefined);
    expect(withParts([body, { ...touching, name: 'Fox legs' }])('fox-legs')).to.equal(undefined);
    expect(withParts([body, { ...touching, material: 'wood' }])('hare-legs')).to.equal(undefined);
    expect(withParts([body, { ...legs, regionIds: [3] }])('hare-legs')).to.equal(undefined);
  });
});

describe('lettering', () => {
  it('that stands before a thing is told to that thing alone', () => {
    const lettered = edited(plan, (draft) => {
      draft.things['lamp']!.name = 'Title';
    }).plan;
    const contexts = contextsOf(lettered);
    expect(contexts.forThing('sky').lettering).to.deep.equal(['Title']);
    expect(contexts.forThing('water').lettering).to.deep.equal([]);
    expect(contexts.forThing('lamp').lettering).to.deep.equal([]);
  });
});

describe('the artist’s marks', () => {
  it('are as most of a thing’s area says', () => {
    const said = (texture: 'follow' | 'ignore') => ({ ...plan, regions: { ...plan.regions, 2: { texture } } });
    expect(contextsOf(said('ignore')).forThing('hut').marks).to.equal('ignore');
    expect(contextsOf(said('follow')).forThing('hut').marks).to.equal('follow');
    expect(contextsOf(plan).forThing('hut').marks).to.equal(undefined);
  });
});
