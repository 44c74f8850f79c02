import { expect } from 'chai';
import fc from 'fast-check';
import { CancelledError, quietRun } from '../run/index.ts';
import {
  InvalidQuadError,
  type Quad,
  findPageCorners,
  isConvexQuad,
  perspectiveOf,
  sideLengths,
  straightened,
} from './index.ts';

const [WIDTH, HEIGHT] = [640, 480];

/** A bright page with printed lines on a dark, uneven table, seen with these corners. */
function photograph(quad: Quad): { width: number; height: number; data: Uint8Array } {
  const data = new Uint8Array(WIDTH * HEIGHT);
  for (let y = 0; y < HEIGHT; y++) {
    for (let x = 0; x < WIDTH; x++) data[y * WIDTH + x] = 60 + 25 * Math.sin(x / 17) * Math.cos(y / 23);
  }
  const at = perspectiveOf(quad);
  for (let v = 0; v < 1400; v++) {
    for (let u = 0; u < 1400; u++) {
      const { x, y } = at((u + 0.5) / 1400, (v + 0.5) / 1400);
      const line = Math.abs((u % 100) - 50) < 6 || Math.abs((v % 100) - 50) < 6;
      data[Math.floor(y) * WIDTH + Math.floor(x)] = (line ? 40 : 225) * (0.8 + (0.2 * u) / 1400);
    }
  }
  return { width: WIDTH, height: HEIGHT, data };
}

const corner = (x: number, y: number, reach: number) =>
  fc.record({
    x: fc.double({ min: x - reach, max: x + reach, noNaN: true }),
    y: fc.double({ min: y - reach, max: y + reach, noNaN: true }),
  });
/** Pages that lie well within the picture, askew and in perspective. */
const quads = fc
  .tuple(corner(120, 90, 50), corner(520, 90, 50), corner(520, 390, 50), corner(120, 390, 50))
  .filter((quad) => isConvexQuad(quad)) as fc.Arbitrary<Quad>;

describe('the corners of a page in a photograph', () => {
  it('are found within three pixels, whatever the perspective', () => {
    fc.assert(
      fc.property(quads, (quad) => {
        const found = findPageCorners(photograph(quad));
        expect(found).to.not.equal(null);
        found!.forEach(({ x, y }, k) => expect(Math.hypot(x - quad[k].x, y - quad[k].y)).to.be.below(3));
      }),
      { numRuns: 15 },
    );
  }).timeout(120_000);

  it('are none where no page stands out', () => {
    const table = { width: 300, height: 200, data: new Uint8Array(60_000).fill(120) };
    expect(findPageCorners(table)).to.equal(null);
    const speck = { ...table, data: table.data.map((v, i) => (i % 300 < 20 && i < 6000 ? 240 : v)) };
    expect(findPageCorners(speck)).to.equal(null);
    expect(() => findPageCorners({ width: 0, height: 0, data: new Uint8Array() })).to.throw(RangeError, 'no pixels');
  });
});

describe('perspective', () => {
  it('carries the corners of the square onto those of the page, and straight lines onto straight lines', () => {
    fc.assert(
      fc.property(quads, fc.double({ min: 0, max: 1, noNaN: true }), (quad, v) => {
        const at = perspectiveOf(quad);
        [
          [0, 0],
          [1, 0],
          [1, 1],
          [0, 1],
        ].forEach(([u, w], k) => {
          const { x, y } = at(u, w);
          expect(Math.hypot(x - quad[k].x, y - quad[k].y)).to.be.below(1e-6);
        });
        const [a, b, c] = [0, 0.37, 1].map((u) => ({ ...at(u, v) }));
        const off = (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
        expect(Math.abs(off) / Math.hypot(c.x - a.x, c.y - a.y)).to.be.below(1e-6);
      }),
    );
  });

  it('refuses corners in the wrong order or with a dent', () => {
    const square: Quad = [
      { x: 0, y: 0 },
      { x: 10, y: 0 },
      { x: 10, y: 10 },
      { x: 0, y: 10 },
    ];
    expect(() => perspectiveOf([square[0], square[3], square[2], square[1]])).to.throw(InvalidQuadError, 'clockwise');
    expect(() => perspectiveOf([square[0], square[1], { x: 2, y: 2 }, square[3]])).to.throw(InvalidQuadError);
    expect(sideLengths(square)).to.deep.equal({ width: 10, height: 10 });
  });
});

describe('straightening', () => {
  it('brings printed lines back where they were printed', async () => {
    const quad: Quad = [
      { x: 90, y: 60 },
      { x: 560, y: 100 },
      { x: 520, y: 420 },
      { x: 130, y: 380 },
    ];
    const { data } = photograph(quad);
    const rgba = { width: WIDTH, height: HEIGHT, data: new Uint8ClampedArray(4 * data.length) };
    data.forEach((value, i) => rgba.data.fill(value, 4 * i, 4 * i + 3));
    const page = await straightened(rgba, quad, { width: 350, height: 350 });
    let [onLines, between] = [0, 0];
    for (let k = 1; k < 14; k++) {
      onLines += page.data[4 * (175 * 350 + 25 * k + 12)] / 13;
      between += page.data[4 * (175 * 350 + 25 * k)] / 13;
    }
    expect(between - onLines).to.be.above(80);
  });

  it('of a page that lies straight already changes nothing', async () => {
    const photo = {
      width: 40,
      height: 30,
      data: Uint8ClampedArray.from({ length: 4800 }, (_, i) => (i % 4 === 3 ? 255 : (i * 7) % 256)),
    };
    const whole: Quad = [
      { x: 0, y: 0 },
      { x: 40, y: 0 },
      { x: 40, y: 30 },
      { x: 0, y: 30 },
    ];
    expect((await straightened(photo, whole, { width: 40, height: 30 })).data).to.deep.equal(photo.data);
  });

  it('stops when it is told to', async () => {
    const photo = { width: 4, height: 4, data: new Uint8ClampedArray(64) };
    const whole: Quad = [
      { x: 0, y: 0 },
      { x: 4, y: 0 },
      { x: 4, y: 4 },
      { x: 0, y: 4 },
    ];
    const outcome = await straightened(
      photo,
      whole,
      { width: 9, height: 9 },
      { ...quietRun, cancelled: () => true },
    ).catch((e: unknown) => e);
    expect(outcome).to.be.instanceOf(CancelledError);
  });
});
