import { expect } from 'chai';
import fc from 'fast-check';
import { type GreyImage } from '../lineart/index.ts';
import { type Quad, perspectiveOf } from '../straighten/index.ts';
import { CARD_MM, MARK_MM, findCard } from './index.ts';

const [WIDTH, HEIGHT] = [1200, 1600];

/** The four marks alone, drawn where a perspective puts them, on paper that fills the picture. */
function marksAt(quad: Quad, { ink = 30, paper = 225, kinds = [0, 1, 1, 1] } = {}): GreyImage {
  const data = new Uint8Array(WIDTH * HEIGHT).fill(paper);
  const at = perspectiveOf(quad);
  const corners = [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ] as const;
  corners.forEach(([u, v], i) => {
    const outer = MARK_MM.outer / 2;
    for (let dy = -outer; dy <= outer; dy += 0.06) {
      for (let dx = -outer; dx <= outer; dx += 0.06) {
        const off = Math.hypot(dx, dy);
        if (off > outer || (kinds[i] === 1 && off < MARK_MM.inner / 2)) continue;
        const { x, y } = at(u + dx / CARD_MM.width, v + dy / CARD_MM.height);
        data[Math.floor(y) * WIDTH + Math.floor(x)] = ink;
      }
    }
  });
  return { width: WIDTH, height: HEIGHT, data };
}

const straight: Quad = [
  { x: 180, y: 180 },
  { x: 940, y: 180 },
  { x: 940, y: 1220 },
  { x: 180, y: 1220 },
];

describe('the marks of a card', () => {
  it('are found to within a pixel where a hand holds the camera askew, in the order of the card', () => {
    const stray = fc.double({ min: -60, max: 60, noNaN: true });
    const strays = fc.array(fc.record({ x: stray, y: stray }), { minLength: 4, maxLength: 4 });
    fc.assert(
      fc.property(strays, (moved) => {
        const quad = straight.map(({ x, y }, i) => ({ x: x + moved[i].x, y: y + moved[i].y })) as unknown as Quad;
        const found = findCard(marksAt(quad));
        if (!found) throw new Error(`Not found at ${JSON.stringify(quad)}.`);
        found.forEach(({ x, y }, i) => {
          expect(Math.hypot(x - quad[i].x, y - quad[i].y)).to.be.below(1);
        });
      }),
      { numRuns: 20 },
    );
  });

  it('begin with the disc, so that a card upside down is turned rightly', () => {
    const upsideDown = [...straight.slice(2), ...straight.slice(0, 2)] as unknown as Quad;
    const found = findCard(marksAt(upsideDown))!;
    expect(found[0].x).to.be.closeTo(upsideDown[0].x, 1);
    expect(found[0].y).to.be.closeTo(upsideDown[0].y, 1);
  });

  it('are told from four rings, from four discs, and from marks too pale to be ink', () => {
    expect(findCard(marksAt(straight, { kinds: [1, 1, 1, 1] }))).to.equal(null);
    expect(findCard(marksAt(straight, { kinds: [0, 0, 0, 0] }))).to.equal(null);
    expect(findCard(marksAt(straight, { ink: 160 }))).to.equal(null);
  });

  it('are not taken for those of a card that is far too wide', () => {
    const wide: Quad = [
      { x: 120, y: 180 },
      { x: 1080, y: 180 },
      { x: 1080, y: 780 },
      { x: 120, y: 780 },
    ];
    expect(findCard(marksAt(wide))).to.equal(null);
  });

  it('lie on grey paper as well as on white', () => {
    expect(findCard(marksAt(straight, { paper: 120, ink: 25 }))).to.not.equal(null);
  });
});
