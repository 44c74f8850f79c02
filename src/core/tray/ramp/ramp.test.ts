import { expect } from 'chai';
import fc from 'fast-check';
import { deltaE2000, labOfHex, oklchOfLab } from '../../colour/index.ts';
import { bareGround, pencilOptics, whiteBook } from '../../laydown/index.ts';
import { onPaper, overlapOf, labOfBand, planRamp } from '../index.ts';

const HEXES =
  '#7a1728 #c22b22 #df6320 #eda715 #f5dd55 #f3e7b9 #22315f #4f6bb0 #b5d4ea #1e5c3e #78b06a #c6d25d #5b3a86 #f2c6c0'.split(
    ' ',
  );
const tray = onPaper(
  HEXES.map((hex, i) => ({ id: `p${i}`, code: `P${i}`, masstone: labOfHex(hex), type: 'wax' })),
  whiteBook,
);
const options = { paper: whiteBook, lengthMm: 60 };
const colour = fc.constantFrom(...HEXES).map(labOfHex);

describe('two bands that share paper', () => {
  const ground = bareGround(whiteBook);
  const band = (hex: string) => ({
    optics: pencilOptics({ masstone: labOfHex(hex), type: 'wax' }),
    pressure: 'medium' as const,
  });
  const between = (p: string, q: string) =>
    overlapOf(ground, band(p), band(q), [labOfBand(ground, band(p)), labOfBand(ground, band(q))]);

  it('stay clean between neighbours on the wheel and go to mud between opposites', () => {
    expect(between('#df6320', '#eda715').dip).to.be.below(4);
    expect(between('#c22b22', '#2f8c53').dip).to.be.above(6);
  });

  it('show an uneven hand the more, the farther apart they are', () => {
    expect(between('#7a1728', '#f5dd55').uneven).to.be.above(between('#df6320', '#eda715').uneven);
  });
});

describe('a ramp', () => {
  it('goes from the one colour to the other, each pencil once, over the whole length', () => {
    fc.assert(
      fc.property(colour, colour, fc.integer({ min: 1, max: 5 }), (from, to, count) => {
        const { bands, steps, largestStep } = planRamp(from, to, tray, { ...options, count });
        expect(bands.length).to.be.within(1, count);
        expect(new Set(bands.map(({ pencil }) => pencil)).size).to.equal(bands.length);
        expect(bands[0].fromMm).to.equal(0);
        expect(bands.at(-1)!.toMm).to.be.closeTo(60, 1e-9);
        for (let i = 1; i < bands.length; i++) expect(bands[i].fromMm).to.be.below(bands[i - 1].toMm);
        expect(steps).to.have.length(bands.length - 1);
        expect(largestStep).to.equal(Math.max(0, ...steps));
      }),
      { numRuns: 15 },
    );
  });

  it('has smaller steps with more pencils, and says why it stops where it does', () => {
    const [from, to] = [labOfHex('#7a1728'), labOfHex('#f5dd55')];
    const worst = [2, 3, 4].map((count) => planRamp(from, to, tray, { ...options, count }).largestStep);
    expect(worst).to.deep.equal([...worst].sort((a, b) => b - a));
    expect(planRamp(from, to, tray, options).reason).to.match(/\d pencils: the largest step.*(tenth|seldom help)/);
    const few = planRamp(from, to, tray, { ...options, maxStep: 30 });
    expect(few.largestStep).to.be.at.most(30);
    expect(planRamp(from, to, tray, { ...options, maxStep: 0.5 }).reason).to.contain(
      'No way here keeps every step below',
    );
  });

  it('crosses from blue to yellow without falling to grey: through green, or where both are pale', () => {
    const { bands } = planRamp(labOfHex('#22315f'), labOfHex('#f5dd55'), tray, { ...options, count: 4 });
    for (const { lab } of bands) expect(oklchOfLab(lab).c).to.be.above(0.03);
  });

  it('gives narrow bands to near colours where bands are equal in step', () => {
    const { bands, steps } = planRamp(labOfHex('#22315f'), labOfHex('#b5d4ea'), tray, {
      ...options,
      count: 3,
      bands: 'step',
    });
    const widths = bands.map(({ fromMm, toMm }) => toMm - fromMm);
    if (steps.length === 2 && steps[0] > steps[1]) expect(widths[0]).to.be.above(widths[2]);
    expect(widths.every((width) => width > 0)).to.equal(true);
  });

  it('reaches its ends as near as the tray can', () => {
    const { miss } = planRamp(tray[0].body, tray[4].body, tray, { ...options, count: 3 });
    expect(Math.max(...miss)).to.be.below(16);
    expect(deltaE2000(tray[0].body, tray[4].body)).to.be.above(30);
  });

  it('refuses what cannot be a ramp', () => {
    const [from, to] = [labOfHex('#7a1728'), labOfHex('#f5dd55')];
    expect(() => planRamp(from, to, [], options)).to.throw(RangeError, 'tray is empty');
    expect(() => planRamp(from, to, tray, { ...options, lengthMm: 0 })).to.throw(RangeError, 'longer than 0');
    expect(() => planRamp(from, to, tray, { ...options, count: 9 })).to.throw(RangeError, '1 to 7');
  });
});
