import { expect } from 'chai';
import fc from 'fast-check';
import { labOfHex } from '../colour/index.ts';
import {
  PAPERS,
  PRESSURES,
  bareAfter,
  bareGround,
  layPasses,
  paperById,
  passesFor,
  passesUntilFilled,
  pencilOptics,
  remarksOn,
  toothMarks,
  whiteBook,
} from './index.ts';

const blue = pencilOptics({ masstone: labOfHex('#2b4fa3'), type: 'wax' });
const soft = { light: 0.5, medium: 0.6, firm: 0.6 };

describe('how a paper fills in a hand', () => {
  it('is told by what is left bare and by passes until hardly any is', () => {
    for (const paper of PAPERS) {
      for (const pressure of ['light', 'medium'] as const) {
        const passes = passesUntilFilled(paper, pressure)!;
        expect(bareAfter(paper, pressure, passes)).to.be.at.most(0.05);
        expect(bareAfter(paper, pressure, passes - 1)).to.be.above(0.05);
      }
    }
    const [smooth, kraft] = [whiteBook, paperById('kraft-card')].map((paper) => passesUntilFilled(paper, 'light')!);
    expect(kraft).to.be.above(smooth);
  });

  it('takes more passes for a softer hand, and never fills under a feather', () => {
    const light = (hand: object) => passesUntilFilled({ ...whiteBook, hand }, 'light');
    expect(light(soft)).to.be.above(light({})!);
    expect(light({ light: 0.01 })).to.equal(null);
  });
});

describe('passes in a hand', () => {
  it('are as many as meant where the hand presses so, more for a softer one, at least one and no more than six', () => {
    const factor = fc.double({ min: 0.05, max: 3, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...PRESSURES), fc.integer({ min: 1, max: 6 }), factor, (pressure, passes, by) => {
        expect(passesFor(passes, pressure, {})).to.equal(passes);
        const counted = passesFor(passes, pressure, { [pressure]: by });
        expect(counted).to.be.within(1, 6);
        if (by < 1) expect(counted).to.be.at.least(passes);
        if (by > 1) expect(counted).to.be.at.most(passes);
      }),
    );
  });

  it('lay about what is meant: three medium ones of a soft hand come near two as meant', () => {
    const mass = (passes: number, hand: object) =>
      layPasses(
        bareGround({ ...whiteBook, hand }),
        Array.from({ length: passes }, () => ({ pencil: blue, pressure: 'medium' as const })),
      ).ground.mass;
    const counted = passesFor(2, 'medium', soft);
    expect(counted).to.equal(3);
    expect(mass(counted, soft)).to.be.closeTo(mass(2, {}), 0.15 * mass(2, {}));
  });
});

describe('what is said of pressing hard and of full tooth', () => {
  const ground = bareGround({ ...whiteBook, hand: soft });
  const pass = (pressure: 'light' | 'firm' | 'burnish') => ({ pencil: blue, pressure });

  it('means the named pressure, in any hand', () => {
    const [first] = remarksOn(ground, [pass('firm'), pass('light')]);
    expect(first.join()).to.match(/Pressing hard this early/);
    expect(remarksOn(ground, [pass('light'), pass('light')])[0].join()).to.not.match(/Pressing hard/);
  });

  it('means what the person’s own burnish fills: a soft hand is told too', () => {
    const { full, filling } = toothMarks(ground);
    expect(full).to.be.below(filling);
    expect(full).to.be.above(toothMarks(bareGround(whiteBook)).full);
    const passes = [pass('firm'), pass('firm'), pass('burnish'), pass('burnish')];
    expect(remarksOn(ground, passes).flat().join()).to.match(/The tooth is full/);
  });
});
