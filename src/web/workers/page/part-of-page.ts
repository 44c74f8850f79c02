import { type FindOptions, type GreyImage, type Mend, type PointMm } from '../../../core/lineart/index.ts';

/** A part of a picture that regions are found on as a trial, px. */
export interface Part {
  left: number;
  top: number;
  width: number;
  height: number;
}

/** A part of a picture, px. */
export function cutOut(grey: GreyImage, { left, top, width, height }: Part): GreyImage {
  const data = new Uint8Array(width * height);
  for (let y = 0; y < height; y++) {
    const from = (top + y) * grey.width + left;
    data.set(grey.data.subarray(from, from + width), y * width);
  }
  return { width, height, data };
}

/** Mends as they lie on a part of the page. */
export function movedMends(wishes: FindOptions, { left, top }: Pick<Part, 'left' | 'top'>): FindOptions {
  const moved = ({ x, y }: PointMm) => ({
    x: x - left / wishes.pixelsPerMm,
    y: y - top / wishes.pixelsPerMm,
  });
  const mends = (wishes.mends ?? []).map((mend): Mend => {
    if (mend.kind === 'cut') return { ...mend, points: mend.points.map(moved) };
    if (mend.kind === 'join') return { ...mend, a: moved(mend.a), b: moved(mend.b) };
    return { ...mend, at: moved(mend.at) };
  });
  return { ...wishes, mends };
}
