import { type Quad, sideLengths } from '../../core/straighten/index.ts';

/** A straightened page has at most as many pixels as A4 at 300 dpi. */
const MOST_PIXELS = 2480 * 3508;

/**
 * How large a straightened page comes out: in the shape of a format turned as the page lies in the photo, or in the
 * shape that its sides have there.
 * @returns its size in pixels, about as many as the photo has of it, and in mm where a format says so
 */
export function straightSize(
  quad: Quad,
  format?: { width: number; height: number },
): { pixels: { width: number; height: number }; mm?: { widthMm: number; heightMm: number } } {
  const seen = sideLengths(quad);
  const [short, long] = format ? [format.width, format.height] : [0, 0];
  const lying = seen.width > seen.height;
  const mm = format && { widthMm: lying ? long : short, heightMm: lying ? short : long };
  const ratio = mm ? mm.widthMm / mm.heightMm : seen.width / seen.height;
  const area = Math.min(MOST_PIXELS, seen.width * seen.height);
  const height = Math.sqrt(area / ratio);
  return { pixels: { width: Math.round(height * ratio), height: Math.round(height) }, mm };
}

/** Whether the page leaves so much of the photo around it that it is worth straightening, as a share of its sides. */
export function worthStraightening(quad: Quad, { width, height }: { width: number; height: number }): boolean {
  const corners = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ];
  return corners.some((corner, k) => {
    const { x, y } = quad[k]!;
    return Math.hypot((x - corner.x) / width, (y - corner.y) / height) > 0.03;
  });
}
