import { expect } from 'chai';
import fc from 'fast-check';
import { openLimit } from '../core/bench/index.ts';
import { FORMS } from '../core/light/index.ts';
import { PRESSURES, TOOLS, paperById } from '../core/laydown/index.ts';
import { schemeById } from '../core/palette/index.ts';
import { familyOf, schoolById } from '../core/recipe/index.ts';
import {
  AddPencils,
  BenchPlan,
  Command,
  Id,
  Lamp,
  LogEntry,
  Mend,
  NO_WISHES,
  NewPencil,
  PaperFacts,
  Plan,
  RecipeEdits,
  RegionsMeta,
  Settings,
  StoredStep,
  UNKNOWN_PAPER,
  USUAL_FINDING,
  defaultSettings,
  emptyPlan,
  newThing,
} from './index.ts';

const page = { widthMm: 210, heightMm: 210, paper: 'white-book' };
const id = fc.stringMatching(/^[A-Za-z0-9_-]{6,40}$/).filter((text) => text !== '__proto__');
const refusal = (result: { success: boolean; error?: { issues: { message: string }[] } }) =>
  result.error?.issues[0].message ?? '';

describe('the plan of a sheet', () => {
  it('begins with nothing decided and with defaults that exist', () => {
    const plan = Plan.parse(emptyPlan(page));
    expect(paperById(plan.page.paper).rough).to.equal(1);
    expect(schemeById(plan.wheel.scheme).hands[0]).to.equal(0);
    expect(schoolById(plan.school).id).to.equal('base-coat-first');
    expect(plan.bench.openThings).to.equal('by the page');
  });

  it('lets any number of things be open as a value of its own; 50, as it was said once, is that', () => {
    const withOpen = (openThings: unknown) => {
      const plan = emptyPlan(page);
      return Plan.safeParse({ ...plan, bench: { ...plan.bench, openThings } });
    };
    expect(withOpen('any').data!.bench.openThings).to.equal('any');
    expect(withOpen(50).data!.bench.openThings).to.equal('any');
    expect(openLimit(withOpen(8).data!.bench.openThings)).to.equal(8);
    expect(openLimit('any')).to.equal(Infinity);
    for (const none of [0, -1, 2.5, 51, 'all', null]) expect(withOpen(none).success).to.equal(false);
  });

  it('comes back from storage as it went in', () => {
    const thing = fc.record({
      id,
      name: fc.constantFrom('Roof', 'Bell', 'Sky'),
      focus: fc.boolean(),
      natural: fc.constantFrom(null, '#c8962e'),
    });
    const things = fc
      .uniqueArray(thing, { maxLength: 8, selector: (each) => each.id })
      .map((list) => list.map((each, i) => newThing({ ...each, regionIds: [2 * i + 1, 2 * i + 2] })));
    const light = fc.oneof(
      fc.constant({ kind: 'ambient' as const }),
      fc.constant({ kind: 'behind' as const }),
      fc.record({
        kind: fc.constant('direction' as const),
        azimuthDegrees: fc.integer({ min: 0, max: 359 }),
        heightDegrees: fc.integer({ min: 5, max: 90 }),
      }),
    );
    fc.assert(
      fc.property(
        things,
        light,
        fc.constantFrom(...FORMS),
        fc.constantFrom(...PRESSURES),
        (list, falling, form, pressure) => {
          const edits = { layers: { base: { pressure } } };
          const things = list.map((each) => [each.id, { ...each, form: form.id, edits }]);
          const plan = { ...emptyPlan(page), light: falling, things: Object.fromEntries(things) };
          expect(Plan.parse(JSON.parse(JSON.stringify(plan)))).to.deep.equal(plan);
        },
      ),
    );
  });

  it('takes light that can be seen, and tells in words what cannot glow', () => {
    const lamp = { id: 'lamp-0001', at: { x: 3, y: 4 }, reachMm: 20, strength: 0.8, pencil: null };
    expect(Lamp.safeParse(lamp).success).to.equal(true);
    expect(refusal(Lamp.safeParse({ ...lamp, reachMm: 0.2 }))).to.contain('at least 1 mm');
    const misnamed = { ...emptyPlan(page), lamps: { 'lamp-0002': lamp } };
    expect(refusal(Plan.safeParse(misnamed))).to.contain('disagree');
  });

  it('refuses families of none or too many, and moods and shares that are none', () => {
    const family = (pencils: string[]) => {
      const thing = newThing({
        id: 'thing-a',
        name: 'Bell',
        regionIds: [1],
        family: { ...familyOf(['pencil-1']), pencils },
      });
      return Plan.safeParse({ ...emptyPlan(page), things: { 'thing-a': thing } });
    };
    expect(refusal(family([]))).to.contain('at least one pencil');
    const nine = Array.from({ length: 9 }, (_, n) => `pencil-${n}`);
    expect(refusal(family(nine))).to.contain('at most 8');
    expect(family(nine.slice(1)).success).to.equal(true);
    const wishes = (more: object) => Plan.safeParse({ ...emptyPlan(page), wishes: { ...NO_WISHES, ...more } }).success;
    expect(wishes({ mood: { light: 2, clear: null, warm: null, contrast: null } })).to.equal(false);
    expect(wishes({ shares: [60, 30] })).to.equal(false);
    expect(wishes({ distance: 'fog' })).to.equal(false);
    expect(wishes({ atMost: 0 })).to.equal(false);
    expect(wishes({ atMost: 10, must: ['pencil-1'] })).to.equal(true);
  });

  it('keeps a region in one thing only', () => {
    const thing = (name: string) => newThing({ id: `thing-${name}`, name, regionIds: [7] });
    const both = { 'thing-a': thing('a'), 'thing-b': thing('b') };
    expect(refusal(Plan.safeParse({ ...emptyPlan(page), things: both }))).to.contain('one thing only');
  });

  it('holds nothing that it does not know', () => {
    expect(Plan.safeParse({ ...emptyPlan(page), colour: 'red' }).success).to.equal(false);
    const thing = { ...newThing({ id: 'thing-a', name: 'Bell', regionIds: [1] }), shine: 3 };
    expect(Plan.safeParse({ ...emptyPlan(page), things: { 'thing-a': thing } }).success).to.equal(false);
  });

  for (const [what, size, sentence] of [
    ['0 mm', 0, 'at least 20 mm'],
    ['less than a stamp', 5, 'at least 20 mm'],
    ['a wall', 5000, 'at most 1,200 mm'],
    ['no number', NaN, 'a number of millimetres'],
    ['text', '210', 'a number of millimetres'],
  ] as const) {
    it(`refuses a page of ${what} with a sentence`, () => {
      expect(refusal(Plan.safeParse(emptyPlan({ ...page, widthMm: size as number })))).to.contain(sentence);
    });
  }
});

describe('commands', () => {
  const command = {
    id: 'command-1',
    stage: 'sheet',
    label: 'name Bell',
    patches: [{ path: ['light'], value: { kind: 'behind' } }],
    inverse: [{ path: ['light'], value: { kind: 'ambient' } }],
    regionsFrom: null,
  };

  it('change something, at a place that can be named', () => {
    expect(Command.parse(command)).to.deep.equal(command);
    expect(refusal(Command.safeParse({ ...command, patches: [] }))).to.contain('changes something');
    expect(Command.safeParse({ ...command, patches: [{ path: [] }] }).success).to.equal(false);
  });

  it('belong to a stage and say what they do', () => {
    expect(Command.safeParse({ ...command, stage: 'kitchen' }).success).to.equal(false);
    expect(Command.safeParse({ ...command, label: ' ' }).success).to.equal(false);
  });
});

describe('ids', () => {
  it('take what a client makes and nothing that could be a path or a query', () => {
    fc.assert(
      fc.property(id, (value) => {
        expect(Id.safeParse(value).success).to.equal(true);
      }),
    );
    for (const bad of ['', 'short', '../../etc', 'a b c d e f', 'x'.repeat(41), "drop'--table"]) {
      expect(Id.safeParse(bad).success, bad).to.equal(false);
    }
  });
});

describe('pencils', () => {
  const pencil = {
    id: 'pencil-1',
    code: 'K1',
    name: 'kelp',
    set: 'Tide',
    type: 'oil',
    colour: '#4c5a2e',
    opacity: null,
  };

  it('need a code and a colour that can be read', () => {
    expect(NewPencil.safeParse(pencil).success).to.equal(true);
    expect(refusal(NewPencil.safeParse({ ...pencil, code: '' }))).to.contain('needs a code');
    expect(refusal(NewPencil.safeParse({ ...pencil, colour: 'green' }))).to.contain('six digits');
    expect(NewPencil.safeParse({ ...pencil, opacity: 1.2 }).success).to.equal(false);
  });

  it('come at most a thousand at once, and at least one', () => {
    expect(refusal(AddPencils.safeParse({ pencils: [] }))).to.contain('no pencil to add');
    expect(AddPencils.safeParse({ pencils: new Array(1001).fill(pencil) }).success).to.equal(false);
  });
});

describe('what is decided about the regions of a sheet', () => {
  for (const [what, mend, good] of [
    [
      'a line of two points',
      {
        kind: 'cut',
        points: [
          { x: 1, y: 2 },
          { x: 3, y: 4 },
        ],
      },
      true,
    ],
    ['a line of one point', { kind: 'cut', points: [{ x: 1, y: 2 }] }, false],
    ['a join of two places', { kind: 'join', a: { x: 1, y: 2 }, b: { x: 3, y: 4 } }, true],
    ['a place a mile away', { kind: 'drop', at: { x: 1e6, y: 2 } }, false],
    ['a place that is none', { kind: 'open', at: { x: NaN, y: 2 } }, false],
    ['a mend nobody knows', { kind: 'melt', at: { x: 1, y: 2 } }, false],
  ] as const) {
    it(`${good ? 'takes' : 'refuses'} ${what}`, () => {
      expect(Mend.safeParse(mend).success).to.equal(good);
      const plan = { ...emptyPlan(page), finding: { ...USUAL_FINDING, mends: [mend] } };
      expect(Plan.safeParse(plan).success).to.equal(good);
    });
  }

  it('refuses uses for what is no region, and uses that are none', () => {
    const withUse = (id: string, use: string) =>
      Plan.safeParse({ ...emptyPlan(page), regions: { [id]: { use } } }).success;
    expect(withUse('12', 'not to colour')).to.equal(true);
    expect(withUse('0', 'not to colour')).to.equal(false);
    expect(withUse('roof', 'not to colour')).to.equal(false);
    expect(withUse('12', 'burn')).to.equal(false);
  });

  it('says what paper can weigh', () => {
    const facts = (weightGsm: number | null) => PaperFacts.safeParse({ ...UNKNOWN_PAPER, weightGsm });
    expect(facts(160).success && facts(null).success).to.equal(true);
    expect(refusal(facts(5))).to.contain('at least 40 g/m²');
    expect(refusal(facts(5000))).to.contain('at most 800 g/m²');
  });
});

describe('regions', () => {
  it('are refused without any, with sizes that are none, and with ids out of range', () => {
    const region = {
      id: 1,
      areaMm2: 4,
      usableWidthMm: 1,
      axisDegrees: 0,
      lengthMm: 3,
      breadthMm: 2,
      holes: 0,
      shape: 'ball',
      pole: { x: 1, y: 1 },
      centroid: { x: 1, y: 1 },
      box: { left: 0, top: 0, right: 2, bottom: 2 },
    };
    const meta = {
      from: 'x@10',
      width: 100,
      height: 100,
      pixelsPerMm: 10,
      regions: [region],
      neighbours: [],
      alike: [],
      doubts: [],
    };
    expect(RegionsMeta.safeParse(meta).success).to.equal(true);
    expect(RegionsMeta.safeParse({ ...meta, regions: [] }).success).to.equal(false);
    expect(RegionsMeta.safeParse({ ...meta, pixelsPerMm: 0 }).success).to.equal(false);
    expect(RegionsMeta.safeParse({ ...meta, regions: [{ ...region, id: 65_536 }] }).success).to.equal(false);
    expect(RegionsMeta.safeParse({ ...meta, regions: [{ ...region, areaMm2: 0 }] }).success).to.equal(false);
  });
});

describe('the bench', () => {
  it('refuses a plan without steps, in words', () => {
    const plan = {
      id: 'plan-1',
      planRevision: 0,
      model: 'm',
      openThings: 1,
      steps: [],
      order: [],
      sittings: [],
      pickUps: 0,
      minutes: 0,
      lowerBound: 0,
      pencils: [],
      things: [],
    };
    expect(refusal(BenchPlan.safeParse({ ...plan, madeAt: '2026-05-01T19:00:00Z' }))).to.contain('no step to do');
  });

  it('takes times in UTC only and steps that name thing and layer', () => {
    const entry = {
      id: 'entry-1',
      planId: 'plan-1',
      stepId: 'thing-a/base',
      kind: 'done',
      startedAt: '2026-05-01T19:00:00Z',
      finishedAt: '2026-05-01T19:05:00Z',
    };
    expect(LogEntry.safeParse(entry).success).to.equal(true);
    expect(LogEntry.safeParse({ ...entry, startedAt: 'yesterday' }).success).to.equal(false);
    expect(LogEntry.safeParse({ ...entry, stepId: 'base' }).success).to.equal(false);
    expect(LogEntry.safeParse({ ...entry, kind: 'perhaps' }).success).to.equal(false);
  });
});

describe('settings', () => {
  it('have defaults that are allowed', () => expect(Settings.parse(defaultSettings)).to.deep.equal(defaultSettings));
  it('know three text sizes', () =>
    expect(Settings.safeParse({ ...defaultSettings, text: 110 }).success).to.equal(false));
});

describe('what was kept before', () => {
  it('of steps is read with the way of their zone beside its ends', () => {
    const older = {
      id: 'thing-a/base',
      thingId: 'thing-a',
      layerId: 'base',
      pencil: 'pencil-K1',
      regionIds: [1],
      pressure: 'light',
      passes: 1,
      stroke: 'small circles',
      point: 'normal',
      purpose: 'Base coat.',
      minutes: 3,
      value: 60,
      after: [],
      zone: { field: 'tone', from: 0, to: 0.4, softnessMm: 1 },
      halfWidthMm: 2.5,
    };
    expect(StoredStep.parse(older).zone).to.deep.equal({ ...older.zone, overMm: 2.5 });
    expect(StoredStep.safeParse({ ...older, halfWidthMm: undefined }).success).to.equal(false);
  });
});

describe('a layer that is laid with a tool', () => {
  it('is taken with every tool there is, in its colour, and refused with one that is not', () => {
    const layer = {
      id: 'own-1',
      pencil: 'pencil-1',
      role: 'light',
      pressure: 'medium',
      passes: 1,
      zone: { field: 'tone', from: 0, to: 1, softnessMm: 0, overMm: 4 },
      stroke: 'small circles',
      point: 'sharp',
      purpose: 'A layer of your own.',
      fromWidthMm: 0,
    };
    const read = (more: object) => RecipeEdits.safeParse({ added: [{ ...layer, ...more }] });
    for (const { id } of TOOLS)
      expect(read({ tool: id, colour: [60, 10, 40], dryMinutes: 5 }).success, id).to.equal(true);
    expect(refusal(read({ tool: 'spoon' }))).to.contain('no such tool');
    expect(read({ tool: 'marker', colour: [60, 10] }).success).to.equal(false);
  });
});
