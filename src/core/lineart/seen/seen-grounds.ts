import { LINEAR_LIGHTS, type Lab, gammaEncode, labOfRgb, linearise } from '../../colour/index.ts';
import { type RgbImage, paperOf } from '../coloured.ts';
import { lumaOf } from '../images.ts';
import { type RegionMap } from '../region-map.ts';
import { paperSurface } from './paper-surface.ts';

/** What a region is found to hold before anything is laid by plan. */
export interface SeenGround {
  region: number;
  kind: 'printed grey' | 'coloured';
  /** As seen in even light, CIE Lab. */
  lab: Lab;
}

export interface SeenPage {
  /** Colour of the bare paper as the picture shows it, CIE Lab. */
  paper: Lab;
  /** Regions that are not bare; by id, ascending. */
  grounds: SeenGround[];
}

/** A ground differs from paper by at least so much: in chroma, then it is coloured, or in lightness alone. */
const CHROMA_APART = 7;
const LIGHTNESS_APART = 4;
/** Printed grey is even: its lightness varies by no more than this around its mean, pencil's does by its grain. */
const EVEN = 2;
/** Regions are read so far from their lines, mm, and from so many pixels at least. */
const INSET_MM = 0.25;
const LEAST_PIXELS = 6;

/**
 * Reads what lies on a page's regions already, after the light was evened out: nothing, a grey that was printed with
 * the lines, or colour.
 * @param colours the page in colour, of the same shape as the map but of any size
 * @throws RangeError when the colours do not hold width x height pixels
 */
export function readSeen(
  { width, height, data }: RgbImage,
  map: Pick<RegionMap, 'width' | 'height' | 'pixelsPerMm' | 'labels' | 'regions'>,
): SeenPage {
  if (data.length !== 3 * width * height) throw new RangeError('The picture holds fewer pixels than its size says.');
  const light = new Float32Array(width * height);
  for (let i = 0; i < light.length; i++) light[i] = lumaOf(data[3 * i]!, data[3 * i + 1]!, data[3 * i + 2]!);
  const { level: white, isLeftBetween } = paperOf(data);
  // Where hardly any paper is bare its light cannot be told from the colours: the page is taken to be lit evenly.
  const surface = isLeftBetween ? () => lumaOf(...white) : paperSurface(light, width, height);
  const [sx, sy] = [map.width / width, map.height / height];
  const inset = Math.max(1, Math.round(INSET_MM * map.pixelsPerMm));
  const count = map.regions.length;
  const [pixels, sums] = [new Uint32Array(count + 1), new Float64Array(3 * (count + 1))];
  const [lights, squares] = [new Float64Array(count + 1), new Float64Array(count + 1)];
  for (let y = 0, i = 0; y < height; y++) {
    const my = Math.min(map.height - 1, Math.floor((y + 0.5) * sy));
    for (let x = 0; x < width; x++, i++) {
      const level = surface(x + 0.5, y + 0.5);
      const label = wellInside(map, Math.min(map.width - 1, Math.floor((x + 0.5) * sx)), my, inset);
      if (label === 0 || label > count) continue;
      pixels[label]!++;
      const share = light[i]! / level;
      lights[label]! += share;
      squares[label]! += share * share;
      const paperLevel = linearise(level);
      for (let c = 0; c < 3; c++) sums[3 * label + c]! += LINEAR_LIGHTS[data[3 * i + c]!]! / paperLevel;
    }
  }
  const paperLight = lumaOf(white[0]!, white[1]!, white[2]!);
  const paper = labOfRgb([white[0]!, white[1]!, white[2]!]);
  const grounds: SeenGround[] = [];
  for (let region = 1; region <= count; region++) {
    const n = pixels[region]!;
    if (n < LEAST_PIXELS) continue;
    const mean = [0, 1, 2].map((c) => (sums[3 * region + c]! / n) * linearise(paperLight));
    const lab = labOfRgb(
      mean.map((light) => gammaEncode(Math.min(1, light))) as unknown as Parameters<typeof labOfRgb>[0],
    );
    const chroma = Math.hypot(lab[1] - paper[1], lab[2] - paper[2]);
    const darker = paper[0] - lab[0];
    const spread = 100 * Math.sqrt(Math.max(0, squares[region]! / n - (lights[region]! / n) ** 2));
    if (chroma > CHROMA_APART) grounds.push({ region, kind: 'coloured', lab });
    else if (darker > LIGHTNESS_APART) {
      grounds.push({ region, kind: spread < EVEN ? 'printed grey' : 'coloured', lab });
    }
  }
  return { paper, grounds };
}

/** The region at a pixel of the map when it holds the pixels around too, else 0. */
function wellInside(
  { labels, width, height }: Pick<RegionMap, 'labels' | 'width' | 'height'>,
  x: number,
  y: number,
  inset: number,
): number {
  const label = labels[y * width + x]!;
  if (label === 0 || x < inset || y < inset || x >= width - inset || y >= height - inset) return 0;
  for (const at of [y * width + x - inset, y * width + x + inset, (y - inset) * width + x, (y + inset) * width + x])
    if (labels[at] !== label) return 0;
  return label;
}
