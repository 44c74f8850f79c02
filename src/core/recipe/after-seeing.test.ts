import { expect } from 'chai';
import { labOfHex } from '../colour/index.ts';
import { bareGround, pencilOptics, whiteBook } from '../laydown/index.ts';
import { afterSeeing, compileRecipe, familyOf, handAfterSeeing, withEdits } from './index.ts';

const optics = new Map(
  [
    ['night', '#22315f'],
    ['blue', '#4f6bb0'],
    ['sky', '#b5d4ea'],
  ].map(([id, hex]) => [id, pencilOptics({ masstone: labOfHex(hex), type: 'oil' })]),
);
const family = familyOf(['night', 'blue', 'sky']);
const recipe = compileRecipe('blend', 'light-to-dark', family, { regions: [{ usableWidthMm: 14, areaMm2: 300 }] });
const ground = bareGround(whiteBook);
const pressOf = (look: 'darker' | 'paler') => {
  const { edits } = afterSeeing(recipe, 2, look, optics, ground);
  const weights = { whisper: 0.1, light: 0.25, medium: 0.5, firm: 0.8, burnish: 1 };
  const laid = ({ layers }: typeof recipe) =>
    layers.slice(2).reduce((sum, { passes, pressure }) => sum + passes * weights[pressure], 0);
  return laid(withEdits(recipe, edits)) - laid(recipe);
};

describe('layers left after the first ones were seen', () => {
  it('press less in all where those came out darker, and more where they came out paler', () => {
    expect(pressOf('darker')).to.be.below(0);
    expect(pressOf('paler')).to.be.above(0);
  });

  it('bring the end nearer to what was planned than if nothing were changed, and never touch what is laid', () => {
    for (const look of ['darker', 'paler', 'patchy'] as const) {
      for (const laid of [1, 2]) {
        const { edits, apartIfLeft, apartThen } = afterSeeing(recipe, laid, look, optics, ground);
        // Closing what is patchy is worth a little even where the colour would do without.
        expect(apartThen, `${look} ${laid}`).to.be.at.most(apartIfLeft + (look === 'patchy' ? 1.5 : 0));
        const after = withEdits(recipe, edits).layers;
        expect(after.slice(0, laid)).to.deep.equal(recipe.layers.slice(0, laid));
      }
    }
  });

  it('begin with a light closing layer in small circles where those look patchy', () => {
    const { edits } = afterSeeing(recipe, 1, 'patchy', optics, ground);
    const next = withEdits(recipe, edits).layers[1];
    expect(next).to.include({ pencil: recipe.layers[0].pencil, pressure: 'light', stroke: 'small circles' });
  });

  it('teach the hand: heavier where it came out darker, lighter where paler, held towards what is known', () => {
    const layers = recipe.layers.slice(0, 1);
    const { pressure } = layers[0];
    expect(handAfterSeeing(layers, 'darker', optics, whiteBook)[pressure]).to.be.within(1.05, 1.35);
    expect(handAfterSeeing(layers, 'paler', optics, whiteBook)[pressure]).to.be.within(0.7, 0.97);
  });

  it('need a layer that is laid', () => {
    expect(() => afterSeeing(recipe, 0, 'darker', optics, ground)).to.throw(RangeError, 'Nothing is laid');
  });
});
