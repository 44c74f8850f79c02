import sharp from 'sharp';
import { PATCHES } from '../../contracts/index.ts';
import { type Lab, hexOfLab, labOfHex } from '../../core/colour/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { seededRandom } from '../../core/random/index.ts';
import { type Labelled, hashOf, layPatch, made, madePaper, normal } from '../maker/index.ts';
import { type Picture } from './resample.ts';

/** Size of a patch and of the gap between two, and the resolution that cards are drawn at: mm and pixels a mm. */
const PATCH_MM = 14;
const GAP_MM = 3;
const MARGIN_MM = 8;
/** Patches of a chart in a row, and between two of them, mm. */
const IN_A_ROW = 6;
const CHART_GAP_MM = 5;
const PIXELS_PER_MM = 8;

/**
 * A swatch card as it lies on the table: a row a pencil, patches from light to full, the last over the black bar. A
 * printed square at each corner says where the card ends.
 */
export function swatchCard(pencils: readonly Labelled[], paperId: string): Promise<Picture> {
  const paper = madePaper(paperId);
  const cells = pencils.flatMap((pencil, row) => {
    const whole = made(pencil);
    const colours = [
      ...PATCHES.map((patch) => layPatch(whole, paper, patch, 'paper')),
      layPatch(whole, paper, 'firm', 'bar'),
    ];
    return colours.map((lab, column) => patchAt(column, row, lab));
  });
  const width = 2 * MARGIN_MM + 5 * (PATCH_MM + GAP_MM) - GAP_MM;
  const height = 2 * MARGIN_MM + pencils.length * (PATCH_MM + GAP_MM) - GAP_MM;
  const barLeft = MARGIN_MM + 4 * (PATCH_MM + GAP_MM) - 1;
  const bar = `<rect x="${barLeft}" y="${MARGIN_MM - 2}" width="${PATCH_MM + 2}" height="${height - 2 * MARGIN_MM + 4}" fill="#1c1b1b"/>`;
  return drawn(width, height, paperById(paperId).tint, [...cornerMarks(width, height), bar, ...cells]);
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

/** A practice strip: one pencil pressed from light to full along 120 mm, as evenly as this hand manages. */
export function practiceStrip(pencil: Labelled, paperId: string, seed: number): Promise<Picture> {
  const paper = madePaper(paperId);
  const whole = made(pencil);
  const stops = [labOfHex(paperById(paperId).tint), ...PATCHES.map((patch) => layPatch(whole, paper, patch, 'paper'))];
  const random = seededRandom(hashOf(`strip ${pencil.id} ${seed}`));
  const bars = Array.from({ length: 120 }, (_, i) => {
    const t = Math.min(0.999, Math.max(0, i / 120 + 0.025 * normal(random))) * (stops.length - 1);
    const [from, to] = [stops[Math.floor(t)], stops[Math.floor(t) + 1]];
    const lab = from.map((value, c) => value + (to[c] - value) * (t % 1)) as unknown as Lab;
    return `<rect x="${MARGIN_MM + i}" y="${MARGIN_MM}" width="1.05" height="18" fill="${hexOfLab(lab)}"/>`;
  });
  const [width, height] = [120 + 2 * MARGIN_MM, 18 + 2 * MARGIN_MM];
  return drawn(width, height, paperById(paperId).tint, [...cornerMarks(width, height), ...bars]);
}

function patchAt(column: number, row: number, lab: Lab): string {
  const x = MARGIN_MM + column * (PATCH_MM + GAP_MM);
  const y = MARGIN_MM + row * (PATCH_MM + GAP_MM);
  return `<rect x="${x}" y="${y}" width="${PATCH_MM}" height="${PATCH_MM}" fill="${hexOfLab(lab)}"/>`;
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
