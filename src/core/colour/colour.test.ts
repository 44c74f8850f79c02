import { expect } from 'chai';
import { converter } from 'culori';
import fc from 'fast-check';
import {
  type Lab,
  WHEEL_PLACES,
  deltaE2000,
  hexOfLab,
  hueOfWheel,
  isWarm,
  labOfHex,
  labOfOklch,
  labOfRgb,
  labOfSpectrum,
  oklchOfLab,
  placeAt,
  spectrumOfLab,
  turnBetween,
  wheelOfHue,
  wordsFor,
} from './index.ts';

/** The 34 pairs published with the implementation notes of CIEDE2000: first, second, difference. */
const PUBLISHED: [...Lab, ...Lab, number][] = [
  [50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425],
  [50, 3.1571, -77.2803, 50, 0, -82.7485, 2.8615],
  [50, 2.8361, -74.02, 50, 0, -82.7485, 3.4412],
  [50, -1.3802, -84.2814, 50, 0, -82.7485, 1],
  [50, -1.1848, -84.8006, 50, 0, -82.7485, 1],
  [50, -0.9009, -85.5211, 50, 0, -82.7485, 1],
  [50, 0, 0, 50, -1, 2, 2.3669],
  [50, -1, 2, 50, 0, 0, 2.3669],
  [50, 2.49, -0.001, 50, -2.49, 0.0009, 7.1792],
  [50, 2.49, -0.001, 50, -2.49, 0.001, 7.1792],
  [50, 2.49, -0.001, 50, -2.49, 0.0011, 7.2195],
  [50, 2.49, -0.001, 50, -2.49, 0.0012, 7.2195],
  [50, -0.001, 2.49, 50, 0.0009, -2.49, 4.8045],
  [50, -0.001, 2.49, 50, 0.001, -2.49, 4.8045],
  [50, -0.001, 2.49, 50, 0.0011, -2.49, 4.7461],
  [50, 2.5, 0, 50, 0, -2.5, 4.3065],
  [50, 2.5, 0, 73, 25, -18, 27.1492],
  [50, 2.5, 0, 61, -5, 29, 22.8977],
  [50, 2.5, 0, 56, -27, -3, 31.903],
  [50, 2.5, 0, 58, 24, 15, 19.4535],
  [50, 2.5, 0, 50, 3.1736, 0.5854, 1],
  [50, 2.5, 0, 50, 3.2972, 0, 1],
  [50, 2.5, 0, 50, 1.8634, 0.5757, 1],
  [50, 2.5, 0, 50, 3.2592, 0.335, 1],
  [60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644],
  [63.0109, -31.0961, -5.8663, 62.8187, -29.7946, -4.0864, 1.263],
  [61.2901, 3.7196, -5.3901, 61.4292, 2.248, -4.962, 1.8731],
  [35.0831, -44.1164, 3.7933, 35.0232, -40.0716, 1.5901, 1.8645],
  [22.7233, 20.0904, -46.694, 23.0331, 14.973, -42.5619, 2.0373],
  [36.4612, 47.858, 18.3852, 36.2715, 50.5065, 21.2231, 1.4146],
  [90.8027, -2.0831, 1.441, 91.1528, -1.6435, 0.0447, 1.4441],
  [90.9257, -0.5406, -0.9208, 88.6381, -0.8985, -0.7239, 1.5381],
  [6.7747, -0.2908, -2.4247, 5.8714, -0.0985, -2.2286, 0.6377],
  [2.0776, 0.0795, -1.135, 0.9033, -0.0636, -0.5514, 0.9082],
];

const rgb = fc.tuple(
  fc.integer({ min: 0, max: 255 }),
  fc.integer({ min: 0, max: 255 }),
  fc.integer({ min: 0, max: 255 }),
);

describe('colour', () => {
  it('agrees with all 34 published pairs of CIEDE2000, either way round', () => {
    for (const [l1, a1, b1, l2, a2, b2, expected] of PUBLISHED) {
      expect(deltaE2000([l1, a1, b1], [l2, a2, b2])).to.be.closeTo(expected, 1e-4);
      expect(deltaE2000([l2, a2, b2], [l1, a1, b1])).to.be.closeTo(expected, 1e-4);
    }
  });

  it('agrees with an independent library on Lab and OKLCH of any screen colour', () => {
    const lab65 = converter('lab65');
    const oklch = converter('oklch');
    fc.assert(
      fc.property(rgb, ([r, g, b]) => {
        const theirs = { mode: 'rgb', r: r / 255, g: g / 255, b: b / 255 } as const;
        const own = labOfRgb([r, g, b]);
        const lab = lab65(theirs);
        expect(Math.hypot(own[0] - lab.l, own[1] - lab.a, own[2] - lab.b)).to.be.below(0.25);
        expect(oklchOfLab(own).l).to.be.closeTo(oklch(theirs).l, 0.003);
        expect(oklchOfLab(own).c).to.be.closeTo(oklch(theirs).c, 0.003);
      }),
    );
  });

  it('comes back from OKLCH and from the screen to the same colour', () => {
    fc.assert(
      fc.property(rgb, (colour) => {
        const lab = labOfRgb(colour);
        expect(deltaE2000(lab, labOfOklch(oklchOfLab(lab)))).to.be.below(0.01);
        expect(deltaE2000(lab, labOfHex(hexOfLab(lab)))).to.be.below(0.1);
      }),
    );
  });

  it('refuses a colour that is not written as # and six digits', () => {
    expect(() => labOfHex('red')).to.throw(RangeError, 'six digits');
  });

  it('gives every pigment colour a reflectance between nothing and everything that has that colour', () => {
    fc.assert(
      fc.property(
        fc.record({
          l: fc.double({ min: 0.3, max: 0.9, noNaN: true }),
          c: fc.double({ min: 0, max: 0.085, noNaN: true }),
          h: fc.double({ min: 0, max: 360, noNaN: true }),
        }),
        ({ l, c, h }) => {
          // What is paler is less clear: no reflectance below everything has a pale blue as clear as a middling one.
          const lab = labOfOklch({ l, c: c * Math.min(1, (0.97 - l) / 0.14), h });
          const spectrum = spectrumOfLab(lab);
          expect(Math.min(...spectrum)).to.be.above(0);
          expect(Math.max(...spectrum)).to.be.below(1);
          expect(deltaE2000(labOfSpectrum(spectrum), lab)).to.be.below(0.05);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe("the painter's wheel", () => {
  it('sets red, yellow and blue a third of a turn apart', () => {
    const angleOf = (name: string) => WHEEL_PLACES.find((place) => place.name === name)!.angle;
    expect(angleOf('red') - angleOf('yellow')).to.equal(120);
    expect(angleOf('blue') - angleOf('red')).to.equal(120);
  });

  it('puts each primary opposite the secondary that the other two make', () => {
    for (const [one, other] of [
      ['red', 'green'],
      ['yellow', 'violet'],
      ['blue', 'orange'],
    ]) {
      const angle = WHEEL_PLACES.find((place) => place.name === one)!.angle;
      expect(placeAt(angle + 180).name).to.equal(other);
    }
  });

  it('leads to a perceptual hue and back to the same place from anywhere', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 360, noNaN: true }), (angle) => {
        expect(Math.abs(turnBetween(angle, wheelOfHue(hueOfWheel(angle))))).to.be.below(0.01);
      }),
    );
  });

  it('never turns back: further round the wheel is further round the hues', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 360, noNaN: true }),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        (angle, step) => {
          expect(turnBetween(hueOfWheel(angle + step), hueOfWheel(angle))).to.be.above(0);
        },
      ),
    );
  });

  it('calls yellow to red-violet warm and the rest cool', () => {
    expect(
      ['yellow', 'orange', 'red'].every((name) => isWarm(WHEEL_PLACES.find((place) => place.name === name)!.angle)),
    ).to.equal(true);
    expect(
      ['violet', 'blue', 'green'].some((name) => isWarm(WHEEL_PLACES.find((place) => place.name === name)!.angle)),
    ).to.equal(false);
  });
});

describe('colours in words', () => {
  for (const [hex, words] of [
    ['#f5dd55', 'pale yellow'],
    ['#1e5c3e', 'dark dull green'],
    ['#5e3a26', 'brown'],
    ['#9aa0a6', 'grey'],
    ['#1f1d1e', 'near black'],
    ['#3a3b86', 'blue-violet'],
  ]) {
    it(`calls ${hex} ${words}`, () => expect(wordsFor(labOfHex(hex))).to.contain(words));
  }
});
