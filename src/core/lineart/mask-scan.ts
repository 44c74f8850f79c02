import { doubled } from './doubled.ts';

/**
 * Bytes four at a time, for passes over a whole page: most of it is paper, and four pixels of paper are told at once.
 * @returns a view of all whole words; the bytes themselves where they begin at a word, else a copy
 */
export function wordsOf(bytes: Uint8Array): Uint32Array {
  const aligned = bytes.byteOffset % 4 === 0 ? bytes : bytes.slice();
  return new Uint32Array(aligned.buffer, aligned.byteOffset, aligned.length >> 2);
}

/** Index of the first byte at or after `from` that is not 0; the number of bytes where there is none. */
export function nextSet(bytes: Uint8Array, words: Uint32Array, from: number): number {
  let i = from;
  for (; (i & 3) !== 0 && i < bytes.length; i++) if (bytes[i] !== 0) return i;
  let w = i >> 2;
  while (w < words.length && words[w] === 0) w++;
  for (i = Math.max(i, w << 2); i < bytes.length && bytes[i] === 0;) i++;
  return i;
}

/** Index of every byte that is not 0, in order. */
export function allSet(bytes: Uint8Array): Int32Array {
  const words = wordsOf(bytes);
  let found = new Int32Array(4096);
  let n = 0;
  for (let i = nextSet(bytes, words, 0); i < bytes.length; i = nextSet(bytes, words, i + 1)) {
    if (n === found.length) found = doubled(found);
    found[n++] = i;
  }
  return found.subarray(0, n);
}
