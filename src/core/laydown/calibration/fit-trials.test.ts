import { expect } from 'chai';
import { deltaE2000, labOfHex } from '../../colour/index.ts';
import { type Pressure, bareGround, layPasses, pencilOptics, whiteBook } from '../index.ts';
import { handFromTrials, pencilFromTrial } from './index.ts';

const blue = { masstone: labOfHex('#2b4fa3'), type: 'oil' };
const red = { masstone: labOfHex('#c8202f'), type: 'oil' };

describe('what trials teach', () => {
  const trial = (...pressures: Pressure[]) =>
    pressures.map((pressure, i) => ({ pencil: pencilOptics(i % 2 ? red : blue), pressure }));

  it('of the hand: a factor for each pressure used, in the right direction, and the trial comes out nearer', () => {
    const real = { ...whiteBook, hand: { light: 1.5, medium: 0.75 } };
    const stacks = [trial('light', 'light'), trial('medium'), trial('light', 'medium')];
    const trials = stacks.map((passes) => ({ passes, lab: layPasses(bareGround(real), passes).lab }));
    const hand = handFromTrials(whiteBook, trials);
    expect(Object.keys(hand)).to.have.members(['light', 'medium']);
    expect(hand.light).to.be.within(1.25, 1.6);
    expect(hand.medium).to.be.within(0.7, 0.9);
    for (const { passes, lab } of trials) {
      const before = deltaE2000(layPasses(bareGround(whiteBook), passes).lab, lab);
      const after = deltaE2000(layPasses(bareGround({ ...whiteBook, hand }), passes).lab, lab);
      expect(after).to.be.below(Math.max(0.8, 0.5 * before));
    }
  });

  it('of the hand stands beside the hand that is known already', () => {
    const known = { ...whiteBook, hand: { light: 0.5 } };
    const passes = trial('light');
    const lab = layPasses(bareGround({ ...whiteBook, hand: { light: 0.5 * 1.4 } }), passes).lab;
    expect(handFromTrials(known, [{ passes, lab }]).light).to.be.within(1.15, 1.5);
  });

  it('of a hand that did as was foretold is nothing', () => {
    const passes = trial('firm', 'light');
    const { lab } = layPasses(bareGround(whiteBook), passes);
    for (const factor of Object.values(handFromTrials(whiteBook, [{ passes, lab }]))) {
      expect(factor).to.be.closeTo(1, 0.02);
    }
  });

  it('of a pencil: that it lays more than thought, with the others as they are known', () => {
    const other = { pencil: pencilOptics(red), pressure: 'medium' as const };
    const passesWith = (optics: typeof other.pencil) => [
      other,
      { pencil: optics, pressure: 'medium' as const },
      { pencil: optics, pressure: 'light' as const },
    ];
    const really = pencilOptics({ ...blue, laydown: 1.6 });
    const { lab } = layPasses(bareGround(whiteBook), passesWith(really));
    const found = pencilFromTrial(whiteBook, blue, passesWith, lab);
    expect(found.laydown).to.be.within(1.15, 1.8);
    const [before, after] = [blue, { ...blue, ...found }].map((pencil) =>
      deltaE2000(layPasses(bareGround(whiteBook), passesWith(pencilOptics(pencil))).lab, lab),
    );
    expect(after).to.be.below(0.5 * before);
  });

  it('of the hand is nothing where pressures are shares, as in patches: those have no name to learn', () => {
    const passes = [{ pencil: pencilOptics(blue), pressure: 0.4 }];
    const { lab } = layPasses(bareGround(whiteBook), [{ ...passes[0], pressure: 0.6 }]);
    expect(handFromTrials(whiteBook, [{ passes, lab }])).to.deep.equal({});
  });

  it('needs a trial', () => {
    expect(() => handFromTrials(whiteBook, [])).to.throw(RangeError, 'nothing to learn');
  });
});
