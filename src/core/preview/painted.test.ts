import { expect } from 'chai';
import { LINEAR_LIGHTS, labOfHex, rgbOfLab } from '../colour/index.ts';
import { PAPERS, bareGround, pencilOptics, whiteBook } from '../laydown/index.ts';
import { compileRecipe, familyOf, layersFor } from '../recipe/index.ts';
import { grainOf, grainTile } from './grain.ts';
import { DRAWN, STROKE_STEPS, specksUnderStrokes, strokeTile } from './strokes.ts';
import { fieldsOfTone } from './test/fields-of-tone.ts';
import { type PreviewSource, TONE_STEPS, rampStrip, renderPreview, toneTables } from './index.ts';

const hexes = ['#3d2a22', '#c6913a', '#f3e7b9'];
const optics = new Map(hexes.map((hex) => [hex, pencilOptics({ masstone: labOfHex(hex), type: 'wax' })]));
const recipe = compileRecipe('blend', 'dark-first', familyOf(hexes), { regions: [{ usableWidthMm: 8, areaMm2: 60 }] });
const paper = rgbOfLab(labOfHex(whiteBook.tint));
const tables = toneTables(recipe.layers, optics, bareGround(whiteBook));

/** Two regions side by side, tone rising from left to right. */
const source: PreviewSource = {
  width: 80,
  height: 50,
  pixelsPerMm: 10,
  labels: Uint16Array.from({ length: 4000 }, (_, i) => (i % 80 < 40 ? 1 : 2)),
  fields: fieldsOfTone(Uint8Array.from({ length: 4000 }, (_, i) => (i % 80) * 3)),
  paper,
  grainMm: whiteBook.grainMm,
  tables: [null, tables.at(-1)!, null],
};
const whole = renderPreview(source);

describe('a preview', () => {
  it('has the same mean in light however many pixels it is painted with', () => {
    const meanAt = (step: number) => {
      const [width, height] = [Math.ceil(80 / step), Math.ceil(50 / step)];
      const at =
        <T extends ArrayLike<number>>(field: T) =>
        (_: unknown, i: number) =>
          field[step * Math.floor(i / width) * 80 + step * (i % width)];
      const { data } = renderPreview({
        ...source,
        width,
        height,
        pixelsPerMm: 10 / step,
        labels: Uint16Array.from({ length: width * height }, at(source.labels)),
        fields: fieldsOfTone(Uint8Array.from({ length: width * height }, at(source.fields.tone!))),
      });
      let sum = 0;
      for (let p = 1; p < data.length; p += 4) sum += LINEAR_LIGHTS[data[p]];
      return sum / (data.length / 4);
    };
    for (const step of [2, 5]) expect(meanAt(step)).to.be.closeTo(meanAt(1), 0.02 * meanAt(1));
  });

  it('is bare paper in regions that nothing is laid on', () => {
    for (let y = 0; y < 50; y += 7) {
      const p = 4 * (y * 80 + 60);
      expect([...whole.data.subarray(p, p + 3)]).to.deep.equal(paper.map(Math.round));
    }
  });

  it('is opaque everywhere', () => {
    for (let p = 3; p < whole.data.length; p += 4) expect(whole.data[p]).to.equal(255);
  });
});

describe('tone tables', () => {
  it('of more layers begin like those of fewer: a prefix is a prefix', () => {
    const fewer = toneTables(recipe.layers.slice(0, 2), optics, bareGround(whiteBook));
    fewer.forEach((table, i) => {
      expect([...table.light]).to.deep.equal([...tables[i].light]);
      expect([...table.specks]).to.deep.equal([...tables[i].specks]);
    });
  });

  it('close specks layer by layer at every tone, on every paper', () => {
    for (const on of PAPERS) {
      const built = toneTables(recipe.layers, optics, bareGround(on));
      for (let i = 1; i < built.length; i++) {
        for (let t = 0; t < TONE_STEPS; t++) expect(built[i].specks[t], on.id).to.be.at.most(built[i - 1].specks[t]);
      }
    }
  });

  it('of a narrow region leave out what it has no room for', () => {
    const narrow = toneTables(layersFor(recipe, 1), optics, bareGround(whiteBook));
    expect(narrow.length).to.be.below(tables.length);
  });

  it('need every pencil', () => {
    expect(() => toneTables(recipe.layers, new Map(), bareGround(whiteBook))).to.throw(RangeError, 'not in the tray');
  });
});

describe('the passage of a recipe', () => {
  it('runs from dark at the left to light at the right', () => {
    const { data, width, height } = rampStrip(tables.at(-1)!, { rgb: paper, grainMm: 0.1 }, { width: 120, height: 30 });
    const mean = (from: number, to: number) => {
      let sum = 0;
      for (let y = 0; y < height; y++) for (let x = from; x < to; x++) sum += data[4 * (y * width + x) + 1];
      return sum / ((to - from) * height);
    };
    expect(mean(0, 30)).to.be.below(mean(45, 75));
    expect(mean(45, 75)).to.be.below(mean(90, 120));
  });
});

describe('strokes in the grain', () => {
  const { layers } = recipe;
  const runOf = (direction: 'level' | 'upright' | undefined) => {
    const own = layers.map((layer) => ({ ...layer, direction, pressure: 'light' as const, passes: 1 }));
    const [, table] = toneTables(own, optics, bareGround(whiteBook));
    const size = 120;
    const { data } = renderPreview({
      width: size,
      height: size,
      pixelsPerMm: 11,
      paper,
      grainMm: 0.005,
      tables: [null, table],
      labels: new Uint16Array(size * size).fill(1),
      fields: fieldsOfTone(new Uint8Array(size * size).fill(20)),
    });
    let [across, down] = [0, 0];
    for (let y = 0; y < size - 1; y++) {
      for (let x = 0; x < size - 1; x++) {
        const at = 4 * (y * size + x);
        across += Math.abs(data[at + 1] - data[at + 5]);
        down += Math.abs(data[at + 1] - data[at + 4 * size + 1]);
      }
    }
    return down / across;
  };

  it('run the way that the last layer says: level ones change less across than down, upright ones the other way', () => {
    expect(runOf('level')).to.be.above(1.1);
    expect(runOf('upright')).to.be.below(0.9);
  });

  it('leave every colour as it is on average: as many specks are closed as opened', () => {
    const strokes = strokeTile();
    for (const pixelsPerMm of [1, 4, 12]) {
      const under = specksUnderStrokes(pixelsPerMm);
      for (const specks of [10, 60, 128, 220]) {
        const mean = strokes.reduce((sum, step) => sum + under[specks * STROKE_STEPS + step], 0) / strokes.length;
        expect(mean, `${specks} at ${pixelsPerMm}`).to.be.closeTo(specks, 0.6);
      }
    }
  });

  it('come in every way that layers name', () => {
    expect(new Set(tables.map(({ drawn }) => drawn)).size).to.be.at.least(1);
    for (const { drawn } of tables) expect(DRAWN).to.include(drawn);
  });

  it('lie on a tooth whose every height is as common as any other', () => {
    const tile = grainTile();
    for (const threshold of [40, 128, 210]) {
      const below = tile.reduce((n, value) => n + (value < threshold ? 1 : 0), 0);
      expect(below / tile.length).to.be.closeTo(threshold / 256, 0.01);
    }
    expect(grainOf(0.1, 10).stride).to.be.above(grainOf(0.35, 10).stride);
  });
});
