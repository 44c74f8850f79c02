import { expect } from 'chai';
import fc from 'fast-check';
import { type Lab, deltaE2000, labOfHex, oklchOfLab, turnBetween } from '../colour/index.ts';
import {
  MASSTONE_PASSES,
  PAPERS,
  PENCIL_TYPES,
  PRESSURES,
  type Pass,
  type Pressure,
  bareGround,
  layPasses,
  paperById,
  pencilOptics,
  pencilTypeById,
  reflectanceOf,
  whiteBook,
} from './index.ts';

const pencil = (hex: string, opacity = 0.15, type = 'oil') => pencilOptics({ masstone: labOfHex(hex), type, opacity });
const red = pencil('#c8202f');
const blue = pencil('#2b4fa3');
const yellow = pencil('#f7d117');
const white = bareGround(whiteBook);
const lay = (...passes: [typeof red, Pressure | number][]) =>
  layPasses(
    white,
    passes.map(([pencil, pressure]): Pass => ({ pencil, pressure })),
  );
const chroma = (lab: Lab) => Math.hypot(lab[1], lab[2]);

describe('one pass of a clear red oil pencil on a smooth white page', () => {
  const CHECK: [Pressure, specks: number, filled: number, Lab][] = [
    ['whisper', 0.725, 0.062, [85.3, 11.4, 7.5]],
    ['light', 0.51, 0.133, [75.8, 22.8, 12.1]],
    ['medium', 0.292, 0.262, [65.0, 36.7, 18.7]],
    ['firm', 0.092, 0.46, [55.9, 49.8, 26.9]],
    ['burnish', 0.019, 0.607, [53.1, 54.2, 30.5]],
  ];
  for (const [pressure, specks, filled, lab] of CHECK) {
    it(`at ${pressure} leaves ${Math.round(100 * specks)}% specks and fills ${Math.round(100 * filled)}% of the tooth`, () => {
      const result = lay([red, pressure]);
      expect(result.specks).to.be.closeTo(specks, 0.001);
      expect(1 - result.toothLeft).to.be.closeTo(filled, 0.001);
      expect(deltaE2000(result.lab, lab)).to.be.below(0.3);
    });
  }
});

describe('how paper fills', () => {
  const left = (on: typeof whiteBook, pressure: Pressure, times: number, type: string) =>
    layPasses(
      bareGround(on),
      Array.from({ length: times }, () => ({ pencil: pencil('#2b4fa3', 0.3, type), pressure })),
    ).specks;
  const [toothed, kraft] = ['toothed-white', 'kraft-card'].map(paperById);
  const BOUND = ['wax', 'oil', 'water-soluble', 'pastel'];

  it('on smooth white four and six light layers leave at most 15 and 8 in a hundred bare, medium ones 6 and 3, a burnish 2', () => {
    for (const type of BOUND) {
      expect(left(whiteBook, 'light', 4, type), type).to.be.at.most(0.15);
      expect(left(whiteBook, 'light', 6, type), type).to.be.at.most(0.08);
      expect(left(whiteBook, 'medium', 4, type), type).to.be.at.most(0.06);
      expect(left(whiteBook, 'medium', 6, type), type).to.be.at.most(0.03);
      expect(left(whiteBook, 'burnish', 1, type), type).to.be.at.most(0.02);
    }
  });

  it('on a toothed sheet six and eight medium layers leave at most 6 and 3, and kraft always leaves more than that sheet', () => {
    for (const type of BOUND) {
      expect(left(toothed, 'medium', 6, type), type).to.be.at.most(0.06);
      expect(left(toothed, 'medium', 8, type), type).to.be.at.most(0.03);
      for (const pressure of PRESSURES.slice(0, 4)) {
        for (const times of [1, 3, 6]) {
          expect(left(kraft, pressure, times, type)).to.be.above(left(toothed, pressure, times, type));
        }
      }
    }
  });
});

describe('what a colourist knows of layers', () => {
  it('yellow lightly over blue is green', () => {
    const { lab } = lay([blue, 'light'], [yellow, 'light']);
    expect(oklchOfLab(lab).h).to.be.within(110, 170);
  });

  it('evenly layered complements go neutral: below 45% of their mean chroma', () => {
    const green = pencil('#2c7f45');
    const mixed = lay([red, 'medium'], [green, 'medium'], [red, 'medium'], [green, 'medium']);
    const alone =
      (chroma(lay([red, 'medium'], [red, 'medium']).lab) + chroma(lay([green, 'medium'], [green, 'medium']).lab)) / 2;
    expect(chroma(mixed.lab)).to.be.below(0.45 * alone);
  });

  it('many light layers go on changing the colour, but after two firm passes a light one does little', () => {
    const layers: [typeof red, Pressure][] = [];
    let before = lay([red, 'light']).lab;
    layers.push([red, 'light']);
    for (const next of [blue, yellow, pencil('#2c7f45'), pencil('#c43d85'), pencil('#8e2a23')]) {
      layers.push([next, 'light']);
      const after = lay(...layers).lab;
      expect(deltaE2000(before, after)).to.be.above(1.5);
      before = after;
    }
    const fresh = deltaE2000(lay([red, 'light']).lab, lay([red, 'light'], [blue, 'light']).lab);
    const full = deltaE2000(
      lay([red, 'firm'], [red, 'firm']).lab,
      lay([red, 'firm'], [red, 'firm'], [blue, 'light']).lab,
    );
    expect(full).to.be.below(0.4 * fresh);
  });

  it('one light pass leaves over 45% specks, burnishing under 5%', () => {
    expect(lay([blue, 'light']).specks).to.be.above(0.45);
    expect(lay([blue, 'burnish']).specks).to.be.below(0.05);
  });

  it('the order of two pencils can be seen', () => {
    const darkFirst = lay([blue, 'medium'], [yellow, 'medium']).lab;
    const lightFirst = lay([yellow, 'medium'], [blue, 'medium']).lab;
    expect(deltaE2000(darkFirst, lightFirst)).to.be.within(2, 20);
  });

  it('grey over green, then green again, deepens the green and keeps its hue', () => {
    const green = pencil('#2c7f45');
    const grey = pencil('#6a7681');
    const plain = lay([green, 'medium'], [green, 'medium']).lab;
    const deepened = lay([green, 'medium'], [grey, 'medium'], [green, 'medium']).lab;
    expect(deepened[0]).to.be.below(plain[0]);
    expect(Math.abs(turnBetween(oklchOfLab(plain).h, oklchOfLab(deepened).h))).to.be.below(12);
  });

  it('three whispers come near one medium pass and are not the same', () => {
    const away = deltaE2000(lay([red, 'whisper'], [red, 'whisper'], [red, 'whisper']).lab, lay([red, 'medium']).lab);
    expect(away).to.be.within(1, 7);
  });

  it('three primaries laid lightly give a neutral', () => {
    expect(chroma(lay([red, 'light'], [yellow, 'light'], [blue, 'light']).lab)).to.be.below(18);
  });

  it('the masstone passes give the declared colour, for every type of pencil', () => {
    for (const { id, opacity } of PENCIL_TYPES) {
      for (const hex of ['#c8202f', '#2b4fa3', '#5d6d2a', '#9c9284']) {
        const optics = pencilOptics({ masstone: labOfHex(hex), type: id, opacity });
        const made = lay(...MASSTONE_PASSES.map((pressure): [typeof red, Pressure] => [optics, pressure]));
        expect(deltaE2000(made.lab, labOfHex(hex)), `${hex} ${id}`).to.be.below(1.5);
      }
    }
  });

  it('the darker the paper, the darker the same laydown', () => {
    const values = ['white-book', 'cream-sheet', 'toned-grey-card', 'kraft-card'].map(
      (id) => layPasses(bareGround(paperById(id)), [{ pencil: blue, pressure: 'light' }]).lab[0],
    );
    expect(values).to.deep.equal([...values].sort((a, b) => b - a));
  });
});

describe('laws of laying', () => {
  const passes = fc.array(
    fc.record({
      pencil: fc.constantFrom(red, blue, yellow, pencil('#f6f4ee', 0.85, 'wax'), pencil('#1f1d1e', 0.7, 'pastel')),
      pressure: fc.constantFrom(...PRESSURES),
    }),
    { minLength: 1, maxLength: 10 },
  );
  const paper = fc.constantFrom(...PAPERS);

  it('what is seen reflects between nothing and everything, on any paper after any passes', () => {
    fc.assert(
      fc.property(paper, passes, (on, laid) => {
        const spectrum = reflectanceOf(layPasses(bareGround(on), laid).ground);
        expect(Math.min(...spectrum)).to.be.at.least(0);
        expect(Math.max(...spectrum)).to.be.at.most(1);
      }),
    );
  });

  it('tooth only fills and specks only close', () => {
    fc.assert(
      fc.property(paper, passes, (on, laid) => {
        let before = { specks: 1, toothLeft: 1 };
        for (const now of layPasses(bareGround(on), laid).after) {
          expect(now.toothLeft).to.be.at.most(before.toothLeft + 1e-12);
          expect(now.specks).to.be.at.most(before.specks + 1e-12);
          before = now;
        }
      }),
    );
  });

  it('a burnish after other passes never leaves more specks than a burnish alone', () => {
    fc.assert(
      fc.property(paper, passes, fc.constantFrom(red, blue, pencil('#f6f4ee', 0.85, 'wax')), (on, laid, last) => {
        const burnish = { pencil: last, pressure: 'burnish' as const };
        const alone = layPasses(bareGround(on), [burnish]).specks;
        expect(layPasses(bareGround(on), [...laid, burnish]).specks).to.be.at.most(alone + 1e-12);
      }),
    );
  });

  it('no press leaves more specks over other layers than on bare paper, nor a harder one more than a softer', () => {
    fc.assert(
      fc.property(paper, passes, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (on, laid, pressure) => {
        const after = layPasses(bareGround(on), laid).ground;
        const left = (ground: typeof after, press: number) =>
          layPasses(ground, [{ pencil: red, pressure: press }]).specks;
        expect(left(after, pressure)).to.be.at.most(left(bareGround(on), pressure) + 1e-12);
        expect(left(after, pressure + 0.05)).to.be.at.most(left(after, pressure) + 1e-12);
      }),
    );
  });

  it('a rougher paper never leaves fewer specks, whatever its tooth', () => {
    const rough = fc.double({ min: 0.1, max: 2, noNaN: true });
    const tooth = fc.double({ min: 0.4, max: 3, noNaN: true });
    const stray = fc.double({ min: 0, max: 2, noNaN: true });
    fc.assert(
      fc.property(rough, rough, tooth, tooth, stray, passes, (a, b, holds, held, strays, laid) => {
        const on = (roughness: number, own: number) =>
          layPasses(bareGround({ ...whiteBook, rough: roughness, tooth: own, stray: strays }), laid).specks;
        expect(on(Math.max(a, b), holds)).to.be.at.least(on(Math.min(a, b), held) - 1e-12);
      }),
    );
  });

  it('a pass of no pressure changes nothing', () => {
    fc.assert(
      fc.property(passes, (laid) => {
        const before = layPasses(white, laid);
        const after = layPasses(before.ground, [{ pencil: red, pressure: 0 }]);
        expect(after.lab).to.deep.equal(before.lab);
        expect(after.toothLeft).to.equal(before.toothLeft);
      }),
    );
  });

  it('more passes of one pencil come nearer to its masstone until they reach it', () => {
    const masstone = labOfHex('#2b4fa3');
    const { after } = layPasses(white, new Array(4).fill({ pencil: blue, pressure: 'light' }));
    const distances = after.map(({ lab }) => deltaE2000(lab, masstone));
    expect(distances).to.deep.equal([...distances].sort((a, b) => b - a));
  });

  it('a harder hand lays more', () => {
    const inHand = (light: number) => bareGround({ ...whiteBook, hand: { light } });
    const [soft, hard] = [0.7, 1.4].map((light) => layPasses(inHand(light), [{ pencil: red, pressure: 'light' }]));
    expect(hard.lab[0]).to.be.below(soft.lab[0]);
  });
});

describe('refusals', () => {
  it('names what it does not know', () => {
    expect(() => paperById('vellum')).to.throw(RangeError, 'no paper called "vellum"');
    expect(() => pencilTypeById('crayon')).to.throw(RangeError, 'no pencil type');
    expect(() => pencilOptics({ masstone: [50, 0, 0], type: 'oil', opacity: 2 })).to.throw(RangeError, 'from 0 to 1');
  });
});
