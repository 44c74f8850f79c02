import { expect } from 'chai';
import { labOfHex } from '../colour/index.ts';
import { bareGround, layPasses, pencilOptics, whiteBook } from '../laydown/index.ts';
import { FIELDS } from '../light/index.ts';
import { EFFECTS, type Recipe, compileRecipe, familyOf, passesOf, shareInZone } from './index.ts';

const HEX: Record<string, string> = { night: '#22315f', blue: '#4f6bb0', sky: '#b5d4ea' };
const optics = new Map(
  Object.entries(HEX).map(([id, hex]) => [id, pencilOptics({ masstone: labOfHex(hex), type: 'wax' })]),
);
const family = familyOf(['night', 'blue', 'sky']);
/** A ball in a light from a side: from its far rim over its core shadow to its highlight. */
const ball = (usableWidthMm = 20, turned = true) => {
  const places = 100;
  const lit = Uint8Array.from(
    Array.from({ length: places }, (_, k) =>
      FIELDS.map((field) => (field === 'turn' ? (turned ? 2.5 * k : 128) : field === 'tone' ? 2 * k : 0)),
    ).flat(),
  );
  return { regions: [{ usableWidthMm, areaMm2: 300, lit }], directLight: true };
};
const value = ({ layers }: Recipe, turn: number) =>
  layPasses(
    bareGround(whiteBook),
    layers.flatMap((layer) => {
      const share = shareInZone(layer.zone, { tone: { value: 0.08, source: 0 }, turn: { value: turn, source: 0 } });
      return share > 0.01 ? passesOf(layer, optics, share) : [];
    }),
  ).lab[0];

describe('a rim of reflected light', () => {
  it('stays paler at the side that is turned furthest from the light than the core of the shadow', () => {
    const own = compileRecipe('blend', 'base-coat-first', family, ball());
    expect(value(own, 0.02)).to.be.above(value(own, 0.3) + 8);
    expect(own.notes.join()).to.contain('reflected light');
  });

  it('is none in soft light, on what nowhere turns away, and where there is no room beside the dark', () => {
    const has = (context: Parameters<typeof compileRecipe>[3]) =>
      compileRecipe('blend', 'base-coat-first', family, context).layers.some(({ zone }) => zone.and?.field === 'turn');
    expect(has(ball())).to.equal(true);
    expect(has({ ...ball(), directLight: false })).to.equal(false);
    expect(has(ball(20, false))).to.equal(false);
    expect(has(ball(3))).to.equal(false);
  });

  it('leaves every effect with two fields to look at, at the most', () => {
    for (const { id } of EFFECTS) {
      const { layers } = compileRecipe(id, 'dark-first', family, ball());
      expect(new Set(layers.flatMap(({ zone }) => [zone.field, zone.and?.field ?? zone.field])).size).to.be.at.most(2);
    }
  });
});
