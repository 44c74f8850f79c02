import { expect } from 'chai';
import fc from 'fast-check';
import { alongCourse, courseOf } from './courses.ts';
import { type Course, renderPreview } from './index.ts';
import { fieldsOfTone } from './test/fields-of-tone.ts';

const region = { axisDegrees: 30, pole: { x: 20, y: 10 } };
const marks = { middle: { x: 5, y: 10 }, light: { x: 20, y: 0 }, vanishing: { x: 60, y: 10 } };
const course = (direction: Parameters<typeof courseOf>[0]['direction'], of = marks) =>
  courseOf({ direction, stroke: 'one direction' }, region, of);

/** Black pigment, white specks. */
const LIGHT = Uint16Array.from({ length: 384 }, (_, i) => (i % 6 < 3 ? 0 : 8191));

/** A patch 12 mm wide with its top left at a place, half covered, its strokes on a course. */
function patch(of: Course | null) {
  const side = 132;
  const size = side * side;
  const { data } = renderPreview({
    width: side,
    height: side,
    pixelsPerMm: 11,
    labels: new Uint16Array(size).fill(1),
    fields: fieldsOfTone(new Uint8Array(size)),
    paper: [255, 255, 255],
    grainMm: 0.004,
    courses: [null, of],
    tables: [
      null,
      {
        fields: ['tone'],
        light: LIGHT,
        specks: new Uint8Array(64).fill(128),
        drawn: 'slanted',
      },
    ],
  });
  return { side, at: (x: number, y: number) => data[4 * (y * side + x)] };
}

/** How much pixels differ from those so far along a way. */
function differs({ side, at }: ReturnType<typeof patch>, dx: number, dy: number): number {
  let sum = 0;
  for (let y = 30; y < side - 30; y++) {
    for (let x = 30; x < side - 30; x++) sum += Math.abs(at(x, y) - at(x + dx, y + dy));
  }
  return sum;
}

describe('the course of strokes', () => {
  it('follows what a layer says: the shape’s own axis, its middle, the light, or the vanishing point', () => {
    expect(course('along the shape')).to.deep.equal({ kind: 'straight', degrees: 30 });
    expect(course('across the shape')).to.deep.equal({ kind: 'straight', degrees: 120 });
    expect(course('out from the middle')).to.deep.equal({ kind: 'to', at: marks.middle, radiusMm: 15 });
    expect(course('round the light')).to.deep.equal({ kind: 'round', at: marks.light, radiusMm: 10 });
    expect(course('to the vanishing point')).to.deep.equal({ kind: 'to', at: marks.vanishing, radiusMm: 40 });
  });

  it('is the hand’s own where nothing says another, where a point is not known, and for dots', () => {
    expect(course('level')).to.equal(null);
    expect(course(undefined)).to.equal(null);
    expect(course('to the vanishing point', { ...marks, vanishing: null as never })).to.equal(null);
    expect(courseOf({ direction: 'along the shape', stroke: 'stippling' }, region, marks)).to.equal(null);
  });

  it('keeps lengths beside the point it runs to or round, and everywhere where it is straight', () => {
    const mm = fc.double({ min: -100, max: 100, noNaN: true });
    fc.assert(
      fc.property(mm, mm, fc.double({ min: 0, max: 180, noNaN: true }), (x, y, degrees) => {
        const [along, across] = alongCourse({ kind: 'straight', degrees }, x, y);
        expect(Math.hypot(along, across)).to.be.closeTo(Math.hypot(x, y), 1e-9);
        const [away] = alongCourse({ kind: 'to', at: { x: 3, y: 4 }, radiusMm: 10 }, x, y);
        expect(away).to.be.closeTo(Math.hypot(x - 3, y - 4), 1e-9);
        const round = alongCourse({ kind: 'round', at: { x: 3, y: 4 }, radiusMm: 10 }, x, y);
        expect(round[1]).to.be.closeTo(away, 1e-9);
      }),
      { numRuns: 1000 },
    );
  });

  it('draws the grain out along it', () => {
    const level = patch({ kind: 'straight', degrees: 0 });
    expect(differs(level, 6, 0)).to.be.below(0.75 * differs(level, 0, 6));
    const upright = patch({ kind: 'straight', degrees: 90 });
    expect(differs(upright, 0, 6)).to.be.below(0.75 * differs(upright, 6, 0));
    // To a point far to the right strokes are level; round it they are upright.
    const at = { x: 400, y: 6 };
    const to = patch({ kind: 'to', at, radiusMm: 394 });
    expect(differs(to, 6, 0)).to.be.below(0.75 * differs(to, 0, 6));
    const round = patch({ kind: 'round', at, radiusMm: 394 });
    expect(differs(round, 0, 6)).to.be.below(0.75 * differs(round, 6, 0));
  });

  it('covers as much as strokes of the hand’s slant do', () => {
    const covered = (of: Course | null) => {
      const { side, at } = patch(of);
      let sum = 0;
      for (let y = 0; y < side; y++) for (let x = 0; x < side; x++) sum += at(x, y);
      return sum / side ** 2;
    };
    const usual = covered(null);
    for (const of of [
      { kind: 'straight', degrees: 37 } as const,
      { kind: 'to', at: { x: 30, y: 40 }, radiusMm: 46 } as const,
    ]) {
      expect(covered(of)).to.be.closeTo(usual, 16);
    }
  });
});
