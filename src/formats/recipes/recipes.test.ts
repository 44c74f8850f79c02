import { expect } from 'chai';
import { fileOf } from '../file-format.ts';
import { RECIPE_FORMATS, readRecipe } from './index.ts';

const card = {
  name: 'Brass / by hand',
  card: {
    effect: 'polished-metal',
    school: 'base-coat-first',
    pencils: 4,
    edits: { layers: { shadow: { passes: 3 } }, order: ['light', 'shadow'] },
  },
};

describe('recipe files', () => {
  it('hold everything of a card, under a name that every desk can write', () => {
    const { name, text } = fileOf(card.name, card, RECIPE_FORMATS[0]);
    expect(name).to.equal('Brass   by hand.json');
    expect(readRecipe(text)).to.deep.equal(card);
    expect(readRecipe(`\uFEFF${text}`)).to.deep.equal(card);
  });

  it('that are broken, of another kind or from a later version are refused with a sentence', () => {
    const { text } = fileOf(card.name, card, RECIPE_FORMATS[0]);
    const other = (change: object) => JSON.stringify({ ...JSON.parse(text), ...change });
    for (const [bad, sentence] of [
      [text.slice(0, 40), 'broken off'],
      [other({ kind: 'harmonie palette' }), 'no recipe'],
      [other({ version: 2 }), 'no recipe'],
      [other({ card: { ...card.card, effect: 'plaid' } }), 'no effect called'],
      [other({ card: { ...card.card, school: 'backwards' } }), 'no school'],
      [other({ card: { ...card.card, edits: { layers: { shadow: { passes: 40 } } } } }), 'at most six times'],
    ]) {
      expect(() => readRecipe(bad), bad).to.throw(RangeError, sentence);
    }
  });
});
