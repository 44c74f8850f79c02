/** A picture as it comes from a worker, four bytes a pixel. */
export interface Pixels {
  width: number;
  height: number;
  data: Uint8ClampedArray;
}

/** What of a picture is handed over. */
export function bufferOf({ data }: Pixels): ArrayBuffer[] {
  return [data.buffer as ArrayBuffer];
}
