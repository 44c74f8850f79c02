import { expect } from 'chai';
import fc from 'fast-check';
import { type Lab, deltaE2000, labOfHex } from '../colour/index.ts';
import { PRESSURES, bareGround, layPasses, paperById, pencilOptics, whiteBook } from '../laydown/index.ts';
import {
  closenessOf,
  convertSet,
  differenceInWords,
  labAt,
  layTray,
  layeringsNear,
  lengthLeftMm,
  mostHelpful,
  nearestAtBest,
  nearestPencils,
  pressOfLength,
  wearOf,
  whatIsMissing,
} from './index.ts';

const COLOURS = {
  red: '#c8202f',
  orange: '#e2702a',
  yellow: '#f2c21d',
  green: '#2c7f45',
  blue: '#2b4fa3',
  violet: '#6b3fa0',
  brown: '#7a4a2b',
  grey: '#6a7681',
  white: '#f4f2ec',
};
const pencils = Object.entries(COLOURS).map(([code, colour]) => ({
  id: code,
  code,
  masstone: labOfHex(colour),
  type: 'oil',
  opacity: 0.3,
}));
const tray = layTray(pencils, whiteBook);
const place = (code: string) => pencils.findIndex((pencil) => pencil.code === code);
const lab = fc.tuple(
  fc.double({ min: 20, max: 95, noNaN: true }),
  fc.double({ min: -60, max: 70, noNaN: true }),
  fc.double({ min: -60, max: 80, noNaN: true }),
);

describe('the nearest pencil', () => {
  it('to a laydown of its own is the pencil itself, at any pressure', () => {
    for (const pressure of PRESSURES) {
      for (let i = 0; i < pencils.length; i++) {
        const [near] = nearestPencils(labAt(tray.labs[pressure], i), tray, pressure, 1);
        expect(near.deltaE).to.be.below(1e-6);
        expect(deltaE2000(near.lab, labAt(tray.labs[pressure], i))).to.be.below(1e-6);
      }
    }
  });

  it('is the same that looking at each in turn finds, in the same order', () => {
    fc.assert(
      fc.property(lab, fc.integer({ min: 1, max: 9 }), (target, limit) => {
        const plain = pencils
          .map((_, index) => ({ index, deltaE: deltaE2000(target, labAt(tray.labs.medium, index)) }))
          .sort((p, q) => p.deltaE - q.deltaE)
          .slice(0, limit);
        const near = nearestPencils(target, tray, 'medium', limit);
        near.forEach(({ deltaE }, i) => expect(deltaE).to.be.closeTo(plain[i].deltaE, 1e-9));
      }),
    );
  });

  it('at its best pressure is at least as near as at any one, and each pencil stands once', () => {
    fc.assert(
      fc.property(lab, (target) => {
        const found = nearestAtBest(target, tray, PRESSURES, 4);
        expect(new Set(found.map(({ index }) => index)).size).to.equal(found.length);
        for (const pressure of PRESSURES) {
          expect(found[0].deltaE).to.be.at.most(nearestPencils(target, tray, pressure, 1)[0].deltaE);
        }
      }),
    );
  });

  it('depends on the paper', () => {
    const kraft = layTray(pencils, paperById('kraft-card'));
    expect(labAt(kraft.labs.light, place('blue'))[0]).to.be.below(labAt(tray.labs.light, place('blue'))[0]);
  });
});

describe('layerings', () => {
  const orange = pencils.findIndex(({ code }) => code === 'orange');
  const without = (...codes: string[]) =>
    layTray(
      pencils.filter(({ code }) => !codes.includes(code)),
      whiteBook,
    );

  it('of red and yellow stand in for an orange that is missing', () => {
    const wanted = labAt(tray.labs.medium, orange);
    const rest = without('orange');
    const [best] = layeringsNear(wanted, rest, 3);
    expect(best.deltaE).to.be.below(nearestPencils(wanted, rest, 'medium', 1)[0].deltaE);
    const codes = best.layers.map(({ index }) => rest.pencils[index].code);
    expect(codes).to.include('yellow');
  });

  it('come out in the layer model as they are told, and never use a pencil twice', () => {
    fc.assert(
      fc.property(lab, (target) => {
        for (const { layers, lab: told, deltaE, toothLeft } of layeringsNear(target, tray, 4)) {
          const laid = layPasses(
            bareGround(whiteBook),
            layers.map(({ index, pressure }) => ({ pencil: tray.optics[index], pressure })),
          );
          expect(laid.lab).to.deep.equal(told);
          expect(deltaE).to.be.closeTo(deltaE2000(target, told), 1e-9);
          expect(toothLeft).to.equal(laid.toothLeft);
          expect(new Set(layers.map(({ index }) => index)).size).to.equal(layers.length);
        }
      }),
      { numRuns: 12 },
    );
  });

  it('are told the nearest first', () => {
    const found = layeringsNear([60, 10, 30], tray, 6).map(({ deltaE }) => deltaE);
    expect(found).to.deep.equal([...found].sort((a, b) => a - b));
  });
});

describe('how colours differ, in words', () => {
  const red = labOfHex('#c8202f');
  it('says lighter and darker, clearer and duller, warmer and cooler, and what covers', () => {
    expect(differenceInWords([80, 0, 0], [60, 0, 0])).to.equal('much lighter');
    expect(differenceInWords(labOfHex('#9a4a4c'), red)).to.match(/duller/);
    expect(differenceInWords(labOfHex('#e2702a'), labOfHex('#c83a6f'))).to.match(/warmer/);
    expect(differenceInWords(red, red, [0.8, 0.1])).to.equal('covers much more');
  });

  it('says nothing where nothing is to be seen, and takes back what it said the other way round', () => {
    fc.assert(
      fc.property(lab, lab, (one, other) => {
        expect(differenceInWords(one, one)).to.equal('');
        const [there, back] = [differenceInWords(one, other), differenceInWords(other, one)];
        expect(there.includes('lighter')).to.equal(back.includes('darker'));
        expect(there.includes('clearer')).to.equal(back.includes('duller'));
      }),
    );
  });

  it('calls a difference by what a colourist would see', () => {
    expect([0.5, 3, 7, 20].map(closenessOf)).to.deep.equal(['the same to the eye', 'near', 'alike', 'nothing near']);
  });
});

describe('converting a set', () => {
  it('into itself gives each pencil back', () => {
    for (const { from, near, closeness } of convertSet(tray, tray, 'firm')) {
      expect(near?.index).to.equal(from);
      expect(closeness).to.equal('the same to the eye');
    }
  });

  it('marks honestly what has nothing near, and offers a layering only where that helps', () => {
    const few = layTray(
      pencils.filter(({ code }) => ['white', 'yellow', 'red', 'blue'].includes(code)),
      whiteBook,
    );
    const found = [...convertSet(tray, few, 'medium')];
    expect(found[place('red')].closeness).to.equal('the same to the eye');
    const green = found[place('green')];
    expect(green.closeness).to.not.equal('the same to the eye');
    for (const { near, layering } of found) {
      if (layering) expect(layering.deltaE).to.be.below(near!.deltaE);
    }
  });

  it('into an empty set has nothing near', () => {
    const [first] = convertSet(tray, layTray([], whiteBook), 'firm');
    expect(first).to.include({ near: null, closeness: 'nothing near', layering: null });
  });
});

describe('what a tray lacks', () => {
  it('names the places of the wheel without a clear pencil, and values without any', () => {
    const whole = whatIsMissing(tray);
    const reds = whatIsMissing(
      layTray(
        pencils.filter(({ code }) => code === 'red'),
        whiteBook,
      ),
    );
    expect(reds.hues.length).to.equal(11);
    expect(whole.hues.length).to.be.below(8);
    expect(reds.values.length).to.be.above(whole.values.length);
  });

  it('tells of near-duplicates, the nearest first', () => {
    const twin = { ...pencils[place('blue')], id: 'twin', code: 'twin', masstone: labOfHex('#2c50a4') };
    const { twice } = whatIsMissing(layTray([...pencils, twin], whiteBook));
    expect(twice).to.have.length(1);
    expect([twice[0].a, twice[0].b]).to.deep.equal([place('blue'), pencils.length]);
    expect(whatIsMissing(tray).twice).to.deep.equal([]);
  });

  it('says which pencil would help the colours that are wanted, and none where all are there', () => {
    const colours = (...codes: string[]) =>
      codes.map((code) => ({ lab: labAt(tray.labs.firm, place(code)) as Lab, weight: 1 }));
    const few = layTray(
      pencils.filter(({ code }) => ['red', 'white', 'grey'].includes(code)),
      whiteBook,
    );
    const [best, second] = mostHelpful(few, tray, colours('green', 'green', 'green', 'yellow'), 2);
    expect(tray.pencils[best.index].code).to.equal('green');
    expect(best.gain).to.be.above(second.gain);
    expect(mostHelpful(tray, tray, colours('green'), 3)).to.deep.equal([]);
  });
});

describe('wear', () => {
  const blue = pencilOptics({ masstone: labOfHex(COLOURS.blue), type: 'oil' });
  it('grows with area and pressure, and a hard core keeps its point longer', () => {
    const of = (area: number, hardness?: number, pressure: 'light' | 'firm' = 'light') =>
      wearOf(blue, whiteBook, [pressure], area, hardness);
    expect(of(2000).lengthMm).to.be.closeTo(2 * of(1000).lengthMm, 1e-9);
    expect(of(1000, 0.5, 'firm').laidMm).to.be.above(of(1000).laidMm);
    expect(of(1000, 0.9).points).to.be.below(of(1000, 0.2).points);
    expect(of(0).lengthMm).to.equal(0);
    expect(() => of(-1)).to.throw(RangeError);
  });

  it('of a whole page laid full takes millimetres, not half the pencil', () => {
    const { lengthMm } = wearOf(blue, whiteBook, ['firm', 'firm', 'burnish'], 62_370 / 4);
    expect(lengthMm).to.be.within(15, 120);
  });

  it('leaves no less than nothing, and a stub presses harder than a long pencil', () => {
    expect(lengthLeftMm(10, { lengthMm: 14 })).to.equal(0);
    expect(pressOfLength(30)).to.be.above(pressOfLength(150));
    expect(pressOfLength(null)).to.equal(1);
  });
});
