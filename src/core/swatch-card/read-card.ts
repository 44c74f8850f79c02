import { median } from 'd3-array';
import {
  LINEAR_LIGHTS,
  type Lab,
  gammaEncode,
  deltaE2000,
  labOfHex,
  labOfRgb,
  linearise,
  rgbOfLab,
} from '../colour/index.ts';
import { type Paper, type Patch } from '../laydown/index.ts';
import { type RgbaImage } from '../lineart/index.ts';
import {
  CARD_MM,
  type CardBox,
  type CardCell,
  type CardLayout,
  type CardName,
  layOutCard,
  nameOfCode,
} from './layout.ts';
import { type Light, fittedWhite } from './white.ts';

/** A patch of a card as it was read. */
export interface CardReading extends CardCell {
  lab: Lab;
  /** How far the blocks of its middle lie from each other, CIEDE2000: an even patch has little. */
  spread: number;
  /** Share of the blocks that lie far from the rest: a fleck, a fold, a shadow. */
  astray: number;
  /** Why it is worth laying or reading again, or null. */
  doubt: CardDoubt | null;
}

export type CardDoubt = 'not laid' | 'uneven' | 'spoilt in part';

/** The part of a patch that is read, around its middle, and the blocks it is read in. */
const MIDDLE = 0.66;
const BLOCKS = { across: 6, down: 4 };
/** A block farther than this from the middle of all, CIEDE2000, and a multiple of their spread, is astray. */
const ASTRAY = { least: 4, times: 3 };
const TOO_MANY_ASTRAY = 0.15;
/** A patch whose blocks differ so much, CIEDE2000, was laid unevenly. */
const UNEVEN = 4.5;
/**
 * A patch was not laid if it differs from the bare card by less than so much, CIEDE2000, or than so much of what a lighter
 * patch of its pencil differs; but never where the pencil's strongest hardly shows itself.
 */
const BARE = { least: 0.9, beside: 0.4, share: 0.3, shows: 3 };
/** Paper reflects more than this of a picture's light, or it is no paper. */
const DARK = 0.04;
/** A picture's tones are bent back by so much at most: printed greys are only as good as the printer. */
const BENT = { least: 0.8, most: 1.25 };

/** A box of the code is looked at so far inside its edge, mm, and is filled when it is darker than this share of the paper. */
const CODE = { inset: 0.5, filled: 0.45 };

/**
 * Which card and page a straightened picture of one shows, by its row of boxes.
 * @param image the card from the middle of its first mark to that of its third, at any scale
 * @returns null where the boxes were misread
 */
export function cardNameIn(image: RgbaImage): CardName | null {
  const { code } = layOutCard(1, { card: 0, page: 0 });
  const paper = greenOf(meanLight(image, { x: 60, y: 5, width: 30, height: 6 }));
  return nameOfCode(code.map(({ box }) => greenOf(meanLight(image, inner(box, CODE.inset))) < CODE.filled * paper));
}

/**
 * Reads every patch of a card. The light is evened out by the bare paper between the rows, taken to be the paper's own
 * tint; tones are bent back by the printed greys; each patch is the median of the blocks of its middle, and a block the
 * mean of its light, since the eye mixes specks and pigment so.
 * @param image the card from the middle of its first mark to that of its third, at least 3 pixels a mm
 * @throws RangeError for a picture too small, or one on which no paper shows between the patches
 */
export function readCard(image: RgbaImage, layout: CardLayout, paper: Paper): CardReading[] {
  if (image.width < 3 * CARD_MM.width) {
    throw new RangeError('This picture is too small: a card needs 3 pixels a mm at least, about 800 across.');
  }
  const white = fittedWhite(barePlaces(layout).map((box) => ({ box, light: meanLight(image, box) })));
  const middle = white(layout.width / 2, layout.height / 2);
  if (middle[1] < DARK) {
    throw new RangeError(
      'No paper shows between the patches, so their colours cannot be told. Photograph it in daylight.',
    );
  }
  const tint = rgbOfLab(labOfHex(paper.tint)).map(linearise) as unknown as Light;
  const bend = bendOf(image, layout, white);
  const labOf = (light: Light, { x, y, width, height }: CardBox) => {
    const around = white(x + width / 2, y + height / 2);
    const channel = (k: 0 | 1 | 2) =>
      gammaEncode(Math.min(1, Math.max(0, light[k] / around[k]) ** (1 / bend[k]) * tint[k]));
    return labOfRgb([channel(0), channel(1), channel(2)]);
  };
  const read = layout.cells.map((cell) => {
    const blocks = blocksOf(cell.box).map((box) => labOf(meanLight(image, box), box));
    const lab = medianOf(blocks);
    const off = blocks.map((block) => deltaE2000(block, lab));
    const spread = median(off)!;
    const limit = Math.max(ASTRAY.least, ASTRAY.times * spread);
    const astray = off.filter((value) => value > limit).length / off.length;
    const beside =
      cell.on === 'bar' ? labOf(meanLight(image, barBeside(layout, cell)), cell.box) : labOfHex(paper.tint);
    return { ...cell, lab, spread, astray, fromBare: deltaE2000(lab, beside) };
  });
  return read.map(({ fromBare, ...cell }) => {
    const row = read.filter((other) => other.row === cell.row && other.on === cell.on && other.over === null);
    const most = Math.max(...row.map((other) => other.fromBare));
    const lighter = row.filter(({ patch }) => HARDNESS.indexOf(patch) < HARDNESS.indexOf(cell.patch));
    const least = Math.max(BARE.least, BARE.beside * Math.max(0, ...lighter.map((other) => other.fromBare)));
    return { ...cell, doubt: doubtOf(cell, fromBare, most < BARE.shows ? 0 : Math.min(least, BARE.share * most)) };
  });
}

const HARDNESS: readonly Patch[] = ['light', 'light-twice', 'medium', 'light-four', 'light-eight', 'firm', 'full'];

/**
 * @param fromBare how far a patch lies from what it lies on, CIEDE2000
 * @param least how far it lies at least if it was laid
 */
function doubtOf({ spread, astray }: { spread: number; astray: number }, fromBare: number, least: number) {
  if (fromBare < least) return 'not laid';
  if (astray > TOO_MANY_ASTRAY) return 'spoilt in part';
  return spread > UNEVEN ? 'uneven' : null;
}

/** Strips of what a patch lies on, under it and over it, mm: from its ends, from its edges, how high, and inside the bar. */
const STRIP = { inset: 2, below: 0.6, above: 1.4, height: 0.8, inBar: 0.2 };
/** The margin beside the bar is looked at so far from the bar and from the edge, mm; narrower than this it is not. */
const MARGIN = { beside: 0.8, outside: 0.4, least: 0.3 };
/** Printed greys are looked at so far inside their edge, mm. */
const GREY_INSET = 0.6;

/** Bare paper on a card: strips between the rows left of the bar, and the margins beside and below. */
function barePlaces({ cells, labels, bar, width, greys }: CardLayout): CardBox[] {
  const places: CardBox[] = [];
  for (const { on, box } of cells) {
    if (on === 'paper' && box.width > 10)
      places.push({
        x: box.x + STRIP.inset,
        y: box.y + box.height + STRIP.below,
        width: box.width - 2 * STRIP.inset,
        height: STRIP.height,
      });
  }
  for (const { y, height: down } of labels) places.push({ x: cells[0]!.box.x - 5, y, width: 3, height: down });
  const right = bar.x + bar.width;
  for (let y = bar.y; y < bar.y + bar.height; y += 20)
    places.push({ x: right + MARGIN.beside, y, width: width - right - MARGIN.beside - MARGIN.outside, height: 8 });
  places.push({ x: 58, y: 3, width: 30, height: 4 }, { x: 150, y: 16, width: 30, height: 4 });
  const greyTop = greys[0]!.box.y;
  for (let y = bar.y + bar.height + 4; y < greyTop - 8; y += 16) {
    for (let x = 4; x < width - 10; x += 18) places.push({ x, y, width: 8, height: 4 });
  }
  return places.filter(({ width: across }) => across > MARGIN.least);
}

/** The strip of bar over a patch. */
function barBeside({ bar }: CardLayout, { box }: CardCell): CardBox {
  const y = Math.max(bar.y + STRIP.inBar, box.y - STRIP.above);
  return { x: box.x + STRIP.inset, y, width: box.width - 2 * STRIP.inset, height: STRIP.height };
}

/** How the picture bends tones in each channel beside what greys of their lightness reflect. */
function bendOf(image: RgbaImage, { greys }: CardLayout, white: (x: number, y: number) => Light): Light {
  const seen = greys.map(({ box, lightness }) => {
    const light = meanLight(image, inner(box, GREY_INSET));
    const around = white(box.x + box.width / 2, box.y + box.height / 2);
    return { meant: linearise(rgbOfLab([lightness, 0, 0])[1]), light, around };
  });
  const channel = (k: 0 | 1 | 2) => {
    let [both, square] = [0, 0];
    for (const { meant, light, around } of seen) {
      const [want, got] = [Math.log(meant), Math.log(Math.max(1e-3, light[k] / around[k]))];
      both += want * got;
      square += want * want;
    }
    return Math.min(BENT.most, Math.max(BENT.least, both / square));
  };
  return [channel(0), channel(1), channel(2)];
}

function blocksOf(box: CardBox): CardBox[] {
  const middle = inner(box, MIDDLE);
  const [width, height] = [middle.width / BLOCKS.across, middle.height / BLOCKS.down];
  return Array.from({ length: BLOCKS.across * BLOCKS.down }, (_, i) => ({
    x: middle.x + (i % BLOCKS.across) * width,
    y: middle.y + Math.floor(i / BLOCKS.across) * height,
    width,
    height,
  }));
}

function inner({ x, y, width, height }: CardBox, share: number): CardBox {
  const rest = (1 - share) / 2;
  return { x: x + rest * width, y: y + rest * height, width: share * width, height: share * height };
}

/** The mean light of the pixels of a box. */
function meanLight({ width, height, data }: RgbaImage, box: CardBox): Light {
  const scale = { x: width / CARD_MM.width, y: height / CARD_MM.height };
  const [left, right] = spanOf(box.x * scale.x, (box.x + box.width) * scale.x, width);
  const [top, bottom] = spanOf(box.y * scale.y, (box.y + box.height) * scale.y, height);
  const sum = [0, 0, 0];
  for (let y = top; y <= bottom; y++) {
    for (let x = left, p = 4 * (y * width + left); x <= right; x++, p += 4) {
      for (let k = 0; k < 3; k++) sum[k]! += LINEAR_LIGHTS[data[p + k]!]!;
    }
  }
  const count = (right - left + 1) * (bottom - top + 1);
  return [sum[0]! / count, sum[1]! / count, sum[2]! / count];
}

/** The first and last pixel whose middles lie between two places, at least one. */
function spanOf(from: number, to: number, size: number): [number, number] {
  const first = Math.min(size - 1, Math.max(0, Math.ceil(from - 0.5)));
  return [first, Math.max(first, Math.min(size - 1, Math.floor(to - 0.5)))];
}

function greenOf(light: Light): number {
  return light[1];
}

function medianOf(labs: readonly Lab[]): Lab {
  return [median(labs, ([l]) => l)!, median(labs, ([, a]) => a)!, median(labs, ([, , b]) => b)!];
}
