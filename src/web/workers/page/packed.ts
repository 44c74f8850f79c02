/** Bytes as they are sent and stored: gzip. */
export function packed(bytes: ArrayBuffer): Promise<ArrayBuffer> {
  return new Response(new Blob([bytes]).stream().pipeThrough(new CompressionStream('gzip'))).arrayBuffer();
}

/** Bytes out of what is stored. */
export function unpacked(stored: Blob): Promise<ArrayBuffer> {
  return new Response(stored.stream().pipeThrough(new DecompressionStream('gzip'))).arrayBuffer();
}
