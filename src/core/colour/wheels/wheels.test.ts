import { expect } from 'chai';
import fc from 'fast-check';
import { RINGS, WHEELS, labOfOklch, placeOn, ringOf, turnBetween, wheelById } from '../index.ts';

const angle = fc.double({ min: 0, max: 360, noNaN: true, maxExcluded: true });

describe('both wheels', () => {
  for (const wheel of WHEELS) {
    it(`${wheel.id}: every angle has one hue and every hue one angle`, () => {
      fc.assert(
        fc.property(angle, (at) => {
          expect(Math.abs(turnBetween(wheel.angleOf(wheel.hueOf(at)), at))).to.be.below(0.01);
          expect(Math.abs(turnBetween(wheel.hueOf(wheel.angleOf(at)), at))).to.be.below(0.01);
        }),
      );
    });

    it(`${wheel.id}: is smooth: the hue turns neither back nor by a jump, and its pace does not break`, () => {
      const pace = (at: number) => -turnBetween(wheel.hueOf(at - 0.05), wheel.hueOf(at + 0.05)) / 0.1;
      for (let at = 0; at < 360; at += 0.5) {
        expect(pace(at), `${at}`).to.be.within(0.2, 3);
        expect(Math.abs(pace(at + 0.1) - pace(at)), `${at}`).to.be.below(0.1);
      }
    });

    it(`${wheel.id}: has its twelve places where their hues are, yellow at the top`, () => {
      expect(wheel.places).to.have.length(12);
      expect(wheel.places[0]).to.include({ name: 'yellow', angle: 0 });
      for (const place of wheel.places) {
        expect(Math.abs(turnBetween(wheel.hueOf(place.angle), place.hue))).to.be.below(0.01);
        expect(placeOn(wheel, place.angle + 3).name).to.equal(place.name);
      }
    });
  }

  it('do not agree on opposites: orange faces blue on the painter’s', () => {
    const opposite = (id: string) => {
      const wheel = wheelById(id);
      return placeOn(wheel, wheel.angleOf(59) + 180).name;
    };
    expect(opposite('painters')).to.equal('blue');
    expect(opposite('perceptual')).to.be.oneOf(['blue', 'blue-green']);
    expect(() => wheelById('square')).to.throw(RangeError, 'no wheel');
  });
});

describe('rings', () => {
  it('tell tints, full colours, tones and shades apart, each hue by its own lightness', () => {
    const of = (l: number, c: number, h: number) => ringOf(labOfOklch({ l, c, h }));
    expect(of(0.9, 0.06, 25)).to.equal('tint');
    expect(of(0.58, 0.2, 28)).to.equal('full');
    expect(of(0.62, 0.06, 28)).to.equal('tone');
    expect(of(0.35, 0.1, 28)).to.equal('shade');
    expect(of(0.87, 0.16, 100)).to.equal('full');
    expect(of(0.52, 0.13, 305)).to.equal('full');
  });

  it('hold every colour', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        angle,
        (l, c, h) => {
          expect(RINGS).to.include(ringOf(labOfOklch({ l, c, h })));
        },
      ),
    );
  });
});
