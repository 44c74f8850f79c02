import { expect } from 'chai';
import fc from 'fast-check';
import { type Lab, gammaEncode, deltaE2000, labOfHex, labOfRgb, linearise, rgbOfLab } from '../colour/index.ts';
import { BAR, PAPERS, type Paper, whiteBook } from '../laydown/index.ts';
import { type RgbaImage, greyOfRgba } from '../lineart/index.ts';
import { seededRandom } from '../random/index.ts';
import { straightened } from '../straighten/index.ts';
import {
  CARD_MM,
  type CardBox,
  type CardLayout,
  MARK_MM,
  ROWS_ON_A_PAGE,
  cardNameIn,
  findCard,
  layOutCard,
  pagesOf,
  readCard,
} from './index.ts';

const PX = 4;
const NAME = { card: 300, page: 3 };

/** A lamp: how much of red, green and blue arrives at a place of the picture, 0..1 across and down. */
type Lamp = (u: number, v: number) => readonly [number, number, number];
const daylight: Lamp = () => [1, 1, 1];
const evening: Lamp = (u, v) => [0.98, 0.9 - 0.15 * u, 0.72 - 0.1 * v];

/** A filled card straight from above with a margin of 12 mm, its patches in the colours that are wanted. */
function filledCard(layout: CardLayout, wanted: (cell: number) => Lab | null, paper: Paper, lamp: Lamp): RgbaImage {
  const margin = 12;
  const [width, height] = [(CARD_MM.width + 2 * margin) * PX, (CARD_MM.height + 2 * margin) * PX];
  const tint = rgbOfLab(labOfHex(paper.tint));
  const light = new Float64Array(3 * width * height);
  for (let i = 0; i < width * height; i++) for (let k = 0; k < 3; k++) light[3 * i + k] = linearise(tint[k]);
  const paint = ({ x, y, width: across, height: down }: CardBox, rgb: readonly number[], inside = inAll) => {
    for (let v = Math.round((y + margin) * PX); v < (y + down + margin) * PX; v++) {
      for (let u = Math.round((x + margin) * PX); u < (x + across + margin) * PX; u++) {
        if (!inside((u + 0.5) / PX - margin - x - across / 2, (v + 0.5) / PX - margin - y - down / 2)) continue;
        for (let k = 0; k < 3; k++) light[3 * (v * width + u) + k] = linearise(rgb[k]);
      }
    }
  };
  const ink = [28, 27, 27];
  layout.marks.forEach(({ x, y }, i) => {
    const half = MARK_MM.outer / 2;
    const inside = (dx: number, dy: number) => {
      const off = Math.hypot(dx, dy);
      return off <= half && (i === 0 || off >= MARK_MM.inner / 2);
    };
    paint({ x: x - half, y: y - half, width: 2 * half, height: 2 * half }, ink, inside);
  });
  for (const { box, filled } of layout.code) if (filled) paint(box, ink);
  for (const { box, lightness } of layout.greys) {
    const grey = rgbOfLab([lightness, 0, 0]);
    paint(
      box,
      [0, 1, 2].map((k) => gammaEncode(linearise(grey[k]) * linearise(tint[k]))),
    );
  }
  paint(layout.bar, rgbOfLab(labOfHex(BAR)));
  layout.cells.forEach(({ box }, i) => {
    const lab = wanted(i);
    if (lab) paint(box, rgbOfLab(lab));
  });
  const data = new Uint8ClampedArray(4 * width * height);
  for (let y = 0, p = 0; y < height; y++) {
    for (let x = 0; x < width; x++, p += 4) {
      const arriving = lamp(x / width, y / height);
      for (let k = 0; k < 3; k++) data[p + k] = CODES[Math.round(4095 * light[3 * (y * width + x) + k] * arriving[k])];
      data[p + 3] = 255;
    }
  }
  return { width, height, data };
}

const inAll = (_dx: number, _dy: number) => true;
/** Channel values of 4096 steps of light. */
const CODES = Uint8Array.from({ length: 4096 }, (_, i) => gammaEncode(i / 4095));

/** Turned by quarters, clockwise. */
function turned({ width, height, data }: RgbaImage, quarters: number): RgbaImage {
  if (quarters === 0) return { width, height, data };
  const out = new Uint8ClampedArray(data.length);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const to = 4 * (x * height + (height - 1 - y));
      out.set(data.subarray(4 * (y * width + x), 4 * (y * width + x) + 4), to);
    }
  }
  return turned({ width: height, height: width, data: out }, quarters - 1);
}

async function laidStraight(photo: RgbaImage): Promise<RgbaImage> {
  const quad = findCard(greyOfRgba(photo));
  if (!quad) throw new Error('No card was found.');
  return straightened(photo, quad, { width: CARD_MM.width * PX, height: CARD_MM.height * PX });
}

/** How much of a pencil's full colour its patches show. */
const STRENGTH = {
  light: 0.3,
  medium: 0.5,
  firm: 0.8,
  full: 1,
  'light-twice': 0.4,
  'light-four': 0.55,
  'light-eight': 0.7,
};

/** The colours of a card's patches for a pencil of another colour in each row, on a paper. */
function coloursOf(layout: CardLayout, paper: Paper): Lab[] {
  const random = seededRandom(4);
  const own = layout.labels.map((): Lab => {
    const [l, c, h] = [30 + 40 * random(), 20 + 20 * random(), 2 * Math.PI * random()];
    return [l, c * Math.cos(h), c * Math.sin(h)];
  });
  return layout.cells.map(({ row, patch, on, over }) => {
    const ground = labOfHex(on === 'bar' ? BAR : paper.tint);
    const mixed = [row, ...(over === null ? [] : [over])].reduce<Lab>((below, of) => {
      const mix = (k: 0 | 1 | 2) => below[k] + (own[of][k] - below[k]) * STRENGTH[patch];
      return [mix(0), mix(1), mix(2)];
    }, ground);
    // As a screen shows it: some of these are clearer than that.
    return labOfRgb(rgbOfLab(mixed));
  });
}

describe('a swatch card', () => {
  it('has room for every patch: none overlaps another, the bar holds those that belong on it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: ROWS_ON_A_PAGE }), (rows) => {
        const { cells, bar, greys, labels, width, height } = layOutCard(rows, NAME);
        const boxes = [...cells.map(({ box }) => box), ...greys.map(({ box }) => box), ...labels];
        boxes.forEach((a, i) =>
          boxes.slice(i + 1).forEach((b) => {
            const apart =
              a.x + a.width <= b.x || b.x + b.width <= a.x || a.y + a.height <= b.y || b.y + b.height <= a.y;
            if (!apart) throw new Error(`${JSON.stringify(a)} overlaps ${JSON.stringify(b)}`);
          }),
        );
        for (const { box, on } of cells) {
          expect(box.x + box.width).to.be.at.most(width);
          expect(box.y + box.height).to.be.at.most(height);
          expect(box.x >= bar.x && box.x + box.width <= bar.x + bar.width).to.equal(on === 'bar');
        }
      }),
    );
  });

  it('lays every pencil over another once, in a ring; one alone over none', () => {
    const over = layOutCard(5, NAME).cells.flatMap((cell) => (cell.over === null ? [] : [[cell.row, cell.over]]));
    expect(over).to.deep.equal([0, 1, 2, 3, 4].map((row) => [row, (row + 1) % 5]));
    expect(layOutCard(1, NAME).cells.every(({ over: none }) => none === null)).to.equal(true);
    expect([1, 18, 19, 180].map(pagesOf)).to.deep.equal([1, 1, 2, 10]);
  });

  it('refuses more rows than fit, and numbers that its boxes cannot say', () => {
    expect(() => layOutCard(19, NAME)).to.throw(RangeError, '1 to 18 rows');
    expect(() => layOutCard(3, { card: 1024, page: 0 })).to.throw(RangeError, 'numbered from 0 to 1023');
  });
});

describe('the picture of a filled card', () => {
  const layout = layOutCard(6, NAME);
  const colours = coloursOf(layout, whiteBook);

  it('says which card it is, whichever way round it lies', async () => {
    const photo = filledCard(layout, (i) => colours[i], whiteBook, daylight);
    for (const quarters of [0, 1, 2, 3]) {
      expect(cardNameIn(await laidStraight(turned(photo, quarters))), `${quarters} quarters`).to.deep.equal(NAME);
    }
  });

  it('gives every patch its colour, under daylight and under a slanting yellow lamp, on every paper', async () => {
    for (const paper of PAPERS) {
      const wanted = coloursOf(layout, paper);
      for (const lamp of [daylight, evening]) {
        const photo = filledCard(layout, (i) => wanted[i], paper, lamp);
        const read = readCard(await laidStraight(photo), layout, paper);
        const off = read.map(({ lab }, i) => deltaE2000(lab, wanted[i])).sort((a, b) => a - b);
        expect(off[off.length >> 1], `${paper.name}, median`).to.be.below(1);
        expect(off.at(-1), `${paper.name}, worst`).to.be.below(4);
        expect(read.filter(({ doubt }) => doubt)).to.deep.equal([]);
      }
    }
  });

  it('doubts a patch that was not laid and one that is half smeared, and no other', async () => {
    const photo = filledCard(layout, (i) => (i === 10 ? null : colours[i]), whiteBook, daylight);
    const { box } = layout.cells[20];
    const [left, top] = [Math.round((box.x + 12) * PX), Math.round((box.y + 12) * PX)];
    for (let y = 0; y < box.height * PX; y++) {
      for (let x = 0; x < 0.5 * box.width * PX; x++) {
        photo.data.set([20, 20, 20], 4 * ((top + y) * photo.width + left + x));
      }
    }
    const read = readCard(await laidStraight(photo), layout, whiteBook);
    const doubts = read.flatMap(({ doubt }, i) => (doubt ? [[i, doubt]] : []));
    expect(doubts).to.deep.equal([
      [10, 'not laid'],
      [20, 'uneven'],
    ]);
  });

  it('does not take a white pencil on white paper for patches that were forgotten', async () => {
    const white = labOfHex(whiteBook.tint);
    const photo = filledCard(layout, (i) => (layout.cells[i].on === 'paper' ? white : colours[i]), whiteBook, daylight);
    const read = readCard(await laidStraight(photo), layout, whiteBook);
    expect(read.filter(({ doubt, over }) => doubt && over === null)).to.deep.equal([]);
  });

  it('is not found where a mark is cut off, nor on a page that is no card', () => {
    const { width, height, data } = filledCard(layout, (i) => colours[i], whiteBook, daylight);
    const cut = height - 16 * PX;
    expect(findCard(greyOfRgba({ width, height: cut, data: data.slice(0, 4 * width * cut) }))).to.equal(null);
    expect(findCard({ width: 300, height: 400, data: new Uint8Array(120_000).fill(240) })).to.equal(null);
    expect(() => findCard({ width: 0, height: 4, data: new Uint8Array(0) })).to.throw(RangeError, 'no pixels');
  });

  it('is refused where it is too small, or where no paper shows', () => {
    const dark = { width: 1000, height: 1370, data: new Uint8ClampedArray(4 * 1000 * 1370) };
    expect(() => readCard(dark, layout, whiteBook)).to.throw(RangeError, 'No paper shows');
    expect(() => readCard({ ...dark, width: 300, height: 411 }, layout, whiteBook)).to.throw(RangeError, 'too small');
  });

  it('whose boxes were misread says nothing rather than another card', () => {
    const straight = filledCard(layout, () => null, whiteBook, daylight);
    const { x, y, width: side } = layout.code[0].box;
    for (let v = 0; v < side * PX; v++) {
      for (let u = 0; u < side * PX; u++) {
        const at = 4 * (Math.round((y + 12) * PX + v) * straight.width + Math.round((x + 12) * PX + u));
        straight.data.set([20, 20, 20], at);
      }
    }
    return laidStraight(straight).then((card) => expect(cardNameIn(card)).to.equal(null));
  });
});
