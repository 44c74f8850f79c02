import { expect } from 'chai';
import { type Lab, deltaE2000, labOfHex, labOfRgb, rgbOfLab } from '../colour/index.ts';
import { bareGround, layPasses, pencilOptics, whiteBook } from '../laydown/index.ts';
import { compileRecipe, familyOf } from '../recipe/index.ts';
import { fieldsOfTone } from './test/fields-of-tone.ts';
import { grainOf } from './grain.ts';
import { pigmentShare } from './shade.ts';
import { TONE_STEPS, laydownStrip, renderPreview, toneTables, wheelDisc } from './index.ts';

const blue = pencilOptics({ masstone: labOfHex('#2b4fa3'), type: 'oil' });
const optics = new Map([['blue', blue]]);
const family = familyOf(['blue', 'blue', 'blue']);
const recipe = compileRecipe('blend', 'base-coat-first', family, { regions: [{ usableWidthMm: 6, areaMm2: 40 }] });
const ground = bareGround(whiteBook);
const paper = rgbOfLab(labOfHex(whiteBook.tint));

/** The colour seen from afar: pixels averaged in linear light would be right for a lamp; print is judged by the mean of its coded values here. */
function meanLab(data: Uint8ClampedArray): Lab {
  const sums = [0, 0, 0];
  for (let i = 0; i < data.length; i += 4) for (let c = 0; c < 3; c++) sums[c] += data[i + c];
  return labOfRgb(sums.map((sum) => (4 * sum) / data.length) as unknown as Lab);
}

function square(side: number, tone: number, table: ReturnType<typeof toneTables>[number] | null) {
  const cells = side * side;
  const labels = new Uint16Array(cells).fill(1);
  return renderPreview({
    width: side,
    height: side,
    pixelsPerMm: 11,
    labels,
    fields: fieldsOfTone(new Uint8Array(cells).fill(tone)),
    paper,
    tables: [null, table],
  });
}

describe('the preview', () => {
  const paperGrain = grainOf('slanted');

  it('shows pigment over exactly the share that is covered, however many specks are left', () => {
    for (let specks = 0; specks <= 256; specks += 4) {
      const mean = paperGrain.reduce((sum, grain) => sum + pigmentShare(grain + 0.5, specks), 0) / paperGrain.length;
      expect(mean, `${specks} of 256`).to.be.closeTo(1 - specks / 256, 0.006);
    }
  });

  it('has a grain whose every threshold covers exactly its share', () => {
    for (const threshold of [32, 128, 200]) {
      const below = paperGrain.reduce((n, value) => n + (value < threshold ? 1 : 0), 0);
      expect(below / paperGrain.length).to.be.closeTo(threshold / 256, 0.01);
    }
  });

  it('has, on average, the colour that the layer model predicts', () => {
    const oneLayer = [{ ...recipe.layers[0], pressure: 'medium' as const }];
    const table = toneTables(oneLayer, optics, ground)[1];
    const expected = layPasses(ground, [{ pencil: blue, pressure: 'medium' }]).lab;
    expect(deltaE2000(meanLab(square(256, 128, table).data), expected)).to.be.below(2.5);
  });

  it('shows bare paper where nothing is laid', () => {
    const { data } = square(8, 128, null);
    expect([...data.subarray(0, 4)]).to.deep.equal([...paper.map(Math.round), 255]);
    const none = toneTables(recipe.layers, optics, ground)[0];
    expect(deltaE2000(meanLab(square(64, 10, none).data), labOfHex(whiteBook.tint))).to.be.below(0.5);
  });

  it('has one table for each number of layers laid, darker in shadow than in light', () => {
    const tables = toneTables(recipe.layers, optics, ground);
    expect(tables).to.have.length(recipe.layers.length + 1);
    const last = tables.at(-1)!;
    expect(last.specks[0]).to.be.below(last.specks[TONE_STEPS - 1]);
  });

  it('lets what covers show over a printed line, and what is clear hardly at all', () => {
    const line = bareGround({ ...whiteBook, tint: '#1c1b1a' });
    const over = (type: 'wax' | 'oil', opacity: number) => {
      const pencil = pencilOptics({ masstone: labOfHex('#f3e7b9'), type, opacity });
      const firm = Array.from({ length: 3 }, () => ({ pencil, pressure: 'firm' as const }));
      return layPasses(line, firm).lab[0] - labOfHex('#1c1b1a')[0];
    };
    expect(over('wax', 0.9)).to.be.above(10);
    expect(over('oil', 0.1)).to.be.below(0.6 * over('wax', 0.9));
  });

  it('draws a strip that runs from pale to full', () => {
    const { data } = laydownStrip(blue, whiteBook, { width: 120, height: 40 });
    const column = (from: number, to: number) => {
      const cells: number[] = [];
      for (let y = 8; y < 32; y++)
        for (let x = from; x < to; x++) cells.push(...data.subarray(4 * (y * 120 + x), 4 * (y * 120 + x) + 4));
      return meanLab(Uint8ClampedArray.from(cells))[0];
    };
    expect(column(90, 112)).to.be.below(column(50, 70));
    expect(column(50, 70)).to.be.below(column(8, 28));
  });

  it('draws a wheel with yellow at the top and violet below, round and clear outside', () => {
    const { data, width } = wheelDisc(whiteBook, 200);
    const at = (x: number, y: number) =>
      labOfRgb([...data.subarray(4 * (y * width + x), 4 * (y * width + x) + 3)] as unknown as Lab);
    expect(data[3]).to.equal(0);
    expect(at(100, 12)[2]).to.be.above(30);
    expect(at(100, 187)[0]).to.be.below(at(100, 12)[0]);
  });
});
