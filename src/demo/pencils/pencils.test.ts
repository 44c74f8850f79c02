import { expect } from 'chai';
import { deltaE2000, labOfHex, oklchOfLab, wheelOfHue } from '../../core/colour/index.ts';
import { pencilTypeById } from '../../core/laydown/index.ts';
import { NewTool } from '../../contracts/index.ts';
import { DEMO_SETS, demoPencils, demoTools } from './index.ts';

describe('the demo pencils', () => {
  const pencils = demoPencils();

  it('are four sets of different natures', () => {
    expect(DEMO_SETS.map(({ name, type, pencils: own }) => [name, type, own.length])).to.deep.equal([
      ['Quayside Soft', 'wax', 72],
      ['Fenland Oil', 'oil', 60],
      ['Chalkpit', 'pastel', 24],
      ['Brook Wash', 'water-soluble', 24],
    ]);
    expect(pencils.length + demoTools.length).to.be.within(185, 195);
  });

  it('have codes and ids that are all different', () => {
    expect(new Set(pencils.map(({ code }) => code)).size).to.equal(pencils.length);
    expect(new Set([...pencils, ...demoTools].map(({ id }) => id)).size).to.equal(pencils.length + demoTools.length);
  });

  it('differ within their set by at least 1.5', () => {
    for (const { pencils: own } of DEMO_SETS) {
      for (const [i, [code, , colour]] of own.entries()) {
        for (const [other, , otherColour] of own.slice(i + 1)) {
          expect(deltaE2000(labOfHex(colour), labOfHex(otherColour)), `${code} and ${other}`).to.be.at.least(1.5);
        }
      }
    }
  });

  for (const { name, pencils: own } of DEMO_SETS) {
    it(`${name} goes all round the wheel, in tints, full colours and earths, and has its greys`, () => {
      const colours = own.map(([, , colour]) => ({ lab: labOfHex(colour), ...oklchOfLab(labOfHex(colour)) }));
      const twelfths = new Set(colours.filter(({ c }) => c > 0.04).map(({ h }) => Math.floor(wheelOfHue(h) / 30)));
      expect(twelfths.size).to.be.at.least(10);
      expect(colours.filter(({ lab, c }) => lab[0] > 72 && c > 0.03 && c < 0.11).length, 'tints').to.be.at.least(
        own.length / 12,
      );
      expect(colours.filter(({ c }) => c > 0.13).length, 'full colours').to.be.at.least(own.length / 6);
      expect(
        colours.filter(({ lab, c, h }) => lab[0] < 60 && c > 0.02 && c < 0.11 && h > 30 && h < 110).length,
        'earths',
      ).to.be.at.least(2);
      expect(colours.filter(({ c }) => c < 0.03).length, 'greys').to.be.at.least(2);
    });
  }

  it('are as pencils in use are: a dozen stubs, five missing, three barrels that mislead', () => {
    const where = (place: string) => pencils.filter(({ whereabouts }) => whereabouts === place);
    expect(where('stub').length).to.equal(12);
    expect(where('missing').length).to.equal(5);
    expect(Math.max(...where('stub').map(({ leadMm }) => leadMm))).to.be.below(45);
    expect(Math.min(...where('here').map(({ leadMm }) => leadMm))).to.be.above(60);
    const misleading = pencils.filter(({ barrel }) => barrel !== null);
    expect(misleading.length).to.equal(3);
    for (const { barrel, colour, note } of misleading) {
      expect(deltaE2000(labOfHex(barrel!), labOfHex(colour))).to.be.above(12);
      expect(note).to.match(/barrel/);
    }
  });

  it('have names that their owner gave, and some have no other', () => {
    const nameless = pencils.filter(({ name }) => name === '');
    expect(nameless.length).to.be.within(6, 14);
    for (const { set, code } of nameless) expect([set, /^\d+$/.test(code)]).to.deep.equal(['Chalkpit', true]);
    expect(nameless.filter(({ ownName }) => ownName !== '').length).to.be.at.least(3);
  });

  it('behave after their type: oil is hardest and keeps its point longest, pastel loses it first', () => {
    const mean = (type: string, of: 'hardness' | 'pointMinutes') => {
      const own = pencils.filter((pencil) => pencil.type === type);
      return own.reduce((sum, pencil) => sum + pencil[of], 0) / own.length;
    };
    const order = ['pastel', 'wax', 'water-soluble', 'oil'];
    for (const of of ['hardness', 'pointMinutes'] as const) {
      const means = order.map((type) => mean(type, of));
      expect(means).to.deep.equal([...means].sort((p, q) => p - q));
    }
    for (const { type } of pencils) expect(pencilTypeById(type).id).to.equal(type);
  });

  it('come with pens and tools, each with what to mind', () => {
    for (const tool of demoTools) expect(NewTool.parse(tool).note.length).to.be.above(20);
    expect(demoTools.filter(({ kind }) => kind === 'pen').map(({ name }) => name)).to.have.lengthOf(3);
    expect(demoTools.find(({ kind }) => kind === 'solvent')!.note)
      .to.match(/window/)
      .and.match(/label/);
  });
});
