import { expect } from 'chai';
import fc from 'fast-check';
import { type GreyImage, findRegions } from '../lineart/index.ts';
import { readBorders } from './borders.ts';
import { enclosers } from './enclosure.ts';

const [SIDE, PER_MM] = [400, 10];

/** A page of 40 x 40 mm on which lines of 0.4 mm lie where `inked` says, in mm. */
async function read(inked: (x: number, y: number) => boolean) {
  const data = new Uint8Array(SIDE * SIDE).fill(255);
  for (let y = 0; y < SIDE; y++) {
    for (let x = 0; x < SIDE; x++) if (inked((x + 0.5) / PER_MM, (y + 0.5) / PER_MM)) data[y * SIDE + x] = 0;
  }
  const grey: GreyImage = { width: SIDE, height: SIDE, data };
  const map = await findRegions(grey, { pixelsPerMm: PER_MM, closeGapMm: 0 });
  const borders = readBorders(map.arcs, PER_MM, map.regions.length);
  const at = (x: number, y: number) => map.labels[Math.floor(y * PER_MM) * SIDE + Math.floor(x * PER_MM)];
  const between = (p: number, q: number) =>
    borders.shared.find(({ a, b }) => a === Math.min(p, q) && b === Math.max(p, q));
  return { borders, at, between, map };
}

const on = (value: number, line: number) => Math.abs(value - line) < 0.2;
/** A frame from 4 to 36 mm that a level line at 20 mm crosses, up to a disc of 6 mm in the middle. */
const behindDisc = (x: number, y: number) => {
  const fromDisc = Math.hypot(x - 20, y - 20);
  if (fromDisc < 6.2) return fromDisc > 5.8;
  const inFrame = x > 3.8 && x < 36.2 && y > 3.8 && y < 36.2;
  return inFrame && (on(x, 4) || on(x, 36) || on(y, 4) || on(y, 36) || on(y, 20));
};

describe('the lines between regions', () => {
  it('tell what hides what: a line that stops at a disc lies behind it', async () => {
    const { borders, at } = await read(behindDisc);
    const [disc, above, below] = [at(20, 20), at(10, 10), at(10, 30)];
    const hides = borders.hidings.filter(({ front }) => front === disc).map(({ behind }) => behind);
    expect(hides).to.have.members([above, below]);
    expect(borders.hidings.some(({ behind }) => behind === disc)).to.equal(false);
  });

  it('stop at both ends where they part one surface, and go on where they bound it', async () => {
    const { at, between } = await read(behindDisc);
    const parting = between(at(10, 10), at(10, 30))!;
    // Two stretches of it, left and right of the disc, each with an end at the disc and one at the frame.
    expect([parting.ends, parting.stops]).to.deep.equal([4, 4]);
    const bounding = between(at(20, 20), at(10, 10))!;
    expect(bounding.stops).to.equal(0);
  });

  it('are measured whole: what a region shares and what lies on the margin are all of its outline', async () => {
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 8, max: 32 }), fc.integer({ min: 8, max: 32 }), async (across, down) => {
        const { borders, map } = await read((x, y) => {
          const inFrame = x > 3.8 && x < 36.2 && y > 3.8 && y < 36.2;
          return inFrame && (on(x, 4) || on(x, 36) || on(y, 4) || on(y, 36) || on(x, across) || on(y, down));
        });
        for (const { id } of map.regions) {
          const shared = borders.shared
            .filter(({ a, b }) => a === id || b === id)
            .reduce((sum, { lengthPx }) => sum + lengthPx, borders.onMargin[id]);
          expect(shared).to.be.closeTo(borders.around[id], 1e-6);
        }
      }),
      { numRuns: 8 },
    );
  });
});

describe('what lies within what', () => {
  /** Each of `count` regions lies within the one before it; region 1 touches the margin. */
  const nested = (count: number) =>
    Array.from({ length: count + 1 }, (_, id) => [id - 1, id + 1].filter((other) => other >= 0 && other <= count));

  it('is told by the smallest region that goes all round', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 12 }), (count) => {
        const areas = Array.from({ length: count + 1 }, (_, id) => 100 - id);
        const holed = Array.from({ length: count - 1 }, (_, k) => k + 1);
        const around = enclosers(count, nested(count), holed, areas);
        for (let id = 1; id <= count; id++) expect(around[id]).to.equal(id - 1);
      }),
    );
  });

  it('is nothing for regions that the margin reaches past each other', () => {
    // Four regions in a row, all on the margin.
    const beside = [
      [1, 2, 3, 4],
      [0, 2],
      [0, 1, 3],
      [0, 2, 4],
      [0, 3],
    ];
    expect([...enclosers(4, beside, [1, 2, 3, 4], [0, 1, 2, 3, 4])]).to.deep.equal([0, 0, 0, 0, 0]);
  });
});
