import { expect } from 'chai';
import fc from 'fast-check';
import { type RgbImage, findRegions, inkOfPage } from './index.ts';

const [WIDTH, HEIGHT] = [480, 240];

/** Four cells in a row within black outlines, each filled with a colour, on paper of a tint. */
function page(
  fills: readonly (readonly [number, number, number] | null)[],
  paper = [250, 248, 244],
  ink = [20, 20, 20],
): RgbImage {
  const data = new Uint8Array(3 * WIDTH * HEIGHT);
  for (let y = 0, i = 0; y < HEIGHT; y++) {
    for (let x = 0; x < WIDTH; x++, i += 3) {
      const [gx, gy] = [x - 38, y - 38];
      const inside = gx >= 0 && gy >= 0 && gx < 404 && gy < 164;
      const line = inside && (gx % 100 < 4 || gy < 4 || gy >= 160);
      const fill = inside ? fills[Math.floor(gx / 100)] : null;
      // Pencil grain: every fourth pixel or so stays paper.
      const laid = fill && (x * 7 + y * 13) % 4 !== 0 ? fill : paper;
      data.set(line ? ink : laid, i);
    }
  }
  return { width: WIDTH, height: HEIGHT, data };
}

const found = async (rgb: RgbImage) => (await findRegions(inkOfPage(rgb).grey, { pixelsPerMm: 10 })).regions.length;

describe('a part-coloured page', () => {
  it('has the regions of the bare page, whatever it was coloured with', async () => {
    const colour = fc.constantFrom(
      ...([
        [200, 60, 40],
        [60, 120, 70],
        [70, 90, 170],
        [230, 190, 60],
        [130, 60, 120],
        [120, 80, 45],
      ] as const),
    );
    await fc.assert(
      fc.asyncProperty(fc.array(fc.option(colour), { minLength: 4, maxLength: 4 }), async (fills) => {
        expect(await found(page(fills))).to.equal(4);
      }),
      { numRuns: 12 },
    );
  });

  it('says how much of it is coloured', () => {
    expect(inkOfPage(page([null, null, null, null])).coloured).to.equal(0);
    const half = inkOfPage(page([[200, 60, 40], [70, 90, 170], null, null])).coloured;
    expect(half).to.be.within(0.22, 0.34);
  });

  it('is not taken for coloured because its paper is cream or a lamp is warm', () => {
    expect(inkOfPage(page([null, null, null, null], [236, 214, 170])).coloured).to.equal(0);
  });

  it('keeps coloured outlines as ink', async () => {
    const brown = page([null, null, null, null], undefined, [106, 64, 32]);
    expect(inkOfPage(brown).coloured).to.equal(0);
    expect(await found(brown)).to.equal(4);
  });

  it('of the wrong size is refused', () => {
    expect(() => inkOfPage({ width: 4, height: 4, data: new Uint8Array(3) })).to.throw(RangeError, 'fewer pixels');
  });
});
