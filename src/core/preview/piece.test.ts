import { expect } from 'chai';
import { LINEAR_LIGHTS, labOfHex, rgbOfLab } from '../colour/index.ts';
import { bareGround, pencilOptics, whiteBook } from '../laydown/index.ts';
import { compileRecipe, familyOf } from '../recipe/index.ts';
import { fieldsOfTone } from './test/fields-of-tone.ts';
import { type PreviewSource, pieceOf, renderPreview, toneTables } from './index.ts';

const blue = pencilOptics({ masstone: labOfHex('#2b4fa3'), type: 'oil' });
const recipe = compileRecipe('blend', 'base-coat-first', familyOf(['blue']), {
  regions: [{ usableWidthMm: 6, areaMm2: 40 }],
});
const table = toneTables(recipe.layers, new Map([['blue', blue]]), bareGround(whiteBook)).at(-1)!;
const side = 120;
/** Twelve mm of a page: a coloured half with a line of half a mm down its middle, and a bare half. */
const page: PreviewSource = {
  width: side,
  height: side,
  pixelsPerMm: 10,
  paper: rgbOfLab(labOfHex(whiteBook.tint)),
  grainMm: 0.1,
  labels: Uint16Array.from({ length: side * side }, (_, i) => (i % side < 60 ? 1 : 2)),
  fields: fieldsOfTone(new Uint8Array(side * side).fill(90)),
  tables: [null, table, null],
  ink: {
    share: Uint8Array.from({ length: side * side }, (_, i) => (i % side >= 28 && i % side < 33 ? 255 : 0)),
    reflects: 0.0115,
    tables: null,
  },
};

describe('a piece of a page', () => {
  it('is as large as asked, and shows what lies there', () => {
    const piece = renderPreview(pieceOf(page, { left: 6.5, top: 2, widthMm: 4, heightMm: 3 }, 30));
    expect([piece.width, piece.height]).to.deep.equal([120, 90]);
    const bare = page.paper.map(Math.round);
    expect([...piece.data.subarray(0, 3)]).to.deep.equal(bare);
  });

  it('has lines as wide as the page has, at any resolution', () => {
    for (const pixelsPerMm of [5, 10, 23.6, 40]) {
      const { data, width } = renderPreview(pieceOf(page, { left: 0, top: 5, widthMm: 6, heightMm: 1 }, pixelsPerMm));
      let dark = 0;
      for (let x = 0; x < width; x++) dark += Number(LINEAR_LIGHTS[data[4 * x + 2]] < 0.08);
      expect(dark / pixelsPerMm, `${pixelsPerMm} a mm`).to.be.within(0.4, 0.62);
    }
  });

  it('has light that goes evenly, however coarsely it was worked out', () => {
    const tone = Uint8Array.from({ length: 24 * 24 }, (_, i) => 10 * (i % 24));
    const lit = { width: 24, height: 24, pixelsPerMm: 2, fields: fieldsOfTone(tone) };
    const { fields, width } = pieceOf(page, { left: 3, top: 5, widthMm: 6, heightMm: 1 }, 30, lit);
    const steps = Array.from({ length: width - 1 }, (_, x) => fields.tone![x + 1] - fields.tone![x]);
    expect(Math.max(...steps)).to.be.at.most(1);
    expect(Math.min(...steps)).to.be.at.least(0);
  });

  it('without a pixel is refused', () => {
    expect(() => pieceOf(page, { left: 0, top: 0, widthMm: 0.01, heightMm: 5 }, 10)).to.throw(RangeError, 'one pixel');
  });
});
