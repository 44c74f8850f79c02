import { layDeskLight } from './desk-light.ts';

/** All that one painting of the sheet needs. */
export interface Painting {
  picture: ImageBitmap;
  /** What lies below the printed lines. */
  under: CanvasImageSource | null;
  /** The page as it will come out, printed lines and all, instead of the print itself. */
  predicted: HTMLCanvasElement | null;
  /** What veils the inside of the chosen regions where it does not matter. */
  veil: CanvasImageSource | null;
  /** Scale and offset, CSS pixels. */
  view: { k: number; x: number; y: number };
  size: { width: number; height: number };
  paperTint: string;
  chosen: readonly Path2D[];
  lit: readonly Path2D[];
}

const VEIL = 'rgba(226, 226, 224, 0.5)';
/** Beside regions that have a veil of their own. */
const THICK_VEIL = 'rgba(226, 226, 226, 0.69)';

/** Paints paper, prediction and ink, veils what is not chosen, and outlines what is in black and white. */
export function paintSheet(canvas: HTMLCanvasElement, painting: Painting): void {
  const { picture, under, predicted, view, size, paperTint } = painting;
  const dots = window.devicePixelRatio || 1;
  const context = cleared(canvas, size);
  context.setTransform(dots * view.k, 0, 0, dots * view.k, dots * view.x, dots * view.y);

  context.save();
  context.shadowColor = 'rgba(0, 0, 0, 0.28)';
  context.shadowBlur = 14 * dots;
  context.shadowOffsetY = 4 * dots;
  context.fillStyle = paperTint;
  context.fillRect(0, 0, picture.width, picture.height);
  context.restore();
  if (predicted) {
    const scale = (dots * view.k * picture.width) / predicted.width;
    context.drawImage(sizedFor(predicted, scale), 0, 0, picture.width, picture.height);
    layDeskLight(context, picture.width, picture.height);
  } else {
    if (under) context.drawImage(under, 0, 0, picture.width, picture.height);
    context.globalCompositeOperation = 'multiply';
    context.drawImage(sizedFor(picture, dots * view.k), 0, 0, picture.width, picture.height);
    context.globalCompositeOperation = 'source-over';
  }

  const shown = [...painting.chosen, ...painting.lit];
  if (shown.length) veilAllBut(context, shown, painting.veil, picture);
  // Under a veil of its own the zone matters, and much of it lies along the outline: keep that thin.
  const weight = painting.veil ? 0.45 : 1;
  for (const path of shown) outline(context, path, view.k, weight);
}

/** Outlines the region pointed at on a canvas of its own that lies over the sheet, so that the page stays as painted. */
export function paintPointedAt(
  canvas: HTMLCanvasElement,
  { view, size }: Pick<Painting, 'view' | 'size'>,
  path: Path2D | null,
): void {
  const dots = window.devicePixelRatio || 1;
  const context = cleared(canvas, size);
  if (!path) return;
  context.setTransform(dots * view.k, 0, 0, dots * view.k, dots * view.x, dots * view.y);
  outline(context, path, view.k, 0.8);
}

/** The canvas with a dot for each of the screen, and nothing on it. */
function cleared(canvas: HTMLCanvasElement, size: Painting['size']): CanvasRenderingContext2D {
  const dots = window.devicePixelRatio || 1;
  const [width, height] = [Math.round(size.width * dots), Math.round(size.height * dots)];
  if (canvas.width !== width || canvas.height !== height) [canvas.width, canvas.height] = [width, height];
  const context = canvas.getContext('2d')!;
  context.setTransform(1, 0, 0, 1, 0, 0);
  context.clearRect(0, 0, width, height);
  return context;
}

/** Each picture at a half of its size, a quarter and so on, made when first asked for. */
const halves = new WeakMap<CanvasImageSource, OffscreenCanvas>();

/** A picture as small as it can be for being shown at a scale, so that not all of it is read for each painting. */
function sizedFor(picture: ImageBitmap | OffscreenCanvas | HTMLCanvasElement, scale: number): CanvasImageSource {
  if (scale > 0.5) return picture;
  let half = halves.get(picture);
  if (!half) {
    half = new OffscreenCanvas(Math.ceil(picture.width / 2), Math.ceil(picture.height / 2));
    const context = half.getContext('2d')!;
    context.imageSmoothingQuality = 'medium';
    context.drawImage(picture, 0, 0, half.width, half.height);
    halves.set(picture, half);
  }
  return sizedFor(half, 2 * scale);
}

/** Veils all beside some regions along their outlines, and these themselves as a picture says, where there is one. */
function veilAllBut(
  context: CanvasRenderingContext2D,
  shown: readonly Path2D[],
  inside: CanvasImageSource | null,
  { width, height }: ImageBitmap,
): void {
  const [within, beside] = [new Path2D(), new Path2D()];
  for (const path of shown) within.addPath(path);
  beside.rect(0, 0, width, height);
  beside.addPath(within);
  context.fillStyle = inside ? THICK_VEIL : VEIL;
  context.fill(beside, 'evenodd');
  if (!inside) return;
  context.save();
  context.clip(within, 'evenodd');
  context.drawImage(inside, 0, 0, width, height);
  context.restore();
}

/** A double outline, black within white, that reads on any colour. */
function outline(context: CanvasRenderingContext2D, path: Path2D, k: number, weight: number): void {
  context.lineJoin = 'round';
  context.strokeStyle = '#fff';
  context.lineWidth = (5 * weight) / k;
  context.stroke(path);
  context.strokeStyle = '#000';
  context.lineWidth = (2.4 * weight) / k;
  context.stroke(path);
}
