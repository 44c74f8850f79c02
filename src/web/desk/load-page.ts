import { unpackedLabels } from '../workers/packed-labels.ts';

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

/** The raster that was just found here, so that what was sent is not fetched back. */
let justFound: { key: string; labels: Uint16Array } | null = null;

/** Keeps the raster of region ids that was found of a sheet. @param from what they were found from */
export function keepLabels(sheetId: string, from: string, labels: Uint16Array): void {
  justFound = { key: `${sheetId} ${from}`, labels };
}

/** The stored raster of region ids. @param from what they were found from */
export async function loadLabels(sheetId: string, from: string): Promise<Uint16Array> {
  if (justFound?.key === `${sheetId} ${from}`) return justFound.labels;
  const response = await fetch(`/api/sheets/${sheetId}/labels?from=${encodeURIComponent(from)}`);
  if (!response.ok) throw new Error('The regions of this page did not arrive.');
  return unpackedLabels(await response.blob());
}
