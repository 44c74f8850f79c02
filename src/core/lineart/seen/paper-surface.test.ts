import { expect } from 'chai';
import fc from 'fast-check';
import { paperSurface } from './paper-surface.ts';

const [WIDTH, HEIGHT] = [480, 360];
const light = fc.record({
  paper: fc.integer({ min: 180, max: 250 }),
  across: fc.double({ min: -0.25, max: 0.25, noNaN: true }),
  down: fc.double({ min: -0.25, max: 0.25, noNaN: true }),
  /** How much darker the corners are. */
  corners: fc.double({ min: 0, max: 0.25, noNaN: true }),
});
type Light = typeof light extends fc.Arbitrary<infer T> ? T : never;

const lit = ({ paper, across, down, corners }: Light, x: number, y: number) => {
  const [u, v] = [x / WIDTH - 0.5, y / HEIGHT - 0.5];
  return paper * (1 - across * u - down * v - corners * (u * u + v * v));
};
const pageUnder = (lamp: Light, printed: (x: number, y: number) => number) =>
  Float32Array.from({ length: WIDTH * HEIGHT }, (_, i) => {
    const [x, y] = [i % WIDTH, Math.floor(i / WIDTH)];
    return lit(lamp, x, y) * printed(x, y);
  });

describe('the light on the paper', () => {
  it('is found to 8% under any lamp, beside a wide area that is printed grey', () => {
    // Furthest off, by 7%, where it falls off along, down and into the corners at once: mostly it is within 4%.
    fc.assert(
      fc.property(light, fc.double({ min: 0.4, max: 0.88, noNaN: true }), (lamp, grey) => {
        const page = pageUnder(lamp, (x, y) => (x > 60 && x < 260 && y > 60 && y < 250 ? grey : 1));
        const surface = paperSurface(page, WIDTH, HEIGHT);
        for (const [x, y] of [
          [10, 10],
          [160, 150],
          [470, 20],
          [240, 350],
        ]) {
          expect(surface(x, y) / lit(lamp, x, y)).to.be.within(0.92, 1.08);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('is that on a toned card, not that on the white glass around it', () => {
    // A card that is paler than this may be white paper in a light that falls off.
    fc.assert(
      fc.property(light, fc.double({ min: 0.55, max: 0.86, noNaN: true }), (lamp, card) => {
        const onCard = (x: number, y: number) => x > 24 && x < WIDTH - 24 && y > 24 && y < HEIGHT - 24;
        const surface = paperSurface(
          pageUnder(lamp, (x, y) => (onCard(x, y) ? card : 1)),
          WIDTH,
          HEIGHT,
        );
        for (const [x, y] of [
          [60, 60],
          [240, 180],
          [420, 300],
        ]) {
          expect(surface(x, y) / (card * lit(lamp, x, y))).to.be.within(0.92, 1.08);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('does not care for lines', () => {
    fc.assert(
      fc.property(light, (lamp) => {
        const surface = paperSurface(
          pageUnder(lamp, (x, y) => (x % 30 < 3 || y % 40 < 3 ? 0.1 : 1)),
          WIDTH,
          HEIGHT,
        );
        expect(surface(240, 180) / lit(lamp, 240, 180)).to.be.within(0.94, 1.06);
      }),
      { numRuns: 20 },
    );
  });
});
