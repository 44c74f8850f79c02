import { expect } from 'chai';
import fc from 'fast-check';
import {
  type GreyImage,
  NO_REGION,
  PageIndex,
  distanceToLines,
  findRegions,
  growLabels,
  inkShareOf,
  ringArea,
} from '../index.ts';

const SIDE = 160;
/** A page of 16 x 16 mm, framed, with lines across it at some places, one of them with a gap, and a fleck. */
function ruledPage(lines: readonly number[]): GreyImage {
  const data = new Uint8Array(SIDE * SIDE).fill(255);
  const ink = (x: number, y: number) => void (data[y * SIDE + x] = 0);
  for (let k = 10; k < 150; k++) {
    for (const at of [10, 149]) for (const [x, y] of [[k, at], [at, k]] as const) ink(x, y); // prettier-ignore
    for (const at of lines) if (k < 70 || k > 76) ink(k, at);
  }
  ink(149, 149);
  for (let k = 30; k < 33; k++) for (const [x, y] of [[k, 30], [k, 33], [30, k], [33, k + 1]] as const) ink(x, y); // prettier-ignore
  return { width: SIDE, height: SIDE, data };
}
const found = (lines: readonly number[] = [60, 90]) =>
  findRegions(ruledPage(lines), { pixelsPerMm: 10, minRegionMm2: 0.2, speckMm: 0 });

/** Its bytes with some of them changed. */
function changed({ data }: PageIndex, change: (words: Uint32Array, all: ArrayBuffer) => void): ArrayBuffer {
  const copy = data.slice();
  change(new Uint32Array(copy, 0, 12), copy);
  return copy;
}

describe('the index of a page', () => {
  it('taken up again from its bytes says all that was found', async () => {
    const seen = { paper: '#fdf6e8', grounds: [{ region: 2, kind: 'coloured' as const, colour: '#0a64c8' }] };
    const ink = inkShareOf(ruledPage([60, 90]));
    const index = (await found()).with({ seen, ink });
    const again = PageIndex.from(index.data.slice());
    expect(again.seen).to.deep.equal(seen);
    expect(again.ink).to.deep.equal(ink);
    expect(again.with({ ink: null }).data.byteLength).to.be.below(index.data.byteLength - SIDE * SIDE);
    for (const key of [
      'width',
      'height',
      'pixelsPerMm',
      'regions',
      'neighbours',
      'alike',
      'doubts',
      'arcs',
      'seen',
    ] as const) {
      expect(again[key], key).to.deep.equal(index[key]);
    }
    expect(again.labels).to.deep.equal(index.labels);
    expect(again.grown).to.deep.equal(index.grown);
    expect(again.doubts.length).to.be.above(0);
    expect(new Uint8Array(again.data)).to.deep.equal(new Uint8Array(index.data));
  });

  it('is the same for the same page, however many lines it has', () =>
    fc.assert(
      fc.asyncProperty(fc.uniqueArray(fc.integer({ min: 20, max: 140 }), { maxLength: 6 }), async (lines) => {
        const [one, two] = [await found(lines), await found(lines)];
        expect(new Uint8Array(one.data)).to.deep.equal(new Uint8Array(two.data));
        expect(PageIndex.from(one.data).regions).to.deep.equal(two.regions);
      }),
      { numRuns: 12 },
    ));

  it('holds labels grown to the middle of lines, distances, and rings that keep within a line of each region', async () => {
    const index = await found();
    const { labels, grown, distance, rings, regions, width, height, pixelsPerMm } = index;
    expect(grown).to.deep.equal(growLabels(labels, width, height, 2 * pixelsPerMm));
    expect(distance).to.deep.equal(distanceToLines(labels, width, height));
    const third = index.distanceEvery(3);
    const across = Math.ceil(width / 3);
    third.forEach((px, o) => expect(px).to.equal(distance[3 * Math.floor(o / across) * width + 3 * (o % across)]));
    for (const { id, areaMm2 } of regions) {
      const area = rings[id].reduce((sum, ring) => sum + ringArea(ring), 0) / pixelsPerMm ** 2;
      expect(area).to.be.within(areaMm2, areaMm2 + 4 * 28 * 0.1);
      const white = index.outlineOf(id).reduce((sum, ring) => sum + ringArea(ring), 0) / pixelsPerMm ** 2;
      expect(white).to.be.closeTo(areaMm2, 0.01 * areaMm2);
    }
  });

  it('draws a stair of pixels as the slope that it stands for: nowhere two pixels off, with far fewer corners', async () => {
    const [side, radius] = [200, 80];
    const away = (x: number, y: number) => Math.hypot(x + 0.5 - side / 2, y + 0.5 - side / 2);
    const data = Uint8Array.from({ length: side * side }, (_, i) =>
      Math.abs(away(i % side, Math.floor(i / side)) - radius) < 1.5 ? 0 : 255,
    );
    const index = await findRegions({ width: side, height: side, data }, { pixelsPerMm: 10 });
    const [ring] = index.outlineOf(1);
    expect(ring.length / 2).to.be.below(150);
    for (let k = 0; k < ring.length; k += 2) {
      const next = (k + 2) % ring.length;
      for (const share of [0, 0.5]) {
        const [x, y] = [0, 1].map((c) => ring[k + c] + share * (ring[next + c] - ring[k + c]) - side / 2);
        expect(Math.abs(Math.hypot(x, y) - (radius - 1.5))).to.be.below(2);
      }
    }
  });

  it('is put together from regions that were kept as labels alone just as when they were found', async () => {
    const index = await found();
    const again = PageIndex.ofLabels(index);
    expect(new Uint8Array(again.data)).to.deep.equal(new Uint8Array(index.data));
  });

  it('is read from bytes of the edition before it, which held no printed lines', async () => {
    const index = await found();
    const before = PageIndex.from(changed(index, (words) => (words[1] = 1)));
    expect(before.ink).to.equal(null);
    expect(before.regions).to.deep.equal(index.regions);
  });

  it('says of bytes that it cannot take up what is wrong with them', async () => {
    const index = await found();
    const SAYS: [RegExp, ArrayBuffer][] = [
      [/too few bytes/, index.data.slice(0, 40)],
      [/are not the regions/, changed(index, (words) => (words[0] = 1))],
      [/edition 9; this program reads edition 2/, changed(index, (words) => (words[1] = 9))],
      [/no size/, changed(index, (words) => (words[2] = 0))],
      [/no size/, changed(index, (words) => (words[4] = NO_REGION))],
      [/cut short/, index.data.slice(0, -8)],
      [/cut short/, changed(index, (words) => words[9]++)],
      [/no resolution/, changed(index, (_, all) => (new Float64Array(all, 48, 1)[0] = NaN))],
      [
        /Colour was seen/,
        changed(
          index.with({
            seen: { paper: '#ffffff', grounds: [{ region: 40, kind: 'coloured', colour: '#000000' }] },
          }),
          () => undefined,
        ),
      ],
      [/of no ink/, index.with({ ink: { ...inkShareOf(ruledPage([60])), reflects: NaN } }).data],
      [/do not agree/, changed(index, (_, all) => (new Uint16Array(all)[all.byteLength / 2 - 1] = 999))],
    ];
    for (const [sentence, bytes] of SAYS) expect(() => PageIndex.from(bytes)).to.throw(RangeError, sentence);
  });

  it('takes no bytes for an index that are none', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 400 }), (bytes) => {
        expect(() => PageIndex.from(new Uint8Array(bytes).buffer)).to.throw(RangeError);
      }),
    );
  });
});
