import { expect } from 'chai';
import {
  LINEAR_LIGHTS,
  type Lab,
  type Rgb,
  gammaEncode,
  deltaE2000,
  labOfHex,
  labOfRgb,
  rgbOfLab,
} from '../colour/index.ts';
import { PAPERS, bareGround, inkGround, layPasses, pencilOptics, whiteBook } from '../laydown/index.ts';
import { compileRecipe, familyOf } from '../recipe/index.ts';
import { fieldsOfTone } from './test/fields-of-tone.ts';
import { grainOf, grainTile } from './grain.ts';
import { spreadOfShare } from './grain-spread.ts';
import { type PrintedInk, TONE_STEPS, laydownStrip, renderPreview, toneTables, wheelDisc } from './index.ts';

const blue = pencilOptics({ masstone: labOfHex('#2b4fa3'), type: 'oil' });
const optics = new Map([['blue', blue]]);
const family = familyOf(['blue', 'blue', 'blue']);
const recipe = compileRecipe('blend', 'base-coat-first', family, { regions: [{ usableWidthMm: 6, areaMm2: 40 }] });
const ground = bareGround(whiteBook);
const paper = rgbOfLab(labOfHex(whiteBook.tint));

/** The colour seen from afar: the mean of all pixels' light. */
function meanLab(data: Uint8ClampedArray): Lab {
  const sums = [0, 0, 0];
  for (let i = 0; i < data.length; i += 4) for (let c = 0; c < 3; c++) sums[c] += LINEAR_LIGHTS[data[i + c]];
  return labOfRgb(sums.map((sum) => gammaEncode((4 * sum) / data.length)) as unknown as Rgb);
}

type Table = ReturnType<typeof toneTables>[number];

function square(
  side: number,
  tone: number,
  table: Table | null,
  { pixelsPerMm = 11, grainMm = whiteBook.grainMm, ink = null as PrintedInk | null, rgb = paper } = {},
) {
  const cells = side * side;
  return renderPreview({
    width: side,
    height: side,
    pixelsPerMm,
    paper: rgb,
    grainMm,
    ink,
    labels: new Uint16Array(cells).fill(1),
    fields: fieldsOfTone(new Uint8Array(cells).fill(tone)),
    tables: [null, table],
  });
}

describe('the preview', () => {
  const oneLayer = [{ ...recipe.layers[0], pressure: 'medium' as const }];

  it('shows pigment over exactly the share that is covered, however many specks are left and however small it is shown', () => {
    const tile = grainTile();
    for (const pixelsPerMm of [20, 10, 3, 1]) {
      const { shares } = grainOf(0.2, pixelsPerMm);
      for (let specks = 0; specks < 256; specks += 15) {
        const mean = tile.reduce((sum, value) => sum + shares[(specks << 8) | value], 0) / tile.length / 256;
        expect(mean, `${specks} of 256 at ${pixelsPerMm}`).to.be.closeTo(1 - specks / 256, 0.006);
      }
    }
  });

  it('varies as the mean of as many specks does that a pixel covers', () => {
    // Squares of the tile's own specks, averaged, against what is foretold of them.
    const tile = grainTile();
    const side = Math.sqrt(tile.length);
    for (const [covered, pixel] of [
      [0.5, 2],
      [0.5, 6],
      [0.9, 3],
      [0.2, 4],
    ]) {
      const n = 4 * pixel;
      const means: number[] = [];
      for (let y = 0; y + n <= side; y += n) {
        for (let x = 0; x + n <= side; x += n) {
          let sum = 0;
          for (let v = 0; v < n; v++) {
            for (let u = 0; u < n; u++) sum += Number(tile[(y + v) * side + x + u] >= 256 * (1 - covered));
          }
          means.push(sum / n / n);
        }
      }
      const mean = means.reduce((sum, value) => sum + value, 0) / means.length;
      const spread = Math.sqrt(means.reduce((sum, value) => sum + (value - mean) ** 2, 0) / means.length);
      expect(spreadOfShare(pixel)(covered) / spread, `${covered} at ${pixel}`).to.be.closeTo(1, 0.1);
    }
  });

  it('has, on average, the colour that the layer model predicts, on every paper and at every size', () => {
    for (const on of PAPERS) {
      const [, table] = toneTables(oneLayer, optics, bareGround(on));
      const expected = layPasses(bareGround(on), [{ pencil: blue, pressure: 'medium' }]).lab;
      const rgb = rgbOfLab(labOfHex(on.tint));
      for (const pixelsPerMm of [20, 11, 3, 1]) {
        const { data } = square(256, 128, table, { pixelsPerMm, grainMm: on.grainMm, rgb });
        expect(deltaE2000(meanLab(data), expected), `${on.id} at ${pixelsPerMm}`).to.be.below(1);
      }
    }
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

  it('leaves a printed line as dark as it is printed, a little lighter under what covers', () => {
    const line = inkGround(whiteBook);
    const own = (type: 'wax' | 'oil', opacity: number) => {
      const pencil = pencilOptics({ masstone: labOfHex('#f3e7b9'), type, opacity });
      const layers = Array.from({ length: 3 }, () => ({ ...oneLayer[0], pressure: 'firm' as const }));
      const known = new Map([['blue', pencil]]);
      return [ground, line].map((on) => toneTables(layers, known, on).at(-1)!);
    };
    const lightness = ([onPaper, onInk]: Table[]) => {
      const ink = { share: new Uint8Array(1024).fill(255), reflects: 0.0115, tables: [null, onInk] };
      return meanLab(square(32, 128, onPaper, { ink }).data)[0];
    };
    const bare = meanLab(
      square(32, 128, null, { ink: { share: new Uint8Array(1024).fill(255), reflects: 0.0115, tables: null } }).data,
    )[0];
    const [covering, clear] = [lightness(own('wax', 0.9)), lightness(own('oil', 0.1))];
    expect(clear - bare).to.be.within(0, 3);
    expect(covering - bare).to.be.within(clear - bare, 9);
  });

  it('mixes ink and colour by area, in light: never lighter than the lighter, and half a line half way between', () => {
    const [, table] = toneTables(oneLayer, optics, ground);
    const light = (share: number) => {
      const ink = { share: new Uint8Array(4096).fill(share), reflects: 0.0115, tables: null };
      const { data } = square(64, 128, table, { ink });
      let sum = 0;
      for (let p = 1; p < data.length; p += 4) sum += LINEAR_LIGHTS[data[p]];
      return sum / 4096;
    };
    expect(light(128)).to.be.closeTo((light(0) + light(255)) / 2, 0.01);
    expect(light(60)).to.be.below(light(0));
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
