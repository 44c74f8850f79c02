import { expect } from 'chai';
import { hueOfWheel, labOfHex, labOfOklch, oklchOfLab } from '../colour/index.ts';
import { whiteBook } from '../laydown/index.ts';
import { bodyOf, familyOf, pencilsFor } from '../recipe/index.ts';
import { onPaper } from '../tray/index.ts';
import {
  FREE_MOOD,
  FamilyBook,
  Objective,
  type PageSummary,
  type PageThing,
  type Plot,
  TERM,
  type TermId,
  type Wishes,
  compileProblem,
} from './index.ts';
import { pageThing as thing } from './test/page-thing.ts';

const tray = onPaper(
  Array.from({ length: 12 }, (_, i) =>
    [0.35, 0.6, 0.85].flatMap((l) => [0.05, 0.13].map((c) => ({ l, c, h: hueOfWheel(30 * i) }))),
  )
    .flat()
    .map((oklch, i) => ({ id: `pencil-${i}`, code: `T${i}`, masstone: labOfOklch(oklch), type: 'wax' })),
  whiteBook,
);
const book = new FamilyBook(tray, whiteBook);
const plot: Plot = { ruler: 0, says: '' };
const problemOf = (things: PageThing[], wishes: Partial<Wishes> = {}, more: Partial<PageSummary> = {}) =>
  compileProblem({ things, borders: [], ...more }, book, { anchor: 60, scheme: 'triad', ...wishes }, plot);

describe('ways to colour a thing', () => {
  it('are many where it is free: every hand, clarity and key, with the pencils that its width holds', () => {
    for (const widthMm of [0.5, 1.5, 5, 15, 40]) {
      const [options] = problemOf([thing('sail', { widthMm })]).options;
      expect(new Set(options.map(({ part }) => part.angle))).to.deep.equal(new Set([60, 180, 300]));
      expect(new Set(options.map(({ part }) => `${part.clarity} ${part.key}`)).size).to.be.within(5, 9);
      // No two come to the same pencils in the same voice.
      expect(new Set(options.map(({ voice, pencils }) => `${voice} ${pencils.join()}`)).size).to.equal(options.length);
      for (const { family } of options) expect(family!.pencils).to.have.length(pencilsFor(widthMm));
    }
  });

  it('are few where it keeps a natural colour, all near it', () => {
    const natural = labOfOklch({ l: 0.6, c: 0.1, h: hueOfWheel(300) });
    const [options] = problemOf([thing('reed', { natural })]).options;
    expect(options.length).to.be.within(1, 9);
    expect(options[0].natural).to.be.below(10);
    expect(options[0].hand).to.equal(2);
  });

  it('hold no grey unless a dull page is wished', () => {
    const greys = (wishes: Partial<Wishes>) =>
      problemOf([thing('sail')], wishes).options[0].filter(({ part }) => part.clarity === 'grey').length;
    expect(greys({})).to.equal(0);
    expect(greys({ mood: { ...FREE_MOOD, clear: 0.5 } })).to.equal(0);
    expect(greys({ mood: { ...FREE_MOOD, clear: -0.8 } })).to.be.above(0);
  });

  it('keep to what is natural where a thing is of a natural kind, off any hand', () => {
    const [free] = problemOf([thing('sail')], { anchor: 20 }).options;
    const [leaf] = problemOf([thing('reeds', { kind: 'leaf' })], { anchor: 20 }).options;
    expect(free.every(({ natural }) => natural === 0)).to.equal(true);
    const kept = leaf.filter(({ natural }) => natural === 0);
    expect(kept.length).to.be.above(2);
    for (const { body, off } of kept) {
      // From autumn to summer.
      expect(oklchOfLab(body).h).to.be.within(35, 170);
      expect(off).to.equal(0);
    }
  });

  it('are one where it is coloured already or pinned', () => {
    const laid = labOfHex('#4f6bb0');
    const family = familyOf(['pencil-0', 'pencil-2', 'pencil-4']);
    const problem = problemOf([thing('sky', { laid }), thing('hut')], { pinned: { hut: family } });
    expect(problem.options.map((own) => own.length)).to.deep.equal([1, 1]);
    expect(problem.options[0][0]).to.deep.include({ family: null, body: laid, pencils: [] });
    expect(problem.options[1][0].family).to.deep.equal(family);
  });

  it('hold every pencil that must come in, for each thing that is free', () => {
    const problem = problemOf([thing('hut'), thing('roof')], { must: ['pencil-7', 'pencil-9'] });
    for (const own of problem.options) {
      const offered = own.filter((option) => option.offered);
      expect(offered).to.have.length(2);
      expect(offered[0].family!.pencils).to.include('pencil-7');
      expect(offered[1].family!.pencils).to.include('pencil-9');
    }
  });

  it('use only pencils among those that are left, where some were put away', () => {
    const among = [1, 8, 15, 22, 29];
    const { options } = compileProblem(
      { things: [thing('hut'), thing('reed', { natural: labOfHex('#6d8a3c') })], borders: [] },
      book,
      { anchor: 60, scheme: 'triad' },
      plot,
      among,
    );
    for (const { pencils } of options.flat()) for (const place of pencils) expect(among).to.include(place);
  });

  it('have voices by their hand: the plot’s rules, the last of three accents', () => {
    const [options] = compileProblem(
      { things: [thing('hut')], borders: [] },
      book,
      { anchor: 60, scheme: 'triad' },
      { ...plot, ruler: 1 },
    ).options;
    const voices = new Map(options.map(({ part, voice }) => [part.angle, voice]));
    expect(Object.fromEntries(voices)).to.deep.equal({ 180: 0, 60: 1, 300: 2 });
  });
});

describe('a page as a problem', () => {
  it('has shares of the area that sum to one, and borders with the one in front first', () => {
    const problem = problemOf(
      [thing('bell'), thing('hut', { areaMm2: 300 })],
      {},
      {
        borders: [{ a: 'hut', b: 'bell', lengthMm: 12 }],
      },
    );
    expect([...problem.share]).to.deep.equal([0.25, 0.75]);
    expect(problem.borders).to.deep.equal([{ front: 0, behind: 1, weight: 1 }]);
  });

  it('takes shares wished for as parts of their sum, and leans where the mood is free', () => {
    expect(problemOf([thing('hut')], { shares: [2, 1, 1] }).shares).to.deep.equal([0.5, 0.25, 0.25]);
    const leaning = (mood = FREE_MOOD) =>
      compileProblem(
        { things: [thing('hut')], borders: [] },
        book,
        { anchor: 0, scheme: 'triad', mood },
        { ...plot, light: -1 },
      ).values;
    const [light, , dark] = leaning();
    expect(dark).to.be.above(light);
    const [wishedLight, , wishedDark] = leaning({ ...FREE_MOOD, light: 1 });
    expect(wishedLight).to.be.above(wishedDark);
  });

  it('pairs like things one after the other', () => {
    const likes = ['a', null, 'a', 'b', 'a'].map((alike, i) => thing(`thing-${i}`, { alike }));
    expect(problemOf(likes).alike).to.deep.equal([
      [0, 2],
      [2, 4],
    ]);
  });
});

describe('what a palette is judged by', () => {
  const page = [
    thing('lamp', { focus: true, at: { x: 0.2, y: 0.3 }, areaMm2: 40 }),
    thing('hut', { areaMm2: 400, at: { x: 0.8, y: 0.5 }, alike: 'a' }),
    thing('shed', { areaMm2: 400, at: { x: 0.3, y: 0.8 }, alike: 'a' }),
    thing('sky', { areaMm2: 2000 }),
  ];
  const borders = ['lamp', 'hut', 'shed'].map((a) => ({ a, b: 'sky', lengthMm: 30 }));
  const problem = problemOf(page, { must: ['pencil-19'] }, { borders });
  // Parts that come to the same pencils are one option: the most alike is taken.
  const find = (i: number, angle: number, clarity: string, key: string) => {
    const unlike = ({ part }: (typeof problem.options)[number][number]) =>
      4 * Number(part.angle !== angle) + 2 * Number(part.key !== key) + Number(part.clarity !== clarity);
    const all = problem.options[i].map(unlike);
    return all.indexOf(Math.min(...all));
  };
  type Look = readonly [angle: number, clarity: string, key: string];
  const termsOf = (...looks: Look[]) => {
    const terms = new Objective(
      problem,
      looks.map((look, i) => find(i, ...look)),
    ).terms();
    return (id: TermId) => terms[TERM[id]];
  };
  const sky: Look = [60, 'clear', 'deep'];
  const sound = termsOf([300, 'clear', 'pale'], [180, 'quiet', 'pale'], [180, 'quiet', 'pale'], sky);

  it('neighbours part: not when they are of one colour', () => {
    expect(termsOf(sky, sky, sky, sky)('parting')).to.be.above(sound('parting') + 0.5);
  });

  it('figure and ground: not when what lies in front is of one value with what lies behind', () => {
    // Huts as light or dark as asked, over one sky.
    const ground = (value: number) => {
      const own = problem.options[1].map(({ body }) => Math.abs(body[0] - value));
      const hut = own.indexOf(Math.min(...own));
      return new Objective(problem, [0, hut, hut, 0]).terms()[TERM.ground];
    };
    const skyValue = problem.options[3][0].body[0];
    expect(ground(skyValue)).to.be.above(ground(skyValue + 30));
    expect(ground(skyValue)).to.be.above(ground(skyValue - 30));
  });

  it('the focus: less when it is as quiet and as deep as what lies round it', () => {
    expect(termsOf(sky, [180, 'clear', 'pale'], [180, 'quiet', 'pale'], sky)('focus')).to.be.above(
      sound('focus') + 0.1,
    );
  });

  it('shares: further off when an accent takes the sky', () => {
    expect(
      termsOf([60, 'clear', 'pale'], [180, 'quiet', 'pale'], [180, 'quiet', 'pale'], [300, 'quiet', 'deep'])('shares'),
    ).to.be.above(sound('shares') + 0.3);
  });

  it('accents: worse with none than with some, best on both sides', () => {
    const none = termsOf([60, 'clear', 'pale'], [180, 'quiet', 'pale'], [180, 'quiet', 'pale'], sky)('accents');
    const both = termsOf([300, 'clear', 'pale'], [300, 'quiet', 'pale'], [180, 'quiet', 'pale'], sky)('accents');
    expect(none).to.be.above(sound('accents') - 1e-9);
    expect(both).to.be.below(sound('accents'));
  });

  it('few pencils, and like things alike', () => {
    const unlike = termsOf([300, 'clear', 'pale'], [180, 'quiet', 'pale'], [180, 'clear', 'deep'], sky);
    expect(unlike('alike')).to.equal(1);
    expect(sound('alike')).to.equal(0);
    expect(unlike('pencils')).to.be.above(sound('pencils'));
  });

  it('clear where it counts: large areas quiet, the focus clearest', () => {
    const quietSky = termsOf(
      [300, 'clear', 'pale'],
      [180, 'quiet', 'pale'],
      [180, 'quiet', 'pale'],
      [180, 'quiet', 'deep'],
    );
    expect(sound('chroma')).to.be.above(quietSky('chroma'));
  });

  it('hues on large things: the fewer the further off, where the scheme is of many; of two hands none are asked for', () => {
    const things = page.map((thing) => ({ ...thing, areaMm2: 100, natural: null, alike: null }));
    const lackOf = (scheme: string, ...places: number[]) => {
      const triad = compileProblem({ things, borders }, book, { anchor: 60, scheme }, plot);
      const hueOf = ({ body }: (typeof triad.options)[number][number]) => Math.round(oklchOfLab(body).h / 30) % 12;
      const clear = triad.options.map((own) =>
        own.flatMap((option, at) =>
          Math.hypot(option.body[1], option.body[2]) > 15 ? [{ at, hue: hueOf(option) }] : [],
        ),
      );
      const hues = [...new Set(clear[0].map(({ hue }) => hue))];
      const chosen = clear.map((own, i) => own.find(({ hue }) => hue === hues[places[i] % hues.length])?.at ?? 0);
      return new Objective(triad, chosen).terms()[TERM.hues];
    };
    expect(lackOf('triad', 0, 0, 0, 0)).to.be.above(lackOf('triad', 0, 1, 1, 1));
    expect(lackOf('complementary', 0, 0, 0, 0)).to.equal(0);
  });

  it('light, middle and dark: further off when a dark ground turns pale where a deep one is planned', () => {
    const deep = compileProblem(
      { things: page, borders },
      book,
      { anchor: 60, scheme: 'triad' },
      { ...plot, light: -1 },
    );
    const at = (key: string) =>
      new Objective(
        deep,
        deep.options.map((own) => own.findIndex(({ part }) => part.key === key)),
      ).terms()[TERM.values];
    expect(at('pale')).to.be.above(at('deep'));
  });

  it('a pencil that must come in counts until it does', () => {
    expect(sound('must')).to.equal(1);
    const offered = problem.options[1].findIndex((option) => option.offered);
    const with19 = new Objective(problem, [0, offered, 0, 0]);
    expect(with19.terms()[TERM.must]).to.equal(0);
    expect(bodyOf(problem.options[1][offered].family!)).to.be.a('string');
  });

  it('the mood: value, clearness, warmth and contrast each count only where they are wished', () => {
    expect(sound('mood')).to.equal(0);
    const wished = { ...problem, mood: { ...FREE_MOOD, warm: 1 } };
    const warmth = (look: Look) => {
      const chosen = [0, 1, 2, 3].map((i) => find(i, ...look));
      return new Objective(wished, chosen).terms()[TERM.mood];
    };
    expect(warmth([60, 'clear', 'middle'])).to.be.below(warmth([180, 'clear', 'middle']) + 1e-9);
    expect(oklchOfLab(problem.options[0][0].body).c).to.be.above(0);
  });
});
