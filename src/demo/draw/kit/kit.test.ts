import { expect } from 'chai';
import fc from 'fast-check';
import {
  Drawing,
  type P,
  STEP,
  arc,
  blob,
  boundsOf,
  curve,
  distanceToOutline,
  distanceToPiece,
  hanging,
  isWithin,
  mirroredAcross,
  oval,
  polar,
  poly,
  rect,
  resample,
  sector,
  sides,
  simplified,
  stipple,
  straight,
  ticks,
} from './index.ts';

const number = fc.double({ min: -80, max: 80, noNaN: true });
const point = fc.tuple(number, number);
const path = fc.array(point, { minLength: 3, maxLength: 12 });
const far = (p: P, q: P) => Math.hypot(p[0] - q[0], p[1] - q[1]);

describe('paths', () => {
  it('are written as pairs or as coordinates in a row, which is the same', () => {
    fc.assert(
      fc.property(path, (points) => {
        expect(curve(points.flat())).to.deep.equal(curve(points));
        expect(blob(points.flat())).to.deep.equal(blob(points));
      }),
    );
  });

  it('run through the points that they are drawn through', () => {
    fc.assert(
      fc.property(path, (points) => {
        for (const p of points) {
          const near = Math.min(...blob(points).map((q) => far(p, q)));
          expect(near).to.be.below(1e-6);
        }
      }),
    );
  });

  it('have no long piece without a point on it', () => {
    fc.assert(
      fc.property(path, (points) => {
        const line = resample(points);
        for (let i = 0; i + 1 < line.length; i++) expect(far(line[i], line[i + 1])).to.be.at.most(STEP + 1e-9);
      }),
    );
  });

  it('lose points and not their course when they are simplified', () => {
    fc.assert(
      fc.property(path, fc.double({ min: 0.01, max: 2, noNaN: true }), (points, off) => {
        const line = resample(points);
        const few = simplified(line, off);
        expect(few.length).to.be.at.most(line.length);
        for (const p of line) {
          const nearest = few.slice(1).reduce((least, b, i) => Math.min(least, distanceToPiece(p, few[i], b)), Infinity);
          expect(nearest).to.be.at.most(off + 1e-9);
        }
      }),
    );
  });

  it('meet in the corners where their sides do', () => {
    const leaf = sides([0, 0, 5, -3, 10, 0], [10, 0, 5, 3, 0, 0]);
    expect(leaf.some((p) => far(p, [10, 0]) < 1e-9)).to.equal(true);
    expect(far(leaf[0], [0, 0])).to.equal(0);
    expect(boundsOf(leaf)[1]).to.be.closeTo(-3, 0.2);
  });

  it('are mirrored about a line onto themselves when done twice', () => {
    fc.assert(
      fc.property(path, number, (points, x) => {
        const back = mirroredAcross(x, mirroredAcross(x, points));
        for (const [i, p] of back.entries()) expect(far(p, points[i])).to.be.below(1e-9);
      }),
    );
  });

  it('hang deepest in the middle', () => {
    expect(hanging([0, 0], [10, 0], 3, 0.5)).to.deep.equal([5, 3]);
    expect(hanging([0, 0], [10, 4], 3, 0)).to.deep.equal([0, 0]);
    expect(hanging([0, 0], [10, 4], 3, 1)).to.deep.equal([10, 4]);
  });

  it('go round as far as they say', () => {
    const ring = oval([3, 4], 5);
    for (const p of ring) expect(far(p, [3, 4])).to.be.closeTo(5, 1e-9);
    const quarter = arc([0, 0], 2, 2, 0, 90);
    expect(far(quarter[0], [2, 0])).to.be.below(1e-9);
    expect(far(quarter[quarter.length - 1], [0, 2])).to.be.below(1e-9);
    expect(far(polar([1, 1], 2, 90), [1, 3])).to.be.below(1e-9);
    for (const p of sector([0, 0], 2, 4, 10, 60)) expect(Math.hypot(...p)).to.be.within(2 - 1e-9, 4 + 1e-9);
  });
});

describe('being within a shape', () => {
  it('is true in the middle of a rectangle and false beside it, at the right distance from its outline', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 50, noNaN: true }), fc.double({ min: 1, max: 50, noNaN: true }), (w, h) => {
        const shape = rect(0, 0, w, h);
        expect(isWithin([w / 2, h / 2], shape)).to.equal(true);
        expect(isWithin([w + 1, h / 2], shape)).to.equal(false);
        expect(distanceToOutline([w / 2, h / 2], shape)).to.be.closeTo(Math.min(w, h) / 2, 1e-6);
      }),
    );
  });
});

describe('a drawing', () => {
  const draw = (
    seed: number,
    how: (d: Drawing) => void = (d) => d.as('bell', 0.4, () => d.shape(oval([20, 20], 8), () => d.line(straight([0, 20, 40, 20])))),
  ) => {
    const d = new Drawing({ width: 40, height: 40, seed });
    how(d);
    return d;
  };

  it('is the same with the same seed and another with another', () => {
    expect(draw(1).toSvg('A')).to.equal(draw(1).toSvg('A'));
    expect(draw(1).toSvg('A')).to.not.equal(draw(2).toSvg('A'));
  });

  it('says its size in millimetres and its title', () => {
    expect(draw(1).toSvg('The Bell'))
      .to.match(/width="40mm" height="40mm" viewBox="0 0 40 40"/)
      .and.match(/<title>The Bell<\/title>/);
  });

  it('cuts what is drawn on a shape off at its outline', () => {
    const svg = draw(1).toSvg('A');
    expect(svg)
      .to.match(/<clipPath id="c0">/)
      .and.match(/<g clip-path="url\(#c0\)">/);
  });

  it('leaves its gaps out where the whole drawing is asked for, and remembers them', () => {
    const d = draw(1, (page) => {
      page.as('bell', 0.4, () => page.shape(oval([20, 20], 8)));
      page.gap([28, 20], 0.5);
    });
    expect(d.gaps).to.have.length(1);
    expect(d.toSvg('A').length).to.be.above(d.toSvg('A', { whole: true }).length);
  });

  it('names each thing once in its key, lines and dots in none', () => {
    const d = draw(1, (page) => {
      page.as('bell', 0.4, () => page.shape(oval([20, 20], 8)));
      page.as('post', 0.4, () => page.shape(poly([30, 5, 34, 5, 34, 38, 30, 38])));
      page.as('bell', 0.3, () => page.dot([10, 10], 0.2));
    });
    expect(d.things()).to.deep.equal(['bell', 'post']);
    const key = d.toKeySvg((thing) => (thing === 'bell' ? '#010101' : '#020202'));
    expect([...key.matchAll(/fill="#0[12]/g)]).to.have.length(2);
    expect(key).to.not.match(/<circle/);
  });

  it('places, turns, sizes and mirrors what is drawn about the origin', () => {
    const d = new Drawing({ width: 40, height: 40, seed: 1, stray: 0 });
    d.as('mark', 0, () => d.place({ at: [10, 20], turn: 90, size: 2 }, () => d.shape(poly([1, 0, 3, 0, 3, 1]))));
    const [, x, y] = /d="m(\S+) (\S+)/.exec(d.toSvg('A'))!;
    expect([Number(x), Number(y)]).to.deep.equal([10, 22]);
  });

  it('wavers little: no point strays half a millimetre from its rule', () => {
    const d = draw(3, (page) => page.as('bell', 0.4, () => page.line(straight([2, 10, 38, 10]))));
    const numbers = [.../d="m([^z"]*)/.exec(d.toSvg('A'))![1].matchAll(/-?[\d.]+/g)].map(Number);
    let y = 0;
    for (let i = 1; i < numbers.length; i += 2) {
      y += numbers[i];
      expect(y).to.be.within(9.2, 10.8);
    }
  });
});

describe('texture', () => {
  const shape = rect(5, 5, 35, 35);
  const marks = (how: (d: Drawing) => void) => {
    const d = new Drawing({ width: 40, height: 40, seed: 5, stray: 0 });
    how(d);
    return d.toSvg('A');
  };

  it('keeps clear of the outline, so that it closes nothing off', () => {
    const svg = marks((d) => stipple(d, shape, 1.5, { clear: 2 }));
    const dots = [...svg.matchAll(/cx="(\S+)" cy="(\S+)"/g)].map(([, x, y]): P => [Number(x), Number(y)]);
    expect(dots.length).to.be.above(40);
    for (const dot of dots) expect(distanceToOutline(dot, shape)).to.be.at.least(1.95);
  });

  it('is denser where it should be', () => {
    const svg = marks((d) => stipple(d, shape, 1.2, { where: ([x]) => (x < 20 ? 0.9 : 0.05) }));
    const xs = [...svg.matchAll(/cx="(\S+)"/g)].map(([, x]) => Number(x));
    expect(xs.filter((x) => x < 20).length).to.be.above(3 * xs.filter((x) => x >= 20).length);
  });

  it('of strokes lies inside the shape', () => {
    const svg = marks((d) => d.as('', 0.25, () => ticks(d, shape, 2, 4, () => 30, { clear: 1 })));
    const starts = [...svg.matchAll(/d="m(\S+) (\S+)/g)].map(([, x, y]): P => [Number(x), Number(y)]);
    expect(starts.length).to.be.above(20);
    for (const start of starts) expect(isWithin(start, shape)).to.equal(true);
  });
});
