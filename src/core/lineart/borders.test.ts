import { expect } from 'chai';
import fc from 'fast-check';
import { NO_REGION, ringArea, ringsOfRegions, traceBorders } from './index.ts';

/** Small pages whose pixels belong to one of four regions or to none. */
const page = fc
  .tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 12 }))
  .chain(([width, height]) =>
    fc
      .array(fc.constantFrom(1, 2, 3, 4, NO_REGION), { minLength: width * height, maxLength: width * height })
      .map((cells) => ({ width, height, labels: Uint16Array.from(cells) })),
  );

describe('the borders of a page', () => {
  it('part every two neighbouring pixels of different regions once, and nothing else', () => {
    fc.assert(
      fc.property(page, ({ width, height, labels }) => {
        let edges = 0;
        const at = (x: number, y: number) =>
          x < 0 || y < 0 || x >= width || y >= height ? NO_REGION : labels[y * width + x];
        for (let y = 0; y <= height; y++) {
          for (let x = 0; x <= width; x++) {
            if (at(x, y) !== at(x - 1, y)) edges++;
            if (at(x, y) !== at(x, y - 1)) edges++;
          }
        }
        const traced = traceBorders(labels, width, height, 0).reduce((sum, { lengthPx }) => sum + lengthPx, 0);
        expect(traced).to.be.closeTo(edges, 1e-6);
      }),
    );
  });

  it('close to rings that hold exactly the pixels of each region', () => {
    fc.assert(
      fc.property(page, ({ width, height, labels }) => {
        const rings = ringsOfRegions(traceBorders(labels, width, height, 0), 4);
        for (let id = 1; id <= 4; id++) {
          const held = rings[id].reduce((sum, ring) => sum + ringArea(ring), 0);
          expect(held).to.be.closeTo(labels.filter((label) => label === id).length, 1e-6);
        }
      }),
    );
  });

  it('are the very same line for both neighbours, however simplified: areas add up without gap or overlap', () => {
    fc.assert(
      fc.property(page, fc.double({ min: 0, max: 2, noNaN: true }), ({ width, height, labels }, tolerance) => {
        const framed = inFrame(labels, width, height, 5);
        const rings = ringsOfRegions(traceBorders(framed, width + 8, height + 8, tolerance), 5);
        const area = (some: readonly Float64Array[]) => some.reduce((sum, ring) => sum + ringArea(ring), 0);
        const [, ...holes] = rings[5];
        expect(area(rings.slice(1, 5).flat())).to.be.closeTo(-area(holes), 1e-6);
      }),
    );
  });

  it('have one ring more than a region has holes', () => {
    const [width, height] = [60, 40];
    const labels = new Uint16Array(width * height).fill(1);
    for (const [cx, cy] of [
      [15, 20],
      [45, 20],
    ]) {
      for (let y = -8; y <= 8; y++)
        for (let x = -8; x <= 8; x++) if (x * x + y * y < 64) labels[(cy + y) * width + cx + x] = 2;
    }
    const rings = ringsOfRegions(traceBorders(labels, width, height), 2);
    expect(rings[1]).to.have.length(3);
    expect(rings[1].map((ring) => Math.sign(ringArea(ring)))).to.deep.equal([1, -1, -1]);
    expect(rings[2]).to.have.length(2);
  });
});

/** The page with a frame of 4 pixels of one more region around it, in which what belongs to none is region 4. */
function inFrame(labels: Uint16Array, width: number, height: number, frame: number): Uint16Array {
  const framed = new Uint16Array((width + 8) * (height + 8)).fill(frame);
  for (let i = 0; i < labels.length; i++) {
    const [x, y] = [i % width, Math.floor(i / width)];
    framed[(y + 4) * (width + 8) + x + 4] = labels[i] === NO_REGION ? 4 : labels[i];
  }
  return framed;
}
