import { expect } from 'chai';
import { SCHOOLS } from '../../core/recipe/index.ts';
import { zoneWords } from './zone-words.ts';

describe('zones in words', () => {
  it('say where a layer goes', () => {
    expect(zoneWords({ from: 0, to: 1 })).to.equal('all over');
    expect(zoneWords({ from: 0, to: 0.18 })).to.equal('only the deepest shadow');
    expect(zoneWords({ from: 0, to: 0.34 })).to.equal('the shadow');
    expect(zoneWords({ from: 0, to: 0.68 })).to.equal('shadow and middle, not the light');
    expect(zoneWords({ from: 0.25, to: 0.92 })).to.equal('from the middle into the light, up to the highlight');
    expect(zoneWords({ from: 0.1, to: 1 })).to.equal('all but the deepest shadow');
  });

  it('have words for every layer of every school', () => {
    for (const { sketch } of SCHOOLS) for (const layer of sketch) expect(zoneWords(layer)).to.match(/^[a-z ,]+$/);
  });
});
