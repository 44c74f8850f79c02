import { expect } from 'chai';
import { RINGS, type Ring, labOfRgb, oklchOfLab, turnBetween, wheelById } from '../colour/index.ts';
import { PAPERS, whiteBook } from '../laydown/index.ts';
import { HUB, ringRadius, wheelDisc } from './index.ts';

const SIZE = 420;

/** The mean colour of a small place of a disc: an angle from the top and a share of the radius. */
function at(disc: ReturnType<typeof wheelDisc>, angle: number, radius: number) {
  const turn = (angle * Math.PI) / 180;
  const [x, y] = [SIZE / 2 + (SIZE / 2) * radius * Math.sin(turn), SIZE / 2 - (SIZE / 2) * radius * Math.cos(turn)];
  const sums = [0, 0, 0];
  let count = 0;
  for (let dy = -12; dy <= 12; dy++) {
    for (let dx = -12; dx <= 12; dx++, count++) {
      const p = 4 * (Math.round(y + dy) * SIZE + Math.round(x + dx));
      for (let c = 0; c < 3; c++) sums[c] += disc.data[p + c];
    }
  }
  const [r, g, b] = sums.map((sum) => sum / count);
  return oklchOfLab(labOfRgb([r, g, b]));
}
const middle = (ring: Ring) => (ringRadius(ring).from + ringRadius(ring).to) / 2;

describe('the disc of a wheel', () => {
  for (const id of ['painters', 'perceptual']) {
    it(`${id}: has each hue where the wheel says`, () => {
      const wheel = wheelById(id);
      const disc = wheelDisc(whiteBook, SIZE, { wheel });
      for (let angle = 0; angle < 360; angle += 30) {
        expect(Math.abs(turnBetween(at(disc, angle, 0.85).h, wheel.hueOf(angle))), `${angle}`).to.be.below(30);
      }
    });
  }

  it('passes from bare paper in the middle to the full colour at the rim', () => {
    const disc = wheelDisc(whiteBook, SIZE);
    const chroma = [0.05, 0.4, 0.7, 0.92].map((radius) => at(disc, 240, radius).c);
    expect(chroma).to.deep.equal([...chroma].sort((a, b) => a - b));
    expect(chroma[0]).to.be.below(0.02);
  });

  it('in rings goes from tints over full colours and tones to shades', () => {
    const disc = wheelDisc(whiteBook, SIZE, { rings: true });
    for (const angle of [0, 90, 180, 270]) {
      const [tint, full, tone, shade] = RINGS.map((ring) => at(disc, angle, middle(ring)));
      expect(tint.l, `${angle}`).to.be.above(full.l);
      expect(full.c, `${angle}`).to.be.above(tone.c);
      expect(full.c, `${angle}`).to.be.above(tint.c);
      expect(shade.l, `${angle}`)
        .to.be.below(full.l)
        .and.to.be.below(tint.l - 0.1);
    }
  });

  it('keeps its rings apart, in order, from the hub to the rim', () => {
    let before = HUB - 1e-9;
    for (const ring of RINGS) {
      const { from, to } = ringRadius(ring);
      expect(from).to.be.at.least(before);
      expect(to).to.be.above(from).and.to.be.at.most(1);
      before = to;
    }
  });

  it(`is laid on the paper in use: darker in the middle on ${PAPERS[3].name}`, () => {
    expect(at(wheelDisc(PAPERS[3], SIZE), 0, 0.03).l).to.be.below(at(wheelDisc(whiteBook, SIZE), 0, 0.03).l - 0.1);
  });
});
