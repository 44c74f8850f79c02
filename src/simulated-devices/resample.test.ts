import { expect } from 'chai';
import fc from 'fast-check';
import { quietRun } from '../core/run/index.ts';
import { type Picture, resample } from './resample.ts';

const picture = (width: number, height: number): Picture => ({
  width,
  height,
  data: Uint8Array.from({ length: 3 * width * height }, (_, i) => (i * 37) % 251),
});
const clear = {
  beside: [9, 8, 7] as const,
  noise: 0,
  random: () => 0.5,
  shade: (_x: number, _y: number, into: [number, number, number]) => void into.fill(1),
};
const lay = (from: Picture, dx: number, dy: number, look = clear) =>
  resample(from, from, (x, y, into) => Object.assign(into, { x: x + dx, y: y + dy }), look, quietRun, 'laying');

describe('a picture laid anew', () => {
  it('where it was is as it was, but for the last row and column, which have nothing beside them', async () => {
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 2, max: 12 }), fc.integer({ min: 2, max: 12 }), async (w, h) => {
        const from = picture(w, h);
        const { data } = await lay(from, 0, 0);
        for (let y = 0; y < h - 1; y++)
          for (let x = 0; x < w - 1; x++) expect(data[3 * (y * w + x)]).to.equal(from.data[3 * (y * w + x)]);
      }),
    );
  });

  it('shows what lies beside it where it was moved away', async () => {
    const { data } = await lay(picture(8, 8), 20, 0);
    expect([...data.subarray(0, 6)]).to.deep.equal([9, 8, 7, 9, 8, 7]);
  });

  it('is mixed of its neighbours where it lies between pixels', async () => {
    const from = {
      width: 3,
      height: 2,
      data: Uint8Array.from([0, 0, 0, 100, 100, 100, 200, 200, 200, 0, 0, 0, 100, 100, 100, 200, 200, 200]),
    };
    const { data } = await lay(from, 0.5, 0);
    expect([...data.subarray(0, 3)]).to.deep.equal([50, 50, 50]);
  });

  it('is darkened by the light and never leaves 0 to 255', async () => {
    const half = { ...clear, shade: (_x: number, _y: number, into: [number, number, number]) => void into.fill(0.5) };
    const from = picture(6, 6);
    const { data } = await lay(from, 0, 0, half);
    expect(data[3]).to.equal(Math.floor(from.data[3] / 2));
    let state = 1;
    const noisy = { ...clear, noise: 400, random: () => ((state = (state * 16807) % 2147483647) - 1) / 2147483646 };
    const { data: wild } = await lay(from, 0, 0, noisy);
    expect(new Set(wild).has(0) && new Set(wild).has(255)).to.equal(true);
  });
});
