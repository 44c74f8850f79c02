import type { SegmentationOptions } from '../../contracts/index.ts';

/** Counted up when the way of finding regions changes, so that they are found anew. */
const EDITION = 2;

/**
 * What the regions of a sheet were found from: its picture at its real size, and what was wished and mended. Regions
 * hold as long as this is the same.
 * @param hash of the working picture
 */
export function regionsKey(hash: string, widthPx: number, widthMm: number, finding: SegmentationOptions): string {
  return `${hash}@${(widthPx / widthMm).toFixed(4)} ${EDITION} ${digest(JSON.stringify(finding))}`;
}

/** 64 bits of a text, enough to tell wishes apart. Source: FNV-1a (G. Fowler, L. Noll, K.-P. Vo), two 32-bit halves. */
function digest(text: string): string {
  let [a, b] = [0x811c9dc5, 0xcbf29ce4];
  for (let i = 0; i < text.length; i++) {
    a = Math.imul(a ^ text.charCodeAt(i), 0x01000193);
    b = Math.imul(b ^ text.charCodeAt(text.length - 1 - i), 0x01000193);
  }
  return (a >>> 0).toString(16).padStart(8, '0') + (b >>> 0).toString(16).padStart(8, '0');
}
