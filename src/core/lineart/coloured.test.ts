import { expect } from 'chai';
import fc from 'fast-check';
import { deltaE2000, labOfRgb } from '../colour/index.ts';
import { type RgbImage, findRegions, inkOfPage, readSeen } from './index.ts';

/** How the cells lie on a page: its size, their margin and height, and that one pixel in so many stays paper. */
const ROOMY = { width: 480, height: 240, margin: 38, high: 164, bare: 4 };
const { width: WIDTH, height: HEIGHT } = ROOMY;
const CROWDED = { width: 420, height: 184, margin: 8, high: 168, bare: 23 };

/** Four cells in a row within black outlines, each filled with a colour, on paper of a tint. */
function page(
  fills: readonly (readonly [number, number, number] | null)[],
  paper: readonly number[] = [250, 248, 244],
  ink = [20, 20, 20],
  { width, height, margin, high, bare } = ROOMY,
): RgbImage {
  const data = new Uint8Array(3 * width * height);
  for (let y = 0, i = 0; y < height; y++) {
    for (let x = 0; x < width; x++, i += 3) {
      const [gx, gy] = [x - margin, y - margin];
      const inside = gx >= 0 && gy >= 0 && gx < 404 && gy < high;
      const line = inside && (gx % 100 < 4 || gy < 4 || gy >= high - 4);
      const fill = inside ? fills[Math.floor(gx / 100)] : null;
      const laid = fill && (x * 7 + y * 13) % bare !== 0 ? fill : paper;
      data.set(line ? ink : laid, i);
    }
  }
  return { width, height, data };
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

  it('that is coloured for the most part is read as such, dark or pale, on white or on cream', async () => {
    const fills = [
      [
        [200, 60, 40],
        [60, 120, 70],
        [70, 90, 170],
        [230, 190, 60],
      ],
      [
        [40, 50, 90],
        [40, 50, 90],
        [45, 60, 110],
        [45, 60, 110],
      ],
      [
        [180, 190, 220],
        [160, 180, 230],
        [170, 160, 210],
        [150, 190, 210],
      ],
    ] as const;
    for (const own of fills) {
      for (const paper of [
        [250, 248, 244],
        [226, 205, 170],
      ]) {
        const rgb = page(own, paper, [20, 20, 20], CROWDED);
        const map = await findRegions(inkOfPage(rgb).grey, { pixelsPerMm: 10 });
        expect(map.regions).to.have.length(4);
        expect(inkOfPage(rgb).coloured).to.be.above(0.7);
        const { grounds, paper: bare } = readSeen(rgb, map);
        expect(deltaE2000(bare, labOfRgb(paper as [number, number, number]))).to.be.below(11);
        for (const { region, kind, lab } of grounds) {
          const column = Math.floor((map.regions[region - 1].pole.x * 10 - 8) / 100);
          expect(kind).to.equal('coloured');
          expect(deltaE2000(lab, labOfRgb(own[column]))).to.be.below(13);
        }
        expect(grounds.length).to.be.at.least(3);
      }
    }
  });

  it('is not taken for coloured because its paper is cream or a lamp is warm', () => {
    expect(inkOfPage(page([null, null, null, null], [236, 214, 170])).coloured).to.equal(0);
  });

  it('keeps coloured outlines as ink', async () => {
    const brown = page([null, null, null, null], undefined, [106, 64, 32]);
    expect(inkOfPage(brown).coloured).to.equal(0);
    expect(await found(brown)).to.equal(4);
  });

  it('keeps a grey that was printed under the lines apart from the ink, however dark, in uneven light too', async () => {
    for (const tone of [205, 170, 130]) {
      const even = page([[tone, tone, tone], null, [tone - 20, tone - 20, tone - 20], null], [250, 250, 250]);
      // Without grain: print is even.
      const data = even.data.map((value, i) => {
        const [x, y] = [Math.floor(i / 3) % WIDTH, Math.floor(i / 3 / WIDTH)];
        const within = x > 42 && y > 42 && y < 198 && (x - 38) % 100 >= 4 && x < 438;
        const cell = Math.floor((x - 38) / 100);
        const printed = within ? [tone, 250, tone - 20, 250][cell] : value;
        return printed * (1 - 0.25 * (x / WIDTH));
      });
      const { toned, coloured } = inkOfPage({ ...even, data });
      expect(coloured).to.equal(0);
      expect(toned).to.be.within(0.2, 0.4);
      expect(await found({ ...even, data })).to.equal(4);
    }
  });

  it('of the wrong size is refused', () => {
    expect(() => inkOfPage({ width: 4, height: 4, data: new Uint8Array(3) })).to.throw(RangeError, 'fewer pixels');
  });
});

describe('what lies on a page already', () => {
  const readAll = async (rgb: RgbImage) => {
    const map = await findRegions(inkOfPage(rgb).grey, { pixelsPerMm: 10 });
    return { ...readSeen(rgb, map), map };
  };
  /** What lies on some of the four cells, which must be all that is not bare. */
  const read = async (rgb: RgbImage, ...cells: number[]) => {
    const { grounds, map } = await readAll(rgb);
    expect(grounds).to.have.length(cells.length);
    return cells.map((cell) => {
      const id = map.labels[120 * WIDTH + 38 + 100 * cell + 50];
      return grounds.find(({ region }) => region === id);
    });
  };

  it('is read for each region in its colour, and bare regions are left out', async () => {
    const grounds = await read(page([[200, 60, 40], null, [70, 90, 170], null]), 0, 2);
    expect(grounds.map((ground) => ground?.kind)).to.deep.equal(['coloured', 'coloured']);
    // A quarter of the paper shows through as grain: what is seen is the mean of both, in light.
    expect(grounds[0]!.lab[0]).to.be.above(labOfRgb([200, 60, 40])[0] + 5);
    expect(grounds[0]!.lab[1]).to.be.within(25, labOfRgb([200, 60, 40])[1]);
  });

  it('is grey print where it is even and without colour, and pencil where it has grain', async () => {
    const grained = page([[200, 200, 200], null, null, null], [250, 250, 250]);
    expect((await read(grained, 0)).map((ground) => ground?.kind)).to.deep.equal(['coloured']);
    const even = page([null, null, null, null], [250, 250, 250]);
    const data = even.data.map((value, i) => {
      const [x, y] = [Math.floor(i / 3) % WIDTH, Math.floor(i / 3 / WIDTH)];
      return x > 42 && x < 138 && y > 42 && y < 198 ? 190 : value;
    });
    expect((await read({ ...even, data }, 0)).map((ground) => ground?.kind)).to.deep.equal(['printed grey']);
  });

  it('is nothing on bare paper, white or cream, however unevenly it is lit', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom([250, 250, 250], [238, 226, 200]),
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        async (paper, across, down) => {
          const bare = page([null, null, null, null], [...paper]);
          const data = bare.data.map((value, i) => {
            const [x, y] = [Math.floor(i / 3) % WIDTH, Math.floor(i / 3 / WIDTH)];
            return value * (1 - across * (x / WIDTH) - down * (y / HEIGHT) ** 2);
          });
          const { grounds, paper: seen } = await readAll({ ...bare, data });
          expect(grounds).to.deep.equal([]);
          // Dimmer, but of the same hue.
          expect(Math.hypot(seen[1] - labOfRgb([paper[0], paper[1], paper[2]])[1], 0)).to.be.below(4);
        },
      ),
      { numRuns: 10 },
    );
  });

  it('shows the colour of the paper', async () => {
    const { paper } = await readAll(page([null, null, null, null], [238, 226, 200]));
    expect(deltaE2000(paper, labOfRgb([238, 226, 200]))).to.be.below(1.5);
  });
});
