import CRC32 from 'crc-32';

/** Bytes of a PNG's signature and of its header chunk, which comes first. */
const AFTER_HEADER = 8 + 25;

/**
 * A PNG that says how large it is: the same picture with its pixels per metre in a pHYs chunk.
 * @param dpi dots an inch
 */
export async function withDensity(png: Blob, dpi: number): Promise<Blob> {
  const perMetre = Math.round(dpi / 0.0254);
  const chunk = new Uint8Array(4 + 4 + 9 + 4);
  const view = new DataView(chunk.buffer);
  view.setUint32(0, 9);
  chunk.set(new TextEncoder().encode('pHYs'), 4);
  view.setUint32(8, perMetre);
  view.setUint32(12, perMetre);
  // Both are counted by the metre.
  view.setUint8(16, 1);
  view.setInt32(17, CRC32.buf(chunk.subarray(4, 17)));
  return new Blob([png.slice(0, AFTER_HEADER), chunk, png.slice(AFTER_HEADER)], { type: 'image/png' });
}
