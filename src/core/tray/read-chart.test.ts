import { expect } from 'chai';
import fc from 'fast-check';
import { type Lab, deltaE2000, labOfHex, rgbOfLab } from '../colour/index.ts';
import {
  PATCH_PASSES,
  PENCIL_TYPES,
  bareGround,
  layPasses,
  paperById,
  pencilOptics,
  whiteBook,
} from '../laydown/index.ts';
import { type RgbaImage } from '../lineart/index.ts';
import { seededRandom } from '../random/index.ts';
import { fitGrid, masstoneOfPatch, readChart } from './index.ts';

const COLOURS = ['#c8202f', '#e2702a', '#f2c21d', '#2c7f45', '#2b4fa3', '#6b3fa0'];
const GRID = { left: 0, top: 0, right: 1, bottom: 1, rows: 2, columns: 3 };

/** A chart of patches on white paper, under a light that falls off and has a colour. */
function chart(colours: readonly string[], cast: readonly number[] = [1, 1, 1], noise = 0): RgbaImage {
  const [cell, gap] = [40, 8];
  const [width, height] = [3 * cell, 2 * cell];
  const random = seededRandom(4);
  const data = new Uint8ClampedArray(4 * width * height);
  const paper = rgbOfLab(labOfHex(whiteBook.tint));
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const inside = x % cell >= gap && x % cell < cell - gap && y % cell >= gap && y % cell < cell - gap;
      const place = Math.floor(y / cell) * 3 + Math.floor(x / cell);
      const rgb = inside && colours[place] ? rgbOfLab(labOfHex(colours[place])) : paper;
      const falls = 1 - 0.15 * (x / width);
      for (let c = 0; c < 3; c++) {
        data[4 * (y * width + x) + c] = rgb[c] * (cast[c] * falls) ** (1 / 2.2) + noise * (random() - 0.5);
      }
      data[4 * (y * width + x) + 3] = 255;
    }
  }
  return { width, height, data };
}

describe('a swatch chart', () => {
  it('is read patch by patch, row by row', () => {
    const cells = readChart(chart(COLOURS), GRID, whiteBook);
    cells.forEach(({ lab, bare }, i) => {
      expect(deltaE2000(lab, labOfHex(COLOURS[i])), COLOURS[i]).to.be.below(4);
      expect(bare).to.equal(false);
    });
  });

  it('under a warm lamp that falls off is read nearly the same, by the paper between its patches', () => {
    const plain = readChart(chart(COLOURS), GRID, whiteBook);
    const warm = readChart(chart(COLOURS, [0.95, 0.85, 0.65], 6), GRID, whiteBook);
    warm.forEach(({ lab }, i) => expect(deltaE2000(lab, plain[i].lab), COLOURS[i]).to.be.below(4));
  });

  it('tells cells that hold nothing, and a patch that is uneven', () => {
    const some = readChart(chart(COLOURS.slice(0, 4)), GRID, whiteBook);
    expect(some.map(({ bare }) => bare)).to.deep.equal([false, false, false, false, true, true]);
    const noisy = readChart(chart(COLOURS, [1, 1, 1], 60), GRID, whiteBook);
    for (const { spread } of noisy) expect(spread).to.be.above(some[0].spread);
  });

  it('has a grid laid over it by itself, so that every patch is met', () => {
    const grid = fitGrid(chart(COLOURS), 2, 3, whiteBook);
    const cells = readChart(chart(COLOURS), grid, whiteBook);
    cells.forEach(({ lab }, i) => expect(deltaE2000(lab, labOfHex(COLOURS[i])), COLOURS[i]).to.be.below(5));
  });

  it('refuses a picture of a pixel and one that is all black, with a sentence', () => {
    const flat = (side: number, value: number) => ({
      width: side,
      height: side,
      data: new Uint8ClampedArray(4 * side * side).fill(value),
    });
    expect(() => readChart(flat(1, 200), GRID, whiteBook)).to.throw(RangeError, 'too small');
    expect(() => fitGrid(flat(300, 0), 2, 3, whiteBook)).to.throw(RangeError, 'No paper shows');
    for (const { bare } of readChart(flat(300, 240), GRID, whiteBook)) expect(bare).to.equal(true);
  });

  it('refuses a grid that is none, too fine or beside the picture', () => {
    const image = chart(COLOURS);
    for (const wrong of [
      { rows: 0 },
      { columns: 2.5 },
      { rows: 100, columns: 100 },
      { left: 0.9, right: 0.2 },
      { bottom: 1.4 },
    ])
      expect(() => readChart(image, { ...GRID, ...wrong }, whiteBook), JSON.stringify(wrong)).to.throw(RangeError);
  });
});

describe('the masstone behind a patch', () => {
  it('is what lays that patch, for every type, paper and way of laying, where any does', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...COLOURS),
        fc.constantFrom(...PENCIL_TYPES),
        fc.constantFrom('medium' as const, 'firm' as const, 'full' as const),
        fc.constantFrom('white-book', 'cream-sheet'),
        (colour, { id: type }, patch, paperId) => {
          const paper = paperById(paperId);
          const lay = (masstone: Lab) =>
            layPasses(
              bareGround(paper),
              PATCH_PASSES[patch].map((pressure) => ({ pencil: pencilOptics({ masstone, type }), pressure })),
            ).lab;
          const seen = lay(labOfHex(colour));
          expect(deltaE2000(lay(masstoneOfPatch(seen, patch, type, paper)), seen)).to.be.below(2);
        },
      ),
      { numRuns: 40 },
    );
  });
});
