import { expect } from 'chai';
import fc from 'fast-check';
import { findAlike } from './likeness.ts';
import { flattenLight } from './flatten.ts';
import { findRuns, joinRuns } from './runs.ts';
import { distanceTo, verticalDistances } from './distance.ts';
import { measureRegions } from './measures.ts';
import { perimeter } from './shapes.ts';

const mask = fc
  .tuple(fc.integer({ min: 1, max: 16 }), fc.integer({ min: 1, max: 12 }))
  .chain(([width, height]) =>
    fc
      .array(fc.constantFrom(0, 1), { minLength: width * height, maxLength: width * height })
      .map((cells) => ({ width, height, cells: Uint8Array.from(cells) })),
  );

describe('runs', () => {
  it('of ink and of paper share out the page: each pixel lies in one run of its own kind', () => {
    fc.assert(
      fc.property(mask, ({ width, height, cells }) => {
        const covered = new Uint8Array(cells.length);
        for (const value of [0, 1] as const) {
          const { from, to, rowStart } = findRuns(cells, width, height, value);
          for (let y = 0; y < height; y++) {
            for (let r = rowStart[y]; r < rowStart[y + 1]; r++) {
              for (let x = from[r]; x <= to[r]; x++) {
                expect(cells[y * width + x]).to.equal(value);
                covered[y * width + x]++;
              }
            }
          }
        }
        expect(covered.every((times) => times === 1)).to.equal(true);
      }),
    );
  });

  it('join to parts whose areas add up and whose boxes hold them', () => {
    fc.assert(
      fc.property(mask, fc.constantFrom(4 as const, 8 as const), ({ width, height, cells }, connectivity) => {
        const runs = findRuns(cells, width, height, 1);
        const { of, count, areas, boxes } = joinRuns(runs, connectivity);
        expect(areas.reduce((a, b) => a + b, 0)).to.equal(cells.filter(Boolean).length);
        expect(new Set(of).size).to.equal(count);
        for (let y = 0; y < height; y++) {
          for (let r = runs.rowStart[y]; r < runs.rowStart[y + 1]; r++) {
            const [x0, y0, x1, y1] = boxes.subarray(4 * of[r], 4 * of[r] + 4);
            expect(runs.from[r] >= x0 && runs.to[r] <= x1 && y >= y0 && y <= y1).to.equal(true);
          }
        }
      }),
    );
  });

  it('join to no more parts by corners than by edges', () => {
    fc.assert(
      fc.property(mask, ({ width, height, cells }) => {
        const runs = findRuns(cells, width, height, 1);
        expect(joinRuns(runs, 8).count).to.be.at.most(joinRuns(runs, 4).count);
      }),
    );
  });
});

describe('the usable width of a region', () => {
  it('is that of its place farthest from ink, also where it runs out of the page', () => {
    fc.assert(
      fc.property(
        mask.filter(({ cells }) => cells.includes(1)),
        ({ width, height, cells }) => {
          const runs = findRuns(cells, width, height, 0);
          const { of, count } = joinRuns(runs, 4);
          const size = { width, height, pixelsPerMm: 1 };
          const measured = measureRegions(runs, Uint16Array.from(of), size, count);
          const distance = distanceTo(cells, width, height);
          const widest = new Float64Array(count + 1);
          for (let y = 0; y < height; y++) {
            for (let r = runs.rowStart[y]; r < runs.rowStart[y + 1]; r++) {
              for (let x = runs.from[r]; x <= runs.to[r]; x++)
                widest[of[r]] = Math.max(widest[of[r]], distance[y * width + x]);
            }
          }
          for (const { id, usableWidthMm } of measured)
            expect(usableWidthMm).to.be.closeTo(2 * Math.max(0.5, widest[id] - 0.5), 1e-4);
        },
      ),
    );
  });
});

describe('distances up and down', () => {
  it('are nothing on ink and grow by one a row away from it', () => {
    fc.assert(
      fc.property(mask, ({ width, height, cells }) => {
        const g = verticalDistances(findRuns(cells, width, height, 0), width);
        for (let i = 0; i < g.length; i++) {
          if (cells[i]) expect(g[i]).to.equal(0);
          if (i >= width) expect(Math.abs(g[i] - g[i - width])).to.be.at.most(1);
        }
      }),
    );
  });
});

describe('evening out the light', () => {
  it('brings paper near white under any slanting light, and keeps lines dark', () => {
    const share = fc.double({ min: 0.6, max: 1, noNaN: true });
    fc.assert(
      fc.property(share, share, share, (left, right, top) => {
        const side = 256;
        const data = new Uint8Array(side * side);
        for (let y = 0; y < side; y++) {
          for (let x = 0; x < side; x++) {
            const light = (left + ((right - left) * x) / side) * (top + ((1 - top) * y) / side);
            data[y * side + x] = light * (x % 64 < 4 || y % 64 < 4 ? 30 : 245);
          }
        }
        const flat = flattenLight({ width: side, height: side, data }).data;
        for (let y = 34; y < side - 32; y += 17) {
          for (let x = 34; x < side - 32; x += 13) {
            if (x % 64 > 8 && y % 64 > 8) expect(flat[y * side + x]).to.be.above(180);
            if (x % 64 === 2) expect(flat[y * side + x]).to.be.below(90);
          }
        }
      }),
      { numRuns: 40 },
    );
  });
});

/** A ring of corners around a middle, its radii by seed: a shape of its own for each. */
const blob = fc.array(fc.double({ min: 30, max: 90, noNaN: true }), { minLength: 7, maxLength: 7 }).map((radii) =>
  Float64Array.from(
    Array.from({ length: 70 }, (_, k) => {
      const t = k / 10;
      const [a, b] = [radii[Math.floor(t) % 7], radii[(Math.floor(t) + 1) % 7]];
      const mix = (1 - Math.cos(Math.PI * (t % 1))) / 2;
      const r = a + (b - a) * mix;
      return [r * Math.cos((2 * Math.PI * k) / 70), r * Math.sin((2 * Math.PI * k) / 70)];
    }).flat(),
  ),
);

function moved(ring: Float64Array, degrees: number, size: number, flip: boolean): Float64Array {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  const points = Array.from({ length: ring.length / 2 }, (_, k) => {
    const [x, y] = [(flip ? -1 : 1) * ring[2 * k], ring[2 * k + 1]];
    return [200 + size * (x * c - y * s), 300 + size * (x * s + y * c)];
  });
  // A mirrored ring is walked the other way round; rings keep the region on the right hand.
  return Float64Array.from((flip ? points.reverse() : points).flat());
}

describe('likeness', () => {
  it('sees a shape again however it is turned, mirrored and scaled', () => {
    fc.assert(
      fc.property(
        blob,
        fc.double({ min: 0, max: 360, noNaN: true }),
        fc.double({ min: 0.6, max: 2, noNaN: true }),
        fc.boolean(),
        (ring, degrees, size, flip) => {
          expect(findAlike([[], [ring], [moved(ring, degrees, size, flip)]])).to.deep.equal([[1, 2]]);
        },
      ),
    );
  });

  it('does not take a shape for another that it would have to be bent into', () => {
    fc.assert(
      fc.property(blob, fc.double({ min: 8, max: 10, noNaN: true }), (ring, stretch) => {
        const stretched = ring.map((value, k) => (k % 2 ? value : value * stretch));
        expect(perimeter(stretched)).to.be.above(perimeter(ring));
        expect(findAlike([[], [ring], [stretched]])).to.deep.equal([]);
      }),
    );
  });

  it('keeps a shape with a hole apart from one without', () => {
    fc.assert(
      fc.property(blob, (ring) => {
        const hole = moved(ring, 0, 0.2, false).map((value, k) => value - (k % 2 ? 300 : 200));
        expect(findAlike([[], [ring], [ring, hole]])).to.deep.equal([]);
      }),
    );
  });
});
