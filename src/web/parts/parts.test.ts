import { expect } from 'chai';
import { SCHOOLS } from '../../core/recipe/index.ts';
import { zoneWords } from './zone-words.ts';

const toned = (from: number, to: number) => ({ field: 'tone' as const, from, to, softnessMm: 1, overMm: 4 });

describe('zones in words', () => {
  it('say where a layer goes', () => {
    expect(zoneWords(toned(0, 1))).to.equal('all over');
    expect(zoneWords(toned(0, 0.18))).to.equal('only the deepest shadow');
    expect(zoneWords(toned(0, 0.34))).to.equal('the shadow');
    expect(zoneWords(toned(0, 0.68))).to.equal('shadow and middle, not the light');
    expect(zoneWords(toned(0.25, 0.92))).to.equal('from the middle into the light, up to the highlight');
    expect(zoneWords(toned(0.1, 1))).to.equal('all but the deepest shadow');
  });

  it('have words for every layer of every school', () => {
    for (const { sketch } of SCHOOLS)
      for (const layer of sketch) expect(zoneWords(toned(layer.from, layer.to))).to.match(/^[a-z ,]+$/);
  });
});
