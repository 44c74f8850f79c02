import { gunzipSync } from 'fflate';

const pictures = new Map<string, Promise<ImageBitmap>>();

/** The address of a sheet's working picture; its hash makes it safe to keep. */
export function pictureUrl(sheetId: string, hash: string): string {
  return `/api/sheets/${sheetId}/picture/${hash}`;
}

/** A sheet's working picture, fetched once. */
export function loadPicture(sheetId: string, hash: string): Promise<ImageBitmap> {
  let picture = pictures.get(hash);
  if (!picture) {
    picture = fetch(pictureUrl(sheetId, hash))
      .then((response) =>
        response.ok ? response.blob() : Promise.reject(new Error('The picture of this page did not arrive.')),
      )
      .then((blob) => createImageBitmap(blob));
    picture.catch(() => pictures.delete(hash));
    if (pictures.size > 4) pictures.delete(pictures.keys().next().value!);
    pictures.set(hash, picture);
  }
  return picture;
}

/** The stored raster of region ids. @param from what they were found from */
export async function loadLabels(sheetId: string, from: string): Promise<Uint16Array> {
  const response = await fetch(`/api/sheets/${sheetId}/labels?from=${encodeURIComponent(from)}`);
  if (!response.ok) throw new Error('The regions of this page did not arrive.');
  const bytes = gunzipSync(new Uint8Array(await response.arrayBuffer()));
  return new Uint16Array(bytes.buffer, bytes.byteOffset, bytes.byteLength / 2);
}
