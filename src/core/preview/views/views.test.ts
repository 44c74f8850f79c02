import { expect } from 'chai';
import { filterDeficiencyDeuter, filterDeficiencyProt, filterDeficiencyTrit } from 'culori';
import fc from 'fast-check';
import { gammaEncode, labOfRgb, linearise } from '../../colour/index.ts';
import { VIEWS, viewById } from '../index.ts';

const pixels = (...colours: number[][]) => ({
  width: colours.length,
  height: 1,
  data: Uint8ClampedArray.from(colours.flatMap((rgb) => [...rgb, 255])),
});
const seen = (id: string, rgb: number[]) => [...viewById(id).of(pixels(rgb)).data.slice(0, 3)];

describe('ways of judging a page', () => {
  it('leave the size, black and white as they are', () => {
    for (const { id, of } of VIEWS) {
      const { width, height, data } = of(pixels([0, 0, 0], [0, 0, 0]));
      expect([width, height], id).to.deep.equal([2, 1]);
      if (id !== 'warm-cool') expect([...data], id).to.deep.equal([0, 0, 0, 255, 0, 0, 0, 255]);
      if (id !== 'warm-cool') expect(seen(id, [255, 255, 255]), id).to.deep.equal([255, 255, 255]);
    }
    expect(() => viewById('x-ray')).to.throw(RangeError, 'no view');
  });

  it('values have no hue and keep L*', () => {
    fc.assert(
      fc.property(fc.tuple(fc.nat(255), fc.nat(255), fc.nat(255)), (rgb) => {
        const [r, g, b] = seen('value', rgb);
        expect([g, b]).to.deep.equal([r, r]);
        expect(labOfRgb([r, g, b])[0]).to.be.closeTo(labOfRgb(rgb)[0], 1.6);
      }),
    );
  });

  for (const [id, reference] of [
    ['protan', filterDeficiencyProt(1)],
    ['deutan', filterDeficiencyDeuter(1)],
    ['tritan', filterDeficiencyTrit(1)],
  ] as const) {
    it(`${id}, on linear light, lets the same colours run together as an independent implementation does`, () => {
      const both = (rgb: number[]) => {
        const [r, g, b] = rgb.map(linearise);
        const other = reference({ mode: 'rgb', r, g, b } as never) as unknown as { r: number; g: number; b: number };
        return [seen(id, rgb), [other.r, other.g, other.b].map((v) => gammaEncode(Math.min(1, Math.max(0, v))))];
      };
      for (const rgb of [
        [200, 60, 40],
        [60, 140, 60],
        [40, 80, 190],
        [230, 200, 60],
      ]) {
        const [own, other] = both(rgb);
        own.forEach((v, k) => expect(v, `${id} ${rgb.join()}`).to.be.closeTo(other[k], 6));
      }
    });
  }

  it('warm is pale, cool is dark, grey lies between', () => {
    const [warm, cool, grey] = [
      [230, 120, 40],
      [40, 90, 180],
      [140, 140, 140],
    ].map((rgb) => seen('warm-cool', rgb)[0]);
    expect(warm).to.be.above(grey);
    expect(grey).to.be.above(cool);
  });

  it('a squint spreads a dot and keeps what there is of light', () => {
    const side = 60;
    const data = new Uint8ClampedArray(4 * side * side).fill(255);
    for (let c = 0; c < 3; c++) data[4 * (30 * side + 30) + c] = 0;
    const blurred = viewById('squint').of({ width: side, height: side, data }).data;
    expect(blurred[4 * (30 * side + 30)]).to.be.above(180);
    expect(blurred[4 * (31 * side + 31)]).to.be.below(255);
    expect(blurred[0]).to.equal(255);
  });
});
