/** A raster of region ids as it is stored: gzip of 16-bit little-endian values. */
export async function packedLabels(labels: Uint16Array): Promise<ArrayBuffer> {
  const bytes = new Uint8Array(labels.buffer as ArrayBuffer, labels.byteOffset, labels.byteLength);
  return new Response(new Blob([bytes]).stream().pipeThrough(new CompressionStream('gzip'))).arrayBuffer();
}

/** A raster of region ids out of what is stored. */
export async function unpackedLabels(packed: Blob): Promise<Uint16Array> {
  const stream = packed.stream().pipeThrough(new DecompressionStream('gzip'));
  return new Uint16Array(await new Response(stream).arrayBuffer());
}
