import sharp from 'sharp';
import { type PatchKind } from '../contracts/index.ts';
import { type Lab, gammaEncode, hexOfLab, labOfHex, linearise, rgbOfLab } from '../core/colour/index.ts';
import { BAR, SINGLE_PATCHES, paperById } from '../core/laydown/index.ts';
import { seededRandom } from '../core/random/index.ts';
import { type CardBox, type CardCell, type CardName, MARK_MM, layOutCard } from '../core/swatch-card/index.ts';
import { type Labelled, hashOf, layOverlay, layPatch, made, madePaper, normal } from './maker/index.ts';
import { type Picture } from './resample.ts';

/** Size of a patch of a chart, its margin, and the resolution that everything here is drawn at: mm and pixels a mm. */
const PATCH_MM = 14;
const MARGIN_MM = 8;
/** Patches of a chart in a row, and between two of them, mm. */
const IN_A_ROW = 6;
const CHART_GAP_MM = 5;
const PIXELS_PER_MM = 8;

/** Sheet of paper that a card is printed on, and where its first mark lies on it, mm. */
export const CARD_SHEET_MM = { width: 210, height: 297, left: 13, top: 22 };
const INK = '#1c1b1b';
/** Strokes that are to be seen in a patch, and how much lighter or darker than the patch they are, L*. */
const STROKES = 16;
const STROKE_L = 3;
/** How far a hand strays over the edge of a patch, mm. */
const STRAYS_MM = 0.4;

/**
 * One page of a printed swatch card, filled in by the hidden maker's hand, as it lies on the table.
 * @param pencils of its rows
 * @param spoilt whether one patch was smeared and one was forgotten, as it happens
 */
export function swatchCard(
  pencils: readonly Labelled[],
  paperId: string,
  name: CardName,
  spoilt = false,
): Promise<Picture> {
  const layout = layOutCard(pencils.length, name);
  const [paper, makers] = [madePaper(paperId), pencils.map(made)];
  const ink = (box: CardBox, fill: string, more = '') =>
    `<rect x="${box.x}" y="${box.y}" width="${box.width}" height="${box.height}" fill="${fill}" ${more}/>`;
  const marks = layout.marks.map(({ x, y }, i) =>
    i === 0
      ? `<circle cx="${x}" cy="${y}" r="${MARK_MM.outer / 2}" fill="${INK}"/>`
      : `<circle cx="${x}" cy="${y}" r="${(MARK_MM.outer + MARK_MM.inner) / 4}" fill="none" stroke="${INK}" stroke-width="${(MARK_MM.outer - MARK_MM.inner) / 2}"/>`,
  );
  const printed = [
    ...marks,
    ...layout.code.map(({ box, filled }) => ink(box, filled ? INK : 'none', `stroke="${INK}" stroke-width="0.2"`)),
    ...layout.greys.map(({ box, lightness }) => ink(box, printedOn(paperId, [lightness, 0, 0]))),
    ink(layout.bar, BAR),
  ];
  const laid = layout.cells.flatMap((cell, i) => {
    if (spoilt && i === FORGOTTEN) return [];
    const layers = [cell.row, ...(cell.over === null ? [] : [cell.over])].map((row) => makers[row]!);
    const lab = layOverlay(
      layers.map((pencil) => ({ pencil, patch: cell.patch })),
      paper,
      cell.on,
    );
    const patch = patchBy(cell, lab, seededRandom(hashOf(`${pencils[cell.row]!.id} ${i}`)));
    const { x, y, width, height } = cell.box;
    return spoilt && i === SMEARED
      ? [...patch, ink({ x: x + 0.45 * width, y, width: 0.35 * width, height }, '#5b5049', 'fill-opacity="0.8"')]
      : patch;
  });
  const { left, top, width, height } = CARD_SHEET_MM;
  const shapes = [`<g transform="translate(${left} ${top})">`, ...printed, ...laid, '</g>'];
  return drawn(width, height, paperById(paperId).tint, shapes);
}

/** What ink of a colour looks like on a paper: each takes its share of the light. */
function printedOn(paperId: string, lab: Lab): string {
  const tint = labOfHex(paperById(paperId).tint);
  const [ink, bare] = [rgbOfLab(lab), rgbOfLab(tint)];
  const light = [0, 1, 2].map((k) => Math.round(gammaEncode(linearise(ink[k]!) * linearise(bare[k]!))));
  return `rgb(${light.join(' ')})`.replaceAll(' ', ',');
}

/** Places among the cells of a card of the two patches that can be spoilt. */
const SMEARED = 9;
const FORGOTTEN = 26;

/** A patch as a hand lays it: strokes to be seen, some lighter and some darker, and edges that stray. */
function patchBy({ box }: Pick<CardCell, 'box'>, lab: Lab, random: () => number): string[] {
  const { x, y, width, height } = box;
  const stray = () => (random() * 2 - 1) * STRAYS_MM;
  const edge = [
    [x + stray(), y + stray()],
    [x + width / 2, y + stray()],
    [x + width + stray(), y + stray()],
    [x + width + stray(), y + height + stray()],
    [x + width / 2, y + height + stray()],
    [x + stray(), y + height + stray()],
  ];
  const strokes = Array.from({ length: STROKES }, (_, i) => {
    const lighter = i % 2 === 0 ? STROKE_L : -STROKE_L;
    const colour = hexOfLab([Math.min(100, Math.max(0, lab[0] + lighter)), lab[1], lab[2]]);
    const at = x + ((i + 0.2 + 0.6 * random()) / STROKES) * width;
    return `<path d="M${at} ${y + height}l${1 + random()} ${-height}" stroke="${colour}" stroke-width="0.5" fill="none"/>`;
  });
  return [`<polygon points="${edge.map((point) => point.join(',')).join(' ')}" fill="${hexOfLab(lab)}"/>`, ...strokes];
}

/** A chart that someone made at the first go through a box: one full patch a pencil, six in a row. */
export function swatchChart(pencils: readonly Labelled[], paperId: string): Promise<Picture> {
  const paper = madePaper(paperId);
  const step = PATCH_MM + CHART_GAP_MM;
  const patches = pencils.map((pencil, i) => {
    const [x, y] = [MARGIN_MM + (i % IN_A_ROW) * step, MARGIN_MM + Math.floor(i / IN_A_ROW) * step];
    const colour = hexOfLab(layPatch(made(pencil), paper, 'full', 'paper'));
    return `<rect x="${x}" y="${y}" width="${PATCH_MM}" height="${PATCH_MM}" fill="${colour}"/>`;
  });
  const side = (count: number) => 2 * MARGIN_MM + count * step - CHART_GAP_MM;
  return drawn(side(IN_A_ROW), side(Math.ceil(pencils.length / IN_A_ROW)), paperById(paperId).tint, patches);
}

/** A trial patch on a scrap of paper: layers over one another in the middle of it. */
export function trialScrap(
  layers: readonly { pencil: Labelled; patch: PatchKind }[],
  paperId: string,
): Promise<Picture> {
  const own = layers.map(({ pencil, patch }) => ({ pencil: made(pencil), patch }));
  const lab = layOverlay(own, madePaper(paperId));
  const box = { x: 25, y: 18, width: 40, height: 26 };
  const random = seededRandom(hashOf(layers.map(({ pencil, patch }) => `${pencil.id} ${patch}`).join(' ')));
  return drawn(90, 62, paperById(paperId).tint, patchBy({ box }, lab, random));
}

/** A practice strip: one pencil pressed from light to full along 120 mm, as evenly as this hand manages. */
export function practiceStrip(pencil: Labelled, paperId: string, seed: number): Promise<Picture> {
  const paper = madePaper(paperId);
  const whole = made(pencil);
  const stops = [
    labOfHex(paperById(paperId).tint),
    ...SINGLE_PATCHES.map((patch) => layPatch(whole, paper, patch, 'paper')),
  ];
  const random = seededRandom(hashOf(`strip ${pencil.id} ${seed}`));
  const bars = Array.from({ length: 120 }, (_, i) => {
    const t = Math.min(0.999, Math.max(0, i / 120 + 0.025 * normal(random))) * (stops.length - 1);
    const [from, to] = [stops[Math.floor(t)]!, stops[Math.floor(t) + 1]!];
    const lab = from.map((value, c) => value + (to[c]! - value) * (t % 1)) as unknown as Lab;
    return `<rect x="${MARGIN_MM + i}" y="${MARGIN_MM}" width="1.05" height="18" fill="${hexOfLab(lab)}"/>`;
  });
  const [width, height] = [120 + 2 * MARGIN_MM, 18 + 2 * MARGIN_MM];
  return drawn(width, height, paperById(paperId).tint, [...cornerMarks(width, height), ...bars]);
}

function cornerMarks(width: number, height: number): string[] {
  return [1.5, width - 4].flatMap((x) =>
    [1.5, height - 4].map((y) => `<rect x="${x}" y="${y}" width="2.5" height="2.5" fill="#1c1b1b"/>`),
  );
}

async function drawn(width: number, height: number, ground: string, shapes: readonly string[]): Promise<Picture> {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width * PIXELS_PER_MM}" height="${height * PIXELS_PER_MM}" viewBox="0 0 ${width} ${height}"><rect width="100%" height="100%" fill="${ground}"/>${shapes.join('')}</svg>`;
  const { data, info } = await sharp(Buffer.from(svg)).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data: new Uint8Array(data) };
}
