import { type Runs } from '../runs.ts';

/**
 * Thins ink to lines one pixel wide that keep its connections and ends.
 * Source: T. Zhang, C. Suen, A fast parallel algorithm for thinning digital patterns (1984), here for 32 pixels at a
 * time: what holds of a pixel and those around it is worked out for all bits of a word at once.
 * @param ink the runs of ink. Ink on the outermost pixels of the page is left out
 * @returns 1 on the thin lines
 */
export function thin(ink: Runs, width: number, height: number): Uint8Array {
  const across = (width + 31) >> 5;
  const bits = packed(ink, width, height, across);
  // Only words beside which something went in the last two halves of a round can lose anything in the next.
  let before: Int32Array = new Int32Array(0);
  let last = wordsWithInk(bits, across);
  const looked = new Uint32Array(bits.length);
  const beside = new Uint32Array(bits.length);
  for (let half = 1; before.length + last.length > 0; half++) {
    const words = new Int32Array(before.length + last.length);
    const gone = new Uint32Array(words.length);
    let count = 0;
    for (const list of [before, last]) {
      for (const w of list) {
        if (looked[w] === half || bits[w] === 0) continue;
        looked[w] = half;
        gone[count] = going(bits, w, across, half);
        words[count++] = w;
      }
    }
    const touched = new Int32Array(9 * count);
    let touches = 0;
    for (let k = 0; k < count; k++) {
      if (gone[k] === 0) continue;
      const w = words[k]!;
      bits[w]! &= ~gone[k]!;
      for (let row = w - across; row <= w + across; row += across) {
        for (let v = row - 1; v <= row + 1; v++) {
          if (beside[v] === half) continue;
          beside[v] = half;
          touched[touches++] = v;
        }
      }
    }
    before = last;
    last = touched.subarray(0, touches);
  }
  return unpacked(bits, width, height, across);
}

/** Which pixels of a word go in the first half of a round, 1, 3, 5, ..., or in its second, 2, 4, 6, ... */
function going(bits: Uint32Array, w: number, across: number, half: number): number {
  const [above, here, below] = [w - across, w, w + across];
  // Of each bit, whether there is ink on that side of it: its right-hand neighbour is the next higher bit. The page's
  // outermost pixels are bare, so that what comes in from the other end of the row above or below is no ink.
  const n = bits[above]!;
  const ne = (n >>> 1) | (bits[above + 1]! << 31);
  const nw = (n << 1) | (bits[above - 1]! >>> 31);
  const e = (bits[here]! >>> 1) | (bits[here + 1]! << 31);
  const west = (bits[here]! << 1) | (bits[here - 1]! >>> 31);
  const s = bits[below]!;
  const se = (s >>> 1) | (bits[below + 1]! << 31);
  const sw = (s << 1) | (bits[below - 1]! >>> 31);
  // Where going round meets white and then ink, two neighbours at a time, which cannot both: the pixel joins nothing
  // where that is so once.
  const first = (~n & ne) | (~ne & e);
  const second = (~e & se) | (~se & s);
  const third = (~s & sw) | (~sw & west);
  const fourth = (~west & nw) | (~nw & n);
  const twice = (first & second) | (third & fourth) | ((first | second) & (third | fourth));
  const once = (first | second | third | fourth) & ~twice;
  // All the ink around lies in one stretch then: it has two pixels or more, and so has the white.
  const inkPair = (n & ne) | (ne & e) | (e & se) | (se & s) | (s & sw) | (sw & west) | (west & nw) | (nw & n);
  const someWhite = ~((n | ne) & (ne | e) & (e | se) & (se | s) & (s | sw) & (sw | west) & (west | nw) & (nw | n));
  const side = half % 2 === 1 ? ~(e & s & (n | west)) : ~(n & west & (e | s));
  return bits[here]! & once & inkPair & someWhite & side;
}

function wordsWithInk(bits: Uint32Array, across: number): Int32Array {
  const words = new Int32Array(bits.length);
  let n = 0;
  for (let w = across; w < bits.length - across; w++) if (bits[w] !== 0) words[n++] = w;
  return words.subarray(0, n);
}

/** Ink as bits, each row in whole words, without the outermost pixels of the page. */
function packed({ from, to, rowStart }: Runs, width: number, height: number, across: number): Uint32Array {
  const bits = new Uint32Array(across * height);
  for (let y = 1; y < height - 1; y++) {
    for (let r = rowStart[y]!; r < rowStart[y + 1]!; r++) {
      const [first, last] = [Math.max(1, from[r]!), Math.min(width - 2, to[r]!)];
      if (first > last) continue;
      const row = y * across;
      const [w0, w1] = [row + (first >> 5), row + (last >> 5)];
      const [start, end] = [-1 << (first & 31), -1 >>> (31 - (last & 31))];
      if (w0 === w1) bits[w0]! |= start & end;
      else {
        bits[w0]! |= start;
        bits.fill(-1, w0 + 1, w1);
        bits[w1]! |= end;
      }
    }
  }
  return bits;
}

function unpacked(bits: Uint32Array, width: number, height: number, across: number): Uint8Array {
  const lines = new Uint8Array(width * height);
  for (let y = 0, w = 0; y < height; y++) {
    for (let k = 0; k < across; k++, w++) {
      for (let left = bits[w]!; left !== 0; left &= left - 1) {
        lines[y * width + 32 * k + 31 - Math.clz32(left & -left)] = 1;
      }
    }
  }
  return lines;
}

/** The eight pixels around one as bits, clockwise from the one above: N, NE, E, SE, S, SW, W, NW. */
export function around(lines: Uint8Array, i: number, width: number): number {
  return (
    lines[i - width]! |
    (lines[i - width + 1]! << 1) |
    (lines[i + 1]! << 2) |
    (lines[i + width + 1]! << 3) |
    (lines[i + width]! << 4) |
    (lines[i + width - 1]! << 5) |
    (lines[i - 1]! << 6) |
    (lines[i - width - 1]! << 7)
  );
}

/** How often, going round a pixel, white turns to ink: 1 at the end of a line, 2 along it, 3 and more where lines meet. */
export const CROSSINGS = Uint8Array.from({ length: 256 }, (_, bits) => {
  let count = 0;
  for (let k = 0; k < 8; k++) if (!((bits >> k) & 1) && (bits >> ((k + 1) % 8)) & 1) count++;
  return count;
});
