import { expect } from 'chai';
import fc from 'fast-check';
import { type GreyImage, findRegions } from '../lineart/index.ts';
import { frontToBack } from './depth.ts';
import { gather } from './gather.ts';
import { type Answer, MOST_QUESTIONS, type PageReading, proposeThings, readPage } from './index.ts';

const PER_MM = 8;

/** A framed page of 100 x 100 mm on which `inked` says where lines lie, in mm. */
function drawn(inked: (x: number, y: number) => boolean): GreyImage {
  const side = 100 * PER_MM;
  const data = new Uint8Array(side * side).fill(255);
  for (let y = 0; y < side; y++) {
    for (let x = 0; x < side; x++) {
      const [mx, my] = [(x + 0.5) / PER_MM, (y + 0.5) / PER_MM];
      const beside = Math.min(mx, my, 100 - mx, 100 - my);
      if ((beside > 4 && beside < 4.6) || (beside >= 4.6 && inked(mx, my))) data[y * side + x] = 0;
    }
  }
  return { width: side, height: side, data };
}

async function read(grey: GreyImage): Promise<{ reading: PageReading; at(x: number, y: number): number }> {
  const map = await findRegions(grey, { pixelsPerMm: PER_MM, closeGapMm: 0 });
  return {
    reading: await readPage(map),
    at: (x, y) => map.labels[Math.floor(y * PER_MM) * map.width + Math.floor(x * PER_MM)],
  };
}

const STARS = [
  [20, 20],
  [50, 15],
  [78, 24],
  [35, 50],
  [70, 62],
];
const inStar = (x: number, y: number, [cx, cy]: number[], r: number) =>
  Math.sqrt(Math.abs(x - cx)) + Math.sqrt(Math.abs(y - cy)) < Math.sqrt(r);
/** Five like stars in one sky. */
const night = drawn((x, y) => STARS.some((star) => inStar(x, y, star, 9) && !inStar(x, y, star, 6.5)));
/** A fence of boards between two rails, with a ball before it. */
const fence = drawn((x, y) => {
  const fromBall = Math.hypot(x - 52, y - 50);
  if (fromBall < 15) return fromBall > 14.4;
  if (Math.abs(y - 25) < 0.3 || Math.abs(y - 75) < 0.3) return true;
  return y > 25 && y < 75 && (x - 4.3) % 11.4 < 0.6;
});

describe('what belongs together on a page', () => {
  it('like stars in one sky are one thing, and the sky is another', async () => {
    const { reading, at } = await read(night);
    const { guesses } = proposeThings(reading);
    const stars = guesses.find(({ regionIds }) => regionIds.includes(at(20, 20)))!;
    expect(stars.regionIds).to.have.members(STARS.map(([x, y]) => at(x, y)));
    expect(guesses).to.have.length(2);
  });

  it('what lies within a region lies in front of it', async () => {
    const { reading, at } = await read(night);
    const { guesses, frontToBack: order } = proposeThings(reading);
    const placeOf = (id: number) => order.findIndex((k) => guesses[k].regionIds.includes(id));
    expect(placeOf(at(20, 20))).to.be.below(placeOf(at(90, 90)));
  });

  it('like boards beside each other are one thing, and lines that stop at a ball lie behind it', async () => {
    const { reading, at } = await read(fence);
    const { guesses, frontToBack: order } = proposeThings(reading);
    const placeOf = (id: number) => order.findIndex((k) => guesses[k].regionIds.includes(id));
    const boards = guesses.find(({ regionIds }) => regionIds.includes(at(10, 50)))!;
    expect(boards.regionIds).to.include.members([at(22, 50), at(80, 50)]);
    expect(boards.regionIds).not.to.include(at(52, 50));
    expect(placeOf(at(52, 50))).to.be.below(placeOf(at(10, 50)));
  });

  it('every region is in one guess, whatever is taken already, and no two guesses have one name', async () => {
    const { reading, at } = await read(fence);
    const taken = [at(52, 50), at(10, 50)];
    const { guesses, frontToBack: order } = proposeThings(reading, {
      things: [{ name: 'Ball', regionIds: [taken[0]] }],
      without: [taken[1]],
    });
    const all = guesses.flatMap(({ regionIds }) => regionIds);
    expect(all).to.have.members(
      reading.regions.flatMap((region) => (region ? [region.id] : [])).filter((id) => !taken.includes(id)),
    );
    expect(new Set(all).size).to.equal(all.length);
    expect(new Set(guesses.map(({ name }) => name)).size).to.equal(guesses.length);
    expect([...order].sort((a, b) => a - b)).to.deep.equal([0, ...guesses.map((_, k) => k + 1)]);
  });

  it('what a person says outweighs what the page shows', async () => {
    const { reading, at } = await read(fence);
    const [board, next, ball] = [at(10, 50), at(22, 50), at(52, 50)];
    const groupsWith = (answers: Answer[]) => proposeThings(reading, { answers }).guesses;
    const parted = groupsWith([{ kind: 'together', a: board, b: next, yes: false }]);
    expect(parted.some(({ regionIds }) => regionIds.includes(board) && regionIds.includes(next))).to.equal(false);
    const joined = groupsWith([{ kind: 'together', a: board, b: ball, yes: true }]);
    expect(joined.some(({ regionIds }) => regionIds.includes(board) && regionIds.includes(ball))).to.equal(true);
    const { guesses, frontToBack: order } = proposeThings(reading, {
      answers: [{ kind: 'front', front: board, behind: ball }],
    });
    const placeOf = (id: number) => order.findIndex((k) => guesses[k].regionIds.includes(id));
    expect(placeOf(board)).to.be.below(placeOf(ball));
  });

  it('asks eight questions at most, the largest area first, and none twice', async () => {
    const { reading } = await read(fence);
    const asked: string[] = [];
    for (;;) {
      const { questions } = proposeThings(reading, { asked });
      if (questions.length === 0) break;
      const areas = questions.map(({ areaMm2 }) => areaMm2);
      expect(areas).to.deep.equal([...areas].sort((p, q) => q - p));
      expect(asked).not.to.include(questions[0].key);
      asked.push(questions[0].key);
    }
    expect(asked.length).to.be.within(1, MOST_QUESTIONS);
  });
});

describe('gathering', () => {
  const page = fc.record({
    areas: fc.array(fc.double({ min: 0.3, max: 500, noNaN: true }), { minLength: 1, maxLength: 14 }),
    bonds: fc.array(
      fc.record({
        a: fc.integer({ min: 1, max: 16 }),
        b: fc.integer({ min: 1, max: 16 }),
        strength: fc.double({ min: -4, max: 4, noNaN: true }),
      }),
      { maxLength: 40 },
    ),
  });

  it('puts each region into one group, and leaves nothing between groups that binds them', () => {
    fc.assert(
      fc.property(page, ({ areas, bonds }) => {
        const ids = areas.map((_, k) => k + 1);
        const { groups, between } = gather(ids, [0, ...areas], bonds);
        expect(groups.flat().sort((a, b) => a - b)).to.deep.equal(ids);
        for (const { strength } of between) expect(strength).to.be.at.most(1e-9);
      }),
    );
  });

  it('keeps one word, for or against, over any bonds', () => {
    fc.assert(
      fc.property(page, fc.boolean(), ({ areas, bonds }, together) => {
        const ids = [...areas, 20, 20].map((_, k) => k + 1);
        const { groups } = gather(ids, [0, ...areas, 20, 20], bonds, [{ a: 1, b: 2, together }]);
        expect(groups.some((group) => group.includes(1) && group.includes(2))).to.equal(together);
      }),
    );
  });
});

describe('the order from front to back', () => {
  it('goes against no evidence where none contradicts another', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(11), fc.nat(11), fc.integer({ min: 1, max: 9 })), { maxLength: 40 }),
        fc.array(fc.nat(1000), { minLength: 12, maxLength: 12 }),
        (pairs, sizes) => {
          const evidence = pairs
            .filter(([p, q]) => p !== q)
            .map(([p, q, weight]) => ({ front: Math.min(p, q), behind: Math.max(p, q), weight }));
          const order = frontToBack(12, evidence, (a, b) => sizes[a] - sizes[b]);
          expect([...order].sort((a, b) => a - b)).to.deep.equal(sizes.map((_, k) => k));
          for (const { front, behind } of evidence) expect(order.indexOf(front)).to.be.below(order.indexOf(behind));
        },
      ),
    );
  });
});
