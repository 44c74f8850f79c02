import { expect } from 'chai';
import { FIELDS } from '../light/index.ts';
import { EFFECTS, SCHOOLS, compileRecipe, familyOf } from './index.ts';

/** A region, half of which lies in a shadow that falls on it. */
const halfShaded = (share = 0.5) => {
  const places = 100;
  const lit = Uint8Array.from(
    Array.from({ length: places }, (_, k) =>
      FIELDS.map((field) => (field === 'shadow' ? (k < share * places ? 220 : 0) : field === 'tone' ? 2 * k : 128)),
    ).flat(),
  );
  return { regions: [{ usableWidthMm: 20, areaMm2: 300, lit }], directLight: true };
};
const isCast = ({ id }: { id: string }) => id === 'cast-shadow';
const family = familyOf(['dark', 'mid', 'light'], { depth: 'deep' });

describe('a cast shadow', () => {
  it('is a layer of its own, before the shades of the form, in the deepest of the family', () => {
    for (const { id } of SCHOOLS) {
      const { layers } = compileRecipe('blend', id, family, halfShaded());
      const cast = layers.findIndex((layer) => layer.id === 'cast-shadow');
      expect(cast, id).to.be.at.least(0);
      expect(layers[cast]).to.include({ pencil: 'deep', pressure: 'light' });
      const form = layers.findIndex(({ role, zone }) => role === 'dark' && zone.field === 'tone');
      expect(form, id).to.be.above(cast);
    }
  });

  it('takes the place of traces of neighbours, but not on what mirrors', () => {
    const shown = { ...halfShaded(), shown: [{ name: 'Hut', pencil: 'mid' }] };
    const idsOf = (effect: string) =>
      compileRecipe(effect, 'base-coat-first', family, shown).layers.map(({ id }) => id);
    expect(idsOf('snow')).to.include('cast-shadow');
    expect(idsOf('snow')).to.not.include('reflected-1');
    expect(idsOf('polished-metal')).to.include('reflected-1');
    expect(idsOf('polished-metal')).to.not.include('cast-shadow');
    expect(idsOf('still-water')).to.include('reflected-1');
  });

  it('fades with the way from what casts it', () => {
    const { zone } = compileRecipe('blend', 'dark-first', family, halfShaded()).layers.find(
      ({ id }) => id === 'cast-shadow',
    )!;
    expect(zone).to.include({ field: 'shadow', to: 1 });
    expect(zone.softnessMm).to.be.above(2);
  });

  it('is whispered on what is pale in shadow too, and is none where hardly any falls', () => {
    const snow = compileRecipe('snow', 'base-coat-first', family, halfShaded()).layers;
    expect(snow.find(({ id }) => id === 'cast-shadow')).to.include({ pressure: 'whisper', pencil: 'dark' });
    const has = (regions: ReturnType<typeof halfShaded>) =>
      compileRecipe('blend', 'base-coat-first', family, regions).layers.some(isCast);
    expect(has(halfShaded(0.02))).to.equal(false);
    const unknown = { regions: [{ usableWidthMm: 20, areaMm2: 300 }], directLight: true };
    expect(compileRecipe('blend', 'base-coat-first', family, unknown).layers.some(isCast)).to.equal(false);
  });

  it('is laid in soft light too, where it lies close all round what casts it', () => {
    const soft = { ...halfShaded(), directLight: false };
    expect(compileRecipe('blend', 'base-coat-first', family, soft).layers.some(isCast)).to.equal(true);
  });

  it('is harder on a dark ground, where a soft pale one is not seen', () => {
    const on = (value: number) =>
      compileRecipe('blend', 'base-coat-first', family, { ...halfShaded(), labOf: () => [value, 0, 0] }).layers.find(
        isCast,
      )!;
    expect(on(30).zone.softnessMm).to.be.below(0.7 * on(80).zone.softnessMm);
    expect([on(30).pressure, on(80).pressure]).to.deep.equal(['medium', 'light']);
  });

  it('leaves every effect with two fields to look at, at the most', () => {
    for (const { id } of EFFECTS) {
      const { layers } = compileRecipe(id, 'base-coat-first', family, halfShaded());
      expect(new Set(layers.flatMap(({ zone }) => [zone.field, zone.and?.field ?? zone.field])).size).to.be.at.most(2);
    }
  });
});
