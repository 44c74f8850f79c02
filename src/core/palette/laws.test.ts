import { expect } from 'chai';
import fc from 'fast-check';
import {
  type Lab,
  hueOfWheel,
  labOfHex,
  labOfOklch,
  oklchOfLab,
  turn,
  turnBetween,
  wheelById,
} from '../colour/index.ts';
import { whiteBook } from '../laydown/index.ts';
import { seededRandom } from '../random/index.ts';
import { onPaper } from '../tray/index.ts';
import {
  CLARITIES,
  FamilyBook,
  KEYS,
  Objective,
  type PageSummary,
  type Plot,
  type Problem,
  SCHEMES,
  type Wishes,
  compileProblem,
  exactly,
  handsOf,
  proposePalettes,
  startSearch,
  targetsOf,
} from './index.ts';

/** A tray that goes round the wheel in three values and two chromas, with greys. */
const tray = onPaper(
  Array.from({ length: 12 }, (_, i) =>
    [0.35, 0.6, 0.85].flatMap((l) => [0.05, 0.13].map((c) => ({ l, c, h: hueOfWheel(30 * i) }))),
  )
    .flat()
    .concat([0.2, 0.4, 0.6, 0.8, 0.95].map((l) => ({ l, c: 0, h: 0 })))
    .map((oklch, i) => ({ id: `pencil-${i}`, code: `T${i}`, masstone: labOfOklch(oklch), type: 'wax' })),
  whiteBook,
);
const book = new FamilyBook(tray, whiteBook);
const wheel = fc.constantFrom(wheelById('painters'), wheelById('perceptual'));
const angle = fc.integer({ min: 0, max: 359 });
const part = fc.record({ angle, clarity: fc.constantFrom(...CLARITIES), key: fc.constantFrom(...KEYS) });
const plot: Plot = { ruler: 0, says: '' };

const pageOf = (most: number) =>
  fc.integer({ min: 1, max: most }).chain((count) =>
    fc.record({
      things: fc.tuple(
        ...Array.from({ length: count }, (_, i) =>
          fc.record({
            id: fc.constant(`thing-${i}`),
            name: fc.constant(`Thing ${i}`),
            areaMm2: fc.integer({ min: 5, max: 9000 }),
            widthMm: fc.double({ min: 0.4, max: 40, noNaN: true }),
            at: fc.record({
              x: fc.double({ min: 0, max: 1, noNaN: true }),
              y: fc.double({ min: 0, max: 1, noNaN: true }),
            }),
            focus: fc.boolean(),
            natural: fc.constantFrom(null, null, labOfHex('#6d8a3c'), labOfHex('#c8962e')),
            laid: fc.constantFrom(null, null, null, labOfHex('#4f6bb0')),
            alike: fc.constantFrom(null, null, 'a', 'b'),
          }),
        ),
      ),
      borders: fc
        .array(fc.tuple(fc.nat(count - 1), fc.nat(count - 1), fc.integer({ min: 1, max: 200 })), { maxLength: 12 })
        .map((list) =>
          list.filter(([a, b]) => a !== b).map(([a, b, lengthMm]) => ({ a: `thing-${a}`, b: `thing-${b}`, lengthMm })),
        ),
    }),
  ) as fc.Arbitrary<PageSummary>;
const scheme = fc.constantFrom(...SCHEMES);

describe('parts of a palette', () => {
  it('ask for colours from dark to light, as many as there are pencils', () => {
    fc.assert(
      fc.property(part, wheel, fc.integer({ min: 1, max: 5 }), (each, on, count) => {
        const values = targetsOf(each, on, count).map(([l]) => l);
        expect(values).to.have.length(count);
        expect(values).to.deep.equal([...values].sort((a, b) => a - b));
      }),
    );
  });

  it('ask for more chroma the clearer they are, and for more light the paler their key', () => {
    fc.assert(
      fc.property(angle, wheel, (at, on) => {
        const chroma = CLARITIES.map(
          (clarity) => oklchOfLab(targetsOf({ angle: at, clarity, key: 'middle' }, on, 1)[0]).c,
        );
        expect(chroma).to.deep.equal([...chroma].sort((a, b) => b - a));
        const value = KEYS.map((key) => targetsOf({ angle: at, clarity: 'quiet', key }, on, 1)[0][0]);
        expect(value).to.deep.equal([...value].sort((a, b) => a - b));
      }),
    );
  });
});

describe('families from a tray that goes round the wheel', () => {
  it('are pencils of the tray in order of value, near the hue that was asked for', () => {
    fc.assert(
      fc.property(part, wheel, fc.integer({ min: 1, max: 5 }), (each, on, count) => {
        const [{ family, body, miss }] = book.nearest(each, on, count, 1);
        const values = family.pencils.map((id) => book.byId.get(id)!.body[0]);
        expect(values).to.deep.equal([...values].sort((a, b) => a - b));
        expect(miss).to.be.below(25);
        if (each.clarity === 'clear') {
          expect(Math.abs(turnBetween(oklchOfLab(body).h, on.hueOf(each.angle)))).to.be.below(45);
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('hands', () => {
  it('turn with the anchor: turning it turns all of them by as much', () => {
    fc.assert(
      fc.property(scheme, angle, angle, ({ id }, anchor, by) => {
        const before = handsOf(id, anchor);
        handsOf(id, anchor + by).forEach((hand, i) =>
          expect(turnBetween(turn(before[i] + by), hand)).to.be.closeTo(0, 1e-9),
        );
      }),
    );
  });
});

describe('the objective', () => {
  it('is the same whether things were changed one by one or set at once, and is its terms weighed', () => {
    fc.assert(
      fc.property(pageOf(8), scheme, angle, fc.integer(), (page, { id }, anchor, seed) => {
        const problem = compileProblem(page, book, { anchor, scheme: id }, plot);
        const random = seededRandom(seed);
        const now = new Objective(problem);
        for (let k = 0; k < 60; k++) {
          const i = Math.floor(random() * problem.things.length);
          now.set(i, Math.floor(random() * problem.options[i].length));
        }
        expect(now.value).to.be.closeTo(new Objective(problem, now.chosen).value, 1e-6);
        expect([...now.terms()].every((term) => term >= 0 && Number.isFinite(term))).to.equal(true);
      }),
      { numRuns: 40 },
    );
  });
});

describe('turning all hues', () => {
  /**
   * The problem with every hue turned, and with nothing that favours a hue: differences are plain distances in CIELAB, and
   * hues are not counted, since the twelfths of the circle that they are counted in do not turn.
   */
  const turned = (problem: Problem, by: number): Problem => {
    const [cos, sin] = [Math.cos((by * Math.PI) / 180), Math.sin((by * Math.PI) / 180)];
    const turnedBody = ([l, a, b]: Lab): Lab => [l, a * cos - b * sin, a * sin + b * cos];
    const options = problem.options.map((own) =>
      own.map((option) => ({
        ...option,
        part: { ...option.part, angle: turn(option.part.angle + by) },
        body: turnedBody(option.body),
      })),
    );
    const bodies = new Array<Lab>(problem.colours);
    for (const own of options) for (const { colour, body } of own) bodies[colour] = body;
    const apart = Float32Array.from(bodies.flatMap((p) => bodies.map((q) => Math.hypot(...p.map((x, k) => x - q[k])))));
    return { ...problem, options, apart, largeHues: 0 };
  };

  it('turns the answer: every choice is judged as before, and the best of all is the same one', () => {
    fc.assert(
      fc.property(pageOf(3), scheme, angle, fc.integer({ min: 1, max: 359 }), (page, { id }, anchor, by) => {
        const problem = turned(compileProblem(page, book, { anchor, scheme: id }, plot), 0);
        const after = turned(problem, by);
        const chosen = problem.options.map((own, i) => (7 * by + 13 * i) % own.length);
        expect(new Objective(after, chosen).value).to.be.closeTo(new Objective(problem, chosen).value, 1e-4);
        if (problem.options.reduce((ways, own) => ways * own.length, 1) > 30_000) return;
        const [best, turnedBest] = [exactly(problem), exactly(after)];
        expect(turnedBest.objective).to.be.closeTo(best.objective, 1e-4);
        expect(new Objective(problem, turnedBest.chosen).value).to.be.closeTo(best.objective, 1e-4);
      }),
      { numRuns: 40 },
    );
  }).timeout(60_000);
});

describe('the search', () => {
  it('weighs a change as taking it would come to, and changes nothing by weighing', () => {
    fc.assert(
      fc.property(pageOf(8), scheme, angle, fc.integer(), (page, { id }, anchor, seed) => {
        const problem = compileProblem(page, book, { anchor, scheme: id, must: ['pencil-3'] }, plot);
        const random = seededRandom(seed);
        const now = new Objective(problem);
        for (let k = 0; k < 40; k++) {
          const i = Math.floor(random() * problem.things.length);
          const option = Math.floor(random() * problem.options[i].length);
          const [before, chosen] = [now.value, now.chosen.slice()];
          const weighed = now.weigh(i, option);
          expect([now.value, [...now.chosen]]).to.deep.equal([before, [...chosen]]);
          chosen[i] = option;
          expect(weighed).to.be.closeTo(new Objective(problem, chosen).value, 1e-6);
          if (k % 2) now.take();
        }
      }),
      { numRuns: 40 },
    );
  });

  it('never gives its best up, however often it is gone on with', () => {
    fc.assert(
      fc.property(pageOf(8), angle, fc.integer(), (page, anchor, seed) => {
        const search = startSearch(compileProblem(page, book, { anchor, scheme: 'triad' }, plot), seededRandom(seed));
        let before = Infinity;
        for (let k = 0; k < 12; k++) {
          expect(search.best.objective).to.be.at.most(before);
          before = search.best.objective;
          search.anneal(200);
        }
      }),
      { numRuns: 30 },
    );
  });

  it('finds on small pages what looking at every way finds', () => {
    fc.assert(
      fc.property(pageOf(3), angle, (page, anchor) => {
        const problem = compileProblem(page, book, { anchor, scheme: 'complementary' }, plot);
        const search = startSearch(problem, seededRandom(1));
        search.anneal(30_000);
        expect(search.best.objective).to.be.closeTo(exactly(problem).objective, 0.02);
      }),
      { numRuns: 12 },
    );
  }).timeout(60_000);

  it('with every single pencil as a family, a pencil more never makes the best worse', () => {
    fc.assert(
      fc.property(pageOf(3), angle, fc.integer({ min: 2, max: 30 }), (page, anchor, count) => {
        const narrow = { ...page, things: page.things.map((each) => ({ ...each, widthMm: 0.5, natural: null })) };
        const best = (some: typeof tray) => {
          const own = new FamilyBook(some, whiteBook);
          // Each pencil may come in: every one is offered to every thing.
          const must: Wishes['must'] = some.map(({ id }) => id);
          const problem = compileProblem(narrow, own, { anchor, scheme: 'one-hue', must }, plot);
          const offered = problem.options.map((own) =>
            own.filter((option) => option.offered || option.family === null),
          );
          return exactly({ ...problem, options: offered, must: [] }).objective;
        };
        expect(best(tray.slice(0, count))).to.be.at.most(best(tray.slice(0, count - 1)) + 1e-9);
      }),
      { numRuns: 15 },
    );
  }).timeout(60_000);
});

describe('palettes of every page', () => {
  it('give every thing a part or leave it as it is, with scores from 0 to 100 and a reason', async () => {
    await fc.assert(
      fc.asyncProperty(pageOf(9), scheme, angle, async (page, { id }, anchor) => {
        for (const { parts, scores, reason, pencils } of await proposePalettes(
          page,
          tray,
          whiteBook,
          { anchor, scheme: id },
          { moves: 500 },
        )) {
          parts.forEach(({ thingId, family, body }, i) => {
            expect(thingId).to.equal(page.things[i].id);
            if (page.things[i].laid) expect([family, body]).to.deep.equal([null, page.things[i].laid]);
          });
          for (const { score } of scores) expect(score).to.be.within(0, 100);
          expect(reason).to.contain(`${pencils} pencils`);
        }
      }),
      { numRuns: 25 },
    );
  }).timeout(60_000);

  it('turn with the wheel: the parts of the turned page keep to the turned hands', async () => {
    await fc.assert(
      fc.asyncProperty(pageOf(6), angle, fc.integer({ min: 1, max: 11 }), async (page, anchor, twelfths) => {
        const free = { ...page, things: page.things.map((each) => ({ ...each, natural: null, laid: null })) };
        const at = async (from: number) =>
          (await proposePalettes(free, tray, whiteBook, { anchor: from, scheme: 'triad' }, { moves: 500 })).map(
            ({ parts }) => parts.map((each) => turn(each.angle - from)),
          );
        for (const angles of [...(await at(anchor)), ...(await at(turn(anchor + 30 * twelfths)))]) {
          for (const each of angles) expect([0, 120, 240]).to.include(each);
        }
      }),
      { numRuns: 8 },
    );
  }).timeout(60_000);
});
