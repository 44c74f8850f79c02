import { type Box, type PageGeometry } from './page.ts';

/** What stands in front lies on a body where so much of its own outline does; where less does, it cuts the body off. */
const LIES_ON = 0.6;
/** What stands in front, and what of it was looked at. */
const [OPEN, SEEN] = [1, 2];

/**
 * What stands in front of a body and lies on it, as an emblem on a shield or eyes in a face: a form does not end there.
 * @param body 0 beside the body, in a window of the page
 * @param isInFront whether a region stands in front of the body
 * @returns 1 at its pixels, in the window; null where nothing lies on it
 */
export function standingOn(
  page: PageGeometry,
  box: Box,
  body: Uint16Array,
  isInFront: (regionId: number) => boolean,
): Uint8Array | null {
  const width = box.right - box.left;
  const height = box.bottom - box.top;
  const front = pixelsInFront(page, box, body, isInFront);
  if (!front) return null;
  const on = new Uint8Array(body.length);
  let found = false;
  const stack: number[] = [];
  let part: number[] = [];
  let [touches, elsewhere] = [0, 0];
  const look = (within: boolean, i: number) => {
    if (!within || front[i] === 0) {
      if (within && body[i]! > 0) touches++;
      else elsewhere++;
    } else if (front[i] === OPEN) {
      front[i] = SEEN;
      stack.push(i);
    }
  };
  for (let start = 0; start < front.length; start++) {
    if (front[start] !== OPEN) continue;
    [part, touches, elsewhere] = [[], 0, 0];
    front[start] = SEEN;
    stack.push(start);
    while (stack.length > 0) {
      const i = stack.pop()!;
      part.push(i);
      const x = i % width;
      look(x > 0, i - 1);
      look(x < width - 1, i + 1);
      look(i >= width, i - width);
      look(i < width * (height - 1), i + width);
    }
    if (touches < LIES_ON * (touches + elsewhere)) continue;
    found = true;
    for (const i of part) on[i] = 1;
  }
  return found ? on : null;
}

/** 1 at the pixels of a window that stand in front of a body; null where none does. */
export function pixelsInFront(
  { grown, width: across }: Pick<PageGeometry, 'grown' | 'width'>,
  { left, top, right, bottom }: Box,
  body: Uint16Array,
  isInFront: (regionId: number) => boolean,
): Uint8Array | null {
  const front = new Uint8Array(body.length);
  let [last, is, any] = [-1, 0, false];
  for (let y = top, o = 0; y < bottom; y++) {
    for (let x = left, i = y * across + left; x < right; x++, i++, o++) {
      if (body[o]! > 0) continue;
      const id = grown[i]!;
      // Neighbouring pixels mostly belong to one region.
      if (id !== last) [last, is] = [id, Number(id > 0 && isInFront(id))];
      if (is) [front[o], any] = [1, true];
    }
  }
  return any ? front : null;
}
