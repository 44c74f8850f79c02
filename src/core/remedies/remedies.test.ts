import { expect } from 'chai';
import { labOfHex } from '../colour/index.ts';
import { type Pressure, bareGround, layPasses, pencilOptics, whiteBook } from '../laydown/index.ts';
import { compileRecipe, familyOf } from '../recipe/index.ts';
import { type Mistake, MISTAKES, mistakeById, REMEDIES, mistakeAt, remediesFor } from './index.ts';

const pencil = (id: string, hex: string, type = 'wax') => ({
  id,
  code: id.toUpperCase(),
  optics: pencilOptics({ masstone: labOfHex(hex), type, opacity: type === 'wax' ? 0.9 : 0.3 }),
});
const yellow = pencil('y1', '#f2d24a');
const navy = pencil('n1', '#22315f');
const cream = pencil('c1', '#f7f0d8');
const laid = (passes: [typeof yellow, Pressure][]) =>
  layPasses(
    bareGround(whiteBook),
    passes.map(([{ optics }, pressure]) => ({ pencil: optics, pressure })),
  );

/** A yellow lantern into which navy was dragged, as hard as said. */
function dragged(pressure: Pressure, rest: Partial<Mistake> = {}): Mistake {
  const before = laid([[yellow, 'medium']]);
  return {
    kind: mistakeById('dragged colour'),
    before: before.ground,
    now: laid([
      [yellow, 'medium'],
      [navy, pressure],
    ]).ground,
    wanted: before.lab,
    pencil: 'n1',
    pencils: [yellow, cream, navy],
    pens: [],
    elsewhere: [
      { id: 'a', name: 'Rope coil' },
      { id: 'b', name: 'Gulls' },
    ],
    ...rest,
  };
}
const byId = (mistake: Mistake) => new Map(remediesFor(mistake).remedies.map((each) => [each.id, each]));

describe('remedies', () => {
  it('come nearest first, each nearer than leaving it, with letting it look meant last', () => {
    const { apart, remedies } = remediesFor(dragged('medium'));
    expect(remedies.at(-1)!.id).to.equal('adopt');
    const others = remedies.slice(0, -1).map((each) => each.apart);
    expect(others.length).to.be.at.least(1);
    expect(others).to.deep.equal([...others].sort((a, b) => a - b));
    for (const left of others) expect(left).to.be.below(apart - 1);
  });

  it('lift more of what was laid lightly', () => {
    expect(byId(dragged('light')).get('lift')!.apart).to.be.below(byId(dragged('firm')).get('lift')!.apart);
  });

  it('layer over it with what comes nearest, never with the pencil that did it', () => {
    const advice = byId(dragged('light')).get('layer-over')!;
    const [deed] = advice.does;
    expect(deed).to.include({ thingId: null, when: 'next' });
    expect(deed.pencil).to.be.oneOf(['y1', 'c1']);
    expect(advice.says).to.match(/^Go over it with (Y1|C1), /);
  });

  it('hide it with a pen where one of about the colour is here, and not where none is', () => {
    const pens = [
      { id: 'white', name: 'white pen', lab: labOfHex('#ffffff') },
      { id: 'gold', name: 'gold pen', lab: labOfHex('#e8c95a') },
    ];
    const { says, does } = byId(dragged('firm', { pens })).get('hide')!;
    expect(says).to.contain('gold pen');
    expect(does).to.have.length(1);
    expect(does[0]).to.include({ tool: 'opaque-pen', when: 'last' });
    expect(byId(dragged('firm')).has('hide')).to.equal(false);
  });

  it('let it look meant only where the colour can come back elsewhere', () => {
    const { says, does } = byId(dragged('firm')).get('adopt')!;
    expect(says).to.contain('N1 in Rope coil and Gulls');
    expect(does.map(({ thingId, pencil }) => [thingId, pencil])).to.deep.equal([
      ['a', 'n1'],
      ['b', 'n1'],
    ]);
    expect(byId(dragged('firm', { elsewhere: [] })).has('adopt')).to.equal(false);
    expect(byId(dragged('firm', { kind: mistakeById('too dark') })).has('adopt')).to.equal(false);
  });

  it('say where nobody would see it, and then ask for nothing', () => {
    const unseen = remediesFor(dragged('whisper', { now: dragged('whisper').before }));
    expect(unseen.isUnseen).to.equal(true);
    expect(unseen.remedies).to.deep.equal([]);
    expect(remediesFor(dragged('firm')).isUnseen).to.equal(false);
  });

  it('do not layer over paper that is full', () => {
    const full = laid(new Array<[typeof yellow, Pressure]>(14).fill([navy, 'burnish'])).ground;
    expect(byId(dragged('firm', { now: full })).has('layer-over')).to.equal(false);
  });

  it('know what each kind of mistake leaves: lighter where it is patchy, darker where it is too dark', () => {
    const optics = new Map([yellow, navy, cream].map((each) => [each.id, each.optics]));
    const recipe = compileRecipe('blend', 'base-coat-first', familyOf(['n1', 'y1', 'c1']), {
      regions: [{ usableWidthMm: 12, areaMm2: 200 }],
    });
    const ground = bareGround(whiteBook);
    const valueOf = (kind: string, laid = 3) => {
      const { now, wanted } = mistakeAt({ kind, recipe, laid, pencil: 'n1' }, optics, ground);
      return layPasses(now, []).lab[0] - wanted[0];
    };
    expect(valueOf('over the line')).to.be.below(-3);
    expect(valueOf('dragged colour')).to.be.within(-26, -0.5);
    // A yellow pressed harder over its cream is clearer and hardly darker: the cream by itself shows it.
    expect(valueOf('too dark', 1)).to.be.below(0);
    expect(valueOf('patchy')).to.be.above(0);
    expect(valueOf('wrong pencil')).to.be.below(-5);
    for (const { id: kind } of MISTAKES) {
      expect(() => mistakeAt({ kind, recipe, laid: 0, pencil: 'n1' }, optics, ground)).to.not.throw();
      expect(() => mistakeAt({ kind, recipe, laid: 1, pencil: 'none' }, optics, ground)).to.throw(RangeError);
    }
  });

  it('each have a name that is a thing to do', () => {
    for (const { name } of REMEDIES) expect(name).to.match(/^(Lift|Layer|Hide|Let) /);
  });
});
